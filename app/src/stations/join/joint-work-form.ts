import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { consumablesOf, guidanceFor } from '@firm-line/core/trade/ends';
import { sealantsOf, type JointEnd } from '@firm-line/core/stations/join';
import {
  adapterOf,
  RATING_MPA,
  sheetNames,
  type JointWork,
  type LineView,
  type Sealant,
} from '@firm-line/core/plan';
import { formatTorque, parseTorque } from '@firm-line/core/lib/units/torque';
import { TextInput, type Read } from '../../kit/fields/text-input';
import { TextField } from '../../kit/fields/text-field';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';
import { LengthField } from '../../kit/fields/length-field';
import { PlanStore } from '../../session/plan-store';
import { SelectField } from '../../kit/fields/select-field';

/** How the joint is made and in what state it is: sealant, washers, openings, torque and by whose word. */
@Component({
  selector: 'fl-joint-work-form',
  imports: [TextInput, OptionalNumberField, TextField, SelectField, LengthField],
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
        label="Torque, by the maker's sheet"
        placeholder="17 N·m"
        [shown]="torque()"
        [read]="readTorque"
        (taken)="change({ torqueNm: $event })"
      />
      <fl-text-field
        field="joint-source"
        label="Which sheet"
        [offers]="sheets()"
        [limits]="sourceLimits"
        [value]="work().torqueSource"
        (changed)="change({ torqueSource: $event })"
      />
      @if (work().torqueNm !== null && !work().torqueSource) {
        <p class="col-span-2 text-sm">
          Write whose sheet says so: a torque without one is a guess.
        </p>
      }
      <fl-select-field
        field="joint-washers"
        label="Washers"
        [options]="washers"
        [value]="work().washers"
        (changed)="change({ washers: $event })"
      />
      @if (at().joints && at().joints!.length > 1) {
        @for (sealant of byJoint(); track $index; let i = $index) {
          <fl-select-field
            [field]="'joint-sealant-' + (i + 1)"
            [label]="'Sealant, joint ' + (i + 1)"
            [options]="sealants"
            [value]="sealant"
            (changed)="seal(i, $event)"
          />
        }
      } @else {
        <fl-select-field
          field="joint-sealant"
          label="Sealant"
          [options]="sealants"
          [value]="work().sealant"
          (changed)="change({ sealant: $event })"
        />
      }
      @if (lineEnd(); as end) {
        <fl-select-field
          field="joint-made"
          label="Made as"
          [options]="makes"
          [value]="work().made"
          (changed)="change({ made: $event })"
        />
        @if (end.adapters.length) {
          @for (adapter of adapters(); track adapter.id) {
            <fl-optional-number-field
              class="col-span-2"
              [label]="adapter.name + ' is rated for, MPa'"
              [hint]="adapter.hint"
              [limits]="rating"
              [value]="adapter.ratingMPa"
              (changed)="rate(adapter.id, $event)"
            />
          }
          <fl-length-field
            label="Adapters hold it off by"
            [valueMm]="end.standoffMm"
            [leastMm]="0"
            [mostMm]="1000"
            (changed)="setStandoff($event)"
          />
        }
      }
      <button type="button" class="btn" (click)="change({ opened: work().opened + 1 })">
        It was opened{{ openedWords() }}
      </button>
    </div>
    <p class="mt-2 text-sm text-ink-soft">
      Tighten once, then wiggle every line. Use flare wrenches. The maker's sheet comes first.
    </p>
  `,
})
export class JointWorkForm {
  protected readonly sourceLimits = { least: 0, most: 200 };
  protected readonly washers = [
    ['none', 'none set down'],
    ['new', 'new'],
    ['used', 'used before'],
  ] as const;
  protected readonly sealants = [
    ['none', 'none'],
    ['paste', 'paste'],
    ['tape', 'tape'],
  ] as const;
  protected readonly makes = [
    ['flared', 'flared'],
    ['compression', 'compression'],
    ['rubber-hose', 'rubber hose and clips'],
  ] as const;
  private readonly store = inject(PlanStore);
  /** Makers' sheets that are here. */
  protected readonly sheets = computed(() => sheetNames(this.store.plan()));
  readonly at = input.required<JointEnd>();
  /** The line whose end it is; null of a hose's. */
  readonly line = input.required<LineView | null>();
  protected readonly lineEnd = computed(() => this.line()?.line.ends[this.at().end] ?? null);
  protected readonly rating = RATING_MPA;
  protected readonly adapters = computed(() => {
    const { bench } = this.store.plan();
    return (this.lineEnd()?.adapters ?? []).map((id) => ({
      id,
      name: adapterOf(bench, id)!.name,
      ratingMPa: bench.ratingMPa?.[id] ?? null,
      hint: "By its maker's sheet; it holds wherever you use it.",
    }));
  });
  protected readonly work = computed(() => this.at().work);
  protected readonly byJoint = computed(() => sealantsOf(this.at()));
  protected readonly torque = computed(() => {
    const { torqueNm } = this.work();
    return torqueNm === null ? '' : formatTorque(torqueNm);
  });
  protected readonly openedWords = computed(() =>
    this.work().opened ? ` (${this.work().opened}×)` : '',
  );
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
      ...(uses ? [{ name: 'New each time', value: uses }] : []),
      ...(last ? [{ name: 'Tightening', value: `${guidanceFor(last)} Common practice.` }] : []),
    ];
  });

  /** Empty: no sheet was looked up. What is shown already is what it was. */
  protected readonly readTorque = (text: string): Read<number | null> => {
    if (text === '' || text === this.torque())
      return { ok: true, value: text === '' ? null : this.work().torqueNm };
    return parseTorque(text);
  };
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
