import { applyEdit, FRESH_JOINT, type HoseEnd, type JointWork, type Plan } from '../plan/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import type { Half } from '../trade/stock/index.ts';
import { demo } from '../testing/demo-plans.ts';
import { fixOf, inspect, type Snag } from './index.ts';

const plan = demo('wheatear');
const hose = plan.hoses.find(({ id }) => id === 'hose-fl')!;
const bolt = (thread: string): Half => ({ gender: 'male', thread, end: 'banjo' });
const faced = (thread: string): Half => ({ gender: 'female', thread, seat: 'banjo-face' });
/** Wheatear with H1's end B, a sound banjo of M10x1 in a faced port, otherwise. */
const with_ = (patch: Partial<HoseEnd>): Plan =>
  applyEdit(plan, {
    edit: 'changeHose',
    with: { id: hose.id, patch: { ends: { ...hose.ends, b: { ...hose.ends.b, ...patch } } } },
  });
const work = (patch: Partial<JointWork>): Plan =>
  with_({ joint: { ...FRESH_JOINT, washers: 'new', ...patch } });
const of = (on: Plan): Snag[] =>
  inspect(on).filter(({ station, where }) => station === 'join' && where.startsWith('H1'));
const words = (on: Plan): string[] =>
  of(on).map(({ level, rule, where, text }) => `${level} ${rule} ${where}: ${text}`);

describe('the joint at the end of a hose', () => {
  test('a banjo of its own thread on new washers says nothing, and lies at the hose', () => {
    expect(words(plan)).toEqual([]);
    expect(of(work({ torqueNm: 60 }))[0]!.place).toEqual({ kind: 'hose', id: hose.id, node: 1 });
  });
  // Common practice: of a banjo's bolt the thread, washers new at every opening, no sealant; M10 banjo bolts take 12 to 40 N·m.
  test.each<[string, Plan, RegExp]>([
    [
      'another thread',
      with_({ into: faced('3/8-24 UNF') }),
      /^stop threads-differ H1, end B: M10x1 banjo with two washers does not go into 3\/8-24 UNF faced port/,
    ],
    [
      'a flare seat',
      with_({ into: { gender: 'female', thread: 'M10x1', seat: 'inverted-flare-45' } }),
      /^stop will-not-seal H1, end B/,
    ],
    [
      'no washers',
      work({ washers: 'none' }),
      /^caution banjo-washers H1, end B: A banjo needs two new sealing washers, one on each face of its/,
    ],
    [
      'two eyes on one bolt',
      with_({ eyes: 2, joint: FRESH_JOINT }),
      /A banjo needs 3 new sealing washers, one on each side of each of its 2 eyes/,
    ],
    [
      'opened since',
      work({ opened: 1 }),
      /^stop washers-used H1, end B: The joint was opened once since its washers were new/,
    ],
    [
      'tape on it',
      work({ sealant: 'tape' }),
      /^stop sealant-misplaced H1, end B: Tape must not be used here/,
    ],
    [
      'a torque too high',
      work({ torqueNm: 60 }),
      /^caution torque-unlikely H1, end B: 60 N·m looks wrong for M10x1/,
    ],
  ])('with %s is told', (_, on, told) => {
    expect(words(on)).toEqual([expect.stringMatching(told)]);
  });
  // Common practice: eyes and crushed washers (1.4 mm) off the bolt; 0.8 of a diameter in steel, 1.5 in aluminum; by hand for M10.
  test.each<[string, HoseEnd['bolt'], number, string[]]>([
    [
      '24 mm, one eye of 9',
      { lengthMm: 24, eyeMm: 9, depthMm: null },
      1,
      [
        'note Of its 24 mm its eye and 2 washers take 11.8 mm: 12.2 mm of thread engage, enough in steel or iron. In aluminum 1.5 diameters are required, 15 mm.',
      ],
    ],
    ['27 mm, one eye', { lengthMm: 27, eyeMm: 9, depthMm: null }, 1, []],
    [
      '27 mm, two eyes',
      { lengthMm: 27, eyeMm: 9, depthMm: null },
      2,
      [
        'stop Of its 27 mm 2 eyes and 3 washers take 22.2 mm: 4.8 mm of thread engage, and 8 mm is the minimum in steel or iron. Use a longer bolt.',
      ],
    ],
    ['27 mm into 15.3', { lengthMm: 27, eyeMm: 9, depthMm: 15.3 }, 1, []],
    [
      '27 mm into 15',
      { lengthMm: 27, eyeMm: 9, depthMm: 15 },
      1,
      [
        'stop Of its 27 mm its eye and 2 washers take 11.8 mm: 15.2 mm go into a thread of 15 mm. The bolt bottoms and does not clamp its washers.',
      ],
    ],
  ])('a banjo bolt of %s', (_, bolt, eyes, told) => {
    expect(
      of(with_({ bolt, eyes }))
        .filter(({ rule }) => rule === 'banjo-bolt')
        .map(({ level, text }) => `${level} ${text}`),
    ).toEqual(told);
  });
  test('what is not known is said once, with the count', () => {
    const unknown = (on: Plan): string[] =>
      inspect(on)
        .filter(({ rule }) => rule === 'thread-unknown')
        .map(({ where, text }) => `${where}: ${text}`);
    expect(unknown(plan)).toEqual([]);
    expect(unknown(with_({ half: null }))).toEqual([
      'H1, end B: The thread and seat of its fitting are not entered, so those joints cannot be checked.',
    ]);
    expect(unknown(with_({ half: null, into: null }))).toEqual([
      'H1, end B: Its thread and seat are not entered, so those joints cannot be checked.',
    ]);
  });
  test('at a port it is that port which it meets, behind a bracket the tube screws into it', () => {
    const portId = 'port-17';
    expect(
      words(with_({ portId, half: { gender: 'female', thread: '3/8-24 UNF', seat: 'flare-37' } })),
    ).toEqual([]);
    expect(words(with_({ portId }))).toEqual([
      expect.stringMatching(/^stop threads-differ H1, end B: .* Both are male/),
    ]);
    expect(words(with_({ portId, through: true, half: null }))).toEqual([]);
  });
  test('its mends are set down at the hose', () => {
    for (const on of [work({ washers: 'none' }), work({ opened: 2 }), work({ sealant: 'paste' })]) {
      const [snag] = of(on);
      expect(words(applyEdit(on, fixOf(on, snag!.key)!.call))).toEqual([]);
    }
    expect(bolt('M10x1')).toEqual(hose.ends.b.half);
  });
});

describe('what an adapter and a hose are rated for', () => {
  const gannet = demo('gannet');
  const line = gannet.lines.find(({ id }) => id === 'line-r1')!;
  const end = line.ends.a;
  const fitted = (adapter: string, ratingMPa?: number): Plan =>
    [
      {
        edit: 'changeEnd',
        with: { id: line.id, end: 'a', patch: { ...end, adapters: [adapter] } },
      } as const,
      {
        edit: 'changeBench',
        with: { patch: ratingMPa === undefined ? {} : { ratingMPa: { [adapter]: ratingMPa } } },
      } as const,
    ].reduce(applyEdit, gannet);
  const said = (on: Plan): string[] =>
    inspect(on)
      .filter(({ rule }) => rule === 'adapter-rating')
      .map(({ level, text }) => `${level} ${text}`);
  const rear = viewPlan(gannet).size!.mostMPa.rear;

  test('a brass pipe fitting of unknown class is asked about, a flare union is not', () => {
    expect(said(gannet)).toEqual([]);
    expect(said(fitted('npt-coupling:1/8:1/8'))).toEqual([
      expect.stringMatching(
        /^caution NPT coupling, 1\/8 will see 7\.2 MPa\. Brass pipe fittings hold about 1\.4 MPa in class 125,/,
      ),
    ]);
    expect(said(fitted('union-inverted:3/8-24 UNF:3/8-24 UNF'))).toEqual([]);
    expect(said(fitted('union-37:-3:-3'))).toEqual([]);
  });
  test('one whose sheet was looked up is held against the pressure that there is, to a tenth', () => {
    const id = 'npt-coupling:1/8:1/8';
    expect(said(fitted(id, rear + 0.1))).toEqual([]);
    expect(said(fitted(id, rear - 0.1))).toEqual([
      expect.stringMatching(/^stop NPT coupling, 1\/8 is rated 7\.1 MPa and will see 7\.2/),
    ]);
  });
  test('brake hose is told past 4,000 psi alone', () => {
    // 49 CFR 571.106 S5.3 (from memory): held for two minutes.
    const pushed = (forceN: number): string[] =>
      inspect(
        applyEdit(plan, {
          edit: 'setFigure',
          with: { of: 'sizing', path: 'pedal.forceN', to: forceN },
        }),
      )
        .filter(({ rule }) => rule === 'hose-rating')
        .map(({ level, where }) => `${level} ${where}`);
    const { forceN } = plan.sizing!.pedal;
    const { front, rear } = viewPlan(plan).size!.empty.size.pressureMPa;
    const most = Math.max(front, rear);
    expect(pushed(forceN)).toEqual([]);
    expect(pushed((0.98 * forceN * 27.58) / most)).toEqual([]);
    expect(pushed((1.02 * forceN * 27.58) / most).length).toBeGreaterThan(1);
  });
});
