import fc from 'fast-check';
import { InputError } from '../../lib/faults/index.ts';
import { comesAs, isTaper, THREADS, threadByName } from '../stock/index.ts';
import { bandOf, basicOf, mate, type MateInput } from './index.ts';
import { alikesOf, identify } from './identify.ts';

const thread = (name: string) => threadByName(name)!;

describe('sizes', () => {
  // Basic sizes. Source: ISO 724 (M10x1: 9.350 and 8.917), ASME B1.1 (3/8-24: 0.3479 and 0.3299 in, 7/16-20: 0.4050 and 0.3834 in), all from memory.
  test.each([
    ['M10x1', 9.35, 8.917],
    ['M12x1.5', 11.026, 10.376],
    ['3/8-24 UNF', 0.3479 * 25.4, 0.3299 * 25.4],
    ['7/16-20 UNF', 0.405 * 25.4, 0.3834 * 25.4],
    // ISO 228-1 and ISO 7-1 (from memory): G 1/8 9.147 and 8.566, G 1/4 12.301 and 11.445.
    ['G 1/8', 9.147, 8.566],
    ['Rc 1/4', 12.301, 11.445],
  ])('%s: pitch diameter and minor', (name, pitchDiameter, minor) => {
    expect(Math.abs(basicOf(thread(name)).pitchDiameterMm - pitchDiameter)).toBeLessThan(0.003);
    expect(Math.abs(basicOf(thread(name)).minorMm - minor)).toBeLessThan(0.003);
  });
  // Pitch diameter of 1/8-27 NPT at E1: 0.37360 in. Source: ASME B1.20.1 (from memory).
  test('1/8-27 NPT at its hand-tight plane', () =>
    expect(basicOf(thread('1/8-27 NPT')).pitchDiameterMm).toBeCloseTo(9.489, 3));

  // Tolerance tables. Source: ISO 965-1/-2 (M10x1 6g major 9.794 to 9.974, 6H minor 8.917 to 9.153; M12x1.5 6g 11.732 to 11.968, M12x1.25 6g 11.760 to 11.972),
  // ASME B1.1 (3/8-24 2A major 0.3667 to 0.3739 in, 2B minor 0.330 to 0.340 in; 7/16-20 2A 0.4281 to 0.4362 in; 1/2-20 2A 0.4906 to 0.4987 in), all from memory.
  test.each([
    ['M10x1', 'male', 9.794, 9.974, 0.001],
    ['M10x1', 'female', 8.917, 9.153, 0.001],
    ['M12x1.5', 'male', 11.732, 11.968, 0.001],
    ['M12x1.25', 'male', 11.76, 11.972, 0.001],
    ['M12x1.5', 'female', 10.376, 10.676, 0.001],
    ['3/8-24 UNF', 'male', 0.3667 * 25.4, 0.3739 * 25.4, 0.003],
    ['3/8-24 UNF', 'female', 0.33 * 25.4, 0.34 * 25.4, 0.02],
    ['7/16-20 UNF', 'male', 0.4281 * 25.4, 0.4362 * 25.4, 0.003],
    ['1/2-20 UNF', 'male', 0.4906 * 25.4, 0.4987 * 25.4, 0.003],
  ] as const)('%s %s: least and most over the crests', (name, gender, least, most, within) => {
    const band = bandOf(thread(name), gender);
    expect(Math.abs(band.leastMm - least)).toBeLessThan(within);
    expect(Math.abs(band.mostMm - most)).toBeLessThan(within);
  });
});

describe('what thread is it', () => {
  test('a sound thread, read without error, is among the candidates by its own name', () => {
    for (const gender of ['male', 'female'] as const)
      for (const one of THREADS.filter((t) => comesAs(t, gender))) {
        const { leastMm, mostMm } = bandOf(one, gender);
        const found = identify({
          gender,
          diameterMm: (leastMm + mostMm) / 2,
          pitchMm: one.pitchMm,
          taper: isTaper(one),
        });
        expect(found.candidates[0]!.thread.replace('Rp', 'Rc')).toBe(one.name.replace('Rp', 'Rc'));
      }
  });
  // Common practice: 3/8-24 and M10x1 look alike; so do 1/8 NPT, G 1/8 and R 1/8.
  test('look-alikes of M10x1', () =>
    expect(alikesOf(thread('M10x1'), 'male')).toEqual([
      '3/8-24 UNF',
      '1/8-27 NPT',
      'G 1/8',
      'R 1/8',
    ]));
  test('by hand: two candidates, their weights from two normal densities', () => {
    // 9.6 mm and no pitch: the weights of 3/8-24 (9.4055 ± 0.0728) and of M10x1 (9.884 ± 0.0721) and others, worked out apart from the code.
    const found = identify({ gender: 'male', diameterMm: 9.65, taper: false });
    const density = (mid: number, band: number): number => {
      const s = Math.sqrt(0.05 ** 2 + band ** 2 / 12);
      return Math.exp(-((9.65 - mid) ** 2) / (2 * s * s)) / s;
    };
    // Majors: M10x1, M10x1.25 and M10x1.5 of 6g; 3/8-24 of 2A; G 1/8.
    const weights = {
      M10x1: density((9.794 + 9.974) / 2, 0.18),
      'M10x1.25': density(9.971 - 0.106, 0.212),
      'M10x1.5': density(9.968 - 0.118, 0.236),
      'G 1/8': density(9.728 - 0.107, 0.214),
    };
    const share = (name: keyof typeof weights): number =>
      found.candidates.find((c) => c.thread === name)!.confidence;
    for (const name of ['M10x1.25', 'M10x1.5', 'G 1/8'] as const)
      expect(
        Math.abs((share(name) / share('M10x1')) * (weights['M10x1'] / weights[name]) - 1),
      ).toBeLessThan(0.03);
    expect(found.candidates.reduce((sum, c) => sum + c.confidence, 0)).toBeCloseTo(1, 2);
  });
  test('readings that fit nothing say so and name the nearest', () => {
    expect(identify({ gender: 'male', diameterMm: 13.0, pitchMm: 1.0, taper: false })).toEqual({
      candidates: [],
      nearest: 'M14x1',
    });
  });
  test('pitch and threads an inch together are refused', () => {
    expect(() => identify({ gender: 'male', diameterMm: 10, pitchMm: 1, tpi: 24 })).toThrow(
      InputError,
    );
  });
});

describe('will they join, will they seal', () => {
  const join = (m: string, end: string, f: string, seat: string) =>
    mate({
      male: { thread: m, end: end as 'bubble' },
      female: { thread: f, seat: seat as 'bubble' },
    });
  // Common practice: what a counter and a workshop know of these pairs.
  test.each([
    ['3/8-24 UNF', 'double-flare-45', '3/8-24 UNF', 'inverted-flare-45', 'seals'],
    ['3/8-24 UNF', 'double-flare-45', 'M10x1', 'bubble', 'binds'],
    ['M10x1', 'bubble', '3/8-24 UNF', 'inverted-flare-45', 'will-not-start'],
    ['3/8-24 UNF', 'cone-37', '3/8-24 UNF', 'flare-37', 'seals'],
    ['3/8-24 UNF', 'cone-37', '3/8-24 UNF', 'inverted-flare-45', 'threads-but-will-not-seal'],
    ['M10x1', 'bubble', 'M10x1', 'inverted-flare-45', 'threads-but-will-not-seal'],
    ['M10x1', 'double-flare-45', 'M10x1', 'bubble', 'threads-but-will-not-seal'],
    ['M10x1', 'flat', 'M10x1', 'banjo-face', 'seals'],
    ['1/8-27 NPT', 'npt-taper', '1/8-27 NPT', 'npt-taper', 'seals'],
    ['R 1/8', 'bspt-taper', 'Rp 1/8', 'bspt-taper', 'seals'],
    ['R 1/8', 'bspt-taper', 'Rc 1/8', 'bspt-taper', 'seals'],
    ['R 1/8', 'bspt-taper', 'G 1/8', 'banjo-face', 'threads-but-will-not-seal'],
    ['G 1/8', 'flat', 'Rc 1/8', 'bspt-taper', 'threads-but-will-not-seal'],
    ['3/8-24 UNF', 'flat', '1/8-27 NPT', 'npt-taper', 'binds'],
    ['M9x1', 'bubble', 'M10x1', 'bubble', 'threads-but-will-not-seal'],
    ['M8x1', 'bubble', 'M10x1', 'bubble', 'will-not-start'],
  ] as const)('%s %s in %s %s: %s', (m, end, f, seat, verdict) => {
    const found = join(m, end, f, seat);
    expect(found.verdict).toBe(verdict);
    expect(found.reasons.length).toBeGreaterThan(0);
  });
  // 3/8-24 in M10x1 by hand: c = (9.3505 − 8.8376)/2; 2·c·tan 30°/0.05833 = 5.08 turns; overlap 0.530.
  test('turns until it binds', () => {
    const { turnsToBind, overlap } = join('3/8-24 UNF', 'double-flare-45', 'M10x1', 'bubble');
    expect([turnsToBind, overlap]).toEqual([expect.closeTo(5.076, 3), expect.closeTo(0.5303, 4)]);
  });
  test('whatever seals agrees in thread; a verdict never depends on the order it is asked in', () => {
    const males = THREADS.filter((t) => comesAs(t, 'male') && !isTaper(t) && t.family !== 'g');
    fc.assert(
      fc.property(
        fc.constantFrom(...males),
        fc.constantFrom(...males),
        fc.constantFrom('bubble', 'flat', 'cone-37'),
        (m, f, end) => {
          const seat = { bubble: 'bubble', flat: 'banjo-face', 'cone-37': 'flare-37' }[end]!;
          expect(join(m.name, end, f.name, seat).verdict === 'seals').toBe(m === f);
        },
      ),
    );
  });
  test.each([
    ['M11x1', 'bubble', 'M10x1', 'bubble', 'male.thread', /"M11x1" is not a thread in the catalog/],
    ['Rc 1/8', 'bspt-taper', 'Rc 1/8', 'bspt-taper', 'male.thread', /never a male/],
    ['1/8-27 NPT', 'bubble', 'M10x1', 'bubble', 'male.end', /is not made with a bubble/],
    [
      'M10x1',
      'bubble',
      '1/8-27 NPT',
      'bubble',
      'female.seat',
      /1\/8-27 NPT is not made with a bubble seat/,
    ],
  ] as const)('%s %s on %s %s is refused at %s', (m, end, f, seat, path, sentence) => {
    try {
      join(m, end, f, seat);
      throw new Error('not refused');
    } catch (error) {
      expect((error as InputError).path).toBe(path);
      expect((error as InputError).message).toMatch(sentence);
    }
  });
});

describe('what traps people at a parts counter', () => {
  const join = (thread: string, end: string, port: string, seat: string) =>
    mate({ male: { thread, end }, female: { thread: port, seat } } as MateInput);
  // By hand: E0 of 1/8-27 NPT 9.233 mm, D2 of M10x1 9.350; tan 30°·0.117 / (0.0593 + tan 30°·0.9407/16) = 0.73 turns.
  test('a taper of 1/8-27 starts in M10x1 by its small end and binds within a turn', () => {
    const found = join('1/8-27 NPT', 'npt-taper', 'M10x1', 'bubble');
    expect(found.verdict).toBe('binds');
    expect(found.turnsToBind).toBeCloseTo(0.73, 2);
  });
  // By hand: R 1/8 stands 4.0 mm before its gauge plane with 9.147 − 0.25 = 8.897 mm; tan 30°·0.4535 / (0.0929 + tan 30°·0.9071/16).
  test('so does R 1/8, two turns in', () => {
    expect(join('R 1/8', 'bspt-taper', 'M10x1', 'bubble').turnsToBind).toBeCloseTo(2.084, 2);
  });
  // SAE J512 (from memory): one thread, three seats.
  test.each([
    ['3/8-24 UNF', 'cone-45', 'flare-45', 'seals'],
    ['3/8-24 UNF', 'cone-45', 'flare-37', 'threads-but-will-not-seal'],
    ['3/8-24 UNF', 'cone-37', 'flare-45', 'threads-but-will-not-seal'],
    ['3/8-24 UNF', 'double-flare-45', 'flare-45', 'threads-but-will-not-seal'],
    ['7/16-20 UNF', 'cone-45', 'flare-37', 'threads-but-will-not-seal'],
    ['1/2-20 UNF', 'cone-45', 'flare-45', 'seals'],
  ])('%s: a %s on a %s %s', (thread, end, seat, verdict) =>
    expect(join(thread, end, thread, seat).verdict).toBe(verdict),
  );
  test('a 45° cone does not come on other threads', () => {
    expect(() => join('M10x1', 'cone-45', 'M10x1', 'bubble')).toThrow(
      /is not made with a 45° cone/,
    );
  });
  test('what never meets is not said to touch along a line', () => {
    expect(join('M10x1', 'banjo', 'M10x1', 'bubble').reasons.join()).toMatch(
      /The threads match, but the banjo with two washers never reaches the bubble seat, and leaks/,
    );
    expect(join('3/8-24 UNF', 'cone-37', '3/8-24 UNF', 'inverted-flare-45').reasons.join()).toMatch(
      /along a line/,
    );
  });
  // BS 84 (from memory): 3/8 BSF has 20 threads an inch of 55°; effective diameter 0.3430 in, core 0.3110 in.
  test('3/8-20 BSF has the sizes of its standard and is told from 3/8-24', () => {
    const basic = basicOf(threadByName('3/8-20 BSF')!);
    expect(basic.pitchDiameterMm / 25.4).toBeCloseTo(0.343, 4);
    expect(basic.minorMm / 25.4).toBeCloseTo(0.311, 4);
    expect(
      identify({ gender: 'male', diameterMm: 9.45, pitchMm: 1.27 }).candidates[0]!.thread,
    ).toBe('3/8-20 BSF');
  });
  test.each(['M6x1', 'M7x1', 'M11x1.5', 'M13x1.5', '1/4-28 UNF'])(
    '%s is in the catalog',
    (name) => {
      const { dMm, pitchMm } = threadByName(name)!;
      expect(
        identify({ gender: 'male', diameterMm: dMm - 0.1, pitchMm, pitchSigmaMm: 0.01 })
          .candidates[0]!.thread,
      ).toBe(name);
    },
  );
});
