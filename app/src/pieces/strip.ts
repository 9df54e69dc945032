import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import { lineSpace, toolingOf, type LineView } from '@firm-line/core/plan';
import type { FlareForm } from '@firm-line/core/trade/stock';
import type { CardBend } from '@firm-line/core/shape/tube';
import { formatLength } from '@firm-line/core/lib/units';
import { PlanStore } from '../session/plan-store';
import { afterPaint } from '../kit/after-paint';
import { hostSize } from '../kit/element-size';
import { stripLayout } from '../kit/strip-layout';

/** Outline of a flare, its mouth toward −x, on a tube of half height 9. */
const FLARE_SHAPES: Record<FlareForm, string> = {
  'double-flare-45': 'M0-8 L-12-16 L-12 16 L0 8z',
  bubble: 'M0-13 C-12-12-12 12 0 13z',
  'cone-37': 'M0-8 L-14-14 L-11 0 L-14 14 L0 8z',
};

/** The chosen line drawn straight, to scale, with its ends, bends and turn dials. */
@Component({
  selector: 'fl-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block w-full' },
  template: `
    @if (layout(); as strip) {
      <svg
        [attr.viewBox]="'0 0 ' + size().width + ' 150'"
        class="block h-[150px] w-full select-none"
        role="group"
        [attr.aria-label]="'Strip of ' + view().line.name + ', ' + strip.bends.length + ' bends'"
      >
        <rect
          [attr.x]="strip.startX"
          y="34"
          [attr.width]="strip.endX - strip.startX"
          height="18"
          [class]="ink().tube"
        />
        <rect
          [attr.x]="strip.startX"
          y="37"
          [attr.width]="strip.endX - strip.startX"
          height="4"
          class="fill-sheet opacity-40"
        />
        <g [attr.transform]="'translate(' + strip.startX + ' 43)'">
          <path
            [attr.d]="shape(view().line.ends.a.flare)"
            class="stroke-ink"
            [class]="ink().tube"
          />
          <path [attr.d]="nut(strip.nutPx.a)" class="fill-nut stroke-ink" stroke-width="1.5" />
          <text x="0" y="-22" class="fill-ink text-sm font-bold">A</text>
        </g>
        <g [attr.transform]="'translate(' + strip.endX + ' 43) scale(-1 1)'">
          <path
            [attr.d]="shape(view().line.ends.b.flare)"
            class="stroke-ink"
            [class]="ink().tube"
          />
          <path [attr.d]="nut(strip.nutPx.b)" class="fill-nut stroke-ink" stroke-width="1.5" />
          <text
            transform="scale(-1 1)"
            text-anchor="end"
            y="-22"
            class="fill-ink text-sm font-bold"
          >
            B
          </text>
        </g>
        @for (zone of zones(); track $index) {
          <rect
            [attr.x]="zone.x"
            y="20"
            [attr.width]="zone.width"
            height="42"
            class="fill-stop opacity-15"
            data-test="strip-zone"
          />
          <text
            [attr.x]="zone.textX"
            y="15"
            [attr.text-anchor]="zone.anchor"
            class="fill-stop text-[13px] font-semibold"
          >
            {{ zone.text }}
          </text>
        }
        @for (sleeve of sleeves(); track $index) {
          <rect
            [attr.x]="sleeve.x"
            y="30"
            [attr.width]="sleeve.width"
            height="26"
            rx="4"
            class="fill-none stroke-ink"
            stroke-width="2"
            stroke-dasharray="5 3"
          >
            <title>{{ sleeve.text }}</title>
          </rect>
        }
        @for (clip of clips(); track $index) {
          <path
            [attr.d]="'M' + (clip.x - 5) + ' 58V36a5 5 0 0 1 10 0V58'"
            class="fill-none"
            [class]="clip.loose ? 'stroke-stop' : 'stroke-ink'"
            stroke-width="2.5"
            data-test="strip-clip"
          >
            <title>{{ clip.text }}</title>
          </path>
        }
        @for (span of longSpans(); track $index) {
          <path
            [attr.d]="'M' + span.x + ' 66H' + span.endX"
            class="stroke-caution"
            stroke-width="3"
            data-test="strip-span"
          >
            <title>{{ span.text }}</title>
          </path>
        }
        @for (bend of strip.bends; track bend.bend.node) {
          <g
            role="button"
            tabindex="0"
            class="group cursor-pointer"
            [attr.data-bend]="bend.index"
            [attr.data-start-mm]="bend.startMm"
            [attr.aria-pressed]="node() === bend.bend.node"
            (mouseenter)="pointed.emit(bend.bend.node)"
            (mouseleave)="pointed.emit(null)"
            (click)="picked.emit(bend.bend.node)"
            (keydown.enter)="picked.emit(bend.bend.node)"
            (keydown.space)="picked.emit(bend.bend.node); $event.preventDefault()"
          >
            <title>{{ words(bend.index) }}</title>
            <rect
              [attr.x]="bend.labelX - 28"
              y="24"
              width="56"
              height="124"
              rx="8"
              [class]="
                node() === bend.bend.node
                  ? 'fill-copper-pale'
                  : marked() === bend.bend.node
                    ? 'fill-fluid-pale'
                    : 'fill-transparent'
              "
            />
            <rect
              [attr.x]="bend.x"
              y="34"
              [attr.width]="max(bend.endX - bend.x, 1)"
              height="18"
              class="fill-ink opacity-50"
            />
            <path
              [attr.d]="'M' + bend.markX + ' 27V60L' + bend.labelX + ' 72'"
              class="fill-none stroke-ink"
              stroke-width="2"
            />
            <g [attr.transform]="'translate(' + bend.labelX + ' 88)'">
              <circle r="14" class="fill-sheet stroke-ink-soft" stroke-width="1.5" />
              <path
                d="M0 0V-11"
                class="stroke-ink"
                stroke-width="3.5"
                stroke-linecap="round"
                [attr.transform]="'rotate(' + bend.bend.rotateDeg + ')'"
              />
            </g>
            <text
              [attr.x]="bend.labelX"
              y="122"
              text-anchor="middle"
              class="fill-ink font-mono text-[14px] font-semibold"
            >
              {{ deg(bend.bend.bendDeg) }}
            </text>
            <text
              [attr.x]="bend.labelX"
              y="141"
              text-anchor="middle"
              class="fill-ink-soft font-mono text-[13px]"
            >
              {{ mark(markOf(bend.bend)) }}
            </text>
          </g>
        }
      </svg>
    } @else {
      <p class="flex h-[150px] items-center text-ink-soft" data-test="no-strip">
        {{ view().fault?.message ?? 'Join both ends to ports to see the length.' }}
      </p>
    }
  `,
})
export class Strip {
  private readonly store = inject(PlanStore);
  readonly view = input.required<LineView>();
  readonly node = input<number | null>(null);
  /** Which mark is shown: where the bend begins, or where the die's reference is laid. */
  readonly marks = input<'tangent' | 'draw'>('tangent');
  /** Where each bend is marked, where that differs from the card's plain order. */
  readonly marksMm = input<readonly number[] | null>(null);
  readonly picked = output<number>();
  /** A bend that is pointed at, here and elsewhere. */
  readonly pointed = output<number | null>();
  readonly marked = input<number | null>(null);
  protected readonly size = hostSize({ width: 900, height: 150 });
  protected readonly max = Math.max;
  protected readonly layout = computed(() => {
    const bench = this.store.plan().bench;
    const { ends } = this.view().line;
    const nutMm = {
      a: toolingOf(ends.a, bench).nutLengthMm,
      b: toolingOf(ends.b, bench).nutLengthMm,
    };
    return stripLayout(this.view(), this.size().width, nutMm, 60, (bend) => this.markOf(bend));
  });
  /** What is near and what holds it comes a paint after its bends. */
  private readonly space = afterPaint(() => lineSpace(this.store.view().plan, this.view()));
  private x(mm: number): number {
    const { startX, endX, lengthMm } = this.layout()!;
    return startX + (Math.min(mm, lengthMm) / lengthMm) * (endX - startX);
  }
  /** Stretches that come too near to something, named where there is room for the words. */
  protected readonly zones = computed(() =>
    (this.space()?.near ?? []).flatMap(({ stretchMm, thing, distanceMm }) => {
      if (!stretchMm) return [];
      const [x, end] = stretchMm.map((mm) => this.x(mm)) as [number, number];
      const atEnd = x > this.size().width * 0.7;
      return [
        {
          x,
          width: Math.max(end - x, 3),
          textX: atEnd ? end : x,
          anchor: atEnd ? 'end' : 'start',
          text: `${thing.name} ${this.mark(distanceMm)} away`,
        },
      ];
    }),
  );
  protected readonly clips = computed(() =>
    (this.space()?.clips ?? []).map(({ atMm, to, gapMm, bracket }) => ({
      x: this.x(atMm),
      loose: !to,
      text: `Clip at ${this.mark(atMm)}: ${to ? `${bracket ? `bracket of ${this.mark(gapMm)} on` : 'on'} ${to.name}` : 'no mounting nearby'}`,
    })),
  );
  protected readonly longSpans = computed(() =>
    (this.space()?.clips.length ? this.space()!.spans : [])
      .filter((span) => span.lengthMm > span.mostMm + 0.5)
      .map((span) => ({
        x: this.x(span.fromMm),
        endX: this.x(span.toMm),
        text: `Span of ${this.mark(span.lengthMm)}, ${this.mark(span.mostMm)} maximum`,
      })),
  );
  protected readonly sleeves = computed(() =>
    this.view().line.sleeves.map(({ fromMm, toMm, kind }) => ({
      x: this.x(fromMm),
      width: this.x(toMm) - this.x(fromMm),
      text: `${kind === 'heat' ? 'Heat' : 'Chafe'} sleeve from ${this.mark(fromMm)} to ${this.mark(toMm)}`,
    })),
  );
  protected readonly ink = computed(() => ({
    tube: { fluid: 'fill-fluid', copper: 'fill-copper', slate: 'fill-slate' }[
      this.store.view().circuits.get(this.view().line.circuitId)!.ink
    ],
  }));
  protected shape(flare: FlareForm): string {
    return FLARE_SHAPES[flare];
  }
  protected nut(px: number): string {
    return `M1-16H${px - 4}L${px}-11V11L${px - 4} 16H1z`;
  }
  protected deg(value: number): string {
    return `${figure(value)}°`;
  }
  protected mark(mm: number): string {
    return formatLength(mm, this.store.units());
  }
  protected markOf(bend: CardBend): number {
    const own = this.marksMm()?.[this.view().card!.bends.indexOf(bend)];
    return own ?? (this.marks() === 'draw' ? bend.drawMarkMm : bend.markMm);
  }
  protected words(index: number): string {
    const bend = this.view().card!.bends[index]!;
    return `Bend ${index + 1}: ${this.deg(bend.bendDeg)} at ${this.mark(this.markOf(bend))}, plane turned ${this.deg(bend.rotateDeg)}`;
  }
}
