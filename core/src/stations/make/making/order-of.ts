import {
  bendOrder,
  usualSolids,
  type BenchSolids,
  type BendOrder,
  type OrderInput,
} from '../../../shape/bending/index.ts';
import { derive } from '../../../lib/derive/index.ts';
import type { BenchBender, LineView } from '../../../plan/index.ts';
import type { Card } from '../../../shape/tube/index.ts';

/** A nut stands this much over its tube, and is as wide. Common practice. */
const NUT_OVER_MM = 4.5;

/** What stands about a bender: as the user has it, else as is usual for its kind. */
export const aroundOf = ({ around, kind, dieRadiusMm }: BenchBender): BenchSolids =>
  around ?? usualSolids(kind, dieRadiusMm);

/** A line's tube in its bender: nut A in place from the first, B's where it is flared early. */
export function orderInput({
  card,
  bender,
  tube,
  nuts,
}: Pick<LineView, 'bender' | 'tube' | 'nuts'> & { readonly card: Card }): OrderInput {
  const nut = (fromMm: number, toMm: number) => ({
    fromMm,
    toMm,
    radiusMm: tube.odMm / 2 + NUT_OVER_MM,
  });
  const early = card.flareBBefore !== null;
  return {
    tube: {
      bends: card.bends,
      cutMm: card.stockCutMm,
      odMm: tube.odMm,
      slid: [
        nut(0, nuts.a.lengthMm),
        ...(early ? [nut(card.stockCutMm - nuts.b.lengthMm, card.stockCutMm)] : []),
      ],
    },
    dieRadiusMm: bender.dieRadiusMm,
    clampSide: bender.clampSide,
    bench: aroundOf(bender),
  };
}

const found = derive(
  'order of bends',
  (card: Card, bender: BenchBender, tube: LineView['tube'], nuts: LineView['nuts']) => [
    card,
    bender,
    tube,
    nuts.a,
    nuts.b,
  ],
  (card, bender, tube, a, b): BendOrder =>
    bendOrder(orderInput({ card, bender, tube, nuts: { a, b } })),
);
/** Which way round and in what order a line is bent; null where it has no card or no bends. */
export const orderOf = ({ card, bender, tube, nuts }: LineView): BendOrder | null =>
  card?.bends.length ? found(card, bender, tube, nuts) : null;
