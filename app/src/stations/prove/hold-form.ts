import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { HOLD_TAKEN, type HoldTest } from '@firm-line/core/plan';
import { holdLimits, judgeHold, type HoldAsk } from '@firm-line/core/stations/prove';
import { FieldOf } from '../../kit/fields/field';
import { FiguresForm } from './figures-form';
import { ProveFacade } from './prove-facade';
import { PlanStore } from '../../session/plan-store';

/** Pressure held by gauge: its figures, and every hold that was taken, judged. */
@Component({
  selector: 'fl-hold-form',
  imports: [FieldOf, FiguresForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <p class="mb-2 text-sm text-ink-soft">
      Disconnect the lamps, chock the wheels, put a label on the steering wheel. Stand clear: a hose
      that bursts sprays fluid at pressure.
    </p>
    <p class="mb-3" data-test="hold-sees">
      {{ sees() }}
    </p>
    <fl-figures-form
      [fields]="fields"
      [keys]="keys"
      [first]="first"
      name="Take this hold"
      (taken)="take($event)"
    >
      <fl-field
        [of]="fields.pedal"
        [value]="pedal()"
        none="a rigid jack"
        (changed)="pedal.set($event ?? undefined)"
      />
    </fl-figures-form>
    <ul class="mt-3" data-test="holds">
      @for (one of held(); track one.id) {
        <li class="flex flex-wrap items-center gap-3 border-t border-rule py-2">
          <span class="font-mono"
            >{{ one.at.slice(0, 10) }} {{ quantities().pressure(one.startMPa, 2) }} →
            {{ quantities().pressure(one.endMPa, 2) }}, {{ one.minutes }} min</span
          ><span [class]="one.ink">{{ one.words }}</span
          ><button type="button" class="btn ml-auto" (click)="remove(one.id)">Remove</button>
        </li>
      }
    </ul>
  `,
})
export class HoldForm {
  protected readonly quantities = inject(PlanStore).quantities;
  readonly ask = input.required<HoldAsk>();
  readonly rests = input.required<string>();
  private readonly sheet = inject(ProveFacade);
  protected readonly fields = HOLD_TAKEN.fields;
  protected readonly keys = [
    'startMPa',
    'endMPa',
    'minutes',
    'startC',
    'endC',
    'sigmaMPa',
  ] as const;
  protected readonly first = { sigmaMPa: 0.05 };
  protected readonly pedal = signal<HoldTest['pedal']>(undefined);
  /** Told before the test: what may be lost, and what an ordinary gauge sees of it. */
  protected readonly sees = computed(() => {
    const { pressure } = this.quantities();
    const { limitMPa, seenMPa } = holdLimits(this.ask(), {
      sigmaMPa: this.first.sigmaMPa,
      pedal: this.pedal(),
    });
    return seenMPa <= limitMPa
      ? `A fall of ${pressure(limitMPa, 2)} is allowed. A gauge within ${pressure(this.first.sigmaMPa, 2)} sees ${pressure(seenMPa, 2)}.`
      : `A fall of ${pressure(limitMPa, 2)} is allowed, and a gauge within ${pressure(this.first.sigmaMPa, 2)} cannot see it: it sees ${pressure(seenMPa, 2)}. Use a finer one, and a steadier temperature.`;
  });
  protected readonly held = computed(() =>
    this.sheet
      .proving()
      .holds.filter(({ circuitId }) => circuitId === this.ask().circuitId)
      .toReversed()
      .map((one) => {
        const { verdict, words } = judgeHold(one, this.ask(), this.quantities());
        return {
          ...one,
          words: `${verdict === 'held' ? '✓' : verdict === 'cannot-tell' ? '▲ Cannot tell.' : '✗'} ${words}`,
          ink:
            verdict === 'held' ? 'text-ok' : verdict === 'cannot-tell' ? 'text-ink' : 'text-stop',
        };
      }),
  );
  protected take(figures: Readonly<Record<(typeof this.keys)[number], number>>): void {
    this.sheet.apply({
      edit: 'addHold',
      with: {
        hold: {
          id: this.sheet.freshId('hold'),
          at: new Date().toISOString(),
          circuitId: this.ask().circuitId,
          wantedMPa: this.ask().wantedMPa,
          ...figures,
          ...(this.pedal() ? { pedal: this.pedal()! } : {}),
          rests: this.rests(),
        },
      },
    });
  }
  protected remove(id: string): void {
    this.sheet.apply({ edit: 'removeHold', with: { id } });
  }
}
