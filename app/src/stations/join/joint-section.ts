import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { section, type Piece, type XR } from '@firm-line/core/trade/ends';
import { figure } from '@firm-line/core/lib/faults';
import type { FemaleHalf, MaleHalf } from '@firm-line/core/trade/stock';

const FILLS: Record<Piece['role'], string> = {
  port: 'fill-nut',
  nut: 'fill-slate-pale',
  tube: 'fill-copper',
  washer: 'fill-fluid',
  ring: 'fill-ink',
};
/** How far apart the halves stand before they are joined, mm, and room for words. */
const APART_MM = 5;
const MARGIN_MM = 2;

/** The two halves of a joint cut through and drawn to scale: apart, or pulled together with what touches. */
@Component({
  selector: 'fl-joint-section',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <svg class="h-full w-full" [attr.viewBox]="box()" role="img" [attr.aria-label]="words()">
      <line
        [attr.x1]="left()"
        [attr.x2]="right()"
        y1="0"
        y2="0"
        class="stroke-ink-soft"
        stroke-width="0.12"
        stroke-dasharray="2 0.6 0.4 0.6"
      />
      @for (piece of pieces(); track $index) {
        <polygon
          [attr.points]="piece.points"
          [class]="piece.fill + ' stroke-ink'"
          stroke-width="0.14"
          stroke-linejoin="round"
        />
      }
      @for (label of labels(); track $index) {
        <text
          [attr.x]="label.x"
          [attr.y]="label.y"
          font-size="2.2"
          text-anchor="middle"
          [class]="label.ink"
        >
          {{ label.text }}
        </text>
      }
      @for (line of touching(); track $index) {
        <line
          [attr.x1]="line.x1"
          [attr.y1]="line.y1"
          [attr.x2]="line.x2"
          [attr.y2]="line.y2"
          [class]="line.ink"
          stroke-width="0.8"
          stroke-linecap="round"
        />
      }
      <g [attr.transform]="scaleAt()" class="fill-ink stroke-ink">
        <path d="M0 -0.5V0.5M0 0H5M5 -0.5V0.5" fill="none" stroke-width="0.15" />
        <text x="5.8" y="0.75" font-size="2.2" stroke="none">5 mm</text>
      </g>
    </svg>
  `,
})
export class JointSection {
  readonly male = input<MaleHalf | null>(null);
  readonly female = input.required<FemaleHalf>();
  readonly together = input(false);

  private readonly drawn = computed(() => {
    const male = this.male();
    const female = this.female();
    // The port alone is drawn with the end that goes on it left out.
    return male
      ? section(male, female)
      : { ...section({ thread: female.thread, end: 'flat' }, female), male: [] };
  });
  private readonly shift = computed(() => {
    const { male, shortMm } = this.drawn();
    if (this.together()) return -shortMm;
    const tip = Math.max(...male.flatMap(({ outline }) => outline.map(([x]) => x)), 0);
    return -tip - APART_MM;
  });
  /** The picture keeps its scale and place whether the halves are apart or together. */
  private readonly bounds = computed(() => {
    const { male, female } = this.drawn();
    const xs = (pieces: readonly Piece[]): number[] =>
      pieces.flatMap(({ outline }) => outline.map(([x]) => x));
    const rs = [...male, ...female].flatMap(({ outline }) => outline.map(([, r]) => r));
    const tip = male.length ? Math.max(...xs(male), 0) + APART_MM : 0;
    return {
      from: Math.min(...xs(female), ...xs(male).map((x) => x - tip)),
      to: Math.max(...xs(female)),
      r: Math.max(...rs),
    };
  });
  protected readonly left = computed(() => this.bounds().from - MARGIN_MM);
  protected readonly right = computed(() => this.bounds().to + MARGIN_MM);
  protected readonly box = computed(() => {
    const { r } = this.bounds();
    return `${this.left()} ${-r - MARGIN_MM} ${this.right() - this.left()} ${2 * r + 2 * MARGIN_MM + 2}`;
  });
  protected readonly scaleAt = computed(
    () => `translate(${this.left() + 1} ${this.bounds().r + MARGIN_MM + 0.6})`,
  );
  protected readonly pieces = computed(() => {
    const { male, female } = this.drawn();
    const both = (list: readonly Piece[], by: number) =>
      list.flatMap(({ role, outline }) =>
        [1, -1].map((side) => ({
          fill: FILLS[role],
          points: outline
            .map(([x, r]: XR) => `${(x + by).toFixed(3)},${(side * r).toFixed(3)}`)
            .join(' '),
        })),
      );
    return [...both(female, 0), ...both(male, this.shift())];
  });
  /** The names of the pieces, written on those that have room. */
  protected readonly labels = computed(() => {
    const { male, female } = this.drawn();
    const name = (
      pieces: readonly Piece[],
      by: number,
      words: Partial<Record<Piece['role'], string>>,
    ) =>
      pieces.flatMap(({ role, outline }) => {
        const text = words[role];
        if (!text) return [];
        const xs = outline.map(([x]) => x);
        const top = Math.max(...outline.map(([, r]) => r));
        // A tube is named beside its far end, all else within its thickest part.
        if (role === 'tube')
          return [{ text, x: Math.min(...xs) + by + 2, y: -top - 0.7, ink: 'fill-ink' }];
        const thick = outline.filter(([, r]) => top - r < 0.1).map(([x]) => x);
        return [
          {
            text,
            x: (Math.min(...thick) + Math.max(...thick)) / 2 + by,
            y: -top + 2.4,
            ink: 'fill-ink',
          },
        ];
      });
    const flared = male.some(({ role }) => role === 'tube') && male.length === 2;
    return [
      ...name(female, 0, { port: 'port' }),
      ...name(male, this.shift(), flared ? { nut: 'nut', tube: 'tube' } : { nut: 'fitting' }),
    ];
  });
  protected readonly touching = computed(() => {
    const { contactLine, touch } = this.drawn();
    if (!contactLine || !this.together() || !this.male()) return [];
    const [[x1, r1], [x2, r2]] = contactLine;
    const ink = touch.contact!.seals ? 'stroke-ok' : 'stroke-stop';
    return [1, -1].map((side) => ({ x1, y1: side * r1, x2, y2: side * r2, ink }));
  });
  /** What the picture shows, for those who read it. */
  readonly words = computed(() => {
    const male = this.male();
    if (!male) return `Port ${this.female().thread}, cut through.`;
    if (!this.together()) return 'The two halves apart, in section.';
    const { touch, shortMm, endDeg, seatDeg } = this.drawn();
    const steep =
      endDeg !== null && seatDeg !== null
        ? ` Seat ${figure(seatDeg, 0)}° to the axis, end ${figure(endDeg, 0)}°.`
        : '';
    if (!touch.holds)
      return shortMm > 0.05
        ? `The nut stops ${figure(shortMm)} mm short of the seat: no contact.`
        : 'The threads do not engage, so nothing presses on the seat.';
    if (!touch.contact) return 'No contact at the seat: a gap all round.';
    const touches = touch.contact.seals
      ? `Contact band of ${figure(touch.contact.widthMm)} mm all round: seals.`
      : 'Line contact only: leaks.';
    return touches + steep;
  });
}
