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
  radians,
  rotate,
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

describe("against three's own vectors", () => {
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
      fc.property(vec, vec, vec, fc.double({ min: -360, max: 360, noNaN: true }), (a, b, axis, deg) => {
        fc.pre(length(a) > 1 && length(b) > 1 && length(axis) > 1);
        expect(angleDeg(a, b)).toBeCloseTo(degrees(three(a).angleTo(three(b))), 5);
        near(rotate(a, unit(axis)!, deg), three(a).applyAxisAngle(three(axis).normalize(), radians(deg)), 6);
      }),
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
