import type { EditCall } from '@firm-line/core/plan';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import { guidanceFor } from '@firm-line/core/trade/ends';
import {
  isUnusual,
  torqueOf,
  type TorqueView,
  verdictOf,
  wantedOf,
  WRENCH_SHARE,
  type Task,
} from '@firm-line/core/stations/fit/tasks';
import type { Floor, Tightening, WantedTorque } from '@firm-line/core/plan';
import { crushes } from '@firm-line/core/stations/join';
import { formatTorque } from '@firm-line/core/lib/units/torque';
import { doubtWords } from '../../kit/fields/doubt';
import { CheckField } from '../../kit/fields/check-field';
import { TextInput } from '../../kit/fields/text-input';
import { readTorque } from '../../kit/fields/read-torque';
import type { Read } from '../../kit/fields/text-input';
import { Disclosure } from '../../kit/disclosure';
import { PlanStore } from '../../session/plan-store';
import { JointSection } from '../join/joint-section';
import { StarOrder } from './star-order';
import { WantedForm } from './wanted-form';

/** What the wrench said, and of a joint that had been opened whether its washers are new. */
export interface Said {
  readonly nm: number;
  readonly washers?: Tightening['washers'];
}
/** So many are drawn in a ring; fewer are simply drawn up in turn. */
const RING = 3;

/** What is wanted and by whose word, what the wrench said, and in what order several are drawn up. */
@Component({
  selector: 'fl-torque-card',
  imports: [CheckField, TextInput, Disclosure, JointSection, StarOrder, WantedForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    @if (drawn(); as join) {
      <div class="card p-4">
        <fl-joint-section
          class="h-36"
          [male]="join.male"
          [female]="join.female"
          [together]="true"
        />
      </div>
    }
    <div class="mt-4 grid gap-4 sm:grid-cols-2">
      <div class="card p-4">
        <p class="label">Required</p>
        <p class="font-mono" [class]="torque().wantedNm === null ? 'text-2xl' : 'text-4xl'">
          {{ torque().wantedNm === null ? 'see sheet' : torqueWords(torque().wantedNm!) }}
        </p>
        <p class="text-sm text-ink-soft">{{ wantedWords() }}</p>
      </div>
      <div class="card p-4" [class.border-ok]="verdict() === 'good'">
        <fl-text-input
          [id]="'wrench-said'"
          label="Wrench reading"
          placeholder="17 N·m"
          [shown]="shown()"
          [read]="read"
          (taken)="saidNm.set($event)"
        />
        <p class="mt-1 text-sm" role="status" data-test="torque">{{ verdictWords() }}</p>
        @if (torque().opened && hasWashers()) {
          <fl-check-field
            label="New washers fitted"
            [checked]="newWashers()"
            (changed)="newWashers.set($event)"
          />
        }
      </div>
    </div>
    @if (count() >= ring) {
      <div class="card mt-4 flex flex-wrap items-center gap-4 p-4">
        <fl-star-order
          class="w-64"
          [count]="count()"
          [marked]="marked()"
          (tapped)="marked.set($event)"
        />
        <p class="min-w-40 flex-1">
          Half tight in this order, then full torque in the same order. Tap each one as you mark it:
          {{ marked() }} of {{ count() }}.
        </p>
      </div>
    }
    @if (wanted(); as one) {
      <fl-disclosure class="mt-3" summary="Fasteners, torque and source" [startsOpen]="unsaid()">
        <fl-wanted-form
          class="card p-4"
          [wanted]="one"
          [fastener]="task().fastener!"
          (changed)="changed.emit(put($event))"
        />
      </fl-disclosure>
    }
    @if (room(); as text) {
      <p class="mt-3 rounded-lg bg-copper-pale px-4 py-3" data-test="room">{{ text }}</p>
    }
  `,
})
export class TorqueCard {
  private readonly store = inject(PlanStore);
  readonly task = input.required<Task>();
  readonly floor = input.required<Floor>();
  readonly changed = output<EditCall>();
  protected readonly ring = RING;
  protected readonly torque = computed(() => torqueOf(this.task(), this.floor())!);
  /** Of bolts and nuts: what was set down of them. */
  protected readonly wanted = computed((): WantedTorque | null => {
    const { fastener } = this.task();
    return fastener ? wantedOf(this.floor(), fastener.key) : null;
  });
  protected readonly hasWashers = computed(() => {
    const { joint } = this.task();
    return joint !== undefined && crushes(joint);
  });
  /** How many are tightened: by a record of their own, else as entered here, else as usual. */
  protected readonly count = computed(() => {
    const { fastener } = this.task();
    return (fastener?.thread ? null : this.wanted()?.count) ?? fastener?.count ?? 1;
  });
  /** The joint at the nut, where both its halves are known. */
  protected readonly drawn = computed(() => this.task().joint?.joints?.at(-1)?.join ?? null);
  protected readonly room = computed(() => {
    const { id, joint } = this.task();
    if (!joint) return null;
    const name = `end ${id.slice(-1).toUpperCase()}`;
    return (
      this.store
        .snags()
        .find(
          ({ rule, place, where }) =>
            rule === 'wrench-room' && place.id === joint.id && where.endsWith(name),
        )?.text ?? null
    );
  });

  private readonly id = computed(() => this.task().id);
  protected readonly saidNm = linkedSignal<number | null>(() => this.torque().saidNm);
  /** Nothing was set down of them when the task was opened: the form stays open while it is filled in. */
  protected readonly unsaid = linkedSignal({
    source: this.id,
    computation: () => this.torque().wantedNm === null,
  });
  protected readonly marked = linkedSignal({ source: this.id, computation: () => 0 });
  protected readonly newWashers = linkedSignal({ source: this.id, computation: () => false });
  /** Once the wrench has spoken and each is marked; else null. */
  readonly said = computed((): Said | null => {
    const nm = this.saidNm();
    if (nm === null || (this.count() >= RING && this.marked() < this.count())) return null;
    return this.torque().opened && this.hasWashers()
      ? { nm, washers: this.newWashers() ? 'new' : 'reused' }
      : { nm };
  });
  protected readonly shown = computed(() => {
    const nm = this.saidNm();
    return nm === null ? '' : this.torqueWords(nm);
  });
  protected readonly read = (text: string): Read<number | null> =>
    readTorque(text, this.store.shownUnits().torque);
  protected readonly torqueWords = (nm: number): string => this.store.quantities().torque(nm, 1);
  protected readonly verdict = computed(() =>
    verdictOf(this.torque().wantedNm, this.saidNm(), false),
  );
  protected readonly wantedWords = computed(() => {
    const { wantedNm, source, likely } = this.torque();
    const near = this.task().joint?.joints?.at(-1);
    if (wantedNm !== null)
      return `${formatTorque(wantedNm, this.store.shownUnits().torque)}. ${source ? `Source: ${source}.` : 'No source entered. Which sheet gives this figure?'}${this.stateWords()}`;
    const usual = likely
      ? ` Typical for ${near ? 'joints' : 'bolts'}: ${this.torqueWords(likely.least)} to ${this.torqueWords(likely.most)}.`
      : '';
    return `No torque entered. Look it up on the maker’s sheet and enter it ${near ? 'in Join' : 'below'}.${near ? ` Until then: ${guidanceFor(near)}` : ''}${usual}`;
  });
  protected readonly verdictWords = computed(() => {
    const { wantedNm, opened, saidNm: before } = this.torque();
    const said = this.saidNm();
    if (opened && said === before)
      return `Opened since: tighten again${this.hasWashers() ? ', with new washers' : ''}.`;
    if (wantedNm === null) return said === null ? 'Tighten once, then mark it.' : this.asked(said);
    const range = `Wrench tolerance ±4 %: ${this.torqueWords(wantedNm * (1 - WRENCH_SHARE))} to ${this.torqueWords(wantedNm * (1 + WRENCH_SHARE))}.`;
    switch (this.verdict()) {
      case 'low':
        return `Too low. ${range}`;
      case 'high':
        return `Too high: loosen, inspect, and tighten again. ${range}`;
      case 'good':
        return `Good. ${range}`;
      default:
        return 'Tighten once, then mark it.';
    }
  });

  /** Of a reading that has no figure to be held against: whether such a joint usually takes it. It is stored as entered. */
  private asked(nm: number): string {
    const torque: TorqueView = { ...this.torque(), saidNm: nm, verdict: 'no-figure' };
    return isUnusual(torque)
      ? doubtWords(
          this.torqueWords(nm),
          this.torqueWords(torque.likely!.least),
          this.torqueWords(torque.likely!.most),
        )
      : 'There is no torque to check the reading against.';
  }
  private stateWords(): string {
    const wanted = this.wanted();
    if (!wanted) return '';
    const threads = {
      dry: 'dry',
      oiled: 'threads oiled',
      locked: 'thread locker on',
      precoated: 'precoated',
    }[wanted.state];
    return ` ${threads[0]!.toUpperCase()}${threads.slice(1)}, ${wanted.fastener === 'new' ? 'new' : 'used before'}.`;
  }
  protected put(wantedTorque: WantedTorque): EditCall {
    return { edit: 'putWantedTorque', with: { wantedTorque } };
  }
}
