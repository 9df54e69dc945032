import fc from 'fast-check';
import { addScaled, angleDeg, distance, unit, type Vec3 } from '../../lib/vec/index.ts';
import { kingpinAxis, kingpinLean, mover, posesOf, RIDE, swingDeg, type Motion } from './index.ts';

const CORNER: Motion = {
  kind: 'corner',
  heaveMm: [-60, 50],
  aboutMm: [0, -200, 300],
  axis: [1, 0, 0.1],
  measuredAtMm: [0, -700, 280],
  rollDeg: 0,
  steer: { aboutMm: [0, -640, 280], axis: [0, 0.14, 0.99], lockDeg: [-30, 34] },
  floatMm: 8,
  floatAxis: [0, -1, 0],
};
const AXLE: Motion = {
  ...CORNER,
  kind: 'axle',
  aboutMm: [0, 0, 335],
  axis: [1, 0, 0],
  rollDeg: 4,
  steer: null,
  floatMm: 0,
};
const share = fc.double({ min: -1, max: 1, noNaN: true });
const place = fc.tuple(
  ...[0, 1, 2].map(() => fc.double({ min: -900, max: 900, noNaN: true })),
) as unknown as fc.Arbitrary<Vec3>;

describe('the moving end', () => {
  test('whatever the pose, places keep their distances and directions turn with them', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(CORNER, AXLE),
        share,
        share,
        share,
        place,
        place,
        (motion, heave, lock, roll, p, q) => {
          const { place: at, direction } = mover(motion, { heave, lock, roll, float: 0.5 })!;
          expect(distance(at(p), at(q))).toBeCloseTo(distance(p, q), 6);
          const d = unit([q[0] - p[0], q[1] - p[1], q[2] - p[2]]);
          if (d && distance(p, q) > 1) {
            const moved = unit([0, 1, 2].map((i) => at(q)[i]! - at(p)[i]!) as unknown as Vec3)!;
            expect(angleDeg(direction(d), moved)).toBeLessThan(1e-5);
          }
        },
      ),
    );
  });

  test('a kingpin leans as its angles say, inward on either side, and lifts the hub that it turns', () => {
    for (const y of [-600, 600]) {
      const axis = kingpinAxis(5, 12, y);
      expect(kingpinLean(axis, y).backDeg).toBeCloseTo(5, 9);
      expect(kingpinLean(axis, y).inwardDeg).toBeCloseTo(12, 9);
      expect(kingpinLean(axis.map((v) => -v) as unknown as Vec3, y).inwardDeg).toBeCloseTo(12, 9);
      expect(Math.sign(axis[1])).toBe(-Math.sign(y));
      // Textbook effect of a leaning kingpin: at either lock the wheel's own end is pushed below its ride height, so that the car rises.
      const motion: Motion = {
        ...CORNER,
        steer: { aboutMm: [0, y, 300], axis: kingpinAxis(0, 12, y), lockDeg: [-30, 30] },
        floatMm: 0,
      };
      const hub: Vec3 = [0, y * 1.2, 300];
      for (const lock of [-1, 1])
        expect(mover(motion, { ...RIDE, lock })!.place(hub)[2]).toBeLessThan(300 - 1);
    }
  });

  test('heave is measured at the wheel’s center, on an arm as on an axle', () => {
    for (const motion of [{ ...CORNER, steer: null, floatMm: 0 }, AXLE])
      for (const [heave, liftMm] of [
        [-1, -60],
        [0, 0],
        [0.5, 25],
        [1, 50],
      ] as const) {
        const { place: at } = mover(motion, { ...RIDE, heave })!;
        expect(at(motion.measuredAtMm)[2] - motion.measuredAtMm[2]).toBeCloseTo(liftMm, 9);
      }
  });

  test('an arm of a right angle swings by the arc sine of its lift, and cannot reach past its length', () => {
    // Arm level and square to a line fore and aft: lift = length · sin(swing).
    expect(swingDeg([0, -500, 0], [0, 0, 0], [1, 0, 0], 250)).toBeCloseTo(-30, 9);
    expect(swingDeg([0, -500, 0], [0, 0, 0], [1, 0, 0], 501)).toBeNull();
    expect(mover({ ...CORNER, heaveMm: [-900, 900] }, { ...RIDE, heave: 1 })).toBeNull();
  });

  test('what lies on the kingpin stays there at full lock, what lies off it goes round', () => {
    const { place: at } = mover({ ...CORNER, floatMm: 0 }, { ...RIDE, lock: 1 })!;
    const { aboutMm, axis } = CORNER.steer!;
    for (const along of [-100, 0, 200]) {
      const on = addScaled(aboutMm, unit(axis)!, along);
      expect(distance(at(on), on)).toBeLessThan(1e-9);
    }
    // A chord of the lock's angle, r·2·sin(17°).
    const off = addScaled(aboutMm, [1, 0, 0], 100);
    expect(distance(at(off), off)).toBeCloseTo(200 * Math.sin((17 * Math.PI) / 180), 9);
  });

  test('a sliding caliper goes its own way before it is carried', () => {
    const { place: at } = mover({ ...CORNER, steer: null }, { ...RIDE, float: 1 })!;
    expect(at([0, -500, 300])).toEqual([0, -508, 300]);
  });

  test('states are the corners of every range and their middles, ride first', () => {
    const counts = ([motion, count]: readonly [Motion, number]): void => {
      const poses = posesOf(motion);
      expect(poses).toHaveLength(count);
      expect(new Set(poses.map((one) => one.name)).size).toBe(count);
      expect(poses[0]!.pose).toEqual(RIDE);
    };
    counts([CORNER, 18]);
    counts([{ ...CORNER, floatMm: 0 }, 9]);
    counts([AXLE, 9]);
    counts([{ ...AXLE, steer: CORNER.steer }, 27]);
    counts([{ ...CORNER, kind: 'still' }, 1]);
  });
});
