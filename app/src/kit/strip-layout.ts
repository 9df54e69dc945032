import type { LineView } from '@firm-line/core/plan';
import type { CardBend } from '@firm-line/core/shape/tube';

export interface StripBend {
  readonly bend: CardBend;
  readonly index: number;
  /** Along the finished tube from the seat at A, mm. */
  readonly startMm: number;
  readonly endMm: number;
  /** Where the bend begins and ends on the drawing, where its mark is and where its figures stand, px. */
  readonly x: number;
  readonly markX: number;
  readonly endX: number;
  readonly labelX: number;
}
export interface StripLayout {
  readonly lengthMm: number;
  readonly startX: number;
  readonly endX: number;
  readonly nutPx: { readonly a: number; readonly b: number };
  readonly bends: readonly StripBend[];
}

/** Moves wanted places apart to `gap`, within `from` and `to`, keeping their order. */
export function spread(wanted: readonly number[], gap: number, from: number, to: number): number[] {
  const places = [...wanted];
  for (let i = 0; i < places.length; i++)
    places[i] = Math.max(places[i]!, i ? places[i - 1]! + gap : from);
  for (let i = places.length - 1; i >= 0; i--)
    places[i] = Math.min(places[i]!, i === places.length - 1 ? to : places[i + 1]! - gap);
  return places;
}

/** The chosen line drawn straight to scale across `widthPx`; null where it has no card. */
export function stripLayout(
  view: LineView,
  widthPx: number,
  nutMm: { a: number; b: number },
  gapPx: number,
  markMm: (bend: CardBend) => number,
): StripLayout | null {
  if (!view.card) return null;
  const lengthMm = view.pieces.at(-1)!.endMm;
  const [startX, endX] = [24, widthPx - 24];
  const x = (mm: number): number => startX + (mm / lengthMm) * (endX - startX);
  const arcs = view.pieces.filter((piece) => piece.kind === 'arc');
  // Marks are read from the cut end, the drawing starts at the seat: the flare's tube lies between.
  const marks = view.card.bends.map((bend, i) => markMm(bend) - (bend.markMm - arcs[i]!.startMm));
  const labels = spread(marks.map(x), gapPx, gapPx / 2, widthPx - gapPx / 2);
  const nutPx = (mm: number): number => Math.max(14, (mm / lengthMm) * (endX - startX));
  return {
    lengthMm,
    startX,
    endX,
    nutPx: { a: nutPx(nutMm.a), b: nutPx(nutMm.b) },
    bends: arcs.map((arc, i) => ({
      bend: view.card!.bends[i]!,
      index: i,
      startMm: arc.startMm,
      endMm: arc.endMm,
      x: x(arc.startMm),
      markX: x(marks[i]!),
      endX: x(arc.endMm),
      labelX: labels[i]!,
    })),
  };
}
