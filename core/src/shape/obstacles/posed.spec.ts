import fc from 'fast-check';
import { distance, type Vec3 } from '../../lib/vec/index.ts';
import { gapTo, obstacleOf, solidsOf, thingAt, type Solid, type Thing } from './index.ts';
import { newThing } from './fresh.ts';

const TRAVEL = {
  heaveMm: [-70, 60] as const,
  rollDeg: 4,
  lockDeg: 30,
  aboutMm: [0, 0, 335] as Vec3,
};
const things: Thing[] = (['wheel', 'axle', 'exhaust'] as const).map((kind) => ({
  ...newThing(kind, kind, kind),
  travel: TRAVEL,
}));
const middle = (solid: Solid): Vec3 =>
  solid.kind === 'rod'
    ? (solid.from.map((v, i) => (v + solid.to[i]!) / 2) as unknown as Vec3)
    : solid.center;
const share = fc.double({ min: -1, max: 1, noNaN: true });

describe('a thing as it stands in one pose', () => {
  test('at rest it is itself, and one that does not move is handed back', () => {
    for (const thing of things) {
      const rest = thingAt(thing, () => ({ heaveMm: 0, rollDeg: 0, lockDeg: 0 }));
      solidsOf(rest.shape).forEach((solid, i) =>
        expect(distance(middle(solid), middle(solidsOf(thing.shape)[i]!))).toBeLessThan(1e-9),
      );
    }
    const still = newThing('t', 'tank', 'tank');
    expect(thingAt(still, () => ({ heaveMm: 50, rollDeg: 0, lockDeg: 0 }))).toBe(still);
  });
  test('wherever it stands, its envelope holds it', () => {
    fc.assert(
      fc.property(fc.constantFrom(...things), share, share, share, (thing, heave, roll, lock) => {
        const posed = thingAt(thing, ({ heaveMm, rollDeg, lockDeg }) => ({
          heaveMm: heave < 0 ? -heave * heaveMm[0] : heave * heaveMm[1],
          rollDeg: roll * rollDeg,
          lockDeg: lock * lockDeg,
        }));
        expect(posed.travel).toBeNull();
        for (const solid of solidsOf(posed.shape)) {
          const at = middle(solid);
          expect(gapTo(obstacleOf(thing), at, at, 10)?.distanceMm).toBe(0);
        }
      }),
      { numRuns: 60 },
    );
  });
  test('blocks and meshes are lifted as they are', () => {
    const block = { ...newThing('b', 'b', 'tank'), travel: TRAVEL };
    const lifted = thingAt(block, () => ({ heaveMm: 40, rollDeg: 3, lockDeg: 0 }));
    if (lifted.shape.kind !== 'block' || block.shape.kind !== 'block')
      throw new Error('A tank is a block.');
    expect(lifted.shape.minMm).toEqual([
      block.shape.minMm[0],
      block.shape.minMm[1],
      block.shape.minMm[2] + 40,
    ]);
    const mesh: Thing = {
      ...block,
      shape: { kind: 'mesh', digest: 'd', scale: 25.4, atMm: [1, 2, 3] },
    };
    expect(thingAt(mesh, () => ({ heaveMm: -5, rollDeg: 0, lockDeg: 0 })).shape).toMatchObject({
      atMm: [1, 2, -2],
      scale: 25.4,
    });
  });
});
