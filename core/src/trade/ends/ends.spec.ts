import { cases } from '../../testing/cases.ts';
import fc from 'fast-check';
import {
  ADAPTERS,
  adapterById,
  comesAs,
  END_FORMS,
  nutById,
  SEAT_FORMS,
  THREADS,
  threadTakes,
  TUBES,
  type Adapter,
  type Half,
} from '../stock/index.ts';
import { mate } from '../threads/index.ts';
import { identify } from '../threads/identify.ts';
import {
  adapt,
  plugsFor,
  AdapterGraph,
  drillQuestion,
  drillReasons,
  endFor,
  firstEnd,
  halfKey,
  halfOfNut,
  jointsOf,
  seatFrom,
  section,
  turningOf,
  type SeatAnswers,
} from './index.ts';

const HALVES: Half[] = THREADS.flatMap((t): Half[] => [
  ...END_FORMS.filter((end) => comesAs(t, 'male') && threadTakes(t, end)).map((end): Half => ({
    gender: 'male',
    thread: t.name,
    end,
  })),
  ...SEAT_FORMS.filter((seat) => comesAs(t, 'female') && threadTakes(t, seat)).map(
    (seat): Half => ({ gender: 'female', thread: t.name, seat }),
  ),
]);
/** Whether two halves seal, and with how many faces; kept, since the plain search asks again and again. */
const asked = new Map<string, number | null>();
function faces(a: Half, b: Half): number | null {
  const key = `${halfKey(a)}/${halfKey(b)}`;
  const [m, f] = a.gender === 'male' ? [a, b] : [b, a];
  if (m.gender !== 'male' || f.gender !== 'female') return null;
  if (!asked.has(key))
    asked.set(
      key,
      mate({ male: m, female: f }).verdict === 'seals' ? (m.end === 'banjo' ? 2 : 1) : null,
    );
  return asked.get(key)!;
}
/** Ports that something in the catalog seals on. */
const any = fc.constantFrom(
  ...HALVES.filter((half) =>
    ADAPTERS.some((part) => part.halves.some((other) => faces(half, other) !== null)),
  ),
);

/** Fewest sealing faces by plain breadth-first search over pairs of parts: slow, and nothing of the search under test. */
function fewestJoints(
  from: Half,
  to: Half,
  parts: readonly Adapter[],
  most: number,
): number | null {
  const best = new Map<string, number>([[halfKey(from), 0]]);
  let edge: Half[] = [from];
  let found: number | null = null;
  while (edge.length) {
    const next: Half[] = [];
    for (const half of edge) {
      const so = best.get(halfKey(half))!;
      const last = faces(half, to);
      if (last !== null && so + last <= most && (found === null || so + last < found))
        found = so + last;
      for (const { halves } of parts) {
        if (halves.length !== 2) continue;
        for (const [near, onward] of [
          [halves[0]!, halves[1]!],
          [halves[1]!, halves[0]!],
        ] as const) {
          const face = faces(half, near);
          if (
            face === null ||
            so + face >= most ||
            so + face >= (best.get(halfKey(onward)) ?? Infinity)
          )
            continue;
          best.set(halfKey(onward), so + face);
          next.push(onward);
        }
      }
    }
    edge = next;
  }
  return found;
}

describe('the catalog', () => {
  test('120 parts or more, each half of a thread that comes so, ids apart', () => {
    expect(ADAPTERS.length).toBeGreaterThanOrEqual(120);
    expect(new Set(ADAPTERS.map((part) => part.id)).size).toBe(ADAPTERS.length);
    const known = new Set(HALVES.map(halfKey));
    for (const part of ADAPTERS)
      for (const half of part.halves)
        expect([part.id, known.has(halfKey(half))]).toEqual([part.id, true]);
  });
});

describe('chains of adapters', () => {
  test('no chain ever holds a pair that does not seal, and none is longer than a plain search finds', () => {
    let found = 0;
    fc.assert(
      fc.property(any, any, fc.integer({ min: 1, max: 5 }), (from, to, maxJoints) => {
        const { chains, nearest } = adapt({ from, to, maxJoints });
        expect(chains.length === 0).toBe(nearest !== undefined);
        for (const chain of chains) {
          for (const join of chain.joins) expect(mate(join).verdict).toBe('seals');
          expect(chain.joints).toBe(chain.joins.length);
          expect(chain.joints).toBeLessThanOrEqual(maxJoints);
          expect(chain.costMinor).toBe(
            chain.parts.reduce((sum, id) => sum + adapterById(id)!.costMinor, 0),
          );
        }
        expect(chains[0]?.joints ?? null).toBe(fewestJoints(from, to, ADAPTERS, maxJoints));
        expect(
          [...chains].sort((a, b) => a.joints - b.joints || a.costMinor - b.costMinor),
        ).toEqual(chains);
        found += chains.length;
      }),
      { numRuns: 150 },
    );
    expect(found).toBeGreaterThan(50);
  });

  // Common practice: what hangs between these ports on a trade counter.
  test('known answers', () => {
    const npt: Half = { gender: 'female', thread: '1/8-27 NPT', seat: 'npt-taper' };
    const swivel: Half = { gender: 'female', thread: '3/8-24 UNF', seat: 'flare-37' };
    expect(adapt({ from: npt, to: swivel }).chains[0]).toMatchObject({
      parts: ['npt-to-37:1/8:-3'],
      joints: 2,
    });
    const cone: Half = { gender: 'male', thread: '3/8-24 UNF', end: 'cone-37' };
    expect(adapt({ from: cone, to: swivel }).chains[0]).toMatchObject({
      parts: [],
      joints: 1,
      costMinor: 0,
    });
    const faced: Half = { gender: 'female', thread: '7/16-24 UNS', seat: 'banjo-face' };
    const viaBanjo = adapt({ from: faced, to: swivel }).chains[0]!;
    expect(viaBanjo).toMatchObject({ parts: ['banjo-to-37:7/16-24 UNS:-3'], joints: 3 });
    expect(viaBanjo.joins[0]).toEqual(viaBanjo.joins[1]);
    expect(adapt({ from: npt, to: swivel, maxJoints: 1 }).nearest!.missing).toMatch(/in 1 joints/);
  });

  test('a user’s own adapter is used, one of nothing but plugs leads nowhere', () => {
    const from: Half = { gender: 'female', thread: 'M14x1', seat: 'banjo-face' };
    const to: Half = { gender: 'female', thread: '3/8-24 UNF', seat: 'flare-37' };
    expect(adapt({ from, to }).chains).toEqual([]);
    const own: Adapter = {
      id: 'own',
      name: 'Turned from bar',
      family: 'own',
      material: 'steel',
      costMinor: 0,
      halves: [
        { gender: 'male', thread: 'M14x1', end: 'flat' },
        { gender: 'male', thread: '3/8-24 UNF', end: 'cone-37' },
      ],
    };
    expect(adapt({ from, to }, new AdapterGraph([...ADAPTERS, own])).chains[0]!.parts).toEqual([
      'own',
    ]);
    expect(
      adapt({ from, to }, new AdapterGraph(ADAPTERS.filter((part) => part.halves.length === 1)))
        .chains,
    ).toEqual([]);
  });

  test('every tube of the stock finds its way into the common ports', () => {
    const ports: Half[] = [
      { gender: 'female', thread: '3/8-24 UNF', seat: 'inverted-flare-45' },
      { gender: 'female', thread: 'M10x1', seat: 'bubble' },
      { gender: 'female', thread: '1/8-27 NPT', seat: 'npt-taper' },
      { gender: 'male', thread: '7/16-20 UNF', end: 'cone-37' },
    ];
    for (const { odMm } of TUBES)
      for (const port of ports) {
        const [best] = endFor(port, odMm);
        const adapters = best!.chain.parts.map((id) => adapterById(id)!);
        const joints = jointsOf(
          port,
          adapters,
          halfOfNut({ thread: nutById(best!.nutId)!.thread, flare: best!.flare }),
        );
        expect(joints).toHaveLength(adapters.length + 1);
      }
  });
});

describe('which seat is it', () => {
  const none: SeatAnswers = { bottom: null, nut: null, coneDeg: null, taper: null };
  // Common practice: inverted flare seats rise and their nuts are threaded to the end; bubble seats dip and their nuts have a shoulder.
  test.each<[Partial<SeatAnswers>, string]>([
    [{ bottom: 'rises' }, 'inverted-flare-45'],
    [{ bottom: 'dips', nut: 'shoulder', coneDeg: 58 }, 'bubble'],
    [{ bottom: 'dips', coneDeg: 37 }, 'flare-37'],
    [{ taper: false, nut: 'threaded-to-end', bottom: 'rises' }, 'inverted-flare-45'],
  ])('%o', (answers, seat) =>
    expect(
      seatFrom({ ...none, ...answers, taper: answers.taper ?? false }).candidates[0]!.seat,
    ).toBe(seat),
  );
  test('a thread that grows leaves the pipe ports and asks for the flank', () => {
    const found = seatFrom({ ...none, taper: true });
    expect(found.candidates.map((c) => c.seat)).toEqual(['npt-taper', 'bspt-taper']);
    expect(found.next).toMatch(/55° and one of 60°/);
  });
  test('nothing looked at: the first question; answers that fight: no seat', () => {
    expect(seatFrom(none).next).toMatch(/does it get larger\?/);
    expect(
      seatFrom({ bottom: 'rises', nut: 'shoulder', coneDeg: 12, taper: false }).candidates,
    ).toEqual([]);
  });
});

describe('order of fitting and the section', () => {
  test('fixed first, swivel or banjo last', () => {
    const fixed = turningOf({ gender: 'male', thread: '1/8-27 NPT', end: 'npt-taper' });
    const banjo = turningOf({ gender: 'male', thread: 'M10x1', end: 'banjo' });
    const nut = turningOf(halfOfNut({ thread: 'M10x1', flare: 'bubble' }));
    expect([fixed, banjo, nut]).toEqual(['fixed', 'banjo', 'swivel']);
    expect(firstEnd(banjo, fixed)).toMatchObject({
      first: 'b',
      why: expect.stringMatching(/fixed end goes on first, the banjo last/),
    });
    expect(firstEnd(nut, nut).first).toBe('either');
  });

  test('every section is drawn from finite figures, outlines off the axis, and says how short of home it stays', () => {
    const seats = HALVES.filter((half) => half.gender === 'female' && half.thread === 'M10x1');
    const males = HALVES.filter((half) => half.gender === 'male').filter(
      (_, i) => i % cases(4, 1) === 0,
    );
    for (const male of males)
      for (const female of seats) {
        if (male.gender !== 'male' || female.gender !== 'female') continue;
        const drawn = section(male, female);
        for (const { outline } of [...drawn.male, ...drawn.female])
          for (const [x, r] of outline) {
            expect(Number.isFinite(x) && Number.isFinite(r)).toBe(true);
            expect(r).toBeGreaterThan(0);
          }
        const verdict = mate({ male, female }).verdict;
        if (verdict === 'seals') expect(drawn.shortMm).toBe(0);
        expect(drawn.contactLine === null).toBe(drawn.touch.contact === null);
      }
  });

  // 3/8-24 in M10x1 binds after 5.08 turns of 1.058 mm: 5.4 mm of the way.
  test('a nut that binds stays short of its seat', () => {
    const drawn = section(
      { thread: '3/8-24 UNF', end: 'double-flare-45' },
      { thread: 'M10x1', seat: 'bubble' },
    );
    expect(drawn.shortMm).toBeCloseTo(0.9 * 9.525 - 5.076 * 1.05833, 2);
  });
});

describe('the drill', () => {
  /** A plain generator of numbers from 0 to 1, so that a failure comes again. */
  const numbers = (seed: number) => (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
  test('the right answer is among four, and is what the core says of the readings', () => {
    for (let seed = 1; seed <= 200; seed++) {
      const question = drillQuestion(numbers(seed));
      expect(question.threads).toHaveLength(4);
      expect(question.threads).toContain(question.port.thread);
      expect(question.seats).toContain(question.port.seat);
      const found = identify({
        gender: 'female',
        diameterMm: question.diameterMm,
        pitchMm: question.pitchMm,
      });
      expect(found.candidates[0]!.thread).toBe(question.port.thread);
      const reasons = drillReasons(question);
      expect(reasons.thread.startsWith(question.port.thread)).toBe(true);
      expect(reasons.seat.length).toBeGreaterThan(20);
    }
  });

  test('what closes a port is a plug that seals in it, and for a male one a cap', () => {
    const names = (port: Half): string[] => plugsFor(port).map(({ id }) => id);
    expect(names({ gender: 'female', thread: '3/8-24 UNF', seat: 'inverted-flare-45' })).toEqual([
      'plug-flared:3/8-24 UNF',
    ]);
    expect(names({ gender: 'female', thread: '1/8-27 NPT', seat: 'npt-taper' })).toEqual([
      'plug-npt:1/8',
    ]);
    expect(names({ gender: 'male', thread: '3/8-24 UNF', end: 'cone-37' })).toEqual(['cap-37:-3']);
    // The same thread over another seat is none.
    expect(names({ gender: 'female', thread: 'M12x1', seat: 'banjo-face' })).toEqual([]);
  });
});
