import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { HoseState, HoseView } from '@firm-line/core/stations/route';
import { formatLength } from '@firm-line/core/lib/units';
import { hostSize } from '../../../kit/element-size';
import { PlanStore } from '../../../session/plan-store';

const HEIGHT = 132;
/** Room at both sides for the fittings, and where the tube of the drawing lies. */
const SIDE = 76;
const TUBE_Y = 96;
const BEND_HEIGHT = 58;

/** The hose drawn straight to scale: how much it bends along its length in one state, with the line of the least radius. */
@Component({
  selector: 'fl-hose-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block w-full' },
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + size().width + ' ' + height"
      class="block w-full"
      [attr.height]="height"
      role="img"
      [attr.aria-label]="drawn().label"
      data-test="hose-strip"
    >
      <path [attr.d]="drawn().area" class="fill-copper-pale stroke-copper" stroke-width="1.5" />
      <path
        [attr.d]="'M' + side + ' ' + drawn().limitY + 'H' + (size().width - side)"
        class="stroke-stop"
        stroke-width="1.5"
        stroke-dasharray="6 4"
      />
      <text
        [attr.x]="size().width - side + 6"
        [attr.y]="drawn().limitY + 4"
        class="fill-stop text-[12px] font-semibold"
      >
        {{ drawn().limit }}
      </text>
      <rect
        [attr.x]="side"
        [attr.y]="tubeY"
        [attr.width]="size().width - 2 * side"
        height="12"
        class="fill-slate"
      />
      <rect
        [attr.x]="side - 34"
        [attr.y]="tubeY - 2"
        width="34"
        height="16"
        rx="3"
        class="fill-ink"
      />
      <rect
        [attr.x]="size().width - side"
        [attr.y]="tubeY - 2"
        width="34"
        height="16"
        rx="3"
        class="fill-ink"
      />
      <text [attr.x]="side - 34" [attr.y]="tubeY + 30" class="fill-ink text-[13px]">
        A, {{ view().fittings.a.name }}
      </text>
      <text
        [attr.x]="size().width - side + 34"
        [attr.y]="tubeY + 30"
        text-anchor="end"
        class="fill-ink text-[13px]"
      >
        B, {{ view().fittings.b.name }}
      </text>
      @if (drawn().tightest; as at) {
        <path
          [attr.d]="'M' + at.x + ' ' + at.y + 'V' + tubeY"
          class="stroke-ink"
          stroke-width="1.5"
        />
        <circle [attr.cx]="at.x" [attr.cy]="at.y" r="4" class="fill-ink" />
        <text
          [attr.x]="at.textX"
          [attr.y]="at.y - 8 < 12 ? 12 : at.y - 8"
          [attr.text-anchor]="at.anchor"
          class="fill-ink stroke-sheet text-[13px] font-semibold"
          stroke-width="5"
          paint-order="stroke"
          stroke-linejoin="round"
        >
          radius {{ at.radius }} at {{ at.along }}
        </text>
      }
    </svg>
  `,
})
export class HoseStrip {
  private readonly store = inject(PlanStore);
  protected readonly size = hostSize({ width: 800, height: HEIGHT });
  readonly view = input.required<HoseView>();
  readonly state = input.required<HoseState>();
  protected readonly height = HEIGHT;
  protected readonly side = SIDE;
  protected readonly tubeY = TUBE_Y;

  protected readonly drawn = computed(() => {
    const { stock, freeMm } = this.view();
    const { shape, name } = this.state();
    const wide = this.size().width - 2 * SIDE;
    const limit = 1 / stock.minRadiusMm;
    const bend = shape?.curvature ?? [];
    // The limit stands at two thirds of the height, unless the bend goes past all of it.
    const top = Math.max(limit * 1.5, (shape?.minRadiusMm ? 1 / shape.minRadiusMm : 0) * 1.08);
    const y = (curvature: number): number =>
      TUBE_Y - (BEND_HEIGHT * Math.min(curvature, top)) / top - 4;
    const x = (share: number): number => SIDE + share * wide;
    const points = bend.map(
      (curvature, i) => `${x(i / (bend.length - 1)).toFixed(1)} ${y(curvature).toFixed(1)}`,
    );
    const mm = (value: number): string => formatLength(value, this.store.units());
    const at = shape?.minRadiusMm
      ? { x: x(shape.tightestMm / freeMm), y: y(1 / shape.minRadiusMm) }
      : null;
    const rightward = !!at && at.x < this.size().width * 0.7;
    return {
      area: points.length
        ? `M${SIDE} ${TUBE_Y - 4}L${points.join('L')}L${SIDE + wide} ${TUBE_Y - 4}Z`
        : '',
      limitY: y(limit),
      limit: `${mm(stock.minRadiusMm)} least`,
      tightest: at && {
        ...at,
        radius: mm(shape!.minRadiusMm!),
        along: mm(shape!.tightestMm),
        textX: rightward ? at.x + 9 : at.x - 9,
        anchor: rightward ? 'start' : 'end',
      },
      label: shape?.minRadiusMm
        ? `Bend along the hose at ${name}: tightest ${mm(shape.minRadiusMm)} at ${mm(shape.tightestMm)}, ${mm(stock.minRadiusMm)} is the smallest allowed.`
        : `No bends at ${name}.`,
    };
  });
}
