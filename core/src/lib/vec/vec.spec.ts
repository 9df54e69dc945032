import fc from 'fast-check';
import { Vector3 } from 'three';
import {
  add,
  addScaled,
  angleDeg,
  cross,
  degrees,
  distance,
  dot,
  length,
  nearestTo,
  pathLength,
  pointAt,
  radians,
  rotate,
  runsOf,
  scale,
  squareTo,
  sub,
  turnDeg,
  unit,
  type Vec3,
} from './index.ts';

const number = fc.integer({ min: -1_000_000, max: 1_000_000 }).map((n) => n / 100);
const vec = fc.tuple(number, number, number) as fc.Arbitrary<Vec3>;
const three = (v: Vec3): Vector3 => new Vector3(...v);
const near = (ours: Vec3, theirs: Vector3, digits = 6): void =>
  ours.forEach((value, i) => expect(value).toBeCloseTo(theirs.getComponent(i), digits));

describe('against three’s own vectors', () => {
  test('sums, products and lengths', () => {
    fc.assert(
      fc.property(vec, vec, fc.double({ min: -100, max: 100, noNaN: true }), (a, b, k) => {
        near(add(a, b), three(a).add(three(b)));
        near(sub(a, b), three(a).sub(three(b)));
        near(scale(a, k), three(a).multiplyScalar(k));
        near(addScaled(a, b, k), three(a).addScaledVector(three(b), k));
        near(cross(a, b), three(a).cross(three(b)), 4);
        expect(dot(a, b)).toBeCloseTo(three(a).dot(three(b)), 4);
        expect(length(a)).toBeCloseTo(three(a).length(), 8);
        expect(distance(a, b)).toBeCloseTo(three(a).distanceTo(three(b)), 8);
      }),
    );
  });

  test('angles between, and turns about an axis', () => {
    fc.assert(
      fc.property(
        vec,
        vec,
        vec,
        fc.double({ min: -360, max: 360, noNaN: true }),
        (a, b, axis, deg) => {
          fc.pre(length(a) > 1 && length(b) > 1 && length(axis) > 1);
          expect(angleDeg(a, b)).toBeCloseTo(degrees(three(a).angleTo(three(b))), 5);
          near(
            rotate(a, unit(axis)!, deg),
            three(a).applyAxisAngle(three(axis).normalize(), radians(deg)),
            6,
          );
        },
      ),
    );
  });
});

describe('directions', () => {
  test('nothing has no direction, and a hair has none either', () => {
    expect([unit([0, 0, 0]), unit([1e-10, 0, 0])]).toEqual([null, null]);
    expect(unit([0, -3, 4])).toEqual([0, -0.6, 0.8]);
  });

  test('a vector square to another is square and one long', () => {
    fc.assert(
      fc.property(vec, (v) => {
        const d = unit(v);
        fc.pre(d !== null);
        const square = squareTo(d);
        expect(Math.abs(dot(square, d))).toBeLessThan(1e-9);
        expect(length(square)).toBeCloseTo(1, 12);
      }),
    );
  });

  test('a turn is found again from what it turned', () => {
    fc.assert(
      fc.property(vec, fc.double({ min: -179.9, max: 179.9, noNaN: true }), (v, deg) => {
        const axis = unit(v);
        fc.pre(axis !== null);
        const from = squareTo(axis);
        expect(turnDeg(from, rotate(from, axis, deg), axis)).toBeCloseTo(deg, 8);
      }),
    );
  });

  // Near 0° and 180° the arc cosine of a dot product loses half its digits; this must not.
  test.each([1e-6, 1e-3, 179.999, 179.999999])('an angle of %d° keeps its digits', (deg) => {
    expect(angleDeg([1, 0, 0], rotate([1, 0, 0], [0, 0, 1], deg))).toBeCloseTo(deg, 9);
  });
});

describe('paths', () => {
  const path: Vec3[] = [
    [0, 0, 0],
    [300, 0, 0],
    [300, 0, 0],
    [300, 400, 0],
  ];
  test('runs and length by hand: 300 aft, nothing, 400 to the right', () => {
    expect(runsOf(path)).toEqual([0, 300, 300, 700]);
    expect([pathLength(path), pathLength([]), pathLength([[1, 2, 3]])]).toEqual([700, 0, 0]);
  });
  test.each<[number, Vec3, Vec3]>([
    [-5, [0, 0, 0], [1, 0, 0]],
    [120, [120, 0, 0], [1, 0, 0]],
    [300, [300, 0, 0], [1, 0, 0]],
    [450, [300, 150, 0], [0, 1, 0]],
    [9999, [300, 400, 0], [0, 1, 0]],
  ])('%d mm along it', (runMm, at, along) => expect(pointAt(path, runMm)).toEqual({ at, along }));
  test('what is nearest to a place of the path is that place', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    const places = fc.array(
      fc.tuple(
        fc.integer({ min: -500, max: 500 }),
        fc.integer({ min: -500, max: 500 }),
        fc.integer({ min: -500, max: 500 }),
      ),
      { minLength: 2, maxLength: 6 },
    );
    fc.assert(
      fc.property(places, share, (own, along) => {
        const { at } = pointAt(own, along * pathLength(own));
        const found = nearestTo(own, at);
        expect(found.awayMm).toBeLessThan(1e-6);
        expect(distance(pointAt(own, found.runMm).at, at)).toBeLessThan(1e-6);
        // Nearer than every corner of it to a place off it.
        const off: Vec3 = [at[0] + 700, at[1] - 300, at[2] + 50];
        for (const corner of own)
          expect(nearestTo(own, off).awayMm).toBeLessThanOrEqual(distance(corner, off) + 1e-9);
      }),
    );
  });
  test('past an end the end is nearest, and the leg is counted from the first', () => {
    expect(nearestTo(path, [-50, 10, 0])).toMatchObject({ at: [0, 0, 0], runMm: 0, leg: 0 });
    expect(nearestTo(path, [310, 500, 0])).toMatchObject({ at: [300, 400, 0], runMm: 700, leg: 2 });
  });
});
