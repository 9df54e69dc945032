import fc from 'fast-check';
import { InputError } from '../../lib/faults/index.ts';
import { tubeById, tubeVolumeMl } from '../../trade/stock/index.ts';
import { bleed, bottleMl, type BleedInput } from './index.ts';

/*
 * Worked by hand. Trunk 2600 mm, 22 mL; branches 620 mm, 5 mL and 905 mm, 8 mL; 6 mL at each cylinder; purge 3.
 * RR: 3505 mm, 22 + 8 + 6 = 36 mL, flush 3·36 = 108. RL: 3220 mm, 33 mL, the trunk is flushed already: 3·(5 + 6) = 33.
 * Fill 22 + 5 + 8 + 12 + 150 = 197; with 141 of flushing 338, so a bottle of 500.
 */
const REAR: BleedInput = {
  pipes: [
    { from: 'mc', to: 'tee', lengthMm: 2600, volumeMl: 22 },
    { from: 'rl', to: 'tee', lengthMm: 620, volumeMl: 5 },
    { from: 'tee', to: 'rr', lengthMm: 905, volumeMl: 8 },
  ],
  outlets: ['mc'],
  bleeders: [
    { id: 'RL', at: 'rl', cavityMl: 6 },
    { id: 'RR', at: 'rr', cavityMl: 6 },
  ],
  school: 'farthest-first',
  wetMl: 150,
  purge: 3,
};
const faultOf = (input: BleedInput): InputError => {
  try {
    bleed(input);
  } catch (error) {
    if (error instanceof InputError) return error;
    throw error;
  }
  throw new Error('no fault');
};

describe('order and amounts of bleeding', () => {
  test('the hand-worked rear circuit', () => {
    expect(bleed(REAR)).toEqual({
      order: [
        { id: 'RR', pathMm: 3505, pathMl: 36, flushMl: 108 },
        { id: 'RL', pathMm: 3220, pathMl: 33, flushMl: 33 },
      ],
      fillMl: 197,
      buyMl: 500,
    });
  });

  test('schools', () => {
    expect(bleed({ ...REAR, school: 'nearest-first' }).order.map((s) => s.id)).toEqual([
      'RL',
      'RR',
    ]);
    expect(
      bleed({ ...REAR, school: 'as-listed', listed: ['RL', 'RR'] }).order.map((s) => s.flushMl),
    ).toEqual([99, 42]);
    const even = { ...REAR, pipes: REAR.pipes.map((p) => ({ ...p, lengthMm: 700 })) };
    expect(bleed(even).order.map((s) => s.id)).toEqual(['RR', 'RL']);
    expect(bleed({ ...even, school: 'nearest-first' }).order.map((s) => s.id)).toEqual([
      'RR',
      'RL',
    ]);
  });

  test('the sum of all flushes is independent of the order (each pipe is flushed once)', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(['RL', 'RR'], { minLength: 2 }), (listed) => {
        expect(
          bleed({ ...REAR, school: 'as-listed', listed }).order.reduce(
            (sum, s) => sum + s.flushMl,
            0,
          ),
        ).toBeCloseTo(141, 9);
      }),
    );
  });

  test('a bleeder at an outlet, and a pipe to nowhere that only fills', () => {
    const found = bleed({
      ...REAR,
      pipes: [...REAR.pipes, { from: 'tee', to: 'gauge', lengthMm: 300, volumeMl: 2 }],
      bleeders: [...REAR.bleeders, { id: 'M', at: 'mc', cavityMl: 1 }],
    });
    expect(found.order.at(-1)).toEqual({ id: 'M', pathMm: 0, pathMl: 1, flushMl: 3 });
    expect(found.fillMl).toBe(200);
  });

  test('bottles', () =>
    expect([1, 250, 250.1, 500, 501, 1000, 1000.5, 2001].map(bottleMl)).toEqual([
      250, 250, 500, 500, 1000, 1000, 2000, 3000,
    ]));

  test.each<[string, Partial<BleedInput>, string, RegExp]>([
    [
      'a loop',
      { pipes: [...REAR.pipes, { from: 'rr', to: 'rl', lengthMm: 1, volumeMl: 0 }] },
      'pipes[3]',
      /rr to rl closes a loop/,
    ],
    [
      'a bleeder that no pipe reaches',
      { bleeders: [{ id: 'FL', at: 'fl', cavityMl: 1 }] },
      'bleeders[0].at',
      /No line brings fluid to FL/,
    ],
    [
      'a bleeder fed twice',
      { outlets: ['mc', 'rl'] },
      'bleeders[0].at',
      /fed from two outlets, mc and rl/,
    ],
    [
      'a list that names nobody',
      { school: 'as-listed', listed: ['RL', 'XX'] },
      'listed[1]',
      /No bleeder is called "XX"/,
    ],
    ['a list with one twice', { school: 'as-listed', listed: ['RL', 'RL'] }, 'listed[1]', /twice/],
    [
      'a list that is not complete',
      { school: 'as-listed', listed: ['RL'] },
      'listed',
      /"RR" is not in the list/,
    ],
    [
      'no list',
      { school: 'as-listed' },
      'listed',
      /Order “as listed” needs a list with each bleeder once/,
    ],
  ])('refuses %s', (_, change, path, sentence) => {
    const fault = faultOf({ ...REAR, ...change });
    expect(fault.path).toBe(path);
    expect(fault.message).toMatch(sentence);
  });
});

describe('fluid in tube', () => {
  // 3/16 x 0.028 in: bore 3.340 mm, 8.76 mL/m, 2.67 mL/ft; 1/4 x 0.028 in: 19.07 mL/m. Arithmetic: π/4·bore².
  test.each([
    ['3-16-steel', 1000, 8.76],
    ['3-16-copper-nickel', 304.8, 2.67],
    ['1-4-stainless', 1000, 19.07],
  ])('%s', (id, lengthMm, ml) => {
    expect(tubeVolumeMl(tubeById(id)!, lengthMm)).toBeCloseTo(ml, 2);
  });
});
