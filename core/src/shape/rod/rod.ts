import type { Vec3 } from '../../lib/vec/index.ts';
import { arcTerms, arcValues, type ArcTerms } from './arc.ts';
import { risingOf, sizeOf, solve3 } from './three.ts';
import { addTwist, twistRad } from './twist.ts';

/**
 * A rod as circular arcs of given lengths that meet without a corner: its unit tangents at the joints,
 * three numbers each, from clamp to clamp. Lengths in units of the whole rod.
 */
export interface Rod {
  readonly lengths: Float64Array;
  readonly tangents: Float64Array;
}
export interface Settled extends Rod {
  /** ½∫κ²ds over the whole rod, which is 1 long. */
  readonly energy: number;
  /** False where it did not come to rest: such a shape means nothing. */
  readonly converged: boolean;
  /** No small push that keeps both clamps lowers its energy. */
  readonly stable: boolean;
  /** Twist from end to end where both are held in roll, rad; else 0. */
  readonly twistRad: number;
}

/** Both ends held in roll: what resists twist, and how the far end is turned. */
export interface Torsion {
  /** Stiffness in twist by that in bending. */
  readonly stiffness: number;
  /** Directions that move with the fittings at either end. */
  readonly marks: readonly [first: Vec3, last: Vec3];
  /** Turn between the marks, by `twistRad`, at which it is free of twist. */
  readonly freeRad: number;
  /** Twist that it has about now: of turns a whole round apart the nearest is meant. */
  readonly twistRad: number;
}

const MOST_STEPS = 80;
/** A step cut in half so often goes nowhere. */
const MOST_CUTS = 16;
/** At rest: no tangent would turn further than this, rad, and the end misses its clamp by no more than this. */
const RESIDUAL_TOL = 1e-8;
const POSITION_TOL = 1e-10;
/** While it swings, its end misses its clamp by no more than this. */
const LEFT_TOL = 1e-7;
/** Share of the energy that a further step must gain to be worth it. */
const MIN_PROGRESS = 1e-13;
/** A tangent turns no further than this in one step, rad. */
const MOST_TURN = 0.6;
/** Neighboring tangents may not come further apart than this: y = 1 − cos of the angle. */
const MOST_Y = 1.3;
/** Stiffness added so that a shape free to swing about a line comes to rest; bending itself has 10 and more. */
const SWING_RAD = 1e-4;
/** A rod that has gained no more than this share of its energy over so many steps only swings: it counts as at rest. */
const SWUNG_RAD = 2e-4;
const MOST_SWINGS = 12;
/** A mode this soft counts as swinging, not as buckling. */
const SOFT_MODE_EIGENVALUE = 1e-2;

/** What one rod of so many arcs needs to reckon with; made once for each number of arcs. */
class Work {
  readonly basis: Float64Array;
  readonly diagonal: Float64Array;
  readonly inverse: Float64Array;
  readonly beside: Float64Array;
  /** Energy's slope, then the three rows of the clamp's, each on both basis vectors; solved in place. */
  readonly right: Float64Array;
  readonly slopes: Float64Array;
  readonly step: Float64Array;
  readonly trial: Float64Array;
  readonly moved: Float64Array;
  /** Slopes of the twist on both basis vectors, and what was solved before them. */
  readonly twist: Float64Array;
  readonly held: Float64Array;
  constructor(readonly arcs: number) {
    const nodes = arcs + 1;
    this.basis = new Float64Array(6 * nodes);
    this.diagonal = new Float64Array(3 * nodes);
    this.inverse = new Float64Array(3 * nodes);
    this.beside = new Float64Array(4 * nodes);
    this.right = new Float64Array(8 * nodes);
    this.slopes = new Float64Array(8 * nodes);
    this.step = new Float64Array(2 * nodes);
    this.trial = new Float64Array(3 * nodes);
    this.moved = new Float64Array(2 * nodes);
    this.twist = new Float64Array(2 * nodes);
    this.held = new Float64Array(8 * nodes);
  }
}
/** Room to reckon in, by the number of arcs: it holds no result from one time to the next. */
const works = new Map<number, Work>();
const workOf = (arcs: number): Work => {
  const known = works.get(arcs) ?? new Work(arcs);
  works.set(arcs, known);
  return known;
};
const terms: ArcTerms = { energy: 0, energy1: 0, energy2: 0, chord: 0, chord1: 0, chord2: 0 };

/** Energy of a rod and by how much its end misses `chord`; null where arcs turn too far to mean anything. */
function measure(
  { lengths }: Rod,
  t: Float64Array,
  chord: Vec3,
  miss: Float64Array,
): number | null {
  let energy = 0;
  let x = -chord[0];
  let y = -chord[1];
  let z = -chord[2];
  for (let i = 0, k = 0; i < lengths.length; i++, k += 3) {
    const h = lengths[i]!;
    const apart = 1 - (t[k]! * t[k + 3]! + t[k + 1]! * t[k + 4]! + t[k + 2]! * t[k + 5]!);
    if (apart > MOST_Y) return null;
    arcValues(Math.max(0, apart), terms);
    energy += terms.energy / h;
    const half = (h / 2) * terms.chord;
    x += half * (t[k]! + t[k + 3]!);
    y += half * (t[k + 1]! + t[k + 4]!);
    z += half * (t[k + 2]! + t[k + 5]!);
  }
  miss[0] = x;
  miss[1] = y;
  miss[2] = z;
  return energy;
}

/** Two unit vectors square to each tangent and to one another. */
function frames(t: Float64Array, nodes: number, basis: Float64Array): void {
  for (let i = 0; i < nodes; i++) {
    const x = t[3 * i]!;
    const y = t[3 * i + 1]!;
    const z = t[3 * i + 2]!;
    // Source: Duff and others, Building an Orthonormal Basis, Revisited (2017), from memory.
    const sign = z >= 0 ? 1 : -1;
    const a = -1 / (sign + z);
    const b = x * y * a;
    const k = 6 * i;
    basis[k] = 1 + sign * x * x * a;
    basis[k + 1] = sign * b;
    basis[k + 2] = -sign * x;
    basis[k + 3] = b;
    basis[k + 4] = sign + y * y * a;
    basis[k + 5] = -y;
  }
}

/**
 * Slopes and curvatures of energy less λ·(end's place), on the tangents' own basis vectors: `diagonal`
 * (xx, xy, yy) and `beside` (to the next node, 2 × 2) of the block-tridiagonal matrix, and `slopes`.
 */
function assemble({ lengths }: Rod, t: Float64Array, force: readonly number[], work: Work): void {
  const { basis, diagonal, beside, slopes, arcs } = work;
  diagonal.fill(0);
  slopes.fill(0);
  const fx = force[0]!;
  const fy = force[1]!;
  const fz = force[2]!;
  for (let i = 0; i < arcs; i++) {
    const k = 3 * i;
    const h = lengths[i]!;
    const ax = t[k]!;
    const ay = t[k + 1]!;
    const az = t[k + 2]!;
    const bx = t[k + 3]!;
    const by = t[k + 4]!;
    const bz = t[k + 5]!;
    const cos = ax * bx + ay * by + az * bz;
    arcTerms(Math.max(0, 1 - cos), terms);
    const alongA = fx * ax + fy * ay + fz * az;
    const alongB = fx * bx + fy * by + fz * bz;
    const pull = alongA + alongB;
    const bend = terms.energy1 / h;
    const reach = (h / 2) * terms.chord;
    const lean = (h / 2) * terms.chord1;
    const q = bend - lean * pull;
    const p = terms.energy2 / h - (h / 2) * terms.chord2 * pull;
    node(
      work,
      i,
      bx,
      by,
      bz,
      ax + bx,
      ay + by,
      az + bz,
      fx,
      fy,
      fz,
      p,
      bend,
      reach,
      lean,
      q * cos + reach * alongA,
    );
    node(
      work,
      i + 1,
      ax,
      ay,
      az,
      ax + bx,
      ay + by,
      az + bz,
      fx,
      fy,
      fz,
      p,
      bend,
      reach,
      lean,
      q * cos + reach * alongB,
    );
    // From this node's basis to the next one's.
    for (let r = 0; r < 2; r++) {
      const m = 6 * i + 3 * r;
      const mx = basis[m]!;
      const my = basis[m + 1]!;
      const mz = basis[m + 2]!;
      const mb = mx * bx + my * by + mz * bz;
      const mf = mx * fx + my * fy + mz * fz;
      for (let c = 0; c < 2; c++) {
        const o = 6 * i + 6 + 3 * c;
        const nx = basis[o]!;
        const ny = basis[o + 1]!;
        const nz = basis[o + 2]!;
        const na = nx * ax + ny * ay + nz * az;
        const nf = nx * fx + ny * fy + nz * fz;
        beside[4 * i + 2 * r + c] =
          -q * (mx * nx + my * ny + mz * nz) + p * mb * na + lean * (mb * nf + mf * na);
      }
    }
  }
}

/** What one arc adds at one of its two nodes: `o` is the tangent at its other node, `s` the sum of both. */
function node(
  work: Work,
  at: number,
  ox: number,
  oy: number,
  oz: number,
  sx: number,
  sy: number,
  sz: number,
  fx: number,
  fy: number,
  fz: number,
  p: number,
  bend: number,
  reach: number,
  lean: number,
  round: number,
): void {
  const { basis, diagonal, slopes } = work;
  const e = 6 * at;
  const x1 = basis[e]!;
  const y1 = basis[e + 1]!;
  const z1 = basis[e + 2]!;
  const x2 = basis[e + 3]!;
  const y2 = basis[e + 4]!;
  const z2 = basis[e + 5]!;
  const o1 = x1 * ox + y1 * oy + z1 * oz;
  const o2 = x2 * ox + y2 * oy + z2 * oz;
  const f1 = x1 * fx + y1 * fy + z1 * fz;
  const f2 = x2 * fx + y2 * fy + z2 * fz;
  const d = 3 * at;
  diagonal[d] = diagonal[d]! + p * o1 * o1 + 2 * lean * o1 * f1 + round;
  diagonal[d + 1] = diagonal[d + 1]! + p * o1 * o2 + lean * (o1 * f2 + f1 * o2);
  diagonal[d + 2] = diagonal[d + 2]! + p * o2 * o2 + 2 * lean * o2 * f2 + round;
  const s = 8 * at;
  slopes[s] = slopes[s]! - bend * o1;
  slopes[s + 1] = slopes[s + 1]! - bend * o2;
  slopes[s + 2] = slopes[s + 2]! + reach * x1 - lean * sx * o1;
  slopes[s + 3] = slopes[s + 3]! + reach * x2 - lean * sx * o2;
  slopes[s + 4] = slopes[s + 4]! + reach * y1 - lean * sy * o1;
  slopes[s + 5] = slopes[s + 5]! + reach * y2 - lean * sy * o2;
  slopes[s + 6] = slopes[s + 6]! + reach * z1 - lean * sz * o1;
  slopes[s + 7] = slopes[s + 7]! + reach * z2 - lean * sz * o2;
}

/** The small symmetric system of the clamp: its matrix over the upper triangle and what it lacks. */
interface Clamp {
  readonly s: Float64Array;
  readonly lacks: Float64Array;
}

/**
 * Solves the block-tridiagonal matrix, made stiffer by `stiffer`, for the four right sides in `slopes`
 * (the first turned round), and sums up the clamp's own system. Returns how many directions of the
 * whole, clamp included, go down: 3 where it is a minimum.
 */
function eliminate({ lengths }: Rod, stiffer: number, work: Work, clamp: Clamp): number {
  const { diagonal, inverse, beside, right, slopes, arcs } = work;
  let down = 0;
  for (let i = 1; i < arcs; i++) {
    const weight = (stiffer * (lengths[i - 1]! + lengths[i]!)) / 2;
    let xx = diagonal[3 * i]! + weight;
    let xy = diagonal[3 * i + 1]!;
    let yy = diagonal[3 * i + 2]! + weight;
    const r = 8 * i;
    right[r] = -slopes[r]!;
    right[r + 1] = -slopes[r + 1]!;
    for (let c = 2; c < 8; c++) right[r + c] = slopes[r + c]!;
    if (i > 1) {
      const ixx = inverse[3 * i - 3]!;
      const ixy = inverse[3 * i - 2]!;
      const iyy = inverse[3 * i - 1]!;
      const b = 4 * (i - 1);
      const b00 = beside[b]!;
      const b01 = beside[b + 1]!;
      const b10 = beside[b + 2]!;
      const b11 = beside[b + 3]!;
      // What of the node before is carried over: transposed `beside` times its inverse.
      const m00 = b00 * ixx + b10 * ixy;
      const m01 = b00 * ixy + b10 * iyy;
      const m10 = b01 * ixx + b11 * ixy;
      const m11 = b01 * ixy + b11 * iyy;
      xx -= m00 * b00 + m01 * b10;
      xy -= m00 * b01 + m01 * b11;
      yy -= m10 * b01 + m11 * b11;
      for (let c = 0; c < 8; c += 2) {
        const u = right[r - 8 + c]!;
        const v = right[r - 7 + c]!;
        right[r + c] = right[r + c]! - (m00 * u + m01 * v);
        right[r + c + 1] = right[r + c + 1]! - (m10 * u + m11 * v);
      }
    }
    const det = xx * yy - xy * xy;
    down += det < 0 ? 1 : xx + yy < 0 ? 2 : 0;
    inverse[3 * i] = yy / det;
    inverse[3 * i + 1] = -xy / det;
    inverse[3 * i + 2] = xx / det;
  }
  for (let i = arcs - 1; i >= 1; i--) {
    const ixx = inverse[3 * i]!;
    const ixy = inverse[3 * i + 1]!;
    const iyy = inverse[3 * i + 2]!;
    const b = 4 * i;
    const last = i === arcs - 1;
    for (let c = 0; c < 8; c += 2) {
      const r = 8 * i + c;
      let u = right[r]!;
      let v = right[r + 1]!;
      if (!last) {
        u -= beside[b]! * right[r + 8]! + beside[b + 1]! * right[r + 9]!;
        v -= beside[b + 2]! * right[r + 8]! + beside[b + 3]! * right[r + 9]!;
      }
      right[r] = ixx * u + ixy * v;
      right[r + 1] = ixy * u + iyy * v;
    }
  }
  const { s, lacks } = clamp;
  s.fill(0);
  lacks.fill(0);
  for (let i = 1; i < arcs; i++) {
    const r = 8 * i;
    for (let a = 0; a < 3; a++) {
      const u = slopes[r + 2 + 2 * a]!;
      const v = slopes[r + 3 + 2 * a]!;
      lacks[a] = lacks[a]! + u * right[r]! + v * right[r + 1]!;
      for (let b = 0; b < 3; b++)
        s[3 * a + b] = s[3 * a + b]! + u * right[r + 2 + 2 * b]! + v * right[r + 3 + 2 * b]!;
    }
  }
  return down + risingOf(s);
}

/**
 * Adds twist to what `eliminate` and the clamp gave: one more direction, `torsion` times its square,
 * brought in by rank one. Source: Sherman and Morrison's formula on the whole system, from memory.
 */
function stiffened(
  start: Rod,
  stiffer: number,
  torsion: number,
  next: readonly number[],
  work: Work,
  clamp: Clamp,
): [number, number, number] {
  const { right, slopes, twist, held, arcs } = work;
  held.set(right);
  const first = (k: number, by: readonly number[]): number =>
    right[k]! + by[0]! * right[k + 2]! + by[1]! * right[k + 4]! + by[2]! * right[k + 6]!;
  const along = (by: readonly number[]): number => {
    let sum = 0;
    for (let i = 1; i < arcs; i++)
      for (let c = 0; c < 2; c++) sum += twist[2 * i + c]! * first(8 * i + c, by);
    return sum;
  };
  const before = along(next);
  const swap = (): void => {
    for (let i = 1; i < arcs; i++)
      for (let c = 0; c < 2; c++) {
        const [energy, own] = [slopes[8 * i + c]!, twist[2 * i + c]!];
        slopes[8 * i + c] = own;
        twist[2 * i + c] = energy;
      }
  };
  // Its slopes in the energy's place: solved with their sign turned round.
  swap();
  eliminate(start, stiffer, work, clamp);
  swap();
  const turned = solve3(clamp.s, [-clamp.lacks[0]!, -clamp.lacks[1]!, -clamp.lacks[2]!]);
  const share = (torsion * before) / (1 - torsion * along(turned));
  for (let i = 1; i < arcs; i++)
    for (let c = 0; c < 2; c++) {
      const k = 8 * i + c;
      right[k] = held[k]! + share * right[k]!;
    }
  return [next[0]! + share * turned[0], next[1]! + share * turned[1], next[2]! + share * turned[2]];
}

/** Turns every inner tangent by a step on its basis vectors; returns nothing, fills `into`. */
function turn(
  t: Float64Array,
  basis: Float64Array,
  step: Float64Array,
  share: number,
  into: Float64Array,
): void {
  const nodes = t.length / 3;
  into.set(t);
  for (let i = 1; i < nodes - 1; i++) {
    const u = share * step[2 * i]!;
    const v = share * step[2 * i + 1]!;
    const e = 6 * i;
    const x = t[3 * i]! + u * basis[e]! + v * basis[e + 3]!;
    const y = t[3 * i + 1]! + u * basis[e + 1]! + v * basis[e + 4]!;
    const z = t[3 * i + 2]! + u * basis[e + 2]! + v * basis[e + 5]!;
    const long = Math.sqrt(x * x + y * y + z * z);
    into[3 * i] = x / long;
    into[3 * i + 1] = y / long;
    into[3 * i + 2] = z / long;
  }
}

/**
 * Lets a rod come to rest between its clamps: the least of ½∫κ²ds near where it starts, its ends'
 * tangents held and its end `chord` away from its beginning (in units of its length). Newton's method
 * on the unit tangents: a block-tridiagonal matrix with the clamp's three rows beside it, made stiffer
 * wherever it is not that of a minimum. Source: J. Nocedal and S. Wright, Numerical Optimization,
 * chapter 18 (sequential quadratic programming with inertia control), from memory.
 */
export function settle(
  start: Rod,
  chord: Vec3,
  mostSteps = MOST_STEPS,
  torsion: Torsion | null = null,
): Settled {
  const { lengths } = start;
  const arcs = lengths.length;
  const work = workOf(arcs);
  let t = Float64Array.from(start.tangents);
  let force: number[] = [0, 0, 0];
  const miss = new Float64Array(3);
  const tried = new Float64Array(3);
  const clamp: Clamp = { s: new Float64Array(9), lacks: new Float64Array(3) };
  let twisted = torsion?.twistRad ?? 0;
  /** Twist of a rod, by the turn nearest to the one before. */
  const twistOf = (tangents: Float64Array): number => {
    const off = twistRad(tangents, torsion!.marks) - torsion!.freeRad;
    return off - 2 * Math.PI * Math.round((off - twisted) / (2 * Math.PI));
  };
  const energyOf = (tangents: Float64Array, off: Float64Array): number | null => {
    const bending = measure(start, tangents, chord, off);
    return torsion && bending !== null
      ? bending + (torsion.stiffness * twistOf(tangents) ** 2) / 2
      : bending;
  };
  let energy = energyOf(t, miss);
  let weight = 1;
  let stiffness = 0;
  let converged = false;
  const recent: number[] = [];
  for (let n = 0; n < mostSteps && energy !== null; n++) {
    frames(t, arcs + 1, work.basis);
    assemble(start, t, force, work);
    if (torsion) {
      twisted = twistOf(t);
      addTwist(t, torsion.stiffness * twisted, work);
      for (let i = 1; i < arcs; i++)
        for (let c = 0; c < 2; c++)
          work.slopes[8 * i + c] =
            work.slopes[8 * i + c]! + torsion.stiffness * twisted * work.twist[2 * i + c]!;
    }
    for (
      stiffness = stiffness > 2 ? stiffness / 4 : 0;
      ;
      stiffness = stiffness ? stiffness * 4 : 1
    ) {
      if (eliminate(start, stiffness + SWING_RAD, work, clamp) === 3 || stiffness > 1e7) break;
    }
    let next = solve3(
      clamp.s,
      [0, 1, 2].map((a) => -miss[a]! - clamp.lacks[a]!),
    );
    if (torsion)
      next = stiffened(start, stiffness + SWING_RAD, torsion.stiffness, next, work, clamp);
    let most = 0;
    let slope = 0;
    for (let i = 1; i < arcs; i++) {
      const r = 8 * i;
      for (let c = 0; c < 2; c++) {
        const u =
          work.right[r + c]! +
          next[0] * work.right[r + 2 + c]! +
          next[1] * work.right[r + 4 + c]! +
          next[2] * work.right[r + 6 + c]!;
        work.step[2 * i + c] = u;
        slope += u * work.slopes[r + c]!;
      }
      const square = work.step[2 * i]! ** 2 + work.step[2 * i + 1]! ** 2;
      if (!(square <= most)) most = square;
    }
    most = Math.sqrt(most);
    if (!Number.isFinite(most)) break;
    const off = sizeOf(miss);
    // At rest, or swinging about a line along which nothing is gained.
    recent.push(energy);
    const swings =
      recent.length > MOST_SWINGS &&
      recent[recent.length - 1 - MOST_SWINGS]! - energy < SWUNG_RAD * energy &&
      off < LEFT_TOL;
    if (
      swings ||
      (off < POSITION_TOL && (most < RESIDUAL_TOL || Math.abs(slope) < MIN_PROGRESS * (1 + energy)))
    ) {
      force = next;
      converged = true;
      break;
    }
    weight = Math.max(weight, 1.5 * sizeOf(next) + 1);
    const merit = energy + weight * off;
    const gain = slope - weight * off;
    const fall = 1e-4 * Math.min(gain, 0);
    const bar = merit + 1e-13 * (1 + Math.abs(merit));
    let share = Math.min(1, MOST_TURN / most);
    let found: number | null = null;
    for (let cut = 0; cut < MOST_CUTS; cut++, share /= 2) {
      turn(t, work.basis, work.step, share, work.trial);
      found = energyOf(work.trial, tried);
      if (found !== null && found + weight * sizeOf(tried) <= bar + share * fall) break;
      if (found !== null && cut === 0) {
        // A step along the sphere misses the clamp by its square: taken back with the same matrix, it may hold.
        const back = solve3(clamp.s, [-tried[0]!, -tried[1]!, -tried[2]!]);
        for (let i = 1; i < arcs; i++)
          for (let c = 0; c < 2; c++) {
            const r = 8 * i + c;
            work.moved[2 * i + c] =
              share * work.step[2 * i + c]! +
              back[0] * work.right[r + 2]! +
              back[1] * work.right[r + 4]! +
              back[2] * work.right[r + 6]!;
          }
        turn(t, work.basis, work.moved, 1, work.trial);
        found = energyOf(work.trial, tried);
        if (found !== null && found + weight * sizeOf(tried) <= bar + share * fall) break;
      }
      found = null;
    }
    if (found === null) break;
    t = Float64Array.from(work.trial);
    energy = found;
    miss.set(tried);
    force = next;
  }
  let stable = false;
  if (converged) {
    assemble(start, t, force, work);
    // What a twist adds makes no shape less stable that was followed downhill.
    stable =
      torsion !== null ||
      eliminate(start, SOFT_MODE_EIGENVALUE * (1 + (energy ?? 0)), work, clamp) === 3;
  }
  return {
    lengths,
    tangents: t,
    energy: energy ?? Infinity,
    converged,
    stable,
    twistRad: torsion ? twistOf(t) : 0,
  };
}
