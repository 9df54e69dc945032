import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import type { Heating } from '@firm-line/core/physics/hydraulics';
import { LineChart, type ChartLine } from '../../kit/line-chart';

const INKS = ['fluid', 'copper', 'ink'] as const;

/** How hot discs and drums become, drawn along the fifteen brakings or the hill, against where they fade. */
@Component({
  selector: 'fl-heat-card',
  imports: [LineChart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="grid gap-4 xl:grid-cols-2">
      @for (one of drawn(); track one.id) {
        <div>
          <h3 class="font-semibold">{{ one.name }}</h3>
          <fl-line-chart [label]="one.name" xName="minutes" yName="°C" [lines]="one.lines" />
        </div>
      }
      @if (fluid(); as one) {
        <div data-test="fluid-heat">
          <h3 class="font-semibold">Fluid behind the pads: {{ one.name }}, then standing</h3>
          <fl-line-chart
            label="Fluid behind the pads"
            xName="minutes"
            yName="°C"
            [lines]="one.lines"
          />
        </div>
      }
    </div>
    <table class="mt-2 w-full text-left">
      <thead class="text-sm text-ink-soft">
        <tr>
          <th class="font-normal">Hottest, °C</th>
          @for (axle of heating()[0]!.axles; track axle.name) {
            <th class="text-right font-normal">{{ axle.name }}</th>
          }
          <th class="pl-4 font-normal">by</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.id) {
          <tr class="border-t border-rule">
            <td class="py-1">{{ row.name }}</td>
            @for (axle of row.axles; track axle.name) {
              <td class="text-right font-mono">
                {{ axle.words
                }}<span class="block text-sm whitespace-nowrap">{{ axle.besides }}</span>
              </td>
            }
            <td class="pl-4 text-sm">{{ row.source }}</td>
          </tr>
        }
      </tbody>
    </table>
    <p class="mt-2 text-sm text-ink-soft">
      First the whole disc or drum, then its rubbed face and the fluid behind the pads. The fluid is
      hottest as the braking ends or some minutes later, and is known to about a third of its rise:
      measure it at the caliper. The pad maker’s sheet gives the fade temperature.
    </p>
  `,
})
export class HeatCard {
  readonly heating = input.required<readonly Heating[]>();

  /** Where the brakes' fluid boils with water in it, and its name; null where it is not known. */
  readonly boils = input<{ readonly name: string; readonly celsius: number } | null>(null);

  /** The way of braking that warms the fluid most. */
  protected readonly fluid = computed(() => {
    const peak = ({ axles }: Heating): number => Math.max(...axles.map(({ fluidC }) => fluidC));
    const one = this.heating().reduce((a, b) => (peak(b) > peak(a) ? b : a));
    const boils = this.boils();
    const end = one.through[0]!.at(-1)!.minutes;
    const lines = one.axles.map(({ name }, i): ChartLine => ({
      name,
      ink: INKS[i % INKS.length]!,
      points: one.through[i]!.map(({ minutes, fluidC }) => ({ x: minutes, y: fluidC })),
    }));
    return {
      name: one.name,
      lines: boils
        ? [
            ...lines,
            {
              name: `${boils.name} boils with water in it`,
              ink: 'stop' as const,
              dashed: true,
              points: [
                { x: 0, y: boils.celsius },
                { x: end, y: boils.celsius },
              ],
            },
          ]
        : lines,
    };
  });
  protected readonly drawn = computed(() =>
    this.heating()
      .filter(({ id }) => id !== 'stop')
      .map((one) => ({ id: one.id, name: one.name, lines: this.lines(one) })),
  );
  protected readonly rows = computed(() =>
    this.heating().map(({ id, name, source, axles }) => ({
      id,
      name,
      source,
      axles: axles.map((one) => ({
        name: one.name,
        words: `${figure(one.peakC, 0)}${one.fades ? ', fades' : ''}`,
        besides: `face ${figure(one.faceC, 0)}, fluid ${figure(one.fluidC, 0)}`,
      })),
    })),
  );
  private lines({ curve, axles }: Heating): ChartLine[] {
    const end = curve.at(-1)!.minutes;
    return axles.flatMap(({ name, fadeC }, i): ChartLine[] => {
      const ink = INKS[i % INKS.length]!;
      return [
        {
          name,
          ink,
          points: curve.map(({ minutes, celsius }) => ({ x: minutes, y: celsius[i]! })),
        },
        {
          name: `${name} fades`,
          ink,
          dashed: true,
          points: [
            { x: 0, y: fadeC },
            { x: end, y: fadeC },
          ],
        },
      ];
    });
  }
}
