import fc from 'fast-check';
import { InputError } from '../../lib/faults/index.ts';
import { missMm, withFixedBender, withHandBender, type Iron } from '../../testing/bench-work.ts';
import { bendTables, nodesOf } from '../../testing/random-lines.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import {
  formedRadiusMm,
  makeCard,
  springback,
  type Bender,
  type Card,
  type EndTooling,
} from './index.ts';

const END: EndTooling = { nutLengthMm: 16, clampMm: 22, flareExtraMm: 3 };
/** A bender that gives back 1.2° and 2 % of the angle kept; the card learns it from three test bends. */
const iron = (clampSide: Bender['clampSide']): Iron => ({
  dieRadiusMm: 14.5,
  referenceMm: 11,
  clampSide,
  kept: (dial) => (dial - 1.2) / 1.02,
});
const benderOf = ({ dieRadiusMm, referenceMm, clampSide, kept }: Iron): Bender => ({
  dieRadiusMm,
  referenceMm,
  clampSide,
  leastFeedMm: 10,
  shoeMm: 18,
  testBends: [30, 60, 95].map((dialDeg) => ({ dialDeg, gotDeg: kept(dialDeg) })),
});
const cardOf = (nodesMm: readonly Vec3[], bender: Bender, b: EndTooling = END): Card =>
  makeCard({ nodesMm, odMm: 4.76, bender, ends: { a: END, b }, trimMm: 20 });
const LINE: Vec3[] = [
  [0, 0, 0],
  [200, 0, 0],
  [200, 150, 0],
  [200, 150, 120],
];

describe('springback', () => {
  // By hand: (got, dial) = (45, 47), (90, 93): slope 46/45, offset 0. Dialling 93 for 90 on a 15 mm die forms 15.5 mm and takes
  // 24.35 mm of tube, against 23.56 for 15 mm and 90°.
  test('keeps the arc', () => {
    const bender: Bender = {
      ...benderOf(iron('a')),
      dieRadiusMm: 15,
      testBends: [
        { dialDeg: 46.5, gotDeg: 45 },
        { dialDeg: 93, gotDeg: 90 },
      ],
    };
    expect(formedRadiusMm(bender, 90)).toBeCloseTo(15.5, 9);
    expect(cardOf(LINE, bender).bends[0]!.arcMm).toBeCloseTo(24.35, 2);
  });

  test('is a least-squares line, and less where less is known', () => {
    // Bends (30, 31), (60, 62), (90, 92): means 60 and 61.667; slope (30·30.667 + 30·30.333)/1800 = 1.016667, offset 0.666667.
    const line = springback(
      [
        [31, 30],
        [62, 60],
        [92, 90],
      ].map(([dialDeg, gotDeg]) => ({ dialDeg: dialDeg!, gotDeg: gotDeg! })),
    );
    expect(line).toEqual({
      slope: expect.closeTo(1.016667, 5),
      offsetDeg: expect.closeTo(0.666667, 5),
    });
    expect(springback([{ dialDeg: 93, gotDeg: 90 }])).toEqual({ offsetDeg: 0, slope: 93 / 90 });
    expect(springback([])).toEqual({ offsetDeg: 0, slope: 1 });
  });
});

describe('a card followed step by step', () => {
  test.each(['a', 'b'] as const)(
    'ends at both ports, clamp on the %s side, fixed and hand bender',
    (clampSide) => {
      let followed = 0;
      fc.assert(
        fc.property(bendTables, (given) => {
          const nodesMm = nodesOf(given);
          const real = iron(clampSide);
          let card: Card;
          try {
            card = cardOf(nodesMm, benderOf(real));
          } catch (error) {
            if (error instanceof InputError) return;
            throw error;
          }
          followed++;
          for (const make of [withFixedBender, withHandBender]) {
            expect(
              missMm(
                make(card, real, END.flareExtraMm, END.flareExtraMm),
                nodesMm,
                card.bends[0]!.node,
              ),
            ).toBeLessThan(0.5);
          }
        }),
        { numRuns: 300 },
      );
      expect(followed).toBeGreaterThan(60);
    },
  );

  test('a card that ignores springback would miss', () => {
    const real = iron('a');
    const card = cardOf(LINE, { ...benderOf(real), testBends: [] });
    expect(missMm(withHandBender(card, real, 3, 3), LINE, 1)).toBeGreaterThan(3);
  });

  /*
   * Worked by hand on LINE without springback, R = 14.5 die, od 4.76. After bend 1 (90° in the x–y plane at (200, 0, 0)): end A lies
   * 200 square across from the new straight's center, 202.38 to its outside, and 0 over the bench. After bend 2 (plane y–z at x = 200):
   * end A lies 200 out of that plane and 150 + 2.38 from the new straight.
   */
  test('what to measure after each bend', () => {
    const card = cardOf(LINE, { ...benderOf(iron('a')), testBends: [] });
    expect(card.bends[0]!.check).toMatchObject({
      endToBendMm: expect.closeTo(202.38, 6),
      heightMm: expect.closeTo(0, 6),
    });
    expect(card.bends[1]!.check).toMatchObject({
      endToBendMm: expect.closeTo(152.38, 6),
      heightMm: expect.closeTo(200, 6),
    });
    // Tip to tip at the end: the far end still carries trim and flare extra, 120 + 20 + 3 beyond the last corner.
    expect(card.bends[1]!.check.tipToTipMm).toBeCloseTo(Math.hypot(200, 150, 143), 6);
  });
});

describe('the order of work', () => {
  const ids = (card: Card): string[] => [...card.stepIds];

  test('usual: flare B last, with trim', () => {
    const card = cardOf(LINE, benderOf(iron('a')));
    expect(ids(card)).toEqual([
      'cut',
      'deburr',
      'nut-a',
      'flare-a',
      'bend-1',
      'bend-2',
      'offer-up',
      'trim-b',
      'nut-b',
      'flare-b',
      'clean',
      'cap',
    ]);
    expect(card.stockCutMm).toBeCloseTo(card.cutMm + 20, 9);
  });

  test('a short end is flared before its last bend, without trim', () => {
    const nodes: Vec3[] = [
      [0, 0, 0],
      [200, 0, 0],
      [200, 150, 0],
      [200, 150, 50],
    ];
    const card = cardOf(nodes, benderOf(iron('a')), { ...END, clampMm: 30 });
    expect(card.room.b.room).toBe('flare-first');
    expect(ids(card)).toEqual([
      'cut',
      'deburr',
      'nut-a',
      'flare-a',
      'bend-1',
      'nut-b',
      'flare-b',
      'bend-2',
      'offer-up',
      'clean',
      'cap',
    ]);
    expect(card.stockCutMm).toBe(card.cutMm);
  });

  test('room at an end: short for the shoe, then trapped', () => {
    const room = (last: number): string =>
      cardOf(
        [
          [0, 0, 0],
          [200, 0, 0],
          [200, 150, 0],
          [200, 150, last],
        ],
        benderOf(iron('a')),
      ).room.b.room;
    expect([70, 50, 45, 25].map(room)).toEqual(['ok', 'flare-first', 'short', 'trapped']);
  });
});
