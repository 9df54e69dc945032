import { InputError, figure } from '../../lib/faults/index.ts';
import { distance, dot, sub, type Vec3 } from '../../lib/vec/index.ts';
import { invert, times, type Sym3 } from './linear.ts';
import {
  type Axis,
  type Reading,
  type Fit,
  IN_PLANE_MM,
  MIRROR_MM,
  residual,
  directionFrom,
  LEAST_REDUNDANCY,
  spread,
  starts,
  descend,
  plainlyDeeper,
} from './fit.ts';

/** One reading of a tape from a datum, hook to mark, with its standard deviation. */
export interface Tape {
  readonly from: string;
  readonly readMm: number;
  readonly sigmaMm?: number;
  /** From where it is hooked to the datum itself: over the edge of a rail outward, or to the middle of a hole; added to what is read. */
  readonly hookMm?: number;
  /** The reading as it was typed. */
  readonly text?: string;
}
/** What a plumb bob over the floor, a level or a straight edge says: how far the place lies from a datum along one axis of the vehicle, with its sign. */
export interface Offset {
  readonly from: string;
  readonly axis: Axis;
  readonly readMm: number;
  readonly sigmaMm?: number;
}
export type Side = 'above' | 'below';
export interface SurveyInput {
  readonly datumsMm: Readonly<Record<string, Vec3>>;
  /** What the datums are called, where that is not what they are told apart by. */
  readonly names?: Readonly<Record<string, string>>;
  readonly tapes: readonly Tape[];
  readonly side?: Side;
  readonly offsets?: readonly Offset[];
}
export interface Survey {
  readonly pointMm: Vec3;
  /** Standard deviation along x, y and z, from the normal matrix with the given sigmas. */
  readonly sigmaMm: Vec3;
  /** Read less computed, in the order of the tapes. */
  readonly residualsMm: readonly number[];
  /** The tape to read again, or null where none stands out. */
  readonly suspect: number | null;
  /** Of the offsets, in their order; not there where none were read. */
  readonly offsetResidualsMm?: readonly number[];
}

export const DEFAULT_TAPE_SIGMA_MM = 2;
/** Standardized residual at which a tape is suspect, 0.1 % two-sided. Source: Baarda (1968), A testing procedure for use in geodetic networks (from memory). */
const SUSPECT_AT = 3.29;

function check({ datumsMm, names = {}, tapes, offsets = [] }: SurveyInput): Reading[] {
  const all = tapes.length + offsets.length;
  if (all < 3)
    throw new InputError(
      'tapes',
      `A point needs three ${offsets.length ? 'readings' : 'tapes'} or more; there ${all === 1 ? 'is 1' : `are ${all}`}.`,
    );
  const reading = (
    one: Tape | Offset,
    path: string,
    readMm: number,
    axis: Axis | null,
  ): Reading => {
    const datum = Object.hasOwn(datumsMm, one.from) ? datumsMm[one.from] : undefined;
    if (!datum) throw new InputError(`${path}.from`, `No datum is called "${one.from}".`);
    const sigma = one.sigmaMm ?? DEFAULT_TAPE_SIGMA_MM;
    return { datum, from: names[one.from] ?? one.from, readMm, weight: 1 / (sigma * sigma), axis };
  };
  return [
    ...tapes.map((tape, i) => reading(tape, `tapes[${i}]`, tape.readMm + (tape.hookMm ?? 0), null)),
    ...offsets.map((offset, i) => reading(offset, `offsets[${i}]`, offset.readMm, offset.axis)),
  ];
}

/** The one of two mirror points that `side` names: by z, where these agree within 1 mm by y, then by x. */
function onSide(a: Fit, b: Fit, side: Side): Fit {
  const axis =
    ([2, 1, 0] as const).find((i) => Math.abs(a.point[i] - b.point[i]) > IN_PLANE_MM) ?? 0;
  return a.point[axis] > b.point[axis] === (side === 'above') ? a : b;
}

/** How far the tapes are from meeting: the worst pair that cannot touch, else the largest residual of the best point. */
function missSentence(readings: readonly Reading[], best: Fit): string {
  let worst = { gap: 0, text: '' };
  for (const [i, a] of readings.entries()) {
    for (const b of readings.slice(i + 1)) {
      if (a.axis !== null || b.axis !== null) continue;
      const apart = distance(a.datum, b.datum);
      const gap = Math.max(apart - a.readMm - b.readMm, Math.abs(a.readMm - b.readMm) - apart);
      if (gap > worst.gap)
        worst = {
          gap,
          text: `Tapes from ${a.from} and ${b.from} miss each other by ${figure(gap)} mm`,
        };
    }
  }
  if (worst.gap > MIRROR_MM) return `${worst.text}. Read both again.`;
  const miss = Math.max(...readings.map((r) => Math.abs(residual(r, best.point))));
  return miss > 0.05
    ? `The tapes do not meet: the best point misses by ${figure(miss)} mm. Read them again.`
    : `The point is in the plane of its datums (misfit ${figure(miss)} mm), so its distance off that plane is unknown. Add a tape from a datum off that plane.`;
}

/** The tape with the largest standardized residual |v|/(σ·√r), r its redundancy number, where it passes 3.29 with five tapes or more. */
function suspectOf(readings: readonly Reading[], fit: Fit, inverse: Sym3): number | null {
  if (readings.length < 5) return null;
  let suspect: number | null = null;
  let most = SUSPECT_AT;
  for (const [i, r] of readings.entries()) {
    const u = directionFrom(r, fit.point);
    const redundancy = 1 - r.weight * dot(u, times(inverse, u));
    if (redundancy < LEAST_REDUNDANCY) continue;
    const standardized = Math.abs(residual(r, fit.point)) * Math.sqrt(r.weight / redundancy);
    if (standardized > most) [suspect, most] = [i, standardized];
  }
  return suspect;
}

/**
 * Where a point is, from three or more tapes read from known datums: weighted least squares of
 * read less computed, the deeper of two minima. Where the datums lie in one plane within 1 mm two
 * mirror points fit as well and `side` chooses. Throws InputError where the tapes do not fix a point.
 * Method: adjustment by observation equations, redundancy and standardized residual as in Baarda (1968), from memory.
 */
export function survey(input: SurveyInput): Survey {
  const readings = check(input);
  const { middle, axes, offPlaneMm, offLineMm } = spread(readings.map((r) => r.datum));
  const { offsets } = input;
  if (offsets?.length) return withOffsets(input, readings, middle, axes[0], offsets.length);
  if (offLineMm < IN_PLANE_MM)
    throw new InputError(
      'tapes',
      'The datums are in one line. Add a tape from a datum off that line.',
    );
  const inPlane = offPlaneMm <= IN_PLANE_MM;
  const normal = axes[0];
  const fits = starts(readings, middle, normal).map((start) => descend(readings, start));
  const height = (fit: Fit): number => dot(sub(fit.point, middle), normal);
  let best = fits.reduce((a, b) => (plainlyDeeper(b, a) ? b : a));
  if (inPlane) {
    const deepest = (list: Fit[]): Fit | undefined =>
      list.reduce<Fit | undefined>((a, b) => (!a || plainlyDeeper(b, a) ? b : a), undefined);
    const over = deepest(fits.filter((f) => height(f) > MIRROR_MM));
    const under = deepest(fits.filter((f) => height(f) < -MIRROR_MM));
    const flat =
      Math.abs(height(best)) <= MIRROR_MM &&
      [over, under].every((f) => !f || plainlyDeeper(best, f));
    if (flat || !over || !under) throw new InputError('tapes', missSentence(readings, best));
    if (!input.side)
      throw new InputError(
        'side',
        'The datums are in one plane, so two points fit. Choose above or below.',
      );
    best = onSide(over, under, input.side);
  }
  return surveyed(readings, best);
}
function surveyed(readings: readonly Reading[], best: Fit): Survey {
  const inverse = invert(best.normal);
  if (
    !inverse ||
    !inverse.every(Number.isFinite) ||
    inverse[0] <= 0 ||
    inverse[3] <= 0 ||
    inverse[5] <= 0
  ) {
    throw new InputError('tapes', missSentence(readings, best));
  }
  return {
    pointMm: best.point,
    sigmaMm: [Math.sqrt(inverse[0]), Math.sqrt(inverse[3]), Math.sqrt(inverse[5])],
    residualsMm: readings.map((r) => residual(r, best.point)),
    suspect: suspectOf(readings, best, inverse),
  };
}

/** Two points that fit alike are this far apart or further. */
const APART_MM = 1;
/** With readings along an axis: the deepest minimum; where another that lies elsewhere is as deep, `side` chooses. */
function withOffsets(
  { tapes, side }: SurveyInput,
  readings: readonly Reading[],
  middle: Vec3,
  normal: Vec3,
  offsets: number,
): Survey {
  const fits = starts(readings, middle, normal).map((start) => descend(readings, start));
  const best = fits.reduce((a, b) => (plainlyDeeper(b, a) ? b : a));
  const other = fits.find(
    (fit) => !plainlyDeeper(best, fit) && distance(fit.point, best.point) > APART_MM,
  );
  if (other && !side)
    throw new InputError(
      'side',
      'Two points fit these readings. Choose above or below the datums.',
    );
  const found = surveyed(readings, other ? onSide(best, other, side!) : best);
  return {
    ...found,
    residualsMm: found.residualsMm.slice(0, tapes.length),
    offsetResidualsMm: found.residualsMm.slice(-offsets),
    suspect: found.suspect !== null && found.suspect < tapes.length ? found.suspect : null,
  };
}
