import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { type Fitting, type PortView, FITTING } from '@firm-line/core/plan';
import { type Half } from '@firm-line/core/trade/stock';
import { PlanStore } from '../../session/plan-store';
import { Gauge, type Gauged } from './gauge';
import { formOf, HalfField, halfWith } from './half-field';
import { SeatFinder } from './seat-finder';
import { Disclosure } from '../../kit/disclosure';
import { FieldOf } from '../../kit/fields/field';

/** Which thread and seat a port has, how that is known, and the two ways to find out: by gauge and by looking. */
@Component({
  selector: 'fl-port-panel',
  imports: [Disclosure, FieldOf, Gauge, HalfField, SeatFinder],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <h2 class="h2">The port</h2>
    <p class="text-sm">{{ at().part.name }}, {{ at().port.name }}</p>
    <div class="mt-2 halves">
      <fl-half-field [half]="half()" (changed)="setHalf($event)" />
      <fl-field
        class="col-span-2"
        [of]="fields.how"
        field="port-how"
        [disabled]="!half()"
        [value]="how()"
        (changed)="change({ how: $event })"
      />
    </div>
    @if (readings(); as words) {
      <p class="mt-1 text-sm text-ink-soft">{{ words }}</p>
    }
    <fl-disclosure
      class="mt-2 border-t border-rule"
      summary="Identify the thread with vernier and pitch gauge"
      [startsOpen]="true"
    >
      <fl-gauge [gender]="half()?.gender ?? 'female'" (picked)="gauged($event)" />
    </fl-disclosure>
    @if (half()?.gender !== 'male') {
      <fl-disclosure class="mt-2 border-t border-rule" summary="Identify the seat by eye">
        <fl-seat-finder (picked)="setSeat($event)" />
      </fl-disclosure>
    }
  `,
})
export class PortPanel {
  protected readonly fields = FITTING.fields;
  private readonly store = inject(PlanStore);
  readonly at = input.required<PortView>();
  protected readonly half = computed(() => this.at().port.fitting?.half ?? null);
  protected readonly how = computed(() => this.at().port.fitting?.how ?? 'trusted');
  protected readonly readings = computed(() => {
    const read = this.at().port.fitting?.readings;
    return read
      ? `Measured: ${read.diameterMm} mm${read.pitchMm ? `, pitch ${read.pitchMm.toFixed(2)} mm` : ''}.`
      : null;
  });

  protected change(patch: Partial<Fitting>): void {
    const before: Partial<Fitting> = this.at().port.fitting ?? { how: 'trusted', readings: null };
    const fitting = { ...before, ...patch } as Fitting;
    this.store.apply({ edit: 'changePort', with: { id: this.at().port.id, patch: { fitting } } });
  }
  /** Another thread than the one that was measured is no longer measured by those readings. */
  protected setHalf(half: Half): void {
    this.change(half.thread === this.half()?.thread ? { half } : { half, readings: null });
  }
  protected setSeat(seat: string): void {
    const half = this.half();
    if (half) this.change({ half: halfWith('female', half.thread, seat) });
  }
  protected gauged({ thread, readings }: Gauged): void {
    const gender = this.half()?.gender ?? 'female';
    this.change({ half: halfWith(gender, thread, formOf(this.half())), how: 'measured', readings });
  }
}
