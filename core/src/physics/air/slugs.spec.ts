import fc from 'fast-check';
import { cases } from '../../testing/cases.ts';
import { climbMmS, driftMmS, GLYCOL_FLUID } from './drift.ts';
import type { AirPipe } from './network.ts';
import { SlugPipe, type Slug } from './slugs.ts';

/** A straight pipe of 1 m from a height to another, mm. */
const straight = (fromMm: number, toMm: number, boreMm = 4.75): AirPipe => ({
  id: 'p',
  from: 'a',
  to: 'b',
  boreMm,
  profile: [
    [0, fromMm],
    [1000, toMm],
  ],
});
const wet = (pipe: AirPipe, ...slugs: Slug[]): SlugPipe => {
  const made = new SlugPipe(pipe, GLYCOL_FLUID, false);
  made.slugs = slugs;
  return made;
};
const none = (): number => 0;

describe('air in one pipe', () => {
  // π/4 · 4.75² · 1000 mm³ = 17.72 mL, by hand.
  test('a dry pipe is full of air, and what is full has nowhere to go', () => {
    const pipe = new SlugPipe(straight(0, 1000), GLYCOL_FLUID, true);
    expect(pipe.ml).toBeCloseTo(17.72, 2);
    expect([pipe.airMl, pipe.wetMm]).toEqual([pipe.ml, 0]);
    expect(pipe.isFull(pipe.slugs[0]!)).toBe(true);
    expect(pipe.climb(1, none)).toBe(false);
    // A quarter of it air: three quarters of its metre hold fluid.
    const quarter = wet(straight(0, 1000), { at: 0, ml: pipe.ml / 4 });
    expect(quarter.wetMm).toBeCloseTo(750, 6);
  });
  test('a bubble climbs upright as fast as it is said to, sideways not at all, and stops at the top', () => {
    const speed = climbMmS(6.35, GLYCOL_FLUID);
    expect(speed).toBeGreaterThan(10);
    const slug = (): Slug => ({ at: 3, ml: 2 });
    const up = wet(straight(0, 1000, 6.35), slug());
    up.climb(1, none);
    expect((up.slugs[0]!.at - 3) / up.mlPerMm).toBeCloseTo(speed, 4);
    const down = wet(straight(1000, 0, 6.35), slug());
    down.climb(0.1, none);
    expect((3 - down.slugs[0]!.at) / down.mlPerMm).toBeCloseTo(speed / 10, 4);
    const level = wet(straight(500, 500, 6.35), slug());
    expect(level.climb(60, none)).toBe(false);
    for (let i = 0; i < 1000; i++) up.climb(1, none);
    expect(up.slugs[0]!.at + 2).toBeCloseTo(up.ml, 9);
    expect(up.roomIn(-1)).toBeCloseTo(0, 9);
  });
  test('its slope is the mean under it: on a hump it goes to the top from either side', () => {
    const hump: AirPipe = {
      ...straight(0, 0, 6.35),
      profile: [
        [0, 0],
        [500, 200],
        [1000, 0],
      ],
    };
    for (const at of [2, 24]) {
      const pipe = wet(hump, { at, ml: 0.5 });
      const before = Math.abs(at + 0.25 - pipe.ml / 2);
      pipe.climb(0.5, none);
      expect(Math.abs(pipe.slugs[0]!.at + 0.25 - pipe.ml / 2)).toBeLessThan(before);
    }
    const slope = 200 / 500;
    const pipe = wet(hump, { at: 2, ml: 0.5 });
    expect(pipe.climbMmS(pipe.slugs[0]!)).toBeCloseTo(driftMmS(6.35, slope, 0.5, GLYCOL_FLUID), 9);
  });
  test('what goes on up from its end is taken from it, the rest follows', () => {
    const pipe = wet(straight(0, 1000, 6.35), { at: 31.2 - 2, ml: 2 });
    let given = 0;
    pipe.climb(5, (place, ml) => {
      expect(place).toBe('b');
      given += ml / 2;
      return ml / 2;
    });
    expect(given).toBeGreaterThan(0);
    expect(pipe.airMl + given).toBeCloseTo(2, 12);
  });
  test('slugs thrown in anywhere are set side by side, and nothing is made or lost', () => {
    const thrown = fc.array(
      fc.record({
        at: fc.double({ min: -5, max: 25, noNaN: true }),
        ml: fc.double({ min: 0, max: 6, noNaN: true }),
      }),
      { minLength: 1, maxLength: 8 },
    );
    fc.assert(
      fc.property(thrown, fc.constantFrom(1 as const, -1 as const), (slugs, dir) => {
        const pipe = wet(straight(0, 1000), ...slugs.map((slug) => ({ ...slug })));
        const before = pipe.airMl;
        // What goes over one end is pushed back from it, and what is too much for the pipe is said.
        const over = pipe.settle(dir) + pipe.settle(dir === 1 ? -1 : 1);
        expect(pipe.airMl + over).toBeCloseTo(before, 9);
        expect(pipe.airMl).toBeLessThanOrEqual(pipe.ml + 1e-9);
        // Settling leaves what is 1e-9 mL out of place; rounding comes on top.
        pipe.slugs.forEach(({ at, ml }, i) => {
          const last = pipe.slugs[i - 1];
          expect(at).toBeGreaterThanOrEqual((last ? last.at + last.ml : 0) - 2e-9);
          expect(at + ml).toBeLessThanOrEqual(pipe.ml + 2e-9);
        });
      }),
      {
        numRuns: cases(100, 3000),
        examples: [
          [[-1.0632327636992953, -1.0632327636992953 / 2].map((at) => ({ at, ml: 5e-324 })), -1],
        ],
      },
    );
  });
});
