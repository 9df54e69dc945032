import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import { supplyFit, wireSizeName, type SupplyRun } from '@firm-line/core/physics/wheel-ends';
import { SUPPLY_RUN, type Field } from '@firm-line/core/plan';
import { FieldOf } from '../../kit/fields/field';
import { WheelEndsFacade } from './wheel-ends-facade';

/** The vehicle's, for the bars. */
const BATTERY_V = 12;
/** Nothing is known yet, so nothing is judged. */
const BEGIN: SupplyRun = {
  currentA: null,
  wayMm: null,
  wire: null,
  ground: null,
  breakerA: null,
  breakerAtMm: null,
  mostDropV: null,
};
const KEYS = Object.keys(BEGIN) as (keyof SupplyRun)[];

/** Wire and breaker of an actuator: what is lost on the way, and which size would do. */
@Component({
  selector: 'fl-supply-card',
  imports: [FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'card mt-4 block p-4', 'aria-label': 'Wire and breaker', role: 'region' },
  template: `
    <div class="flex flex-wrap items-center gap-3">
      <h3 class="mr-auto text-lg font-bold">Wire and breaker</h3>
      @if (run()) {
        <button type="button" class="btn" (click)="put(null)">Remove wire and breaker</button>
      } @else {
        <button type="button" class="btn" (click)="put(begin)">Check wire and breaker</button>
      }
    </div>
    @if (run(); as supply) {
      <div class="mt-3 grid gap-3 sm:grid-cols-4">
        @for (row of rows; track row.key) {
          <fl-field
            [of]="row.of"
            [field]="'supply-' + row.key"
            [value]="supply[row.key]"
            (changed)="change(row.key, $event)"
          />
        }
      </div>
      <p class="mt-3 rounded-lg bg-paper px-4 py-2" role="status" data-test="supply">
        {{ words() }}
      </p>
      @if (sizes().length) {
        <table class="mt-3 w-full max-w-lg text-sm">
          <caption class="text-left text-ink-soft">
            If both wires were of one size
          </caption>
          <thead>
            <tr class="text-left">
              <th scope="col" class="py-1">Size</th>
              <th scope="col" class="py-1 text-right">Drop</th>
              <th scope="col" class="py-1 pl-4">Share of 12 V</th>
              <th scope="col" class="py-1 text-right">Carries</th>
            </tr>
          </thead>
          <tbody>
            @for (row of sizes(); track row.name) {
              <tr class="border-t border-rule" [class.font-bold]="row.take">
                <th scope="row" class="py-1 text-left" [class.font-normal]="!row.take">
                  {{ row.name }}{{ row.take ? ', enough' : '' }}
                </th>
                <td class="py-1 text-right">{{ row.drop }} V</td>
                <td class="py-1 pl-4">
                  <span
                    class="inline-block h-2 rounded"
                    [class]="row.ok ? 'bg-ok' : 'bg-copper'"
                    [style.width.%]="row.percent"
                  ></span>
                </td>
                <td class="py-1 text-right">{{ row.carries }} A</td>
              </tr>
            }
          </tbody>
        </table>
      }
    } @else {
      <p class="mt-1 text-sm text-ink-soft">
        Enter what the actuator draws, how far it is and what wire is in. We calculate what is lost
        on the way and which wire and breaker fit.
      </p>
    }
  `,
})
export class SupplyCard {
  protected readonly rows = KEYS.map((key) => ({
    key,
    of: SUPPLY_RUN.fields[key] as unknown as Field<SupplyRun[keyof SupplyRun]>,
  }));
  protected readonly begin = BEGIN;
  private readonly sheet = inject(WheelEndsFacade);
  protected readonly run = computed(() => this.sheet.wheelEnds().supply ?? null);
  private readonly fit = computed(() => {
    const run = this.run();
    return run && supplyFit(run);
  });
  protected readonly words = computed(() => {
    const fit = this.fit();
    if (!fit) return 'Enter current, length and both wires to have them checked.';
    const wrong = ['supply-thin', 'breaker-wrong'].flatMap((rule) => this.sheet.said(rule));
    if (wrong.length) return wrong.join(' ');
    return `Good: ${figure(fit.dropV, 2)} V are lost there and back, and ${figure(fit.mostV, 2)} V is the most.`;
  });
  protected readonly sizes = computed(() => {
    const fit = this.fit();
    return (fit?.choices ?? []).map(({ size, dropV, carriesA, losesLittle }) => ({
      name: wireSizeName(size),
      take: size === fit!.take,
      ok: losesLittle,
      drop: figure(dropV, 2),
      percent: Math.min(100, (100 * dropV) / BATTERY_V),
      carries: figure(carriesA, 0),
    }));
  });

  protected put(to: SupplyRun | null): void {
    this.sheet.apply({ edit: 'setSupply', with: { to } });
  }
  protected change(key: keyof SupplyRun, value: unknown): void {
    this.put({ ...this.run()!, [key]: value });
  }
}
