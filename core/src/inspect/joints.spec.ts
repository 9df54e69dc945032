import { applyEdit, type EditCall, type LineEnd, type Plan } from '../plan/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import type { Half } from '../trade/stock/index.ts';
import { fixOf, inspect, type Snag } from './index.ts';
import { demo } from '../testing/demo-plans.ts';

const gannet = (): Plan => demo('gannet');
const after = (...calls: EditCall[]): Plan => calls.reduce(applyEdit, gannet());
const found = (plan: Plan, rule: string): Snag[] =>
  inspect(plan).filter((snag) => snag.rule === rule);
const words = (plan: Plan, rule: string): string[] =>
  found(plan, rule).map((s) => `${s.level} ${s.where}: ${s.text}`);

const endB = gannet().lines.find((l) => l.id === 'line-f3')!.ends.b;
/** End B of F3, which is sound as it stands: M10x1 bubble on a bubble port. */
const end = (patch: Partial<LineEnd>): EditCall => ({
  edit: 'changeEnd',
  with: { id: 'line-f3', end: 'b', patch },
});
const joint = (patch: Partial<LineEnd['joint']>): EditCall =>
  end({ joint: { ...endB.joint, ...patch } });
const port = (half: Half): EditCall => ({
  edit: 'changePort',
  with: { id: 'port-fr', patch: { fitting: { half, how: 'measured', readings: null } } },
});
const tube = (tubeId: string): EditCall => ({
  edit: 'changeLine',
  with: { id: 'line-f3', patch: { tubeId } },
});
const nut = (nutId: string, flare: LineEnd['flare']): EditCall => end({ nutId, flare });

describe('each rule of a joint against an end spoilt for it', () => {
  test.each<[string, EditCall[], RegExp]>([
    [
      'threads-differ',
      [port({ gender: 'female', thread: '3/8-24 UNF', seat: 'inverted-flare-45' })],
      /^stop F3, end B: M10x1 bubble flare does not go into 3\/8-24 UNF .* 0.51 mm too large to start/,
    ],
    [
      'threads-differ',
      [port({ gender: 'male', thread: '3/8-24 UNF', end: 'cone-37' })],
      /Both are male/,
    ],
    [
      'will-not-seal',
      [port({ gender: 'female', thread: 'M10x1', seat: 'banjo-face' })],
      /^stop F3, end B: M10x1 bubble flare screws into M10x1 faced port and does not seal/,
    ],
    [
      'bubble-inverted',
      [port({ gender: 'female', thread: 'M10x1', seat: 'inverted-flare-45' })],
      /^stop F3, end B/,
    ],
    [
      'bubble-inverted',
      [nut('M10x1-inverted', 'double-flare-45')],
      /This port needs a bubble flare/,
    ],
    [
      'flare-37-on-45',
      [
        nut('3/8-24-inverted', 'double-flare-45'),
        port({ gender: 'female', thread: '3/8-24 UNF', seat: 'flare-37' }),
      ],
      /37° and 45° flares share this thread but not the cone/,
    ],
    [
      'parallel-in-taper',
      [
        port({ gender: 'female', thread: 'Rc 1/8', seat: 'bspt-taper' }),
        end({ adapters: ['g-to-37:G 1/8:-3'] }),
      ],
      /a parallel thread in a taper port touches only at its incomplete first turns/,
    ],
    [
      'flare-tool-missing',
      [nut('-3-sleeve', 'cone-37')],
      /^caution F3, end B: This end needs a single 37° flare, and there is no tool for it on your bench/,
    ],
    [
      'stainless-double-flare',
      [tube('3-16-stainless'), nut('3/8-24-inverted', 'double-flare-45')],
      /in stainless cracks/,
    ],
    [
      'tube-refused',
      [tube('3-16-plain-copper')],
      /^stop F3: The tube is plain copper, which is not brake tube/,
    ],
    [
      'tube-refused',
      [tube('3-16-seam-steel')],
      /The tube is single-wall welded-seam steel, which is not brake tube/,
    ],
    ['joint-forbidden', [joint({ made: 'compression' })], /slips off under brake pressure/],
    ['joint-forbidden', [joint({ made: 'rubber-hose' })], /burst under brake pressure/],
    [
      'sealant-misplaced',
      [joint({ sealant: 'paste' })],
      /^stop F3, end B: Sealant must not be used here/,
    ],
    [
      'banjo-washers',
      [
        port({ gender: 'female', thread: 'M10x1', seat: 'banjo-face' }),
        end({ adapters: ['banjo-to-bubble:M10x1:M10x1'] }),
      ],
      /^caution F3, end B: A banjo needs two new sealing washers, one on each face of its eye/,
    ],
    [
      'washers-used',
      [
        port({ gender: 'female', thread: 'M10x1', seat: 'banjo-face' }),
        end({
          adapters: ['banjo-to-bubble:M10x1:M10x1'],
          joint: { ...endB.joint, washers: 'new', opened: 2 },
        }),
      ],
      /opened 2 times since its washers were new/,
    ],
    [
      'adapter-length',
      [end({ adapters: ['bubble-to-inverted:M10x1:3/8-24 UNF'] })],
      /^caution F3, end B/,
    ],
    [
      'torque-unlikely',
      [joint({ torqueNm: 168 })],
      /^caution F3, end B: 168 N·m looks wrong for M10x1/,
    ],
    [
      'thread-trusted',
      [
        {
          edit: 'changePort',
          with: {
            id: 'port-fr',
            patch: {
              fitting: {
                half: { gender: 'female', thread: 'M10x1', seat: 'bubble' },
                how: 'trusted',
                readings: null,
              },
            },
          },
        },
      ],
      /^note F3, end B: The thread of Front right/,
    ],
    [
      'thread-unknown',
      [{ edit: 'changePort', with: { id: 'port-fr', patch: { fitting: null } } }],
      /^note Front right, hose end at bracket: Its thread and seat are not entered, so those joints/,
    ],
  ])('%s %#', (rule, calls, sentence) => {
    expect(words(gannet(), rule)).not.toEqual(
      expect.arrayContaining([expect.stringMatching(sentence)]),
    );
    const plan = after(...calls);
    expect(words(plan, rule)).toEqual(expect.arrayContaining([expect.stringMatching(sentence)]));
    const spoilt = found(plan, rule).find((s) => s.where.startsWith('F3, end B'));
    const mend = spoilt && fixOf(plan, spoilt.key);
    if (mend)
      expect(words(applyEdit(plan, mend.call), rule)).not.toEqual(
        expect.arrayContaining([expect.stringMatching(sentence)]),
      );
  });

  test('sealant belongs to a joint: on the taper of an end, never on its flare', () => {
    const c1 = gannet().lines.find(({ id }) => id === 'line-c1')!.ends.a;
    const sealed = (patch: Partial<LineEnd['joint']>): string[] => {
      const plan = after({
        edit: 'changeEnd',
        with: { id: 'line-c1', end: 'a', patch: { joint: { ...c1.joint, ...patch } } },
      });
      return inspect(plan)
        .filter(({ rule, where }) => rule.startsWith('sealant') && where === 'C1, end A')
        .map(({ level, rule, text }) => `${level} ${rule}: ${text}`);
    };
    // NPT at the port, an inverted flare behind it.
    expect(sealed({ sealant: 'paste' })).toEqual([]);
    expect(sealed({ sealant: 'paste', sealants: ['paste', 'none'] })).toEqual([]);
    expect(sealed({ sealants: ['paste', 'tape'] })).toEqual([
      expect.stringMatching(
        /^stop sealant-misplaced: Tape must not be used here: joint 2 seals on metal or on a washer, and/,
      ),
    ]);
    expect(sealed({ sealant: 'paste', sealants: ['none', 'none'] })).toEqual([
      expect.stringMatching(/^caution sealant-missing: 1\/8-27 NPT is a taper thread/),
    ]);
    const wrong = after({
      edit: 'changeEnd',
      with: {
        id: 'line-c1',
        end: 'a',
        patch: { joint: { ...c1.joint, sealants: ['none', 'paste'] } },
      },
    });
    const mended = found(wrong, 'sealant-misplaced')
      .filter(({ where }) => where === 'C1, end A')
      .concat(found(wrong, 'sealant-missing'))
      .reduce((plan, snag) => applyEdit(plan, fixOf(plan, snag.key)!.call), wrong);
    expect(mended.lines.find(({ id }) => id === 'line-c1')!.ends.a.joint.sealants).toEqual([
      'paste',
      'none',
    ]);
  });

  test('a stainless double flare that test pieces have proven is let be', () => {
    const { flares } = gannet().bench;
    const proven = {
      ...flares,
      'double-flare-45': { ...flares['double-flare-45'], provenOn: ['stainless' as const] },
    };
    const plan = after(tube('3-16-stainless'), nut('3/8-24-inverted', 'double-flare-45'), {
      edit: 'changeBench',
      with: { patch: { flares: proven } },
    });
    expect(words(plan, 'stainless-double-flare')).toEqual([]);
  });

  test('a chain with a joint too many is offered the shorter one, and the mend takes it', () => {
    // Bubble port over a 37° cone and a swivel to the inverted nut: one part does the same.
    const plan = after(
      nut('3/8-24-inverted', 'double-flare-45'),
      end({
        adapters: ['bubbled-to-37:M10x1:-3', 'inverted-to-swivel:3/8-24 UNF:-3'],
        standoffMm: 40,
        nutId: '3/8-24-inverted',
        flare: 'double-flare-45',
      }),
    );
    expect(words(plan, 'threads-differ').filter((w) => w.includes('F3, end B'))).toEqual([]);
    const [snag] = found(plan, 'joints-needless');
    expect(snag!.text).toMatch(/3 sealing faces where 2 would do/);
    const mended = applyEdit(plan, fixOf(plan, snag!.key)!.call);
    expect(mended.lines.find((l) => l.id === 'line-f3')!.ends.b.adapters).toEqual([
      'bubble-to-inverted:M10x1:3/8-24 UNF',
    ]);
    expect(found(mended, 'joints-needless')).toEqual([]);
  });

  test('sealant belongs on a taper thread: nothing is said there', () => {
    expect(words(gannet(), 'sealant-misplaced').map((w) => w.slice(0, 14))).toEqual([
      'stop F3, end A',
    ]);
  });

  test('what adapters hold the tube off shortens its cut', () => {
    const cut = (plan: Plan): number =>
      viewPlan(plan).lines.find((v) => v.line.id === 'line-c1')!.card!.cutMm;
    const held = after({
      edit: 'changeEnd',
      with: { id: 'line-c1', end: 'a', patch: { standoffMm: 22 } },
    });
    expect(cut(gannet()) - cut(held)).toBeCloseTo(22, 6);
    expect(found(held, 'adapter-length')).toEqual([]);
  });
});
