import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Thing } from '../../shape/obstacles/index.ts';
import { readPlan } from '../../plan/file/index.ts';
import { distance, type Vec3 } from '../../lib/vec/index.ts';
import { slideAlong, slideTo } from './index.ts';

const { things } = readPlan(
  readFileSync(join(__dirname, '../../../../demo/gannet.firmline.json'), 'utf8'),
);
const bar = (pathMm: Vec3[]): Thing =>
  ({
    ...things.find((thing) => thing.shape.kind === 'bar' && thing.holds)!,
    shape: {
      kind: 'bar',
      section: 'box',
      pathMm,
      widthMm: 60,
      heightMm: 80,
      wallMm: 4,
      opens: 'left',
    },
  }) as Thing;
/** Straight aft for a metre, then up at 45°. */
const CRANKED = bar([
  [0, 0, 400],
  [1000, 0, 400],
  [1500, 0, 900],
]);

describe('a bracket slid along the rail beside it', () => {
  test('keeps its distance from the rail on a straight, and follows its crank', () => {
    expect(slideAlong([CRANKED], [500, 60, 420], 100)).toEqual([600, 60, 420]);
    // 400 mm of straight are left, 100 go up the slope.
    const [x, y, z] = slideAlong([CRANKED], [600, 60, 420], 500);
    expect([x, y, z].map((v) => Math.round(v * 1000) / 1000)).toEqual([1070.711, 60, 490.711]);
  });
  test('never comes off either end', () => {
    expect(slideAlong([CRANKED], [500, 60, 420], -2000)).toEqual([0, 60, 420]);
    expect(slideAlong([CRANKED], [500, 60, 420], 5000)).toEqual([1500, 60, 920]);
  });
  test('goes to what it is dragged toward, in steps of 5 mm, whatever side it is dragged to', () => {
    const from: Vec3 = [500, 60, 420];
    expect(slideTo([CRANKED], from, [633, 200, 300])).toBe(135);
    expect(slideTo([CRANKED], from, [500, -400, 420])).toBe(0);
    const by = slideTo([CRANKED], from, [1260, 60, 660]);
    const to = slideAlong([CRANKED], from, by);
    for (const more of [-5, 5])
      expect(
        distance(slideAlong([CRANKED], [0, 0, 400], 500 + by + more), [1260, 0, 660]),
      ).toBeGreaterThanOrEqual(
        distance(slideAlong([CRANKED], [0, 0, 400], 500 + by), [1260, 0, 660]) - 1e-9,
      );
    expect(to[1]).toBe(60);
  });
  test('the nearest of several is the one; with none beside it, it goes along the vehicle', () => {
    const across = bar([
      [480, 200, 420],
      [480, 900, 420],
    ]);
    expect(slideAlong([CRANKED, across], [500, 190, 420], 100)[1]).toBeCloseTo(290, 9);
    expect(slideAlong([across], [3000, 60, 420], -150)).toEqual([2850, 60, 420]);
    expect(slideTo([], [0, 0, 0], [63, 500, 0])).toBe(65);
  });
  test('what holds no bracket, such as an exhaust beside it, is not slid along', () => {
    const exhaust: Thing = {
      ...bar([
        [480, 60, 420],
        [480, 900, 420],
      ]),
      holds: false,
    };
    expect(slideAlong([CRANKED, exhaust], [500, 60, 400], 100)).toEqual([600, 60, 400]);
    const pipe = things.find(({ shape }) => shape.kind === 'pipe')!;
    const held: Thing = { ...pipe, holds: true };
    const at = pipe.shape.kind === 'pipe' ? pipe.shape.pathMm[0]! : ([0, 0, 0] as Vec3);
    expect(slideAlong([held], at, 100)).toEqual([at[0] + 100, at[1], at[2]]);
  });
});
