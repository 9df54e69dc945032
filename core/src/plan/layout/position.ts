import { mapVec, type Vec3 } from '../../lib/vec/index.ts';
import {
  DEFAULT_TAPE_SIGMA_MM,
  survey,
  type Offset,
  type Survey,
  type Tape,
} from '../../shape/survey/index.ts';
import { derive } from '../../lib/derive/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { datumsOf, type Plan, type PositionSource } from '../model/index.ts';

/** Where something is, how sure, and what that rests on. */
export interface ResolvedPosition {
  readonly atMm: Vec3;
  /** One standard deviation per axis, that of the datums included. */
  readonly sigmaMm: Vec3;
  /** What the tapes say; null where the place is not taped or they do not fix it. */
  readonly survey: Survey | null;
  /** Why the tapes do not fix the point; the place held before then counts. */
  readonly fault: string | null;
  /** True while the place, or a datum it is taped from, is a guess, or one of its tapes is to be read again. */
  readonly guess: boolean;
}

interface Datum {
  readonly id: string;
  readonly name: string;
  readonly fixed: ResolvedPosition;
}

/** What is less sure than this is no place to tape from, mm: errors grow along a chain of tapes until they say nothing. */
const MOST_UNSURE_MM = 1000;

const rootMeanSquare = ([x, y, z]: Vec3): number => Math.sqrt((x * x + y * y + z * z) / 3);

/** A tape whose sigma carries the datum's own: what the datum is unsure of, the tape is unsure of. */
function carried(tape: Tape, datum: ResolvedPosition): Tape {
  return {
    ...tape,
    sigmaMm: Math.hypot(tape.sigmaMm ?? DEFAULT_TAPE_SIGMA_MM, rootMeanSquare(datum.sigmaMm)),
  };
}

const carriedAlong = (one: Offset, datum: ResolvedPosition): Offset => ({
  ...one,
  sigmaMm: Math.hypot(one.sigmaMm ?? DEFAULT_TAPE_SIGMA_MM, datum.sigmaMm[one.axis]),
});

function fixFrom(known: PositionSource, datums: readonly Datum[]): ResolvedPosition {
  const held = { atMm: known.atMm, sigmaMm: known.sigmaMm, survey: null };
  if (known.how !== 'taped') return { ...held, fault: null, guess: known.how === 'guessed' };
  const unsureMm = Math.max(0, ...datums.map((datum) => rootMeanSquare(datum.fixed.sigmaMm)));
  if (unsureMm > MOST_UNSURE_MM)
    return {
      ...held,
      sigmaMm: mapVec(known.sigmaMm, (sigma) => Math.max(sigma, unsureMm)),
      fault:
        'This point is taped from a point that is not known to within a meter. Tape from datums on the frame.',
      guess: true,
    };
  try {
    const found = survey({
      datumsMm: Object.fromEntries(datums.map((d) => [d.id, d.fixed.atMm])),
      names: Object.fromEntries(datums.map((d) => [d.id, d.name])),
      tapes: (known.tapes ?? []).map((tape) =>
        carried(tape, datums.find((d) => d.id === tape.from)!.fixed),
      ),
      ...(known.offsets?.length
        ? {
            offsets: known.offsets.map((one) =>
              carriedAlong(one, datums.find((d) => d.id === one.from)!.fixed),
            ),
          }
        : {}),
      ...(known.side ? { side: known.side } : {}),
    });
    const guess = found.suspect !== null || datums.some((d) => d.fixed.guess);
    return { atMm: found.pointMm, sigmaMm: found.sigmaMm, survey: found, fault: null, guess };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { ...held, fault: error.message, guess: true };
  }
}

/** Datums as they are told to `fix`: id, name and place of one after the other. */
function datumsFrom([id, name, fixed, ...rest]: readonly unknown[]): Datum[] {
  if (id === undefined) return [];
  return [{ id, name, fixed } as Datum, ...datumsFrom(rest)];
}
/** The same place from the same datums is computed once. */
const fix = derive(
  'place from its tapes',
  (known: PositionSource, datums: readonly Datum[]) => [
    known,
    ...datums.flatMap(({ id, name, fixed }) => [id, name, fixed]),
  ],
  (known, ...told) => fixFrom(known, datumsFrom(told)),
);

/** Every point and port of a plan, fixed. The plan must be valid: no point is taped from itself. */
export function fixAll(
  plan: Pick<Plan, 'points' | 'parts'>,
): ReadonlyMap<string, ResolvedPosition> {
  const points = new Map(plan.points.map((point) => [point.id, point]));
  const found = new Map<string, ResolvedPosition>();
  const fixKnown = (known: PositionSource): ResolvedPosition => {
    const from = known.how === 'taped' ? datumsOf(known) : [];
    return fix(
      known,
      from.map((id) => ({ id, name: points.get(id)!.name, fixed: pointFixed(id) })),
    );
  };
  const pointFixed = (id: string): ResolvedPosition => {
    const before = found.get(id);
    if (before) return before;
    const fixed = fixKnown(points.get(id)!.known);
    found.set(id, fixed);
    return fixed;
  };
  for (const point of plan.points) pointFixed(point.id);
  for (const part of plan.parts)
    for (const port of part.ports) found.set(port.id, fixKnown(port.known));
  return found;
}
