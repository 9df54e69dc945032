import type { BendOrder, Reading } from '../../../shape/bending/index.ts';
import type { LineView } from '../../../plan/index.ts';
import { readingsPlanned, runOf } from './progress.ts';

/** A bend of the card as it is made: in the order, put in this way round. */
export interface BendRow {
  /** Which bend of the card, from 0. */
  readonly bend: number;
  readonly node: number;
  /** Whose side lies in the clamp: the end that points to the back, away from the sweep. */
  readonly clamped: 'a' | 'b';
  /** Where the die's mark is laid, from the cut end A. */
  readonly drawMarkMm: number;
  /** Turn from the bend made before it on the tube, looking along the tube from this end; null for the one that sets the plane. */
  readonly rotateDeg: number | null;
  readonly look: 'a' | 'b';
  readonly dialDeg: number;
  readonly bendDeg: number;
  /** What the tape must read after it, from this end; null from a middle bend outwards. */
  readonly reading: Reading | null;
}

/** A card's bends in the order they are made. */
export function bendRows(view: LineView, order: BendOrder): BendRow[] {
  const { card, bender, tube } = view;
  const run = runOf(view, order);
  const readings = run ? readingsPlanned(run, tube.odMm) : [];
  const made = new Set<number>();
  return order.sequence.map(({ bend, clamped }, i) => {
    const { node, markMm, arcMm, dialDeg, bendDeg } = card!.bends[bend]!;
    const fromBelow = [...made].some((one) => one < bend);
    const rotateDeg =
      made.size === 0
        ? null
        : fromBelow
          ? card!.bends[bend]!.rotateDeg
          : card!.bends[bend + 1]!.rotateDeg;
    made.add(bend);
    return {
      bend,
      node,
      clamped,
      drawMarkMm:
        clamped === 'a' ? markMm - bender.referenceMm : markMm + arcMm + bender.referenceMm,
      rotateDeg,
      look: fromBelow || i === 0 ? (order.start === 'b' ? 'b' : 'a') : 'b',
      dialDeg,
      bendDeg,
      reading: readings[i] ?? null,
    };
  });
}
