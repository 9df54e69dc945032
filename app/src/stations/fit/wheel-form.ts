import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  threadLeft,
  wheelOver,
  WHEEL_GAP_MM,
  type Studs,
  type WheelReadings,
} from '@firm-line/core/physics/wheel-ends';
import type { WheelFit } from '@firm-line/core/plan';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { CheckField } from '../../kit/fields/check-field';
import { LengthField } from '../../kit/fields/length-field';
import { SelectField } from '../../kit/fields/select-field';
import { DISPLAY_UNITS } from '../../kit/units';
import { ReadingsForm, type Ask } from './readings-form';

type Reading = keyof WheelReadings;
/** The four readings, of caliper and wheel. */
const ASKS: readonly Ask<Reading>[] = [
  {
    key: 'caliperRadiusMm',
    label: '1 Caliper’s highest place, from the axis',
    unit: 'length',
    least: 1,
    most: 1000,
  },
  {
    key: 'caliperOutMm',
    label: '2 Caliper past the hub’s face',
    unit: 'length',
    least: -1000,
    most: 1000,
  },
  {
    key: 'barrelRadiusMm',
    label: '3 Wheel’s barrel, inside, from the axis',
    unit: 'length',
    least: 1,
    most: 1000,
  },
  {
    key: 'spokesMm',
    label: '4 Wheel’s face in to the back of its spokes',
    unit: 'length',
    least: -1000,
    most: 1000,
  },
];
const STUD_ASKS: readonly Ask<keyof Studs>[] = [
  { key: 'count', label: 'Studs', unit: 'number', least: 3, most: 12 },
  { key: 'dMm', label: 'Thread, mm across', unit: 'number', least: 4, most: 100 },
  { key: 'pitchMm', label: 'Pitch, mm', unit: 'number', least: 0.2, most: 10 },
  { key: 'lengthMm', label: 'Studs out of the hub’s face', unit: 'length', least: 1, most: 500 },
  { key: 'flangeMm', label: 'Wheel where the nut sits', unit: 'length', least: 0, most: 500 },
];

/** A wheel over its caliper from four readings, its spacer, and what is left of its studs. */
@Component({
  selector: 'fl-wheel-form',
  imports: [CheckField, LengthField, ReadingsForm, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'card block p-5', role: 'group', '[attr.aria-label]': 'name()' },
  template: `
    <h3 class="text-xl font-bold">{{ name() }}</h3>
    <fl-readings-form
      class="mt-3"
      [asks]="asks"
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
      <fl-length-field
        label="Spacer"
        [leastMm]="0"
        [mostMm]="300"
        [valueMm]="fit().spacerMm"
        (changed)="put({ spacerMm: $event })"
      />
      <fl-check-field
        class="self-end"
        label="stacked, or of plastic"
        [checked]="fit().stacked"
        (changed)="put({ stacked: $event })"
      />
      <fl-select-field
        [field]="'hand-' + fit().key"
        label="Studs’ hand"
        [options]="hands"
        [value]="fit().hand"
        (changed)="put({ hand: $event })"
      />
    </div>
    <fl-readings-form
      class="mt-3"
      [asks]="studAsks"
      [value]="studs()"
      (changed)="put({ studs: studsOf($event) })"
    />
    @if (fit().studs) {
      <p class="mt-2" role="status" data-test="studs">{{ studWords() }}</p>
    }
  `,
})
export class WheelForm {
  private readonly units = inject(DISPLAY_UNITS);
  readonly name = input.required<string>();
  readonly fit = input.required<WheelFit>();
  readonly changed = output<WheelFit>();
  protected readonly asks = ASKS;
  protected readonly studAsks = STUD_ASKS;
  protected readonly studs = computed(
    () => this.fit().studs as Readonly<Record<keyof Studs, number>> | null,
  );
  protected readonly readingsOf = (
    read: Readonly<Record<Reading, number | null>> | null,
  ): WheelReadings | null => read as WheelReadings | null;
  protected readonly studsOf = (
    read: Readonly<Record<keyof Studs, number | null>> | null,
  ): Studs | null => read && { ...(read as unknown as Studs), count: Math.round(read.count!) };
  protected readonly hands = [
    ['right', 'right-hand thread'],
    ['left', 'left-hand thread'],
  ] as const;
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
    if (fits) return `It goes on: ${air}.`;
    return barrelMm < WHEEL_GAP_MM
      ? `It does not go on: ${air}; ${this.full(WHEEL_GAP_MM)} are wanted, and no spacer helps under the barrel.`
      : `It does not go on as it is: ${air}. A spacer of ${this.full(spacerMm)} gives the spokes their ${this.full(WHEEL_GAP_MM)}.`;
  });
  protected readonly studWords = computed(() => {
    const { studs, spacerMm, hand } = this.fit();
    if (!studs) return '';
    const { leftMm, turns, needMm, holds } = threadLeft(studs, spacerMm);
    const nuts = `${studs.count} nuts M${studs.dMm}x${studs.pitchMm}, ${hand} hand`;
    return holds
      ? `${this.full(leftMm)} of thread for the nuts, ${turns.toFixed(1)} turns: it holds. To buy: ${nuts}.`
      : `Only ${this.full(Math.max(leftMm, 0))} of thread are left, and ${this.full(needMm)} must hold: longer studs or a thinner spacer.`;
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
