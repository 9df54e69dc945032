import fc from 'fast-check';
import { InputError } from '../../lib/faults/index.ts';
import { bendTables, nodesOf } from '../../testing/random-lines.ts';
import { threeLine } from '../../testing/three-line.ts';
import { distance, type Vec3 } from '../../lib/vec/index.ts';
import { bendTable, centerLine, offset, polyline, unbend, validateCenterLine } from './index.ts';

const faultOf = (run: () => unknown): InputError => {
  try {
    run();
  } catch (error) {
    if (error instanceof InputError) return error;
    throw error;
  }
  throw new Error('no fault');
};

describe('a center line into a bend table', () => {
  /*
   * Worked by hand: corners 200 along, 150 square to it, 120 up; R = 15, both bends 90°, so T = 15 and arc = 15·π/2 = 23.5619.
   * Straights: 200 − 15 = 185; 150 − 30 = 120; 120 − 15 = 105. Developed 185 + 23.5619 + 120 + 23.5619 + 105 = 457.1239;
   * cut with 2 mm for each flare 461.1239. Marks from the cut end: 2 + 185 = 187; 187 + 23.5619 + 120 = 330.5619.
   * Planes: x→y has normal +z, y→z has normal +x; from +z to +x about travel +y is +90° (z × x = y).
   */
  test('the hand-worked line', () => {
    const table = bendTable({
      nodesMm: [
        [0, 0, 0],
        [200, 0, 0],
        [200, 150, 0],
        [200, 150, 120],
      ],
      clrMm: 15,
      flareExtraMm: { a: 2, b: 2 },
    });
    expect(table.developedMm).toBeCloseTo(457.1239, 4);
    expect(table.cutMm).toBeCloseTo(461.1239, 4);
    expect(table.tailMm).toBe(105);
    expect(table.bends.map((b) => [b.feedMm, b.rotateDeg, b.tubeTurnDeg, b.bendDeg])).toEqual([
      [185, 0, 0, 90],
      [120, 90, -90, 90],
    ]);
    expect(table.bends.map((b) => b.markMm)).toEqual([187, expect.closeTo(330.5619, 4)]);
  });

  test('round trip with unbend on random lines', () => {
    fc.assert(
      fc.property(bendTables, (given) => {
        const nodesMm = nodesOf(given);
        const table = bendTable({ nodesMm, clrMm: given.clrMm });
        expect(table.bends).toHaveLength(given.bends.length);
        table.bends.forEach((bend, i) => {
          expect(bend.bendDeg).toBeCloseTo(given.bends[i]!.bendDeg, 6);
          expect(bend.feedMm).toBeCloseTo(given.bends[i]!.feedMm, 5);
          expect(
            Math.cos(((bend.rotateDeg - given.bends[i]!.rotateDeg) * Math.PI) / 180),
          ).toBeCloseTo(1, 9);
        });
        const back = unbend({ ...given, bends: table.bends, tailMm: table.tailMm }).nodesMm;
        back.forEach((node, i) => expect(distance(node, nodesMm[i]!)).toBeLessThan(1e-5));
      }),
      { numRuns: 400 },
    );
  });

  test('lengths agree with three’s curves on the same center lines', () => {
    fc.assert(
      fc.property(bendTables, (given) => {
        const nodesMm = nodesOf(given);
        const ours = bendTable({ nodesMm, clrMm: given.clrMm }).developedMm;
        const theirs = threeLine(nodesMm, given.clrMm);
        // Its arcs are measured by 200 chords, each short of its arc by θ²/24: at most 1e-5 of the arcs.
        const arcs = given.bends.reduce(
          (sum, b) => sum + (given.clrMm * b.bendDeg * Math.PI) / 180,
          0,
        );
        const short = Math.max(
          ...given.bends.map((b) => ((b.bendDeg * Math.PI) / 180 / 200) ** 2 / 24),
        );
        expect(Math.abs(ours - theirs.getLength())).toBeLessThan(1e-6 * ours + arcs * short);
      }),
      { numRuns: 200 },
    );
  });

  test('center line, polyline and table say the same length and meet tangent', () => {
    fc.assert(
      fc.property(bendTables, (given) => {
        const nodesMm = nodesOf(given);
        const pieces = centerLine(nodesMm, () => given.clrMm);
        expect(validateCenterLine(pieces)).toEqual([]);
        expect(pieces.at(-1)!.endMm).toBeCloseTo(
          bendTable({ nodesMm, clrMm: given.clrMm }).developedMm,
          6,
        );
        const points = polyline(pieces);
        const drawn = points.slice(1).reduce((sum, p, i) => sum + distance(p, points[i]!), 0);
        expect(pieces.at(-1)!.endMm / drawn).toBeLessThan(1 + 4e-4);
      }),
      { numRuns: 100 },
    );
  });

  test('nodes that do not turn are dropped, the numbering stays', () => {
    const table = bendTable({
      nodesMm: [
        [0, 0, 0],
        [100, 0, 0],
        [200, 0, 0],
        [200, 150, 0],
      ],
      clrMm: [9, 15],
    });
    expect(table.bends).toEqual([expect.objectContaining({ node: 2, feedMm: 185 })]);
    expect(
      bendTable({
        nodesMm: [
          [0, 0, 0],
          [3, 4, 0],
        ],
        clrMm: 15,
      }),
    ).toEqual({ developedMm: 5, cutMm: 5, tailMm: 5, bends: [] });
  });

  test.each<[string, Vec3[], number | number[], string, RegExp]>([
    [
      'a straight too short',
      [
        [0, 0, 0],
        [200, 0, 0],
        [200, 20, 0],
        [200, 20, 100],
      ],
      15,
      'nodesMm[2]',
      /nodes 1 and 2 there are 20 mm, and the bends need 30: 10 mm short/,
    ],
    [
      'an end straight too short',
      [
        [0, 0, 0],
        [10, 0, 0],
        [10, 90, 0],
      ],
      15,
      'nodesMm[1]',
      /5 mm short/,
    ],
    [
      'equal nodes',
      [
        [0, 0, 0],
        [0, 0, 0],
        [10, 90, 0],
      ],
      15,
      'nodesMm[1]',
      /same point/,
    ],
    [
      'a reversal',
      [
        [0, 0, 0],
        [100, 0, 0],
        [10, 0, 0],
      ],
      15,
      'nodesMm[1]',
      /doubles back at corner 1 \(180°\)/,
    ],
    [
      'a list of radii that does not match',
      [
        [0, 0, 0],
        [100, 0, 0],
        [100, 90, 0],
      ],
      [15, 15],
      'clrMm',
      /1 inner nodes and 2 radii/,
    ],
  ])('refuses %s', (_, nodesMm, clrMm, path, sentence) => {
    const fault = faultOf(() => bendTable({ nodesMm, clrMm }));
    expect(fault.path).toBe(path);
    expect(fault.message).toMatch(sentence);
  });

  test('a straight exactly used up is room enough', () => {
    expect(
      bendTable({
        nodesMm: [
          [0, 0, 0],
          [100, 0, 0],
          [100, 30, 0],
          [100, 30, 90],
        ],
        clrMm: 15,
      }).bends[1]!.feedMm,
    ).toBeCloseTo(0, 9);
  });
});

describe('unbend and offset', () => {
  test('unbend refuses a normal that leans on the direction', () => {
    const given = {
      startMm: [0, 0, 0],
      direction: [1, 0, 0],
      normal: [1, 0, 0.5],
      clrMm: 15,
      bends: [],
      tailMm: 80,
    } as const;
    expect(faultOf(() => unbend(given)).path).toBe('normal');
    expect(unbend({ ...given, normal: [0, 0, 1] }).nodesMm).toEqual([
      [0, 0, 0],
      [80, 0, 0],
    ]);
  });

  // Trade multipliers of a 30° offset, common practice: travel 2 x rise, advance 1.732 x rise.
  test('offset against the multipliers of the trade', () => {
    const found = offset({ riseMm: 40, bendDeg: 30, clrMm: 15 });
    expect(found.travelMm).toBeCloseTo(80, 9);
    expect(found.advanceMm).toBeCloseTo(40 * 1.7320508, 5);
    expect(found.gainMm).toBeCloseTo(4 * 15 * Math.tan(Math.PI / 12) - 2 * 15 * (Math.PI / 6), 9);
    const table = bendTable({
      nodesMm: [
        [0, 0, 0],
        [100, 0, 0],
        [100 + found.advanceMm, 40, 0],
        [400, 40, 0],
      ],
      clrMm: 15,
    });
    expect(table.bends[1]!.markMm - table.bends[0]!.markMm).toBeCloseTo(found.markToMarkMm, 9);
  });

  test('offset names the least rise', () => {
    expect(faultOf(() => offset({ riseMm: 1, bendDeg: 90, clrMm: 15 }))).toMatchObject({
      path: 'riseMm',
      message: expect.stringMatching(/rise of 30 mm/),
    });
    expect(offset({ riseMm: 30, bendDeg: 90, clrMm: 15 })).toMatchObject({
      straightMm: expect.closeTo(0, 9),
      advanceMm: 0,
    });
  });
});
