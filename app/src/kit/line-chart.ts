import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  viewChild,
  type ElementRef,
} from '@angular/core';
import { axisIn } from './chart-axis';
import { Theme } from './theme';
import { DISPLAY_UNITS, SHOWN_UNITS } from './units';
import {
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  type ChartDataset,
  type Point,
} from 'chart.js';

Chart.register(Filler, LineController, LineElement, PointElement, LinearScale);

export interface ChartLine {
  /** Empty: it has no place in the key. */
  readonly name: string;
  readonly points: readonly { readonly x: number; readonly y: number }[];
  /** Name of a color token. */
  readonly ink: 'copper' | 'fluid' | 'slate' | 'ink' | 'stop' | 'caution' | 'rule';
  readonly dashed?: boolean;
  /** What lies under it down to the filled line before (or to nothing), or to any line before, is filled in its pale color. */
  readonly filled?: boolean | 'to-line-before';
  /** Drawn as single points rather than as a line. */
  readonly dots?: boolean;
}

/** More readings than this are a cloud: small squares, which are drawn several times as fast as discs. */
const MANY = 300;
const dotsOf = ({
  dots,
  many,
}: Pick<ChartLine, 'dots'> & { readonly many: boolean }): Pick<
  ChartDataset<'line', Point[]>,
  'pointRadius' | 'pointBorderWidth' | 'pointStyle'
> =>
  !dots
    ? { pointRadius: 0 }
    : many
      ? { pointRadius: 2, pointBorderWidth: 0, pointStyle: 'rect' }
      : { pointRadius: 6 };

/** A limit turned into another unit, up to two figures, so that the last mark on the axis is a plain one. */
function roundUp(value: number): number {
  const step = 10 ** (Math.floor(Math.log10(value)) - 1);
  return Math.ceil(value / step - 1e-9) * step;
}

/** The token for what is filled under a line. */
const PALE: Partial<Record<ChartLine['ink'], string>> = {
  fluid: 'fluid-pale',
  copper: 'copper-pale',
  slate: 'slate-pale',
};

/**
 * Lines over two plain axes. An axis whose name ends in a unit (`pressure, MPa`) is drawn in the unit that is shown;
 * points and limits are in the one that is named. Colors come from the tokens; names and dashes say the same without color.
 */
@Component({
  selector: 'fl-line-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <ul class="flex flex-wrap justify-center gap-x-4 text-sm">
      @for (line of named(); track line.name) {
        <li class="flex items-center gap-1.5">
          <svg class="h-2.5 w-7" aria-hidden="true">
            @if (line.dots) {
              <circle cx="14" cy="5" r="4.5" [style.fill]="'var(--color-' + line.ink + ')'" />
            } @else {
              <line
                x1="0"
                x2="28"
                y1="5"
                y2="5"
                stroke-width="3"
                [attr.stroke-dasharray]="line.dashed ? '6 5' : null"
                [style.stroke]="'var(--color-' + line.ink + ')'"
              />
            }
          </svg>
          {{ line.name }}
        </li>
      }
    </ul>
    <div class="relative h-66">
      <canvas #canvas role="img" [attr.aria-label]="label()"></canvas>
    </div>
  `,
})
export class LineChart {
  readonly label = input.required<string>();
  readonly lines = input.required<readonly ChartLine[]>();
  protected readonly named = computed(() => this.lines().filter(({ name }) => name));
  readonly xName = input.required<string>();
  readonly yName = input.required<string>();
  readonly xMax = input<number>();
  readonly yMax = input<number>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private readonly theme = inject(Theme);
  private readonly system = inject(DISPLAY_UNITS);
  private readonly shown = inject(SHOWN_UNITS);
  private readonly x = computed(() => axisIn(this.xName(), this.system(), this.shown()));
  private readonly y = computed(() => axisIn(this.yName(), this.system(), this.shown()));
  /** The colors of the theme. Reading them makes the page work out its styles, so they are read once a theme. */
  private readonly token = computed(() => {
    this.theme.isDark();
    const style = getComputedStyle(document.documentElement);
    Chart.defaults.font.family = style.getPropertyValue('--font-sans');
    Chart.defaults.font.size = 13;
    const known = new Map<string, string>();
    return (name: string): string => {
      const color = known.get(name) ?? style.getPropertyValue(`--color-${name}`).trim();
      known.set(name, color);
      return color;
    };
  });
  /** What is drawn but for the points: while it is the same, new points alone are given to the chart. */
  private readonly look = computed(
    () => ({
      lines: this.lines().map(({ points, ...line }) => ({ ...line, many: points.length > MANY })),
      axes: [this.x(), this.y(), this.xMax(), this.yMax()],
      token: this.token(),
    }),
    { equal: (a, b) => a.token === b.token && JSON.stringify(a) === JSON.stringify(b) },
  );
  private chart: Chart<'line', Point[]> | null = null;

  constructor() {
    effect(() => this.draw(this.look()));
    effect(() => {
      this.look();
      this.fill();
    });
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  private draw({ lines, token }: ReturnType<LineChart['look']>): void {
    const datasets = lines.map((line, i): ChartDataset<'line', Point[]> => ({
      data: [],
      borderColor: token(line.ink),
      backgroundColor: token(line.filled ? (PALE[line.ink] ?? 'rule') : line.ink),
      fill: !line.filled
        ? false
        : line.filled === 'to-line-before' || (i && lines[i - 1]!.filled)
          ? '-1'
          : 'origin',
      borderWidth: 2.5,
      borderDash: line.dashed ? [6, 5] : [],
      ...dotsOf(line),
      showLine: !line.dots,
      // Points lie over what is filled, and a band under everything.
      order: line.dots ? 0 : line.ink === 'rule' ? 2 : 1,
    }));
    const axis = ({ title, factor }: ReturnType<typeof axisIn>, max?: number) => ({
      type: 'linear' as const,
      min: 0,
      ...(max === undefined ? {} : { max: factor === 1 ? max : roundUp(max * factor) }),
      title: { display: true, text: title, color: token('ink') },
      ticks: { color: token('ink') },
      grid: { color: token('rule') },
    });
    const scales = { x: axis(this.x(), this.xMax()), y: axis(this.y(), this.yMax()) };
    if (this.chart) {
      this.chart.data.datasets = datasets;
      this.chart.options.scales = scales;
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
      },
    });
  }
  private fill(): void {
    const [x, y] = [this.x().factor, this.y().factor];
    for (const [i, { points }] of this.lines().entries())
      this.chart!.data.datasets[i]!.data = points.map((at) => ({ x: at.x * x, y: at.y * y }));
    this.chart!.update('none');
  }
}
