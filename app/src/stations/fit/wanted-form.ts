import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { boltThread, likelyBoltNm } from '@firm-line/core/stations/fit/tasks';
import { sheetNames, WANTED, type WantedTorque } from '@firm-line/core/plan';
import { TextInput, type Read } from '../../kit/fields/text-input';
import { readTorque } from '../../kit/fields/read-torque';
import { PlanStore } from '../../session/plan-store';
import { FieldOf } from '../../kit/fields/field';

/** What bolts or nuts are to be tightened to, by whose word, and what they are. */
@Component({
  selector: 'fl-wanted-form',
  imports: [FieldOf, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-3 sm:grid-cols-2' },
  template: `
    <fl-text-input
      [id]="'wanted-nm'"
      label="Torque on the sheet"
      placeholder="60 N·m"
      [shown]="torque()"
      [read]="read"
      (taken)="put({ nm: $event })"
    />
    <fl-field
      [of]="fields.source"
      field="wanted-source"
      placeholder="maker’s sheet, page 12"
      [offers]="sheets()"
      [value]="wanted().source"
      (changed)="put({ source: $event })"
    />
    <fl-field
      [of]="fields.state"
      field="wanted-state"
      [value]="wanted().state"
      (changed)="put({ state: $event })"
    />
    <fl-field
      [of]="fields.fastener"
      field="wanted-fastener"
      [value]="wanted().fastener"
      (changed)="put({ fastener: $event })"
    />
    <fl-field
      [of]="fields.count"
      [value]="wanted().count ?? count()"
      (changed)="put({ count: $event })"
    />
    <fl-text-input
      [id]="'wanted-thread'"
      label="Thread"
      placeholder="M12x1.5"
      [shown]="wanted().thread ?? ''"
      [read]="readThread"
      (taken)="putThread($event)"
    />
    <fl-field
      [of]="fields.propertyClass"
      field="wanted-class"
      none="not known"
      [value]="wanted().propertyClass ?? null"
      (changed)="putClass($event)"
    />
    <p class="self-end text-sm text-ink-soft">{{ likely() }}</p>
  `,
})
export class WantedForm {
  protected readonly fields = WANTED.fields;
  private readonly store = inject(PlanStore);
  protected readonly sheets = computed(() => sheetNames(this.store.plan()));
  readonly wanted = input.required<WantedTorque>();
  /** How many such a thing mostly has. */
  readonly count = input.required<number>();
  readonly changed = output<WantedTorque>();
  protected readonly torque = computed(() => {
    const { nm } = this.wanted();
    return nm === null ? '' : this.store.quantities().torque(nm, 1);
  });
  protected readonly likely = computed(() => {
    const range = likelyBoltNm(this.wanted());
    const { torque } = this.store.quantities();
    return range
      ? `Typical for this bolt: ${torque(range.least)} to ${torque(range.most)} (T = K·d·F). The maker’s sheet comes first.`
      : 'Enter thread and class to have the figure checked.';
  });
  protected readonly read = (text: string): Read<number | null> =>
    readTorque(text, this.store.shownUnits().torque);
  protected readonly readThread = (text: string): Read<string> =>
    !text || boltThread(text)
      ? { ok: true, value: text }
      : {
          ok: false,
          message: `"${text}" is not a thread. Enter one such as M10, M12x1.5 or 7/16-20.`,
        };

  protected put(patch: Partial<WantedTorque>): void {
    this.changed.emit({ ...this.wanted(), ...patch });
  }
  protected putThread(thread: string): void {
    const { thread: _, ...rest } = this.wanted();
    this.changed.emit(thread ? { ...rest, thread } : rest);
  }
  protected putClass(propertyClass: WantedTorque['propertyClass'] | ''): void {
    const { propertyClass: _, ...rest } = this.wanted();
    this.changed.emit(propertyClass ? { ...rest, propertyClass } : rest);
  }
}
