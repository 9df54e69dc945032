import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Bracket } from '@firm-line/core/plan';

/** A wrench needs this much room round a hole, times its diameter. Common practice. */
const WRENCH = 2;
const ROUND_MM = 18;

/** A bracket flat, from its foot up, with its bend, its holes and the room a wrench takes; to scale where it is printed. */
@Component({
  selector: 'fl-plate-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <svg
      [attr.viewBox]="box().view"
      [attr.width]="toScale() ? box().width + 'mm' : null"
      [attr.height]="toScale() ? box().height + 'mm' : null"
      class="max-h-[26rem] rounded-lg bg-sheet print:max-h-none"
      [class.w-full]="!toScale()"
      role="img"
      [attr.aria-label]="bracket().name + ', flat'"
    >
      <rect
        [attr.x]="-bracket().widthMm / 2"
        [attr.y]="-bracket().heightMm"
        [attr.width]="bracket().widthMm"
        [attr.height]="bracket().heightMm"
        class="fill-paper stroke-ink"
        stroke-width="0.5"
      />
      @if (bracket().bend; as bend) {
        <line
          [attr.x1]="-bracket().widthMm / 2 - 4"
          [attr.x2]="bracket().widthMm / 2 + 4"
          [attr.y1]="-bend.upMm"
          [attr.y2]="-bend.upMm"
          class="stroke-copper"
          stroke-width="0.5"
          stroke-dasharray="4 2"
        />
        <text
          [attr.x]="bracket().widthMm / 2 + 5"
          [attr.y]="-bend.upMm + 1.4"
          class="fill-ink"
          font-size="4"
        >
          {{ bend.deg }}°
        </text>
      }
      @for (hole of holes(); track $index) {
        <circle
          [attr.cx]="hole.acrossMm"
          [attr.cy]="-hole.upMm"
          [attr.r]="hole.wrench"
          class="stroke-ink-soft"
          stroke-width="0.2"
          stroke-dasharray="1.5 1.5"
          fill="none"
        />
        <polygon [attr.points]="hole.rim" class="fill-sheet stroke-ink" stroke-width="0.4" />
        <path
          [attr.d]="
            'M' +
            (hole.acrossMm - 2) +
            ' ' +
            -hole.upMm +
            'h4M' +
            hole.acrossMm +
            ' ' +
            (-hole.upMm - 2) +
            'v4'
          "
          class="stroke-ink"
          stroke-width="0.2"
        />
        <text
          [attr.x]="hole.acrossMm"
          [attr.y]="-hole.upMm + hole.diameterMm / 2 + 4.5"
          text-anchor="middle"
          class="fill-ink"
          font-size="3.4"
        >
          {{ hole.says }}
        </text>
      }
      <text [attr.x]="box().left + 2" [attr.y]="box().bottom - 9" class="fill-ink" font-size="3.6">
        {{ bracket().name }} {{ bracket().revision }} · {{ bracket().plateMm }} mm plate ·
        {{ bracket().existing ? 'on the vehicle' : 'to make' }}
      </text>
      <path
        [attr.d]="
          'M' +
          (box().left + 2) +
          ' ' +
          (box().bottom - 3) +
          'h50m0 -1.5v3m-50 -3v3m10 -2v1m10 -1v1m10 -1v1m10 -1v1'
        "
        class="stroke-ink"
        stroke-width="0.4"
        fill="none"
      />
      <text [attr.x]="box().left + 54" [attr.y]="box().bottom - 2" class="fill-ink" font-size="3.4">
        50 mm
      </text>
    </svg>
  `,
})
export class PlateDrawing {
  readonly bracket = input.required<Bracket>();
  readonly toScale = input(false);
  protected readonly box = computed(() => {
    const { widthMm, heightMm } = this.bracket();
    const width = Math.max(widthMm + 2 * ROUND_MM, 80);
    const height = heightMm + 2 * ROUND_MM;
    return {
      left: -width / 2,
      bottom: 2 * ROUND_MM - 10,
      width,
      height: height + 4,
      view: `${-width / 2} ${-heightMm - ROUND_MM + 6} ${width} ${height + 4}`,
    };
  });
  protected readonly holes = computed(() =>
    this.bracket().holes.map((hole) => {
      const half = hole.flatsMm === null ? Infinity : hole.flatsMm / 2;
      const r = hole.diameterMm / 2;
      const rim = Array.from({ length: 60 }, (_, i) => {
        const t = (Math.PI * i) / 30;
        return `${hole.acrossMm + r * Math.cos(t)} ${-hole.upMm - Math.max(-half, Math.min(half, r * Math.sin(t)))}`;
      }).join(' ');
      return {
        ...hole,
        rim,
        wrench: (WRENCH * hole.diameterMm) / 2,
        says: `${hole.diameterMm}${hole.flatsMm === null ? '' : ` / ${hole.flatsMm}`}${hole.what ? ` ${hole.what}` : ''}`,
      };
    }),
  );
}
