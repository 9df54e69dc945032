import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { DISPLAY_UNITS } from '../../kit/units';

/** Disc, pads' room and caliper body seen from above, to scale: one millimetre is so many units. */
const SCALE = 6;
const DISC_MM = 20;
const BODY_MM = 12;
const HIGH = 170;

/** A caliper over its disc, both gaps drawn to scale, and which way it has to move. */
@Component({
  selector: 'fl-caliper-section',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg class="h-full w-full" [attr.viewBox]="box()" role="img" [attr.aria-label]="words()">
      <rect
        [attr.x]="-disc / 2"
        y="-60"
        [attr.width]="disc"
        height="120"
        class="fill-nut stroke-ink"
        stroke-width="1"
      />
      <line
        x1="0"
        x2="0"
        y1="-66"
        y2="66"
        class="stroke-ink-soft"
        stroke-width="1"
        stroke-dasharray="10 3 2 3"
      />
      <rect
        [attr.x]="-disc / 2 - innerPx() - body"
        y="-50"
        [attr.width]="body"
        height="80"
        class="fill-slate-pale stroke-ink"
        stroke-width="1"
      />
      <rect
        [attr.x]="disc / 2 + outerPx()"
        y="-50"
        [attr.width]="body"
        height="80"
        class="fill-slate-pale stroke-ink"
        stroke-width="1"
      />
      <rect
        [attr.x]="-disc / 2 - innerPx() - body"
        y="-62"
        [attr.width]="innerPx() + outerPx() + disc + 2 * body"
        height="12"
        class="fill-slate-pale stroke-ink"
        stroke-width="1"
      />
      <text
        [attr.x]="-disc / 2 - innerPx() - body - 8"
        y="0"
        text-anchor="end"
        class="fill-ink text-[13px]"
      >
        inner {{ inner() }}
      </text>
      <text [attr.x]="disc / 2 + outerPx() + body + 8" y="0" class="fill-ink text-[13px]">
        outer {{ outer() }}
      </text>
      @if (way()) {
        <text x="0" y="84" text-anchor="middle" class="fill-copper text-[13px] font-semibold">
          {{ way() }}
        </text>
      }
    </svg>
  `,
})
export class CaliperSection {
  private readonly units = inject(DISPLAY_UNITS);
  readonly innerGapMm = input.required<number>();
  readonly outerGapMm = input.required<number>();
  /** How far it stands off the middle, outwards more than nothing. */
  readonly offMm = input.required<number>();
  protected readonly disc = DISC_MM * SCALE;
  protected readonly body = BODY_MM * SCALE;
  protected readonly innerPx = computed(() => this.innerGapMm() * SCALE);
  protected readonly outerPx = computed(() => this.outerGapMm() * SCALE);
  protected readonly inner = computed(() => formatLengthUnit(this.innerGapMm(), this.units(), 2));
  protected readonly outer = computed(() => formatLengthUnit(this.outerGapMm(), this.units(), 2));
  protected readonly box = computed(() => {
    const half = this.disc / 2 + this.body + Math.max(this.innerPx(), this.outerPx()) + 110;
    return `${-half} -75 ${2 * half} ${HIGH}`;
  });
  protected readonly way = computed(() => {
    const off = this.offMm();
    if (Math.abs(off) < 0.005) return '';
    const by = formatLengthUnit(Math.abs(off), this.units(), 2);
    return off > 0 ? `${by} too far out →` : `← ${by} too far in`;
  });
  protected readonly words = computed(
    () =>
      `Disc in its caliper: inner gap ${this.inner()}, outer gap ${this.outer()}${this.way() ? `, ${this.way()}` : ''}`,
  );
}
