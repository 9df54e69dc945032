import type { Offset, Side, Tape } from '../../shape/survey/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import {
  axes,
  choice,
  list,
  name,
  number,
  oneOf,
  optional,
  over,
  place,
  record,
  ref,
  told,
} from './field.ts';

/**
 * Where something is and how that is known. `atMm` with `sigmaMm` (one standard deviation per axis)
 * is what was guessed, typed or read off a part's sheet; for 'taped' it is what was held before and
 * counts until the tapes fix the point.
 */
export interface PositionSource {
  readonly how: 'guessed' | 'typed' | 'sheet' | 'taped';
  readonly atMm: Vec3;
  readonly sigmaMm: Vec3;
  /** Tapes by id of the point they were read from. */
  readonly tapes?: readonly Tape[];
  readonly side?: Side;
  /** Readings of a plumb bob, a level or a straight edge beside the tapes. */
  readonly offsets?: readonly Offset[];
}

export const TAPE = record<Tape>()({
  from: told('Datum', ref('point', 'is a datum of')),
  readMm: told('Reading', over(100_000)),
  sigmaMm: told('± (1σ)', optional(over(1000)), { usual: [0.1, 1000] }),
  hookMm: told('Hook to the datum’s mark', optional(number(-1000, 1000))),
  text: told('As typed', optional(name)),
});
const along = number(-100_000, 100_000);
export const OFFSET = record<Offset>()({
  from: told('Datum', ref('point', 'is a datum of')),
  axis: told('Direction', oneOf([0, 1, 2])),
  readMm: told('Reading', along),
  sigmaMm: told('± (1σ)', optional(over(1000)), { usual: [0.1, 1000] }),
});
export const POSITION_SOURCE = record<PositionSource>()({
  how: told('Known by', oneOf(['guessed', 'typed', 'sheet', 'taped'])),
  atMm: told('Position', place),
  sigmaMm: told('± (1σ)', axes(0, 100_000)),
  tapes: told('Tapes', optional(list(TAPE, 200))),
  side: told(
    'Side of the datums’ plane',
    optional(choice({ above: 'above its datums', below: 'below its datums' })),
  ),
  offsets: told('Offsets', optional(list(OFFSET, 30))),
});
/** One sigma, mm, as a form asks for it. */
export const SIGMA = number(0, 100_000);
/** Points that a place is read from, each once. */
export const datumsOf = ({ tapes = [], offsets = [] }: PositionSource): readonly string[] => [
  ...new Set([...tapes, ...offsets].map(({ from }) => from)),
];
