import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { figure } from '@firm-line/core/fault';
import type { Heating } from '@firm-line/core/hydraulics';
import type { HeatSheet } from '@firm-line/core/plan';
import { LineChart, type ChartLine } from '../../kit/line-chart';

const AXLES = [['front', 'fluid'], ['rear', 'copper']] as const; // prettier-ignore

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
    </div>
    <table class="mt-2 w-full text-left">
      <thead class="text-sm text-ink-soft">
        <tr>
          <th class="font-normal">Hottest, °C</th>
          <th class="text-right font-normal">front</th>
          <th class="text-right font-normal">rear</th>
          <th class="pl-4 font-normal">by</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.id) {
          <tr class="border-t border-rule">
            <td class="py-1">{{ row.name }}</td>
            <td class="text-right font-mono">{{ row.front }}</td>
            <td class="text-right font-mono">{{ row.rear }}</td>
            <td class="pl-4 text-sm">{{ row.source }}</td>
          </tr>
        }
      </tbody>
    </table>
    <p class="mt-2 text-sm text-ink-soft">
      Of the whole disc or drum, its pads' and its own radiation left out: hotter rather than cooler. The face is hotter still
      while the pads press. The pad maker's sheet says where they fade.
    </p>
  `,
})
export class HeatCard {
  readonly heating = input.required<readonly Heating[]>();
  readonly heat = input.required<HeatSheet>();

  protected readonly drawn = computed(() =>
    this.heating()
      .filter(({ id }) => id !== 'stop')
      .map(({ id, name, curve }) => ({ id, name, lines: this.lines(curve) })),
  );
  protected readonly rows = computed(() =>
    this.heating().map(({ id, name, source, peakC, fades }) => {
      const words = (axle: 'front' | 'rear'): string => `${figure(peakC[axle], 0)}${fades.includes(axle) ? ', fades' : ''}`;
      return { id, name, source, front: words('front'), rear: words('rear') };
    }),
  );
  private lines(curve: Heating['curve']): ChartLine[] {
    const end = curve.at(-1)!.minutes;
    return AXLES.flatMap(([axle, ink]): ChartLine[] => {
      const { fadeC } = this.heat().rotor[axle];
      return [
        { name: axle, ink, points: curve.map(({ minutes, celsius }) => ({ x: minutes, y: celsius[axle] })) },
        { name: `${axle} fades`, ink, dashed: true, points: [{ x: 0, y: fadeC }, { x: end, y: fadeC }] }, // prettier-ignore
      ];
    });
  }
}
