import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { likelyBoltNm, withThread, type Fastener } from '@firm-line/core/stations/fit/tasks';
import { sheetNames, WANTED, type WantedTorque } from '@firm-line/core/plan';
import { RouterLink } from '@angular/router';
import { TextInput, type Read } from '../../kit/fields/text-input';
import { readTorque } from '../../kit/fields/read-torque';
import { PlanStore } from '../../session/plan-store';
import { FieldOf } from '../../kit/fields/field';
import { readThread } from './read-thread';

/** What bolts or nuts are to be tightened to, by whose word, and what they are. */
@Component({
  selector: 'fl-wanted-form',
  imports: [FieldOf, RouterLink, TextInput],
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
    @if (fastener().thread; as thread) {
      <p class="self-end sm:col-span-2" data-test="from-wheels">
        {{ fastener().count }} × {{ thread }}, from
        <a class="link" [routerLink]="wheels()">Wheels</a>.
      </p>
    } @else {
      <fl-field
        [of]="fields.count"
        [value]="wanted().count ?? fastener().count"
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
    }
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
  readonly fastener = input.required<Fastener>();
  protected readonly wheels = computed(() => ['/plan', this.store.plan().id, 'fit', 'wheels']);
  readonly changed = output<WantedTorque>();
  protected readonly torque = computed(() => {
    const { nm } = this.wanted();
    return nm === null ? '' : this.store.quantities().torque(nm, 1);
  });
  protected readonly likely = computed(() => {
    const range = likelyBoltNm(withThread(this.wanted(), this.fastener()));
    const { torque } = this.store.quantities();
    return range
      ? `Typical for this bolt: ${torque(range.least)} to ${torque(range.most)} (T = K·d·F). The maker’s sheet comes first.`
      : 'Enter thread and class to have the figure checked.';
  });
  protected readonly read = (text: string): Read<number | null> =>
    readTorque(text, this.store.shownUnits().torque);
  /** Kept as it is typed: that is how the sheet writes it. */
  protected readonly readThread = (text: string): Read<string> => {
    const read = readThread(text);
    return read.ok ? { ok: true, value: text } : read;
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
