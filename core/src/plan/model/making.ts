import {
  flag,
  id,
  list,
  name,
  nullable,
  number,
  over,
  record,
  ref,
  text,
  told,
  noted,
} from './field.ts';

/** Tube at hand: a coil or sticks of one length. */
export interface StockPiece {
  readonly id: string;
  readonly tubeId: string;
  readonly lengthMm: number;
  readonly count: number;
  /** What tells one making of it from another: springback differs between them. */
  readonly batch: string;
}
/** Tube as it is sold. */
export interface SoldLength {
  readonly id: string;
  readonly tubeId: string;
  readonly lengthMm: number;
}
/** A hole of a bracket, from the middle of its foot: across and up. */
export interface BracketHole {
  readonly acrossMm: number;
  readonly upMm: number;
  readonly diameterMm: number;
  /** Over the flats, where it has two; null where it is round. */
  readonly flatsMm: number | null;
  readonly what: string;
}
/** A bracket, a tab or a panel with holes. */
export interface Bracket {
  readonly id: string;
  readonly name: string;
  readonly revision: string;
  readonly plateMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  /** How far up it is bent and by how much; null where it is flat. */
  readonly bend: { readonly upMm: number; readonly deg: number } | null;
  readonly holes: readonly BracketHole[];
  readonly existing: boolean;
  readonly held: string;
}
/** What lines are cut from, and the brackets that are cut beside them. */
export interface Making {
  readonly stock: readonly StockPiece[];
  readonly sold: readonly SoldLength[];
  readonly kerfMm: number;
  /** What every coil or stick loses at its end. */
  readonly endMm: number;
  readonly brackets: readonly Bracket[];
}
export const NO_MAKING: Making = { stock: [], sold: [], kerfMm: 0, endMm: 10, brackets: [] };

const long = over(100_000);
export const SOLD_LENGTH = record<SoldLength>()(
  { id, tubeId: told('Tube', ref('tube')), lengthMm: told('Length', long) },
  {
    about: {
      kind: 'soldLength',
      prefix: 'sold',
      noun: 'length as sold',
      named: ({ tubeId }) => tubeId,
      unlisted: true,
    },
  },
);
export const STOCK_PIECE = record<StockPiece>()(
  {
    id,
    tubeId: told('Tube', ref('tube')),
    lengthMm: told('Length', long),
    count: told('Pieces', number(1, 1000, { whole: true })),
    batch: told('Batch', noted(text)),
  },
  {
    about: {
      kind: 'stockPiece',
      prefix: 'stock',
      noun: 'piece of stock',
      named: ({ tubeId, batch }) => `${tubeId} ${batch}`.trim(),
      unlisted: true,
    },
  },
);
export const BRACKET_HOLE = record<BracketHole>()({
  acrossMm: told('Across', number(-1000, 1000)),
  upMm: told('Up', number(-1000, 1000)),
  diameterMm: told('Diameter', over(500)),
  flatsMm: told('Over the flats', nullable(over(500)), { none: 'round' }),
  what: told('For', text),
});
export const BRACKET = record<Bracket>()(
  {
    id,
    name,
    revision: told('Revision', noted(text)),
    plateMm: told('Plate', over(100)),
    widthMm: told('Width', over(2000)),
    heightMm: told('Height, flat', over(2000)),
    bend: told(
      'Bend',
      nullable(
        record<NonNullable<Bracket['bend']>>()({
          upMm: told('Bent, this far up', number(0, 2000)),
          deg: told('Bend', over(179)),
        }),
      ),
      { none: 'flat' },
    ),
    holes: told('Holes', list(BRACKET_HOLE, 50)),
    existing: told('on the vehicle already', flag),
    held: told('Fixing', text),
  },
  { about: { kind: 'bracket', prefix: 'bracket', noun: 'bracket', named: ({ name }) => name } },
);
export const MAKING = record<Making>()({
  stock: told('Tube at hand', list(STOCK_PIECE, 500)),
  sold: told('Lengths as sold', list(SOLD_LENGTH, 100)),
  kerfMm: told('A saw cut takes', number(0, 50)),
  endMm: told('Lost at a piece’s end', number(0, 1000)),
  brackets: told('Brackets', list(BRACKET, 500)),
});
