import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  threadLeft,
  wheelOver,
  WHEEL_GAP_MM,
  type Studs,
  type WheelReadings,
} from '@firm-line/core/physics/wheel-ends';
import { type WheelFit, WHEEL_FIT, WHEEL_READINGS, STUDS } from '@firm-line/core/plan';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { DISPLAY_UNITS } from '../../kit/units';
import { filled, ReadingsForm } from './readings-form';
import { FieldOf } from '../../kit/fields/field';

type Reading = keyof WheelReadings;

/** A wheel over its caliper from four readings, its spacer, and what is left of its studs. */
@Component({
  selector: 'fl-wheel-form',
  imports: [FieldOf, ReadingsForm],
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
    <fl-readings-form
      class="mt-3"
      [fields]="studFields"
      [keys]="studKeys"
      [value]="studs()"
      (changed)="put({ studs: studsOf($event) })"
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
  protected readonly studKeys = ['count', 'dMm', 'pitchMm', 'lengthMm', 'flangeMm'] as const;
  protected readonly studs = computed(
    () => this.fit().studs as Readonly<Record<keyof Studs, number>> | null,
  );
  protected readonly readingsOf = (
    read: Readonly<Record<Reading, number | null>> | null,
  ): WheelReadings | null => read as WheelReadings | null;
  protected readonly studsOf = (
    read: Readonly<Record<keyof Studs, number | null>> | null,
  ): Studs | null => read && { ...filled(read), count: Math.round(read.count!) };
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
    const nuts = `${studs.count} nuts M${studs.dMm}x${studs.pitchMm}, ${hand} hand`;
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
