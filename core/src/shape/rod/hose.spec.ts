import fc from 'fast-check';
import { complete, jacobi } from '../../testing/elliptic.ts';
import {
  add,
  addScaled,
  cross,
  distance,
  dot,
  length,
  rotate,
  scale,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';
import { hose, hoseShape, judge, type Clamp } from './index.ts';
import type { Rod } from './rod.ts';

const clamp = (pointMm: Vec3, direction: Vec3): Clamp => ({ pointMm, direction });
const A = clamp([0, 0, 0], [1, 0, 0]);
const shapeOf = (lengthMm: number, a: Clamp, b: Clamp) => hoseShape(lengthMm, a, b)!.shape;

describe('elliptic functions, before they are leant on', () => {
  // Source: Abramowitz and Stegun tables 17.1 and 16.1, from memory: K and E of modulus² ½; sn² + cn² = 1.
  test('agree with the tables', () => {
    const { K, E } = complete(Math.SQRT1_2);
    expect(K).toBeCloseTo(1.8540746773, 9);
    expect(E).toBeCloseTo(1.350643881, 9);
    const at = jacobi(K, Math.SQRT1_2);
    expect(at.sn).toBeCloseTo(1, 9);
    expect(at.cn).toBeCloseTo(0, 7);
    expect(at.E).toBeCloseTo(E, 9);
  });
});

/** Clamped strut, pushed together: chord share, curvature at the clamps times length, and ½∫κ²ds times length. Source: A. Love, Mathematical Theory of Elasticity, § 263, four quarters of the inflexional elastica, from memory. */
function strut(k: number) {
  const { K, E } = complete(k);
  return { chord: (2 * E) / K - 1, bend: 8 * k * K, energy: 32 * K * K * (E / K - 1 + k * k) };
}

describe('a hose against the elastica', () => {
  test.each([0.15, 0.3, 0.4, 0.5])('the buckled clamped strut of modulus %p', (k) => {
    const { chord, bend, energy } = strut(k);
    const shape = shapeOf(300, A, clamp([300 * chord, 0, 0], [-1, 0, 0]));
    expect(Math.abs((shape.minRadiusMm! * bend) / 300 - 1)).toBeLessThan(0.005);
    expect(shape.energyPerMm * 300).toBeGreaterThanOrEqual(energy * (1 - 1e-9));
    expect(shape.energyPerMm * 300).toBeLessThan(energy * 1.002);
  });

  test.each([45, 90, 135, 180])('an arc of a circle over %p degrees lies as one', (deg) => {
    const radius = 80;
    const angle = (deg * Math.PI) / 180;
    const tip: Vec3 = [radius * Math.sin(angle), radius * (1 - Math.cos(angle)), 0];
    const shape = shapeOf(radius * angle, A, clamp(tip, [-Math.cos(angle), -Math.sin(angle), 0]));
    // No curve of that turning bends less: ∫κ² ≥ (∫κ)² ÷ length (Cauchy and Schwarz).
    expect(shape.energyPerMm).toBeGreaterThanOrEqual((angle / radius / 2) * (1 - 1e-9));
    expect(shape.energyPerMm).toBeLessThan((angle / radius / 2) * 1.0005);
    expect(Math.abs(shape.minRadiusMm! / radius - 1)).toBeLessThan(0.005);
    for (const p of shape.pointsMm)
      expect(Math.abs(distance(p, [0, radius, 0]) - radius)).toBeLessThan(0.05);
  });

  /** Half of a symmetric S from its clamp to the inflexion: end place along and across the clamp's direction, and curvature at the clamp; lengths 1. */
  function halfS(k: number, root: number) {
    const { K, E } = complete(k);
    const at = jacobi(root / 2 + K, k);
    // Angle to the line of thrust, place from the inflexion along and across it (Love § 263, from memory).
    const lean = 2 * Math.asin(k * at.sn);
    const x = (-(root / 2) + 2 * (at.E - E)) / root;
    const y = (-2 * k * at.cn) / root;
    return {
      along: Math.abs(x * Math.cos(lean) + y * Math.sin(lean)),
      across: Math.abs(y * Math.cos(lean) - x * Math.sin(lean)),
      bend: Math.abs(2 * k * root * at.cn),
    };
  }
  test.each([
    [0.25, 2.2],
    [0.35, 3],
    [0.3, 1.5],
  ])('the symmetric S with little room: modulus %p, thrust root %p', (k, root) => {
    const half = halfS(k, root);
    const tips = [1, -1].map((side) =>
      shapeOf(300, A, clamp([600 * half.along, 600 * half.across * side, 0], [-1, 0, 0])),
    );
    for (const shape of tips) {
      expect(Math.max(...shape.pointsMm.map((p) => Math.abs(p[2])))).toBeLessThan(0.5);
      expect(Math.abs((shape.minRadiusMm! * half.bend) / 300 - 1)).toBeLessThan(0.01);
    }
  });

  test('an S with room to spare does not stay in its plane, and has gained by it', () => {
    const b = clamp([60, 60, 0], [-1, 0, 0]);
    const shape = shapeOf(300, A, b);
    const flat = shapeOf(300, A, clamp([60, 60, 0], [-1, 0, 1e-9]));
    expect(Math.max(...shape.pointsMm.map((p) => Math.abs(p[2])))).toBeGreaterThan(10);
    expect(shape.energyPerMm).toBeCloseTo(flat.energyPerMm, 6);
  });

  test('drawn nearly straight it bends at the clamps as a long rod under pull', () => {
    const slack = 0.004;
    const b = clamp([300 * (1 - slack), 0, 0], [-Math.SQRT1_2, 0, Math.SQRT1_2]);
    const shape = shapeOf(300, clamp([0, 0, 0], [Math.SQRT1_2, 0, Math.SQRT1_2]), b);
    // tan(θ/4) falls by 1/e over `fall`, curvature there 2·sin(θ/2)/fall; both ends take 4·fall·sin²(θ/4) of slack.
    const turn = Math.PI / 4;
    const fall = (300 * slack) / (8 * Math.sin(turn / 4) ** 2);
    expect(Math.abs((shape.minRadiusMm! * 2 * Math.sin(turn / 2)) / fall - 1)).toBeLessThan(0.02);
  });
});

/** Where a rod of arcs ends, each arc turned about its own axis (Rodrigues): reckoned apart from the solver. */
function endOf({ lengths, tangents }: Rod): Vec3 {
  let at: Vec3 = [0, 0, 0];
  for (const [i, h] of lengths.entries()) {
    const [a, b] = [i, i + 1].map(
      (n) => [...tangents.slice(3 * n, 3 * n + 3)] as unknown as Vec3,
    ) as [Vec3, Vec3];
    const axis = unit(cross(a, b));
    const steps = 200;
    const deg = axis ? (Math.atan2(length(cross(a, b)), dot(a, b)) * 180) / Math.PI : 0;
    for (let s = 0; s < steps; s++)
      at = addScaled(at, axis ? rotate(a, axis, (deg * (s + 0.5)) / steps) : a, h / steps);
  }
  return at;
}
const direction = fc
  .tuple(
    fc.double({ min: -1, max: 1, noNaN: true }),
    fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
  )
  .map(([z, turn]): Vec3 => {
    const r = Math.sqrt(1 - z * z);
    return [r * Math.cos(turn), r * Math.sin(turn), z];
  });

describe('whatever the ends', () => {
  const SHARES = [0, 0.02, 0.3, 0.7, 0.93, 0.99, 0.9995];
  test('it comes to rest, keeps its length and both clamps, and turned or moved it is the same', () => {
    fc.assert(
      fc.property(
        direction,
        direction,
        direction,
        direction,
        fc.constantFrom(...SHARES),
        (way, da, db, axis, share) => {
          const chord = scale(way, share * 300);
          const found = hoseShape(300, clamp([0, 0, 0], da), clamp(chord, db))!;
          expect(found).not.toBeNull();
          const { shape, rods } = found;
          for (const rod of rods.slice(0, 1)) {
            expect(Math.abs(rod.lengths.reduce((sum, h) => sum + h, 0) - 1)).toBeLessThan(1e-9);
            expect(distance(endOf(rod), scale(chord, 1 / 300))).toBeLessThan(1e-6 + 1e-5 * share);
            expect(rod.stable).toBe(true);
          }
          expect(distance(shape.pointsMm.at(-1)!, chord)).toBeLessThan(1e-9);
          // Neighbors lie no further apart than the hose between them is long, and not much nearer than an arc's chord.
          shape.pointsMm
            .slice(1)
            .forEach((p, i) =>
              expect(distance(p, shape.pointsMm[i]!)).toBeLessThan(300 / 32 + 1e-3),
            );
          const turned = (v: Vec3): Vec3 => rotate(v, axis, 73);
          const moved = hoseShape(
            300,
            clamp([5, 6, 7], turned(da)),
            clamp(add([5, 6, 7], turned(chord)), turned(db)),
          )!.shape;
          expect(Math.abs(moved.energyPerMm / shape.energyPerMm - 1)).toBeLessThan(0.01);
        },
      ),
      { numRuns: 40, seed: 7 },
    );
  }, 120_000);

  test('twice as large it bends half as much, and looked at from the other end it is the same', () => {
    const b = clamp([220, 120, -40], [0, -1, 0]);
    const one = shapeOf(340, A, b);
    const two = shapeOf(680, A, clamp([440, 240, -80], [0, -3, 0]));
    const back = shapeOf(340, b, A);
    expect(two.minRadiusMm! / one.minRadiusMm!).toBeCloseTo(2, 3);
    expect(back.minRadiusMm! / one.minRadiusMm!).toBeCloseTo(1, 3);
  });

  test('a warm start lands where a cold one does', () => {
    let held = hoseShape(340, A, clamp([220, 120, -40], [0, -1, 0]))!;
    for (let z = -50; z >= -200; z -= 10) {
      const b = clamp([220, 120, z], [0, -1, 0]);
      held = hoseShape(340, A, b, held.rods)!;
      expect(held.shape.minRadiusMm! / shapeOf(340, A, b).minRadiusMm!).toBeCloseTo(1, 2);
    }
  });
});

describe('the verb hose', () => {
  const states = [
    { name: 'ride', endB: clamp([220, 120, -40], [0, -1, 0]) },
    { name: 'droop', endB: clamp([220, 120, -140], [0, -1, 0]) },
  ];
  test('verdicts follow length and radius, worst first', () => {
    const verdicts = (lengthMm: number, minRadiusMm: number) =>
      hose({ lengthMm, endA: A, states, minRadiusMm }).states.map((s) => s.verdict);
    expect(verdicts(250, 38)).toEqual(['out-of-reach', 'out-of-reach']);
    expect(verdicts(290, 20)).toEqual(['ok', 'taut']);
    expect(verdicts(340, 100)).toEqual(['kinks', 'ok']);
    const far = hose({ lengthMm: 250, endA: A, states, minRadiusMm: 38 }).states[1]!;
    expect(far).toMatchObject({ minRadiusMm: null, pointsMm: [] });
    expect(far.slackMm).toBeCloseTo(250 - Math.hypot(220, 120, 140), 9);
    expect(hose({ lengthMm: 340, endA: A, states, minRadiusMm: 38 }).worst).toBe('ride');
  });

  test('the shortest length that serves is found by trying every one', () => {
    const minRadiusMm = 90;
    const find = { stepMm: 15, maxMm: 900 };
    const ok = (lengthMm: number) =>
      states.every((s) => judge(lengthMm, A, s.endB, minRadiusMm).verdict === 'ok');
    const all = Array.from({ length: 60 }, (_, i) => (i + 1) * 15);
    const { lengthMm, worst } = hose({ find, endA: A, states, minRadiusMm });
    expect(lengthMm).toBe(all.find(ok));
    expect(worst).not.toBeNull();
    expect(hose({ find: { stepMm: 15, maxMm: 300 }, endA: A, states, minRadiusMm: 500 })).toEqual({
      lengthMm: null,
      states: [],
      worst: null,
    });
  });

  test('refuses with the place', () => {
    const refusal = (input: object): string => {
      try {
        hose({ lengthMm: 340, endA: A, states, minRadiusMm: 38, ...input });
        return 'taken';
      } catch (error) {
        return (error as { path: string }).path;
      }
    };
    expect(refusal({})).toBe('taken');
    expect(refusal({ find: { stepMm: 5, maxMm: 900 } })).toBe('find');
    expect(refusal({ lengthMm: undefined })).toBe('lengthMm');
    expect(refusal({ endA: clamp([0, 0, 0], [0, 0, 0]) })).toBe('endA.direction');
    expect(refusal({ states: [{ name: 'x', endB: clamp([1, 2, 3], [0, 0, 0]) }] })).toBe(
      'states[0].endB.direction',
    );
    expect(refusal({ lengthMm: undefined, find: { stepMm: 0.01, maxMm: 900 } })).toBe(
      'find.stepMm',
    );
  });
});
