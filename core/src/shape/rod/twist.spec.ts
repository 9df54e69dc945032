import {
  addScaled,
  cross,
  degrees,
  length,
  radians,
  rotate,
  squareTo,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';
import { settle, type Torsion } from './rod.ts';
import { startsBetween } from './starts.ts';
import { addTwist, twistRad } from './twist.ts';

/** A general minimizer, of npm's `fmin`. */
type Minimise = (
  f: (x: number[], slope: number[]) => number,
  start: number[],
  limits: { maxIterations: number },
) => { x: number[]; fx: number };
const { conjugateGradient } = jest.requireActual<{ conjugateGradient: Minimise }>('fmin');

const X: Vec3 = [1, 0, 0];
const Y: Vec3 = [0, 1, 0];
const Z: Vec3 = [0, 0, 1];
const flat = (tangents: readonly Vec3[]): Float64Array => Float64Array.from(tangents.flat());
const turned = (tangents: readonly Vec3[], first: Vec3, last: Vec3): number =>
  degrees(twistRad(flat(tangents), [first, last]));

describe('the turn along a rod', () => {
  test('of a straight one is what its far fitting was turned by', () => {
    for (const deg of [0, 30, -75, 170])
      expect(turned([X, X, X], Z, rotate(Z, X, deg))).toBeCloseTo(deg, 9);
  });
  test('is none round a flat bend, whichever side of it the mark is on', () => {
    const bend = Array.from({ length: 41 }, (_, i) => rotate(X, Z, (90 * i) / 40));
    expect(turned(bend, Z, Z)).toBeCloseTo(0, 9);
    expect(turned(bend, Y, [-1, 0, 0])).toBeCloseTo(0, 9);
  });
  test('round three flat bends that lead back to the first direction is a right angle: the eighth of a sphere that they go round', () => {
    // Gauss and Bonnet: a direction carried round a patch of the sphere comes back turned by the patch's area, here π/2.
    const ways: Vec3[] = [X, Y, Z, X];
    const tangents = [0, 1, 2].flatMap((leg) =>
      Array.from({ length: 60 }, (_, i) =>
        rotate(ways[leg]!, cross(ways[leg]!, ways[leg + 1]!), 1.5 * i),
      ),
    );
    const mark = squareTo(X);
    expect(Math.abs(turned([...tangents, X], mark, mark))).toBeCloseTo(90, 6);
  });

  test('has the slopes and curvatures of its own differences', () => {
    const { tangents, lengths } = startsBetween(X, [0, 0.6, 0.8], [0.5, 0.2, 0.1], 12)[7]!;
    const nodes = lengths.length + 1;
    const marks = [Z, X] as const;
    const basis = Float64Array.from({ length: 6 * nodes }, () => 0);
    for (let i = 0; i < nodes; i++) {
      const t: Vec3 = [tangents[3 * i]!, tangents[3 * i + 1]!, tangents[3 * i + 2]!];
      const side = squareTo(t);
      basis.set([...side, ...cross(t, side)], 6 * i);
    }
    const terms = {
      basis,
      twist: new Float64Array(2 * nodes),
      diagonal: new Float64Array(3 * nodes),
      beside: new Float64Array(4 * nodes),
    };
    addTwist(tangents, 1, terms);
    /** With two tangents leant along their basis vectors. */
    const leant = (
      ...leans: readonly (readonly [node: number, vector: number, by: number])[]
    ): number => {
      const moved = Float64Array.from(tangents);
      for (const [node, vector, by] of leans) {
        const e = 6 * node + 3 * vector;
        const t: Vec3 = [moved[3 * node]!, moved[3 * node + 1]!, moved[3 * node + 2]!];
        moved.set(unit(addScaled(t, [basis[e]!, basis[e + 1]!, basis[e + 2]!], by))!, 3 * node);
      }
      return twistRad(moved, marks);
    };
    const h = 1e-4;
    for (const node of [3, 5, 8])
      for (const v of [0, 1]) {
        const slope = (leant([node, v, h]) - leant([node, v, -h])) / (2 * h);
        expect(terms.twist[2 * node + v]).toBeCloseTo(slope, 6);
        const curve = (leant([node, v, h]) - 2 * leant() + leant([node, v, -h])) / h ** 2;
        expect(terms.diagonal[3 * node + 2 * v]).toBeCloseTo(curve, 5);
        for (const w of [0, 1]) {
          const both = (a: number, b: number): number => leant([node, v, a], [node + 1, w, b]);
          expect(terms.beside[4 * node + 2 * v + w]).toBeCloseTo(
            (both(h, h) - both(h, -h) - both(-h, h) + both(-h, -h)) / (4 * h * h),
            5,
          );
        }
      }
  });
});

describe('a rod held in roll at both ends', () => {
  const chord: Vec3 = [0.62, 0.25, 0.1];
  const last = unit([0.2, 0.9, -0.3])!;
  const held = (
    deg: number,
    stiffness: number,
  ): { torsion: Torsion; start: ReturnType<typeof startsBetween>[number] } => {
    const start = settle(startsBetween(X, last, chord, 10)[0]!, chord);
    const marks = [Z, squareTo(last)] as const;
    const freeRad = twistRad(start.tangents, marks);
    return {
      start,
      torsion: {
        stiffness,
        marks: [Z, rotate(marks[1], last, deg)],
        freeRad,
        twistRad: radians(deg),
      },
    };
  };

  test('drawn nearly straight it takes the whole turn of its far end as twist', () => {
    // Below the couple at which a straight rod writhes, 2π·B/L (Greenhill, from memory), it stays straight.
    const near: Vec3 = [0.995, 0, 0];
    const start = settle(startsBetween(X, X, near, 24)[2]!, near);
    const marks = [Z, rotate(Z, X, 40)] as const;
    const { twistRad: twist, converged } = settle(start, near, undefined, {
      stiffness: 1,
      marks,
      freeRad: 0,
      twistRad: 0,
    });
    expect(converged).toBe(true);
    expect(degrees(twist)).toBeGreaterThan(36);
    expect(degrees(twist)).toBeLessThan(40);
  });

  test('bends out of its way and is twisted less than it is turned, the less the stiffer it is', () => {
    const twists = [0.5, 2, 8].map((stiffness) => {
      const { start, torsion } = held(70, stiffness);
      const rest = settle(start, chord, undefined, torsion);
      expect(rest.converged).toBe(true);
      return degrees(rest.twistRad);
    });
    expect(twists[0]).toBeLessThan(70);
    expect(twists[1]).toBeLessThan(twists[0]!);
    expect(twists[2]).toBeLessThan(twists[1]!);
    expect(twists[2]).toBeGreaterThan(0);
  });

  test('lies as a general minimizer leaves it: the same energy and the same twist', () => {
    const { start, torsion } = held(60, 2);
    const rest = settle(start, chord, undefined, torsion);
    const arcs = start.lengths.length;
    const tangentsOf = (free: readonly number[]): Float64Array => {
      const all = Float64Array.from(start.tangents);
      for (let i = 1; i < arcs; i++)
        all.set(unit(free.slice(3 * i - 3, 3 * i) as unknown as Vec3)!, 3 * i);
      return all;
    };
    // Energy of arcs as in the rod, its end held by a stiff spring:
    const cost = (free: readonly number[]): number => {
      const t = tangentsOf(free);
      let bending = 0;
      const end: [number, number, number] = [-chord[0], -chord[1], -chord[2]];
      for (let i = 0; i < arcs; i++) {
        const angle = Math.acos(
          Math.min(
            1,
            t[3 * i]! * t[3 * i + 3]! +
              t[3 * i + 1]! * t[3 * i + 4]! +
              t[3 * i + 2]! * t[3 * i + 5]!,
          ),
        );
        const h = start.lengths[i]!;
        bending += angle ** 2 / (2 * h);
        for (let k = 0; k < 3; k++)
          end[k]! +=
            ((h / 2) * (t[3 * i + k]! + t[3 * i + 3 + k]!) * Math.tan(angle / 2)) /
            Math.max(angle / 2, 1e-12);
      }
      const off = twistRad(t, torsion.marks) - torsion.freeRad;
      return bending + (torsion.stiffness * off ** 2) / 2 + 1.2e4 * length(end) ** 2;
    };
    const slopes = (free: number[], into: number[]): number => {
      for (let i = 0; i < free.length; i++) {
        const by = (h: number): number => cost(free.with(i, free[i]! + h));
        into[i] = (by(1e-6) - by(-1e-6)) / 2e-6;
      }
      return cost(free);
    };
    const outside = conjugateGradient(slopes, [...start.tangents.slice(3, 3 * arcs)], {
      maxIterations: 300,
    });
    const t = tangentsOf(outside.x);
    expect(degrees(twistRad(t, torsion.marks) - torsion.freeRad)).toBeCloseTo(
      degrees(rest.twistRad),
      0,
    );
    expect(outside.fx / rest.energy).toBeCloseTo(1, 2);
  });
});
