import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  effect,
  inject,
  input,
  viewChild,
  type ElementRef,
} from '@angular/core';
import { Theme } from './theme';
import {
  Chart,
  Filler,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartDataset,
  type Point,
} from 'chart.js';

Chart.register(Filler, LineController, LineElement, PointElement, LinearScale, Legend, Tooltip);

export interface ChartLine {
  readonly name: string;
  readonly points: readonly Point[];
  /** Name of a color token. */
  readonly ink: 'copper' | 'fluid' | 'slate' | 'ink' | 'stop' | 'caution';
  readonly dashed?: boolean;
  /** What lies under it down to the line before (or to nothing) is filled in its pale color. */
  readonly filled?: boolean;
  /** Drawn as single points rather than as a line. */
  readonly dots?: boolean;
}

/** More readings than this are a cloud: small squares, which are drawn several times as fast as discs. */
const MANY = 300;
const dotsOf = ({
  dots,
  points,
}: ChartLine): Pick<
  ChartDataset<'line', Point[]>,
  'pointRadius' | 'pointBorderWidth' | 'pointStyle'
> =>
  !dots
    ? { pointRadius: 0 }
    : points.length > MANY
      ? { pointRadius: 2, pointBorderWidth: 0, pointStyle: 'rect' }
      : { pointRadius: 6 };

/** Lines over two plain axes. Colors come from the tokens; names and dashes say the same without color. */
@Component({
  selector: 'fl-line-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `<div class="relative h-72">
    <canvas #canvas role="img" [attr.aria-label]="label()"></canvas>
  </div>`,
})
export class LineChart {
  readonly label = input.required<string>();
  readonly lines = input.required<readonly ChartLine[]>();
  readonly xName = input.required<string>();
  readonly yName = input.required<string>();
  readonly xMax = input<number>();
  readonly yMax = input<number>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private readonly theme = inject(Theme);
  private chart: Chart<'line', Point[]> | null = null;

  constructor() {
    effect(() => {
      this.theme.isDark();
      this.draw();
    });
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  private draw(): void {
    const style = getComputedStyle(document.documentElement);
    Chart.defaults.font.family = style.getPropertyValue('--font-sans');
    Chart.defaults.font.size = 13;
    const token = (name: string): string => style.getPropertyValue(`--color-${name}`).trim();
    const pale = { fluid: 'fluid-pale', copper: 'copper-pale', slate: 'slate-pale' } as Partial<
      Record<ChartLine['ink'], string>
    >;
    const datasets = this.lines().map((line, i): ChartDataset<'line', Point[]> => ({
      label: line.name,
      data: [...line.points],
      borderColor: token(line.ink),
      backgroundColor: token(line.filled ? (pale[line.ink] ?? 'rule') : line.ink),
      fill: line.filled ? (i && this.lines()[i - 1]!.filled ? '-1' : 'origin') : false,
      borderWidth: 2.5,
      borderDash: line.dashed ? [6, 5] : [],
      ...dotsOf(line),
      pointHitRadius: 8,
      showLine: !line.dots,
      // Points lie over what is filled.
      order: line.dots ? 0 : 1,
    }));
    const axis = (text: string, max?: number) => ({
      type: 'linear' as const,
      min: 0,
      ...(max === undefined ? {} : { max }),
      title: { display: true, text, color: token('ink') },
      ticks: { color: token('ink') },
      grid: { color: token('rule') },
    });
    const scales = { x: axis(this.xName(), this.xMax()), y: axis(this.yName(), this.yMax()) };
    const plugins = { legend: { labels: { color: token('ink'), boxHeight: 2, boxWidth: 28 } } };
    if (this.chart) {
      this.chart.data.datasets = datasets;
      this.chart.options.scales = scales;
      this.chart.options.plugins = plugins;
      this.chart.update('none');
      return;
    }
    this.chart = new Chart<'line', Point[]>(this.canvas().nativeElement, {
      type: 'line',
      data: { datasets },
      options: {
        animation: false,
        maintainAspectRatio: false,
        parsing: false,
        scales,
        plugins,
      },
    });
  }
}
