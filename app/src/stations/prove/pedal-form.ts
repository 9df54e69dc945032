import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { PEDAL_FELT, neededField, ENGINE, type PedalReading } from '@firm-line/core/plan';
import { besideReference } from '@firm-line/core/stations/prove';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { CheckField } from '../../kit/fields/check-field';
import { Toggle } from '../../kit/toggle';
import { FiguresForm } from './figures-form';
import { ProveFacade } from './prove-facade';
import { PlanStore } from '../../session/plan-store';

/** How the pedal stands: engine off and running, cold and hot, on this vehicle and on one known to be good. */
@Component({
  selector: 'fl-pedal-form',
  imports: [CheckField, FiguresForm, Toggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'card block p-5', role: 'region', 'aria-label': 'Pedal log' },
  template: `
    <h2 class="h2">Pedal log</h2>
    <div class="mt-2 flex flex-wrap items-center gap-3">
      <fl-toggle
        label="Vehicle"
        [options]="vehicles"
        [value]="vehicle()"
        (changed)="vehicle.set($event)"
      />
      <fl-toggle
        label="Engine"
        [options]="engines"
        [value]="engine()"
        (changed)="engine.set($event)"
      />
      <fl-check-field label="Hot" [checked]="hot()" (changed)="hot.set($event)" />
      <fl-check-field label="Sinks" [checked]="sinks()" (changed)="sinks.set($event)" />
      <fl-check-field
        label="Comes up when pumped"
        [checked]="pumps()"
        (changed)="pumps.set($event)"
      />
    </div>
    <fl-figures-form
      class="mt-2"
      [fields]="fields"
      [keys]="keys"
      name="Put it down"
      (taken)="take($event)"
    />
    @if (felt().length) {
      <div class="mt-3 overflow-x-auto">
        <table class="w-full text-left text-sm" data-test="pedal">
          <thead class="text-ink-soft">
            <tr>
              <th class="py-1 pr-3 font-normal">Day</th>
              <th class="pr-3 font-normal">Vehicle</th>
              <th class="pr-3 font-normal">Engine</th>
              <th class="pr-3 text-right font-normal">Travel</th>
              <th class="pr-3 text-right font-normal">Force</th>
              <th class="font-normal">Observation</th>
              <th></th>
            </tr>
          </thead>
          <tbody>
            @for (one of felt(); track one.id) {
              <tr class="border-t border-rule">
                <td class="py-1 pr-3">{{ one.at.slice(0, 10) }}</td>
                <td class="pr-3">
                  {{ one.vehicle === 'this' ? 'this vehicle' : 'reference vehicle' }}
                </td>
                <td class="pr-3">{{ one.engine }}{{ one.hot ? ', hot' : ', cold' }}</td>
                <td class="pr-3 text-right font-mono">{{ length(one.travelMm) }}</td>
                <td class="pr-3 text-right font-mono">
                  {{ one.forceN === null ? '–' : quantities().force(one.forceN, 1) }}
                </td>
                <td>
                  {{ one.sinks ? '✗ sinks' : 'stays'
                  }}{{ one.pumps ? ', comes up when pumped' : '' }}
                </td>
                <td class="text-right">
                  <button type="button" class="btn" (click)="remove(one.id)">Remove</button>
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
    }
    <p class="mt-2" data-test="beside-reference">{{ besideWords() }}</p>
  `,
})
export class PedalForm {
  private readonly store = inject(PlanStore);
  protected readonly quantities = this.store.quantities;
  protected length(mm: number): string {
    return formatLengthUnit(mm, this.store.units(), 1);
  }
  private readonly sheet = inject(ProveFacade);
  protected readonly vehicles = [
    { value: 'this', name: 'This vehicle' },
    { value: 'reference', name: 'Reference vehicle' },
  ] as const;
  protected readonly engines = ENGINE.map((value) => ({
    value,
    name: value === 'none' ? 'No engine' : `Engine ${value}`,
  }));
  protected readonly fields = {
    ...PEDAL_FELT.fields,
    forceN: neededField(PEDAL_FELT.fields.forceN),
  };
  protected readonly keys = ['travelMm', 'forceN'] as const;
  protected readonly vehicle = signal<PedalReading['vehicle']>('this');
  protected readonly engine = signal<PedalReading['engine']>('off');
  protected readonly hot = signal(false);
  protected readonly sinks = signal(false);
  protected readonly pumps = signal(false);
  protected readonly felt = computed(() => this.sheet.proving().pedal.toReversed());
  /** This pedal beside that of a good vehicle, where both were felt alike. */
  protected readonly besideWords = computed(() => {
    const { pedal } = this.sheet.proving();
    const beside = besideReference(pedal);
    if (!beside)
      return pedal.some(({ vehicle }) => vehicle === 'reference')
        ? 'Measure both vehicles with the same engine state, heat and force to compare them.'
        : 'Measure the pedal of a good vehicle for reference. Memory is no reference.';
    const { own, reference, longerMm } = beside;
    return `Against the reference vehicle at ${this.quantities().force(reference.forceN!, 1)}, engine ${own.engine}: ${this.length(Math.abs(longerMm))} ${longerMm < 0 ? 'shorter' : 'longer'}.`;
  });
  protected take(figures: Readonly<Record<(typeof this.keys)[number], number>>): void {
    const pedalReading: PedalReading = {
      id: this.sheet.freshId('pedal'),
      at: new Date().toISOString(),
      vehicle: this.vehicle(),
      engine: this.engine(),
      hot: this.hot(),
      ...figures,
      sinks: this.sinks(),
      pumps: this.pumps(),
    };
    this.sheet.apply({ edit: 'addPedalReading', with: { pedalReading } });
  }
  protected remove(id: string): void {
    this.sheet.apply({ edit: 'removePedalReading', with: { id } });
  }
}
