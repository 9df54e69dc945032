import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import {
  threadLeft,
  wheelOver,
  WHEEL_GAP_MM,
  type Studs,
  type WheelReadings,
} from '@firm-line/core/physics/wheel-ends';
import { type WheelFit, WHEEL_FIT, WHEEL_READINGS, STUDS } from '@firm-line/core/plan';
import { boltThreadName, type BoltThread } from '@firm-line/core/trade/stock';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { DISPLAY_UNITS } from '../../kit/units';
import { filled, ReadingsForm } from './readings-form';
import { FieldOf } from '../../kit/fields/field';
import { TextInput } from '../../kit/fields/text-input';
import { readThread } from './read-thread';

type Reading = keyof WheelReadings;
type StudFigures = Pick<Studs, 'count' | 'lengthMm' | 'flangeMm'>;

/** A wheel over its caliper from four readings, its spacer, and what is left of its studs. */
@Component({
  selector: 'fl-wheel-form',
  imports: [FieldOf, ReadingsForm, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'card block p-5', role: 'group', '[attr.aria-label]': 'name()' },
  template: `
    <h3 class="text-xl font-bold">{{ name() }}</h3>
    <fl-readings-form
      class="mt-3"
      [fields]="readingFields"
      [keys]="readings"
      [value]="fit().readings"
      (changed)="put({ readings: readingsOf($event) })"
    />
    @if (fit().readings; as at) {
      <svg
        class="mt-3 h-56 w-full"
        [attr.viewBox]="'-20 -20 ' + (width() + 50) + ' ' + (at.barrelRadiusMm + 50)"
        role="img"
        [attr.aria-label]="words()"
      >
        <line
          x1="-20"
          [attr.x2]="width() + 30"
          [attr.y1]="at.barrelRadiusMm"
          [attr.y2]="at.barrelRadiusMm"
          class="stroke-ink-soft"
          stroke-dasharray="12 4 3 4"
          stroke-width="1.5"
        />
        <path
          [attr.d]="wheelPath()"
          class="fill-none stroke-ink"
          stroke-width="5"
          stroke-linejoin="round"
        />
        <rect
          x="-20"
          [attr.y]="at.barrelRadiusMm - at.caliperRadiusMm"
          [attr.width]="at.caliperOutMm + 20"
          height="60"
          rx="4"
          class="stroke-ink"
          [class]="over()!.fits ? 'fill-slate-pale' : 'fill-copper-pale'"
          stroke-width="1.5"
        />
        <line
          x1="0"
          x2="0"
          [attr.y1]="at.barrelRadiusMm - 60"
          [attr.y2]="at.barrelRadiusMm"
          class="stroke-copper"
          stroke-width="3"
        />
      </svg>
      <p class="mt-3 rounded-lg bg-paper px-4 py-2" role="status" data-test="wheel">
        {{ words() }}
      </p>
    }
    <div class="mt-4 grid gap-3 sm:grid-cols-3">
      <fl-field
        [of]="fields.spacerMm"
        [value]="fit().spacerMm"
        (changed)="put({ spacerMm: $event })"
      />
      <fl-field
        class="self-end"
        [of]="fields.stacked"
        [value]="fit().stacked"
        (changed)="put({ stacked: $event })"
      />
      <fl-field
        [of]="fields.hand"
        [field]="'hand-' + fit().key"
        [value]="fit().hand"
        (changed)="put({ hand: $event })"
      />
    </div>
    <div class="mt-3 grid items-end gap-3 sm:grid-cols-3">
      <fl-text-input
        [id]="'stud-thread-' + fit().key"
        label="Stud thread"
        placeholder="M12x1.5"
        [shown]="threadShown()"
        [read]="readThread"
        (taken)="takeThread($event)"
      />
      @if (fit().studs; as studs) {
        <fl-field
          [of]="studFields.seat"
          [field]="'seat-' + fit().key"
          [value]="studs.seat ?? null"
          (changed)="takeSeat($event)"
        />
      }
    </div>
    <fl-readings-form
      class="mt-3"
      [fields]="studFields"
      [keys]="studKeys"
      [value]="typedStuds()"
      (changed)="takeStuds($event)"
    />
    @if (fit().studs) {
      <p class="mt-2" role="status" data-test="studs">{{ studWords() }}</p>
    }
  `,
})
export class WheelForm {
  protected readonly fields = WHEEL_FIT.fields;
  private readonly units = inject(DISPLAY_UNITS);
  readonly name = input.required<string>();
  readonly fit = input.required<WheelFit>();
  readonly changed = output<WheelFit>();
  protected readonly readingFields = WHEEL_READINGS.fields;
  protected readonly readings = [
    'caliperRadiusMm',
    'caliperOutMm',
    'barrelRadiusMm',
    'spokesMm',
  ] as const;
  protected readonly studFields = STUDS.fields;
  protected readonly studKeys = ['count', 'lengthMm', 'flangeMm'] as const;
  /** Studs count once their thread and all three figures are there; until then they wait here. */
  private readonly typedThread = linkedSignal<BoltThread | null>(() => this.fit().studs);
  protected readonly typedStuds = linkedSignal<StudFigures | null>(() => this.fit().studs);
  protected readonly threadShown = computed(() => {
    const thread = this.typedThread();
    return thread ? boltThreadName(thread) : '';
  });
  protected readonly readThread = readThread;
  protected readonly readingsOf = (
    read: Readonly<Record<Reading, number | null>> | null,
  ): WheelReadings | null => read as WheelReadings | null;
  protected takeThread(thread: BoltThread | null): void {
    this.typedThread.set(thread && { dMm: thread.dMm, pitchMm: thread.pitchMm });
    this.putStuds();
  }
  protected takeStuds(read: Readonly<Record<keyof StudFigures, number | null>> | null): void {
    this.typedStuds.set(read && { ...filled(read), count: Math.round(read.count!) });
    this.putStuds();
  }
  protected takeSeat(seat: Studs['seat'] | null): void {
    const { seat: _, ...studs } = this.fit().studs!;
    this.put({ studs: seat ? { ...studs, seat } : studs });
  }
  private putStuds(): void {
    const [thread, figures] = [this.typedThread(), this.typedStuds()];
    const { studs: now } = this.fit();
    if (!thread || !figures) {
      if (now) this.put({ studs: null });
      return;
    }
    const { count, lengthMm, flangeMm } = figures;
    const { dMm, pitchMm } = thread;
    const seat = now?.seat ? { seat: now.seat } : {};
    this.put({ studs: { count, dMm, pitchMm, lengthMm, flangeMm, ...seat } });
  }
  private full(mm: number): string {
    return formatLengthUnit(mm, this.units(), 1);
  }

  protected readonly over = computed(() => {
    const { readings, spacerMm } = this.fit();
    return readings && wheelOver(readings, spacerMm);
  });
  protected readonly words = computed(() => {
    const over = this.over();
    if (!over) return '';
    const { barrelMm, spokesMm, spacerMm, fits } = over;
    const air = `${this.full(barrelMm)} under the barrel, ${this.full(spokesMm)} behind the spokes`;
    if (fits) return `The wheel fits: ${air}.`;
    return barrelMm < WHEEL_GAP_MM
      ? `The wheel does not fit: ${air}; ${this.full(WHEEL_GAP_MM)} are required, and a spacer does not help under the barrel.`
      : `The wheel does not fit as it is: ${air}. A spacer of ${this.full(spacerMm)} gives the spokes the required ${this.full(WHEEL_GAP_MM)}.`;
  });
  protected readonly studWords = computed(() => {
    const { studs, spacerMm, hand } = this.fit();
    if (!studs) return '';
    const { leftMm, turns, needMm, holds } = threadLeft(studs, spacerMm);
    const nuts = `${studs.count} nuts ${boltThreadName(studs)}, ${hand} hand`;
    return holds
      ? `${this.full(leftMm)} of thread in the nuts, ${turns.toFixed(1)} turns: enough. Buy: ${nuts}.`
      : `Only ${this.full(Math.max(leftMm, 0))} of thread left; ${this.full(needMm)} required. Use longer studs or a thinner spacer.`;
  });
  protected readonly width = computed(
    () =>
      Math.max(
        this.fit().readings?.caliperOutMm ?? 0,
        (this.fit().readings?.spokesMm ?? 0) + this.fit().spacerMm,
      ) + 30,
  );
  /** Barrel and spokes cut through: the hub's face at nought, outwards to the right. */
  protected readonly wheelPath = computed(() => {
    const at = this.fit().readings!;
    const spokes = at.spokesMm + this.fit().spacerMm;
    const face = this.fit().spacerMm;
    return `M-20 0H${spokes}V${at.barrelRadiusMm - 60}L${face} ${at.barrelRadiusMm - 40}V${at.barrelRadiusMm}`;
  });

  protected put(patch: Partial<WheelFit>): void {
    const { key, readings, spacerMm, stacked, studs, hand } = this.fit();
    this.changed.emit({ key, readings, spacerMm, stacked, studs, hand, ...patch });
  }
}
