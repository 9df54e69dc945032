import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import { CORNERS, type Corner } from '@firm-line/core/shape/survey';
import type { Square } from '@firm-line/core/shape/taping';

const SIZE = { width: 420, height: 520 };
const MARGIN = 70;
/** Deviations from a rectangle are drawn so many times over that the greatest is this share of the width. */
const SHOWN = 0.14;
const ROUND = [1, 2, 5, 10, 20, 50, 100, 200];
const RING: readonly Corner[] = ['frontLeft', 'frontRight', 'rearRight', 'rearLeft'];
const SHORT: Record<Corner, string> = {
  frontLeft: 'FL',
  frontRight: 'FR',
  rearRight: 'RR',
  rearLeft: 'RL',
};

/** The frame from above, front at the top, what it is out of square drawn many times over. */
@Component({
  selector: 'fl-frame-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + size.width + ' ' + size.height"
      class="max-h-[32rem] w-full"
      role="img"
      [attr.aria-label]="'Frame from above, out of square by ' + words()"
    >
      <path
        [attr.d]="shape().true_"
        class="fill-none stroke-ink-soft"
        stroke-width="1.5"
        stroke-dasharray="6 5"
      />
      <path
        [attr.d]="shape().found"
        class="fill-copper-pale stroke-copper [fill-opacity:0.5]"
        stroke-width="4"
        stroke-linejoin="round"
      />
      <path
        [attr.d]="shape().diagonals"
        class="fill-none stroke-copper"
        stroke-width="1.2"
        stroke-dasharray="2 5"
      />
      @for (corner of shape().corners; track corner.name) {
        <circle [attr.cx]="corner.x" [attr.cy]="corner.y" r="6" class="fill-ink" />
        <text
          [attr.x]="corner.x + corner.dx"
          [attr.y]="corner.y + corner.dy"
          text-anchor="middle"
          class="fill-ink text-[15px] font-semibold"
        >
          {{ corner.name }}
        </text>
      }
      <text
        [attr.x]="size.width / 2"
        [attr.y]="size.height - 12"
        text-anchor="middle"
        class="fill-ink-soft text-[14px]"
      >
        out of square, drawn {{ shape().times }} times larger
      </text>
    </svg>
  `,
})
export class FramePicture {
  readonly square = input.required<Square>();
  protected readonly size = SIZE;
  protected readonly words = computed(() => `${figure(this.square().rackMm, 1)} mm of racking`);
  protected readonly shape = computed(() => {
    const { cornersMm } = this.square();
    const mean = (axis: 0 | 1, of: readonly Corner[]): number =>
      of.reduce((sum, c) => sum + cornersMm[c][axis], 0) / of.length;
    const [x0, x1] = [mean(0, ['frontLeft', 'frontRight']), mean(0, ['rearLeft', 'rearRight'])];
    const [y0, y1] = [mean(1, ['frontLeft', 'rearLeft']), mean(1, ['frontRight', 'rearRight'])];
    const even: Record<Corner, readonly [number, number]> = {
      frontLeft: [x0, y0],
      frontRight: [x0, y1],
      rearRight: [x1, y1],
      rearLeft: [x1, y0],
    };
    const most = Math.max(
      ...CORNERS.map((c) => Math.hypot(cornersMm[c][0] - even[c][0], cornersMm[c][1] - even[c][1])),
      1e-6,
    );
    const times = ROUND.findLast((one) => one * most <= SHOWN * (y1 - y0)) ?? 1;
    const scale = Math.min(
      (SIZE.width - 2 * MARGIN) / (y1 - y0),
      (SIZE.height - 2 * MARGIN) / (x1 - x0),
    );
    const [left, top] = [
      (SIZE.width - (y1 - y0) * scale) / 2,
      (SIZE.height - (x1 - x0) * scale) / 2,
    ];
    const at = ([x, y]: readonly [number, number]): [number, number] => [
      left + (y - y0) * scale,
      top + (x - x0) * scale,
    ];
    const shown = (c: Corner) =>
      at(
        [0, 1].map((i) => even[c][i]! + times * (cornersMm[c][i]! - even[c][i]!)) as [
          number,
          number,
        ],
      );
    const path = (of: (c: Corner) => readonly [number, number], ring: readonly Corner[]): string =>
      ring
        .map(
          (c, i) =>
            `${i ? 'L' : 'M'}${of(c)
              .map((v) => v.toFixed(1))
              .join(' ')}`,
        )
        .join('');
    return {
      times,
      true_: `${path((c) => at(even[c]), RING)}z`,
      found: `${path(shown, RING)}z`,
      diagonals: path(shown, ['frontLeft', 'rearRight']) + path(shown, ['frontRight', 'rearLeft']),
      corners: CORNERS.map((c) => {
        const [x, y] = shown(c);
        return {
          name: SHORT[c],
          x,
          y,
          dx: c.endsWith('Left') ? -22 : 22,
          dy: c.startsWith('front') ? -10 : 22,
        };
      }),
    };
  });
}
