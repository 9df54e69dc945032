import type { BendRow, WorkStep } from '@firm-line/core/stations/make/making';
import { figure } from '@firm-line/core/lib/faults';
import { toolingOf, type LineView } from '@firm-line/core/plan';
import { FLARES } from '@firm-line/core/trade/stock';
import { formatLength, type UnitSystem } from '@firm-line/core/lib/units';

/** A turn as it is done: the bender round the tube where it is in the hands, else the tube in the bender. */
export function turnWords(
  { rotateDeg, look }: Pick<BendRow, 'rotateDeg' | 'look'>,
  kind: LineView['bender']['kind'],
): string {
  if (rotateDeg === null) return 'sets the plane';
  if (Math.abs(rotateDeg) < 0.05) return 'in the plane of the previous bend';
  const deg = kind === 'hand' || Math.abs(rotateDeg) === 180 ? rotateDeg : -rotateDeg;
  const way =
    Math.abs(deg) === 180 || Math.abs(deg) < 0.05 ? '' : deg > 0 ? ' clockwise' : ' anticlockwise';
  return `turn the ${kind === 'hand' ? 'bender' : 'tube'} ${figure(Math.abs(deg))}°${way}, looking from ${look.toUpperCase()}`;
}

/** A step of the card as one says it at the bench. */
export function stepWords(
  step: WorkStep,
  view: LineView,
  rows: readonly BendRow[],
  units: UnitSystem,
): string {
  const card = view.card!;
  const mm = (value: number): string => formatLength(value, units, 1);
  const end = step.end?.toUpperCase();
  const sleeve = (which: 'a' | 'b'): string =>
    view.line.ends[which].flare === 'cone-37' ? ', then the sleeve' : '';
  switch (step.kind) {
    case 'test':
      return `Test piece: ${FLARES[step.flare!].name.toLowerCase()} in scrap of this tube`;
    case 'cut':
      return card.trimMm
        ? `Cut ${mm(card.stockCutMm)}, including ${mm(card.trimMm)} to trim at B`
        : `Cut ${mm(card.stockCutMm)}, nothing to trim`;
    case 'deburr':
      return end
        ? `Deburr ${end} inside and out, blow the chips out`
        : 'Deburr inside and out, square the end';
    case 'nut':
      return `Slide on nut ${end}, thread toward end ${end}${sleeve(step.end!)}`;
    case 'sleeve':
      return `Slide on sleeve ${end} after the nut, cone toward end ${end}`;
    case 'slide':
      return `Slide on: ${step.what}`;
    case 'flare':
      return `${FLARES[view.line.ends[step.end!].flare].name} end ${end}`;
    case 'bend': {
      const row = rows.find(({ bend }) => bend === step.bend!.bend)!;
      const turn = row.rotateDeg === null ? '' : `${turnWords(row, view.bender.kind)}, `;
      return `Bend ${row.bend + 1} at ${mm(row.drawMarkMm)}: ${turn}dial ${figure(row.dialDeg)}°`;
    }
    case 'offer-up':
      return 'Offer it up between its ports';
    case 'mark':
      return 'Mark B where it seats in the port';
    case 'trim':
      return `Cut ${mm(toolingOf(view.line.ends.b, view.bench).flareExtraMm)} past the mark, for the flare (${mm(card.trimMm)} trim in the plan)`;
    case 'clean':
      return 'Clean, blow through, check for flakes';
    case 'cap':
      return 'Cap both ends until it is fitted';
  }
}
