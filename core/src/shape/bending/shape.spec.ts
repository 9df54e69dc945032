import fc from 'fast-check';
import { bendTable, unbend } from '../tube/index.ts';
import { distance, type Vec3 } from '../../lib/vec/index.ts';
import { bent, heldAs, ON_THE_BENCH, readingOf, type MadeBend } from './index.ts';

const bend = fc.record({
  feedMm: fc.double({ min: 5, max: 200, noNaN: true }),
  rotateDeg: fc.double({ min: -180, max: 180, noNaN: true }),
  bendDeg: fc.double({ min: 5, max: 120, noNaN: true }),
});
/** Bends with marks along the tube, and the length up to the end of the last. */
function marked(
  bends: readonly { feedMm: number; rotateDeg: number; bendDeg: number }[],
  clrMm: number,
): { made: MadeBend[]; usedMm: number } {
  let run = 0;
  const made = bends.map(({ feedMm, rotateDeg, bendDeg }, i) => {
    const markMm = run + feedMm;
    run = markMm + (clrMm * bendDeg * Math.PI) / 180;
    return { markMm, rotateDeg: i ? rotateDeg : 0, bendDeg };
  });
  return { made, usedMm: run };
}

describe('a bent tube', () => {
  test('has its corners where the inverse bend table has them, whatever its bends', () => {
    fc.assert(
      fc.property(
        fc.array(bend, { minLength: 1, maxLength: 6 }),
        fc.double({ min: 5, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 300, noNaN: true }),
        (bends, clrMm, tailMm) => {
          const { made, usedMm } = marked(bends, clrMm);
          const tube = bent(made, clrMm, usedMm + tailMm);
          const { nodesMm } = unbend({
            startMm: [0, 0, 0],
            direction: [1, 0, 0],
            normal: [0, 0, 1],
            clrMm,
            tailMm,
            bends: bends.map((one, i) => ({ ...one, rotateDeg: i ? one.rotateDeg : 0 })),
          });
          tube.cornersMm.forEach((corner, i) =>
            expect(distance(corner, nodesMm[i + 1]!)).toBeLessThan(1e-6),
          );
          expect(tube.tailMm).toBeCloseTo(tailMm, 6);
        },
      ),
      { numRuns: 200, seed: 4 },
    );
  });

  test('held as planned it lies along its nodes again', () => {
    const nodes: Vec3[] = [
      [10, 20, 30],
      [210, 20, 30],
      [210, 170, 30],
      [210, 170, 150],
      [430, 170, 190],
    ];
    const { bends, developedMm } = bendTable({ nodesMm: nodes, clrMm: 15 });
    const tube = bent(bends, 15, developedMm, heldAs(nodes));
    tube.cornersMm.forEach((corner, i) =>
      expect(distance(corner, nodes[i + 1]!)).toBeLessThan(1e-9),
    );
    const tip = tube.lastMm.map((v, i) => v + tube.way[i]! * tube.tailMm) as unknown as Vec3;
    expect(distance(tip, nodes.at(-1)!)).toBeLessThan(1e-9);
  });

  test('a radius for each bend counts at its own bend', () => {
    const made: MadeBend[] = [
      { markMm: 100, rotateDeg: 0, bendDeg: 90 },
      { markMm: 200, rotateDeg: 0, bendDeg: 90 },
    ];
    const [one, two] = [bent(made, 15, 400), bent(made, [15, 20], 400)];
    expect(two.cornersMm[0]).toEqual(one.cornersMm[0]);
    // The second corner lies its own tangent length on: 5 mm further for a radius 5 mm larger at a right angle.
    expect(distance(one.cornersMm[1]!, two.cornersMm[1]!)).toBeCloseTo(5, 9);
  });

  // By hand: 100 straight, a right angle of radius 15, 100 straight: the corner lies 115 from A, the tip 115 on.
  test('its reading by hand: a right angle', () => {
    const made: MadeBend[] = [{ markMm: 100, rotateDeg: 0, bendDeg: 90 }];
    const cutMm = 100 + (15 * Math.PI) / 2 + 100;
    const reading = readingOf(bent(made, 15, cutMm, ON_THE_BENCH), [0, 0, 0], 5);
    expect(reading.endToBendMm).toBeCloseTo(115 + 2.5, 9);
    expect(reading.heightMm).toBeCloseTo(0, 9);
    expect(reading.tipToTipMm).toBeCloseTo(115 * Math.SQRT2, 9);
  });
});
