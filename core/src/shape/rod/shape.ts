import {
  add,
  addScaled,
  distance,
  length,
  scale,
  sub,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';
import { settle, type Rod, type Settled } from './rod.ts';
import { drawnStart, remeshed, startsBetween } from './starts.ts';

/** A clamp: where the hose leaves its fitting, and which way. */
export interface Clamp {
  readonly pointMm: Vec3;
  /** Out of the fitting into the hose; of any length but nought. */
  readonly direction: Vec3;
}
/** A hose at rest between two clamps. */
export interface Shape {
  readonly lengthMm: number;
  /** Least bend radius, crimps included; null where it is straight. */
  readonly minRadiusMm: number | null;
  /** Where along it that is. */
  readonly tightestMm: number;
  /** ½∫κ²ds, 1/mm. */
  readonly energyPerMm: number;
  /** Evenly along the hose, ends included. */
  readonly pointsMm: readonly Vec3[];
  /** Curvature at the same places, 1/mm. */
  readonly curvature: readonly number[];
}
/** A shape with what the next like it starts from. */
export interface Found {
  readonly shape: Shape;
  readonly rods: readonly Settled[];
}

export const POINTS = 33;
/** Arcs while shapes are looked for, and of the one that is shown. */
const COARSE = 20;
/** Of one drawn nearly straight, whose bends crowd at the clamps. */
const DRAWN = 96;
/** Steps of a start while shapes are looked for: what needs more is left to the other starts. */
const LOOKED = 40;
/** Starts besides those that are handed over. */
const FRESH_STARTS = 3;
/** Shapes that are handed on to a neighbor: those of least energy. */
const HANDED = 3;
/** Chord by length past which a drawn shape is the only one. */
const LITTLE_SLACK = 0.975;
/** Starts that must agree before the others are left out. */
const EARLY = 9;
const FINE = 64;
const FINEST = 384;
/** An arc of the one that is shown turns no further than this, rad: curvature is then right to about two thousandths. */
const MOST_TURN = 0.2;
/** Shapes whose energies differ by less count as equal: the tighter one is taken, to be safe. */
const ALIKE = 0.01;
/** Coarse energies are right to about this. */
const BLUR = 0.04;

const tangentOf = ({ tangents }: Rod, i: number): Vec3 => [
  tangents[3 * i]!,
  tangents[3 * i + 1]!,
  tangents[3 * i + 2]!,
];
const turnOf = (rod: Rod, i: number): number => {
  const [a, b] = [tangentOf(rod, i), tangentOf(rod, i + 1)];
  return 2 * Math.asin(Math.min(1, distance(a, b) / 2));
};

/** Curvature against place, both by the rod's length: at the middle of each arc, and drawn on to both clamps. */
function bends(rod: Rod): { at: number[]; curvature: number[] } {
  let run = 0;
  const at: number[] = [];
  const curvature: number[] = [];
  for (const [i, h] of rod.lengths.entries()) {
    at.push(run + h / 2);
    curvature.push(turnOf(rod, i) / h);
    run += h;
  }
  const beyond = (place: number, [i, j, k]: readonly [number, number, number]): number => {
    const [a, b, c] = [at[i]!, at[j]!, at[k]!];
    const value =
      (curvature[i]! * (place - b) * (place - c)) / ((a - b) * (a - c)) +
      (curvature[j]! * (place - a) * (place - c)) / ((b - a) * (b - c)) +
      (curvature[k]! * (place - a) * (place - b)) / ((c - a) * (c - b));
    return Math.max(0, value);
  };
  const n = at.length;
  const ends = [beyond(0, [0, 1, 2]), beyond(1, [n - 1, n - 2, n - 3])] as const;
  return { at: [0, ...at, 1], curvature: [ends[0], ...curvature, ends[1]] };
}

const tightest = (rod: Rod): number => Math.max(...bends(rod).curvature);

/** Moves a place by an arc, or by a part of it. */
function along(from: Vec3, a: Vec3, b: Vec3, h: number, share: number): Vec3 {
  const angle = 2 * Math.asin(Math.min(1, distance(a, b) / 2));
  if (angle < 1e-7) return addScaled(from, add(a, b), (h * share) / 2);
  // An arc in the plane of both tangents: ∫ of a turned toward b.
  const side = unit(addScaled(b, a, -Math.cos(angle)))!;
  const turned = angle * share;
  const radius = h / angle;
  return add(
    from,
    add(scale(a, radius * Math.sin(turned)), scale(side, radius * (1 - Math.cos(turned)))),
  );
}

function shapeOf(rod: Settled, lengthMm: number, from: Vec3, to: Vec3): Shape {
  const { at, curvature } = bends(rod);
  const most = Math.max(...curvature);
  const pointsMm: Vec3[] = [];
  const curvatureAt: number[] = [];
  let [i, run, c] = [0, 0, 0];
  let place = from;
  for (let n = 0; n < POINTS; n++) {
    const want = n / (POINTS - 1);
    while (i < rod.lengths.length - 1 && run + rod.lengths[i]! < want) {
      place = along(place, tangentOf(rod, i), tangentOf(rod, i + 1), rod.lengths[i]! * lengthMm, 1);
      run += rod.lengths[i]!;
      i++;
    }
    const share = Math.min(1, (want - run) / rod.lengths[i]!);
    pointsMm.push(
      along(place, tangentOf(rod, i), tangentOf(rod, i + 1), rod.lengths[i]! * lengthMm, share),
    );
    while (c < at.length - 2 && at[c + 1]! < want) c++;
    const part = (want - at[c]!) / (at[c + 1]! - at[c]!);
    curvatureAt.push((curvature[c]! + (curvature[c + 1]! - curvature[c]!) * part) / lengthMm);
  }
  pointsMm[POINTS - 1] = to;
  return {
    lengthMm,
    minRadiusMm: most < 1e-6 ? null : lengthMm / most,
    tightestMm: lengthMm * at[curvature.indexOf(most)]!,
    energyPerMm: rod.energy / lengthMm,
    pointsMm,
    curvature: curvatureAt,
  };
}

/** Makes a coarse shape exact: finer arcs, shorter where it bends, until none turns far. Null where it does not hold as a shape of its own. */
function refined(rod: Settled, chord: Vec3): Settled | null {
  let best = rod;
  for (let arcs = FINE, n = 0; n < 6; n++) {
    const finer = settle(remeshed(best, arcs), chord);
    if (!finer.converged || !finer.stable) return null;
    const before = tightest(best);
    best = finer;
    const change = Math.abs(tightest(finer) - before) / Math.max(before, 1e-9);
    const widest = Math.max(...Array.from(finer.lengths, (_, i) => turnOf(finer, i)));
    if (widest < MOST_TURN && (n === 0 || change < 0.004)) break;
    if (widest > MOST_TURN && n > 1) arcs = Math.min(FINEST, arcs * 2);
  }
  return best;
}

/** Different shapes of a list, least energy first; mirror images count as one. */
function distinct(rods: readonly Settled[]): Settled[] {
  const sorted = rods
    .filter((rod) => rod.converged && rod.stable)
    .sort((a, b) => a.energy - b.energy);
  const kept: Settled[] = [];
  for (const rod of sorted)
    if (
      !kept.some(
        (one) =>
          Math.abs(one.energy - rod.energy) < 1e-4 * (1 + one.energy) &&
          Math.abs(tightest(one) / tightest(rod) - 1) < 1e-3,
      )
    )
      kept.push(rod);
  return kept;
}

export const chordOf = (a: Clamp, b: Clamp, lengthMm: number): Vec3 =>
  scale(sub(b.pointMm, a.pointMm), 1 / lengthMm);

/** Tangents at both clamps, along the hose from A to B. */
export const endsOf = (a: Clamp, b: Clamp): readonly [Vec3, Vec3] => [
  unit(a.direction)!,
  scale(unit(b.direction)!, -1),
];

/** The best of settled rods made exact: of the least energies, the tightest. */
function best(rods: readonly Settled[], chord: Vec3): Settled | null {
  const exact: Settled[] = [];
  for (const rod of rods) {
    const least = Math.min(...exact.map((one) => one.energy));
    if (rod.energy > least * (1 + BLUR)) break;
    const fine = refined(rod, chord);
    if (fine) exact.push(fine);
  }
  const least = Math.min(...exact.map((one) => one.energy));
  const alike = exact.filter((one) => one.energy <= least * (1 + ALIKE) + 1e-9);
  return alike.reduce<Settled | null>(
    (held, one) => (held && tightest(held) >= tightest(one) ? held : one),
    null,
  );
}

/**
 * The shape of a hose of so long a free length, clamped at both ends: of all stable shapes the one of
 * least bending energy; where two lie within 1 %, the tighter. Null where none came to rest.
 * `from` are shapes of a neighboring state or length, to start from in place of searching all round;
 * it then stays in the shape that it had as long as that holds, unless `afresh` asks for a few other
 * starts besides, so that a shape of less energy is seen.
 * Needs a length over the chord.
 */
export function hoseShape(
  lengthMm: number,
  a: Clamp,
  b: Clamp,
  from: readonly Settled[] = [],
  afresh = false,
): Found | null {
  const chord = chordOf(a, b, lengthMm);
  const [first, last] = endsOf(a, b);
  const followed = (): Settled[] => from.map((rod) => settle(clampedAt(rod, first, last), chord));
  const fresh = afresh ? startsBetween(first, last, chord, COARSE).slice(0, FRESH_STARTS) : [];
  const rods = from.length
    ? distinct([...followed(), ...fresh.map((start) => settle(start, chord, LOOKED))])
    : searched(first, last, chord);
  const chosen = best(rods, chord) ?? best(tightened(first, last, chord), chord);
  return (
    chosen && {
      shape: shapeOf(chosen, lengthMm, a.pointMm, b.pointMm),
      rods: rods.slice(0, HANDED),
    }
  );
}

/** Shapes found from starts all round: from all of them only where the first few do not agree. */
function searched(first: Vec3, last: Vec3, chord: Vec3): Settled[] {
  const drawn = drawnStart(first, last, chord, DRAWN);
  const taut = distinct(drawn ? [settle(drawn, chord)] : []);
  // With so little slack there is but one way to lie.
  if (taut.length && length(chord) > LITTLE_SLACK) return taut;
  const starts = startsBetween(first, last, chord, COARSE);
  const early = starts.slice(0, EARLY).map((start) => settle(start, chord, LOOKED));
  const agreed = distinct(early);
  const found =
    agreed.length === 1
      ? agreed
      : distinct([...early, ...starts.slice(EARLY).map((start) => settle(start, chord, LOOKED))]);
  // Coarser arcs are quicker to follow: the drawn one is kept only where they did not find it.
  return taut.length && !(taut[0]!.energy > (found[0]?.energy ?? Infinity) * (1 - BLUR))
    ? distinct([...taut, ...found])
    : found;
}

/** A shape reached by taking up slack little by little from one that has plenty: for hoses drawn all but straight. */
function tightened(first: Vec3, last: Vec3, chord: Vec3): Settled[] {
  const long = length(chord);
  let slack = 0.2;
  let [rod] = searched(first, last, scale(chord, (1 - slack) / long));
  while (rod && slack > 1 - long) {
    slack = Math.max(1 - long, slack * 0.5);
    rod = distinct([settle(remeshed(rod, FINE), scale(chord, (1 - slack) / long))])[0];
  }
  return rod ? [rod] : [];
}

/** The least radius of a hose to about a twentieth, from shapes of a neighboring length; null where none came to rest. */
export function roughRadius(
  lengthMm: number,
  a: Clamp,
  b: Clamp,
  from: readonly Settled[],
): { radiusMm: number; rods: readonly Settled[] } | null {
  const chord = chordOf(a, b, lengthMm);
  const rods = distinct(from.map((rod) => settle(rod, chord)));
  const least = rods[0]?.energy ?? 0;
  const curved = Math.max(...rods.filter((rod) => rod.energy <= least * (1 + BLUR)).map(tightest));
  return rods.length ? { radiusMm: lengthMm / curved, rods } : null;
}

/** A rod with its ends turned to where the clamps now point. */
export function clampedAt({ lengths, tangents }: Rod, first: Vec3, last: Vec3): Rod {
  const turned = Float64Array.from(tangents);
  turned.set(first, 0);
  turned.set(last, turned.length - 3);
  return { lengths, tangents: turned };
}
