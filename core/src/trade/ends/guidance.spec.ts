import {
  comesAs,
  isTaper,
  nutById,
  NUTS,
  threadByName,
  THREADS,
  threadTakes,
  type EndForm,
  type Half,
  type SeatForm,
} from '../stock/index.ts';
import { mate } from '../threads/index.ts';
import {
  consumablesOf,
  endFor,
  guidanceFor,
  halfOfNut,
  jointBetween,
  likelyTorqueNm,
  seatFrom,
  turningOf,
} from './index.ts';

const male = (thread: string, end: EndForm): Half => ({ gender: 'male', thread, end });
const female = (thread: string, seat: SeatForm): Half => ({ gender: 'female', thread, seat });

describe('what a joint uses up', () => {
  // Common practice: two new washers a banjo, one for a flat end, sealant on taper pipe threads and nowhere else.
  test.each<[string, Half, Half, string, number]>([
    [
      'a banjo',
      male('M10x1', 'banjo'),
      female('M10x1', 'banjo-face'),
      'Sealing washer, M10 bore',
      2,
    ],
    [
      'an inch banjo',
      male('3/8-24 UNF', 'banjo'),
      female('3/8-24 UNF', 'banjo-face'),
      'Sealing washer, 3/8 bore',
      2,
    ],
    [
      'a flat end',
      male('M12x1.5', 'flat'),
      female('M12x1.5', 'banjo-face'),
      'Crush washer, M12 bore',
      1,
    ],
    [
      'an O-ring boss',
      male('7/16-20 UNF', 'o-ring-boss'),
      female('7/16-20 UNF', 'o-ring-boss'),
      'O-ring for 7/16-20 UNF',
      1,
    ],
    [
      'NPT',
      male('1/8-27 NPT', 'npt-taper'),
      female('1/8-27 NPT', 'npt-taper'),
      'Thread sealant for brake fluid',
      1,
    ],
    [
      'R in Rp',
      male('R 1/8', 'bspt-taper'),
      female('Rp 1/8', 'bspt-taper'),
      'Thread sealant for brake fluid',
      1,
    ],
  ])('%s', (_, near, far, what, count) => {
    expect(consumablesOf(jointBetween(near, far))).toEqual([{ what, count }]);
    expect(consumablesOf(jointBetween(far, near))).toEqual([{ what, count }]);
  });

  test('a flare seals metal on metal: nothing is used up, whatever its thread', () => {
    for (const nut of NUTS) {
      const half = halfOfNut(nut);
      const seat =
        half.gender === 'female'
          ? male(nut.thread, 'cone-37')
          : female(nut.thread, half.end === 'bubble' ? 'bubble' : 'inverted-flare-45');
      const joint = jointBetween(seat, half);
      expect([nut.id, joint.verdict, consumablesOf(joint)]).toEqual([nut.id, 'seals', []]);
    }
  });

  test('sealant is named on tapers only, through the whole catalog', () => {
    for (const thread of THREADS) {
      for (const seat of [
        'banjo-face',
        'o-ring-boss',
        'bubble',
        'npt-taper',
        'bspt-taper',
      ] as const) {
        const end = seat === 'banjo-face' ? 'banjo' : seat;
        if (
          !threadTakes(thread, seat) ||
          !threadTakes(thread, end) ||
          !comesAs(thread, 'male') ||
          !comesAs(thread, 'female')
        )
          continue;
        const wants = consumablesOf(
          jointBetween(male(thread.name, end), female(thread.name, seat)),
        ).some((c) => c.what.includes('sealant'));
        expect([thread.name, wants && !isTaper(thread)]).toEqual([thread.name, false]);
      }
    }
  });

  test('two of one gender make no joint and use nothing up', () => {
    const joint = jointBetween(male('M10x1', 'bubble'), male('M10x1', 'bubble'));
    expect(joint).toMatchObject({ join: null, verdict: 'will-not-start', turnsToBind: null });
    expect([consumablesOf(joint), guidanceFor(joint), likelyTorqueNm(joint)]).toEqual([
      [],
      'See the maker’s sheet.',
      null,
    ]);
  });
});

describe('how it is tightened where no sheet says so', () => {
  const flared = jointBetween(male('M10x1', 'bubble'), female('M10x1', 'bubble'));

  test('no figure of torque is ever given, only turns or the sheet', () => {
    const joints = [
      flared,
      jointBetween(male('3/8-24 UNF', 'cone-37'), female('3/8-24 UNF', 'flare-37')),
      jointBetween(male('1/8-27 NPT', 'npt-taper'), female('1/8-27 NPT', 'npt-taper')),
      jointBetween(male('M10x1', 'banjo'), female('M10x1', 'banjo-face')),
      jointBetween(male('7/16-20 UNF', 'o-ring-boss'), female('7/16-20 UNF', 'o-ring-boss')),
    ];
    const words = joints.map(guidanceFor);
    for (const text of words) expect(text).not.toMatch(/\d+ ?(N|lbf)/);
    expect(new Set(words).size).toBe(joints.length);
    expect(words[2]).toMatch(/Never back off to line up/);
  });

  // Tables after SAE J514, from memory: -4 two flats, -6 one and a quarter; larger ones are left to the maker.
  test('37° nuts go by flats of their size from where the wrench meets resistance', () => {
    const of = (thread: string): string =>
      guidanceFor(jointBetween(male(thread, 'cone-37'), female(thread, 'flare-37')));
    expect(of('7/16-20 UNF')).toMatch(/meets resistance, then about two flats .* maker’s/);
    expect(of('9/16-18 UNF')).toMatch(/one and a quarter flats/);
    expect(of('3/4-16 UNF')).not.toMatch(/flats/);
  });

  test('the range that is questioned grows with the thread and holds what such nuts mostly take', () => {
    const at = (thread: string): { least: number; most: number } =>
      likelyTorqueNm(jointBetween(male(thread, 'bubble'), female(thread, 'bubble')))!;
    // Common practice: an M10x1 brake nut takes about 14 to 18 N·m, an M12x1 about 17 to 25.
    expect(at('M10x1').least).toBeLessThan(14);
    expect(at('M10x1').most).toBeGreaterThan(18);
    expect(at('M12x1').most).toBeGreaterThan(at('M10x1').most);
    expect(at('M8x1.25').most).toBeLessThan(at('M10x1').most);
    // 168 N·m is a wheel nut.
    for (const thread of THREADS.filter((t) => threadTakes(t, 'bubble')))
      expect(at(thread.name).most).toBeLessThan(168);
  });

  test('nuts, sleeves and swivels turn alone, banjos are set, all else turns the line', () => {
    expect([
      turningOf(male('M10x1', 'bubble')),
      turningOf(female('3/8-24 UNF', 'flare-37')),
    ]).toEqual(['swivel', 'swivel']);
    expect(turningOf(male('M10x1', 'banjo'))).toBe('banjo');
    expect([
      turningOf(male('1/8-27 NPT', 'npt-taper')),
      turningOf(female('M10x1', 'bubble')),
    ]).toEqual(['fixed', 'fixed']);
  });
});

describe('the end that a port needs', () => {
  test.each<[Half, number, string]>([
    [female('M10x1', 'bubble'), 4.7625, 'M10x1-bubble'],
    [female('M10x1', 'inverted-flare-45'), 4.75, 'M10x1-inverted'],
    [female('3/8-24 UNF', 'inverted-flare-45'), 4.7625, '3/8-24-inverted'],
    [female('7/16-24 UNS', 'inverted-flare-45'), 6.35, '7/16-24-inverted'],
    [male('3/8-24 UNF', 'cone-37'), 4.7625, '-3-sleeve'],
    [male('7/16-20 UNF', 'cone-37'), 6.35, '-4-sleeve'],
  ])('%j takes tube of %d mm with %s and nothing between', (port, odMm, nutId) => {
    const [best] = endFor(port, odMm);
    expect(best).toMatchObject({ nutId, chain: { joints: 1, parts: [] } });
  });

  test('every end that is offered seals at every joint, and the list runs from few joints to many', () => {
    for (const port of [
      female('1/8-27 NPT', 'npt-taper'),
      female('M12x1', 'bubble'),
      female('M10x1', 'banjo-face'),
      female('G 1/8', 'banjo-face'),
    ]) {
      const found = endFor(port, 4.7625);
      expect(found.length).toBeGreaterThan(0);
      const joints = found.map((choice) => choice.chain.joints);
      expect(joints).toEqual([...joints].sort((a, b) => a - b));
      for (const { chain } of found)
        for (const join of chain.joins) expect(mate(join).verdict).toBe('seals');
    }
  });

  test('a port for a size of tube that is not stocked there still says which nut it would take', () => {
    expect(
      endFor(female('5/8-18 UNF', 'inverted-flare-45'), 4.7625).every(
        (choice) => choice.chain.joints > 1,
      ),
    ).toBe(true);
    expect(threadByName('7/16-24 UNS')).toBeDefined();
  });
});

describe('what a joint of each kind takes', () => {
  const likely = (thread: string, end: EndForm, seat: SeatForm) =>
    likelyTorqueNm(
      jointBetween({ gender: 'male', thread, end }, { gender: 'female', thread, seat }),
    )!;
  // Common practice: a steel banjo bolt of M10 takes 35 N·m and an aluminum one 12 to 20; a 3/8-24 tube nut 14 to 20, and 29 is not usual.
  test('banjo bolts take more than tube nuts of the same thread', () => {
    const banjo = likely('M10x1', 'banjo', 'banjo-face');
    expect(banjo.most).toBeGreaterThanOrEqual(35);
    expect(banjo.least).toBeLessThanOrEqual(12);
    const nut = likely('3/8-24 UNF', 'double-flare-45', 'inverted-flare-45');
    expect([nut.least <= 14, nut.most >= 20, nut.most < 29]).toEqual([true, true, true]);
  });
});

describe('step-up nuts', () => {
  // SAE J512 (from memory): 3/16 in tube goes in the ports of the next sizes by a nut alone.
  test.each(['7/16-24 UNS', '1/2-20 UNF', '9/16-18 UNF'])(
    '3/16 in tube ends in an inverted port of %s with one joint',
    (thread) => {
      const [best] = endFor({ gender: 'female', thread, seat: 'inverted-flare-45' }, 4.7625);
      expect(best!.chain.joints).toBe(1);
      expect(nutById(best!.nutId)!.thread).toBe(thread);
    },
  );
  test('and 4.75 mm tube in a bubble port of M12x1', () => {
    expect(
      endFor({ gender: 'female', thread: 'M12x1', seat: 'bubble' }, 4.75)[0]!.chain.joints,
    ).toBe(1);
  });
});

// SAE J512 (from memory): the inverted flare's seat stands at 42°; a protractor in a port reads a few degrees off.
test.each([40, 42, 44])(
  'a protractor that reads %d° in a port that rises offers the inverted flare seat',
  (coneDeg) => {
    const found = seatFrom({ bottom: 'rises', nut: null, coneDeg, taper: false }).candidates.map(
      ({ seat }) => seat,
    );
    expect(found).toContain('inverted-flare-45');
  },
);
