import fc from 'fast-check';
import { Line3, Matrix3, Vector3 } from 'three';
import { OBB } from 'three/addons/math/OBB.js';
import {
  add,
  addScaled,
  cross,
  distance,
  rotate,
  scale,
  squareTo,
  sub,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';
import {
  boxGap,
  boxOf,
  clearanceTo,
  envelopeOf,
  gapTo,
  nearestOn,
  obstacleOf,
  segmentGap,
  segmentShares,
  solidsOf,
  stretchesNear,
  THING_SPECS,
  type Shape,
  type Solid,
  type Thing,
  type Travel,
} from './index.ts';

const number = fc.integer({ min: -100_000, max: 100_000 }).map((n) => n / 100);
const point = fc.tuple(number, number, number) as fc.Arbitrary<Vec3>;
const size = fc.integer({ min: 100, max: 30_000 }).map((n) => n / 100);
const way = point.map((v) => unit(v) ?? ([1, 0, 0] as Vec3));
const three = (v: Vec3): Vector3 => new Vector3(...v);
const along = (from: Vec3, to: Vec3, share: number): Vec3 => addScaled(from, sub(to, from), share);

const box = fc
  .tuple(point, way, fc.integer({ min: 0, max: 359 }), size, size, size)
  .map(([center, x, turn, a, b, c]): Extract<Solid, { kind: 'box' }> => {
    const y = rotate(squareTo(x), x, turn);
    return { kind: 'box', center, axes: [x, y, cross(x, y)], half: [a, b, c] };
  });
const rod = fc
  .tuple(point, point, size)
  .map(([from, to, radiusMm]): Solid => ({ kind: 'rod', from, to, radiusMm }));
const drum = fc.tuple(point, way, size, size).map(([center, axis, radiusMm, halfMm]): Solid => ({
  kind: 'drum',
  center,
  axis,
  radiusMm,
  halfMm,
}));

describe('distances against three’s own', () => {
  test('a point to a turned box: OBB.clampPoint', () => {
    fc.assert(
      fc.property(box, point, (solid, p) => {
        const [x, y, z] = solid.axes.map(three) as [Vector3, Vector3, Vector3];
        const turned = new Matrix3().set(x.x, y.x, z.x, x.y, y.y, z.y, x.z, y.z, z.z);
        const theirs = new OBB(three(solid.center), three(solid.half), turned).clampPoint(
          three(p),
          new Vector3(),
        );
        expect(distance(nearestOn(solid, p), theirs.toArray())).toBeLessThan(1e-6);
      }),
    );
  });

  test('a point to a segment: Line3.closestPointToPoint', () => {
    fc.assert(
      fc.property(point, point, point, (a, b, p) => {
        const theirs = new Line3(three(a), three(b)).closestPointToPoint(
          three(p),
          true,
          new Vector3(),
        );
        const [share] = segmentShares(a, b, p, p);
        expect(
          Math.abs(distance(along(a, b, share), p) - theirs.distanceTo(three(p))),
        ).toBeLessThan(1e-6);
      }),
    );
  });

  test('two segments: Line3.distanceSqToLine3', () => {
    fc.assert(
      fc.property(point, point, point, point, (a, b, c, d) => {
        const [s, t] = segmentShares(a, b, c, d);
        const theirs = Math.sqrt(
          new Line3(three(a), three(b)).distanceSqToLine3(new Line3(three(c), three(d))),
        );
        expect(Math.abs(distance(along(a, b, s), along(c, d, t)) - theirs)).toBeLessThan(1e-5);
      }),
    );
  });

  test('a segment to any solid is no further than any point of it, and as near as its own two points say', () => {
    fc.assert(
      fc.property(fc.oneof(box, rod, drum), point, point, (solid, from, to) => {
        const gap = segmentGap(solid, from, to);
        expect(distance(gap.onLine, gap.onThing)).toBeCloseTo(gap.distanceMm, 5);
        expect(distance(along(from, to, gap.share), gap.onLine)).toBeLessThan(1e-6);
        for (let i = 0; i <= 50; i++) {
          const p = along(from, to, i / 50);
          expect(distance(p, nearestOn(solid, p))).toBeGreaterThanOrEqual(gap.distanceMm - 1e-6);
        }
        expect(boxGap(boxOf(solid), from, to)).toBeLessThanOrEqual(gap.distanceMm + 1e-6);
      }),
    );
  });
});

const thing = (shape: Shape, patch: Partial<Thing> = {}): Thing => ({
  id: 't',
  name: 'T',
  kind: 'rail',
  shape,
  nature: 'solid',
  keepMm: 0,
  holds: true,
  surfaceC: null,
  travel: null,
  ...patch,
});
const RAIL: Shape = {
  kind: 'bar',
  section: 'box',
  pathMm: [
    [0, -400, 500],
    [1000, -400, 500],
    [2000, -450, 560],
  ],
  widthMm: 60,
  heightMm: 100,
  wallMm: 4,
  opens: 'left',
};

describe('things by hand', () => {
  test('a rail 60 wide and 100 high: 70 beside its middle is 40 from its face, 80 above is 30', () => {
    const rail = obstacleOf(thing(RAIL));
    expect(gapTo(rail, [200, -470, 500], [800, -470, 500], 1000)!.distanceMm).toBeCloseTo(40, 6);
    expect(gapTo(rail, [200, -400, 580], [800, -400, 580], 1000)!.distanceMm).toBeCloseTo(30, 6);
    expect(gapTo(rail, [200, -470, 500], [800, -470, 500], 39)).toBeNull();
  });

  test('inside a channel a line is near its web and flanges, not in solid steel', () => {
    const channel = (opens: 'left' | 'right'): Shape =>
      ({ ...RAIL, section: 'channel', opens }) as Shape;
    const near = (opens: 'left' | 'right', y: number): number =>
      gapTo(obstacleOf(thing(channel(opens))), [200, y, 500], [800, y, 500], 1000)!.distanceMm;
    // Open to the left (toward -y): the web stands at y -370 less its 4 mm, so the middle is 26 away from it.
    expect(near('left', -400)).toBeCloseTo(26, 6);
    expect(near('right', -400)).toBeCloseTo(26, 6);
    // Its open face is open, its back is not: at y -430 it leaves the open side 46 mm under the flanges and 56 from the web.
    expect(near('left', -431)).toBeCloseTo(Math.hypot(46, 1), 4);
    expect(near('right', -431)).toBeCloseTo(1, 6);
  });

  test('a wheel is a drum: beside its face and before its tread', () => {
    const wheel = obstacleOf(
      thing({
        kind: 'wheel',
        centreMm: [0, 700, 330],
        axis: [0, 1, 0],
        radiusMm: 330,
        widthMm: 200,
      }),
    );
    expect(gapTo(wheel, [-100, 580, 330], [100, 580, 330], 500)!.distanceMm).toBeCloseTo(20, 6);
    expect(gapTo(wheel, [400, 700, 0], [400, 700, 600], 500)!.distanceMm).toBeCloseTo(70, 6);
  });

  test('an axle that heaves and rolls sweeps what is above and below it, and nothing is missed between', () => {
    const beam: Shape = {
      kind: 'bar',
      section: 'round',
      pathMm: [
        [0, -700, 330],
        [0, 700, 330],
      ],
      widthMm: 80,
      heightMm: 80,
      wallMm: 8,
      opens: 'left',
    };
    const travel: Travel = { heaveMm: [-80, 60], rollDeg: 4, lockDeg: 0, aboutMm: [0, 0, 330] };
    const moving = obstacleOf(thing(beam, { travel }));
    // At full bump the top of the beam stands at 330 + 60 + 40 over the middle.
    const over = gapTo(moving, [0, 0, 480], [10, 0, 480], 500)!.distanceMm;
    expect(over).toBeLessThanOrEqual(50 + 1e-6);
    expect(over).toBeGreaterThan(50 - 12);
    // Out at the wheel the roll adds 700·sin 4°.
    const out = gapTo(moving, [0, 700, 600], [1, 700, 600], 500)!.distanceMm;
    expect(out).toBeLessThan(600 - 430 - 700 * Math.sin((4 * Math.PI) / 180) + 4);
    // Whatever pose between: never nearer than the envelope says.
    const { solids } = envelopeOf(solidsOf(beam), null);
    fc.assert(
      fc.property(
        fc.double({ min: -80, max: 60, noNaN: true }),
        fc.double({ min: -4, max: 4, noNaN: true }),
        point,
        (heave, roll, p) => {
          const back = add(
            [0, 0, 330],
            rotate(sub(sub(p, [0, 0, heave]), [0, 0, 330]), [1, 0, 0], -roll),
          );
          const true_ = Math.min(...solids.map((solid) => distance(back, nearestOn(solid, back))));
          const said = gapTo(moving, p, addScaled(p, [1, 0, 0], 1e-3), 1e6)!.distanceMm;
          expect(said).toBeLessThanOrEqual(true_ + 1e-2);
          expect(said).toBeGreaterThanOrEqual(true_ - 400);
        },
      ),
    );
  });

  test('a steered wheel reaches further in at lock', () => {
    const shape: Shape = {
      kind: 'wheel',
      centreMm: [0, 700, 330],
      axis: [0, 1, 0],
      radiusMm: 330,
      widthMm: 200,
    };
    const at = (lockDeg: number): number =>
      gapTo(
        obstacleOf(
          thing(shape, {
            travel: { heaveMm: [0, 0], rollDeg: 0, lockDeg, aboutMm: [0, 700, 330] },
          }),
        ),
        [250, 400, 330],
        [350, 400, 330],
        1000,
      )!.distanceMm;
    expect(at(35)).toBeLessThan(at(0) - 50);
  });
});

describe('how near a tube comes along its length', () => {
  const exhaust = obstacleOf(
    thing(
      {
        kind: 'pipe',
        pathMm: [
          [1000, -1000, 500],
          [1000, 1000, 500],
        ],
        diameterMm: 60,
      },
      { kind: 'exhaust', nature: 'hot', keepMm: 150 },
    ),
  );
  const points: Vec3[] = [
    [0, 0, 700],
    [2000, 0, 700],
  ];

  test('surface to surface, where along the tube, and between which points', () => {
    const found = clearanceTo(exhaust, points, 4.7625, 500)!;
    expect(found.distanceMm).toBeCloseTo(200 - 30 - 4.7625 / 2, 6);
    expect(found.atMm).toBeCloseTo(1000, 4);
    expect(found.onThing).toEqual([
      expect.closeTo(1000, 3),
      expect.closeTo(0, 3),
      expect.closeTo(530, 3),
    ]);
    expect(clearanceTo(exhaust, points, 4.7625, 100)).toBeNull();
  });

  test('a stretch of it alone', () => {
    const found = clearanceTo(exhaust, points, 4.7625, 2000, 0, 400)!;
    expect(found.atMm).toBeCloseTo(400, 6);
    expect(found.distanceMm).toBeCloseTo(Math.hypot(600, 200) - 30 - 4.7625 / 2, 6);
  });

  test('what lies within a distance, to a step of the length', () => {
    // 300 mm from the axis at 200 above it is √(300² - 200²) = 223.6 to either side.
    const [[from, to]] = stretchesNear(exhaust, points, 0, 270) as [[number, number]];
    expect(from).toBeGreaterThan(1000 - 223.6 - 10);
    expect(from).toBeLessThanOrEqual(1000 - 223.6);
    expect(to).toBeGreaterThanOrEqual(1000 + 223.6);
    expect(to).toBeLessThan(1000 + 223.6 + 10);
    expect(stretchesNear(exhaust, points, 0, 100)).toEqual([]);
  });

  test('every kind of thing begins with a nature of its own', () => {
    expect(THING_SPECS.exhaust).toMatchObject({ nature: 'hot', keepMm: 150 });
    expect(
      Object.values(THING_SPECS)
        .filter((spec) => spec.holds)
        .map((spec) => spec.name),
    ).toEqual(['Rail', 'Cross member', 'Body floor']);
    expect(scale([1, 2, 3], 0)).toEqual([0, 0, 0]);
  });
});
