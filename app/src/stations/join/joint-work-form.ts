import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { consumablesOf, guidanceFor } from '@firm-line/core/trade/ends';
import { jointsBefore, sealantsOf, type JointEnd } from '@firm-line/core/stations/join';
import {
  askedField,
  LINE_END,
  adapterOf,
  RATING_MPA,
  sheetNames,
  tightenKey,
  type JointTorque,
  type JointWork,
  type LineView,
  type Sealant,
  JOINT_WORK,
} from '@firm-line/core/plan';
import { formatTorque } from '@firm-line/core/lib/units/torque';
import { readTorque } from '../../kit/fields/read-torque';
import { TextInput, type Read } from '../../kit/fields/text-input';
import { PlanStore } from '../../session/plan-store';
import { FieldOf } from '../../kit/fields/field';

/** How the joint is made and in what state it is: sealant, washers, openings, torque and by whose word. */
@Component({
  selector: 'fl-joint-work-form',
  imports: [FieldOf, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <h2 class="h2">The joint</h2>
    <dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-sm">
      @for (row of facts(); track row.name) {
        <dt class="text-ink-soft">{{ row.name }}</dt>
        <dd>{{ row.value }}</dd>
      }
    </dl>
    <div class="mt-2 grid grid-cols-2 items-end gap-3">
      <fl-text-input
        [id]="'joint-torque'"
        label="Torque on the maker’s sheet"
        placeholder="17 N·m"
        [shown]="torque().shown"
        [read]="torque().read"
        (taken)="change({ torqueNm: $event })"
      />
      <fl-field
        [of]="fields.torqueSource"
        field="joint-source"
        [offers]="sheets()"
        [value]="work().torqueSource"
        (changed)="change({ torqueSource: $event })"
      />
      @for (one of before(); track $index; let i = $index) {
        <fl-text-input
          [id]="'joint-torque-' + (i + 1)"
          [label]="'Torque of the adapter, joint ' + (i + 1)"
          placeholder="17 N·m"
          [shown]="one.shown"
          [read]="one.read"
          (taken)="changeBefore(i, { nm: $event })"
        />
        <fl-field
          [of]="fields.torqueSource"
          [field]="'joint-source-' + (i + 1)"
          [offers]="sheets()"
          [value]="one.source"
          (changed)="changeBefore(i, { source: $event })"
        />
      }
      @if (work().torqueNm !== null && !work().torqueSource) {
        <p class="col-span-2 text-sm">Enter the sheet. A torque without a source is a guess.</p>
      }
      <fl-field
        [of]="fields.washers"
        field="joint-washers"
        [value]="work().washers"
        (changed)="change({ washers: $event })"
      />
      @if (at().joints && at().joints!.length > 1) {
        @for (sealant of byJoint(); track $index; let i = $index) {
          <fl-field
            [of]="fields.sealant"
            [label]="'Sealant, joint ' + (i + 1)"
            [field]="'joint-sealant-' + (i + 1)"
            [value]="sealant"
            (changed)="seal(i, $event)"
          />
        }
      } @else {
        <fl-field
          [of]="fields.sealant"
          field="joint-sealant"
          [value]="work().sealant"
          (changed)="change({ sealant: $event })"
        />
      }
      @if (lineEnd(); as end) {
        <fl-field
          [of]="fields.made"
          field="joint-made"
          [value]="work().made"
          (changed)="change({ made: $event })"
        />
        @if (end.adapters.length) {
          @for (adapter of adapters(); track adapter.id) {
            <fl-field
              class="col-span-2"
              [of]="rating"
              [label]="adapter.name + ' is rated for'"
              [hint]="adapter.hint"
              [value]="adapter.ratingMPa"
              (changed)="rate(adapter.id, $event ?? null)"
            />
          }
          <fl-field
            [of]="endFields.standoffMm"
            [value]="end.standoffMm"
            (changed)="setStandoff($event)"
          />
        }
      }
      <button type="button" class="btn" (click)="open()">Opened{{ openedWords() }}</button>
    </div>
    <p class="mt-2 text-sm text-ink-soft">
      Tighten once, with a flare wrench, then wiggle the line. The maker’s sheet comes first.
    </p>
  `,
})
export class JointWorkForm {
  protected readonly rating = askedField(RATING_MPA);
  protected readonly endFields = LINE_END.fields;
  protected readonly fields = JOINT_WORK.fields;
  private readonly store = inject(PlanStore);
  /** Makers' sheets that are here. */
  protected readonly sheets = computed(() => sheetNames(this.store.plan()));
  readonly at = input.required<JointEnd>();
  /** The line whose end it is; null of a hose's. */
  readonly line = input.required<LineView | null>();
  protected readonly lineEnd = computed(() => this.line()?.line.ends[this.at().end] ?? null);
  protected readonly adapters = computed(() => {
    const { bench } = this.store.plan();
    return (this.lineEnd()?.adapters ?? []).map((id) => ({
      id,
      name: adapterOf(bench, id)!.name,
      ratingMPa: bench.ratingMPa?.[id] ?? null,
      hint: 'From the maker’s sheet. Applies wherever this adapter is used.',
    }));
  });
  protected readonly work = computed(() => this.at().work);
  protected readonly byJoint = computed(() => sealantsOf(this.at()));
  /** What the joints before the nut's are tightened to, from the port. */
  protected readonly before = computed(() =>
    jointsBefore(this.at()).map(({ work: { torqueNm: nm, torqueSource: source } }) => ({
      nm,
      source,
      ...this.asTyped(nm),
    })),
  );
  protected readonly torque = computed(() => this.asTyped(this.work().torqueNm));
  /** How a torque is shown, and how one is read in its place. Empty: no sheet was looked up. What is shown already is what it was. */
  private asTyped(nm: number | null) {
    const unit = this.store.shownUnits().torque;
    const shown = nm === null ? '' : formatTorque(nm, unit);
    const read = (text: string): Read<number | null> =>
      text === shown ? { ok: true, value: nm } : readTorque(text, unit);
    return { shown, read };
  }
  private readonly tightening = computed(() => {
    const key = tightenKey(this.at().id, this.at().end);
    return this.store.plan().floor.tight.find((one) => one.key === key);
  });
  protected readonly openedWords = computed(() => {
    const { opened } = this.work();
    return this.tightening()?.opened ? ', not tight since' : opened ? ` (${opened}×)` : '';
  });
  protected readonly facts = computed(() => {
    const { joints: known, eyes, end } = this.at();
    const [joints, nut] = [known ?? [], this.line()?.nuts[end]];
    const counts = new Map<string, number>();
    for (const { what, count } of joints.flatMap((joint) => consumablesOf(joint, eyes)))
      counts.set(what, (counts.get(what) ?? 0) + count);
    const uses = [...counts]
      .map(([what, count]) => `${count} × ${what[0]!.toLowerCase()}${what.slice(1)}`)
      .join(', ');
    const last = joints.at(-1);
    return [
      ...(nut ? [{ name: 'Nut and wrench', value: `${nut.name}, ${nut.wrench}` }] : []),
      ...(uses ? [{ name: 'Replace each time', value: uses }] : []),
      ...(last ? [{ name: 'Tightening', value: `${guidanceFor(last)} Common practice.` }] : []),
    ];
  });

  /** A joint that was tightened in Fit is opened there. */
  protected open(): void {
    const tightened = this.tightening();
    if (!tightened) return this.change({ opened: this.work().opened + 1 });
    this.store.apply({
      edit: 'recordOpened',
      with: { task: tightened.key, at: new Date().toISOString() },
    });
  }
  protected changeBefore(index: number, patch: Partial<JointTorque>): void {
    this.change({
      torques: this.before().map(({ nm, source }, i) =>
        i === index ? { nm, source, ...patch } : { nm, source },
      ),
    });
  }
  protected seal(index: number, to: Sealant): void {
    this.change({ sealants: this.byJoint().map((one, i) => (i === index ? to : one)) });
  }
  protected rate(id: string, mpa: number | null): void {
    const { [id]: _, ...others } = this.store.plan().bench.ratingMPa ?? {};
    this.store.apply({
      edit: 'changeBench',
      with: { patch: { ratingMPa: mpa === null ? others : { ...others, [id]: mpa } } },
    });
  }
  protected setStandoff(standoffMm: number): void {
    this.store.apply({
      edit: 'changeEnd',
      with: { id: this.at().id, end: this.at().end, patch: { standoffMm } },
    });
  }
  protected change(patch: Partial<JointWork>): void {
    const { of, id, end } = this.at();
    this.store.apply({ edit: 'changeJoint', with: { of, id, end, patch } });
  }
}
