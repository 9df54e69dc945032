import { boreStressMPa } from '../physics/hydraulics/index.ts';
import { applyEdit, type Part, type Plan } from '../plan/index.ts';
import { defaultsFor, setOut } from '../proposals/set-out/index.ts';
import { tubeById } from '../trade/stock/index.ts';
import type { Vec3 } from '../lib/vec/index.ts';
import { demo } from '../testing/demo-plans.ts';
import { joined, portOf, said, withParts } from '../testing/plumbed.ts';

const gannet = demo('gannet');
const wheatear = demo('wheatear');
const partOf = (plan: Plan, name: string): Part => plan.parts.find((part) => part.name === name)!;
const set = (plan: Plan, name: string, patch: Partial<Part>): Plan =>
  applyEdit(plan, { edit: 'changePart', with: { id: partOf(plan, name).id, patch } });
const CALIPER = 'hose end at bracket';

describe('what purpose and method ask', () => {
  test('twin-leading: on its own side it is weak in reverse alone; on the other it is a stop', () => {
    const plan = joined(withParts({ M: 'master', L: 'wheel-cylinder' }), [['M.outlet > L.inlet']]);
    const made = (leadingOn: Part['leadingOn']): string[] =>
      said(set(plan, 'L', { side: 'left', leadingOn }), 'twin-leading');
    expect(made(null)).toEqual([]);
    expect(made('left').join()).toMatch(/^note L: Twin leading shoes brake weakly in reverse/);
    expect(made('right').join()).toMatch(/^stop L: Its twin leading shoes are made for the right/);
  });
  test('modulator-tuning: new brakes on a kept modulator, not the ones it came with', () => {
    const plan = joined(withParts({ M: 'master', V: 'modulator', FL: 'caliper' }), [
      ['M.outlet > V.front inlet'],
      [`V.front left > FL.${CALIPER}`],
    ]);
    const kept = set(set(plan, 'V', { kept: true }), 'FL', { kept: true });
    expect(said(kept, 'modulator-tuning')).toEqual([]);
    const swapped = set(kept, 'FL', { kept: false });
    expect(said(swapped, 'modulator-tuning').join()).toMatch(
      /^caution V: FL is not the original fitment/,
    );
    expect(said(set(swapped, 'V', { facts: { tuned: true } }), 'modulator-tuning')).toEqual([]);
    const earlier = {
      ...kept,
      log: { ...kept.log, earlier: [{ id: 'earlier-1', text: 'Wider tires' }] },
    };
    expect(said(earlier, 'modulator-tuning').join()).toMatch(/The vehicle was changed earlier/);
  });
  test('no-parking-brake: once for all that hold, and as an aircraft is left', () => {
    const car = withParts({ H: 'handbrake-cylinder', P: 'parking-valve' });
    expect(said(car, 'no-parking-brake').join()).toMatch(/^note H, P: .*keep a mechanical one/);
    const aircraft = withParts({ 'Left toe': 'master', P: 'parking-valve' });
    expect(said(aircraft, 'no-parking-brake').join()).toMatch(
      /Chock the wheels or tie the aircraft down/,
    );
    expect(said(withParts({ M: 'master' }), 'no-parking-brake')).toEqual([]);
  });
  test('gravity-uphill: fluid runs down, from the reservoir of the master or one joined to it', () => {
    const plan = joined(withParts({ R: 'reservoir', M: ['master', 'feed:feed'], FL: 'caliper' }), [
      ['R.feed > M.feed', 'front', 'feed'],
      [`M.outlet > FL.${CALIPER}`],
    ]);
    const levels = (levelMm: number, method: 'gravity' | 'two-people' = 'gravity'): string[] => {
      const high = set(plan, 'R', { figures: { levelMm } });
      return said({ ...high, filling: { ...high.filling, method } }, 'gravity-uphill');
    };
    const bleederMm = portOf(plan, 'FL.bleeder').known.atMm[2];
    expect(levels(bleederMm + 300)).toEqual([]);
    expect(levels(bleederMm + 20).join()).toMatch(/^caution FL: The reservoir is only 20 mm above/);
    expect(levels(bleederMm - 30).join()).toMatch(/^stop FL: Gravity cannot bleed it/);
    expect(levels(bleederMm - 30, 'two-people')).toEqual([]);
    // A second master whose own reservoir stands high is no help to the first one's brake.
    const two = joined(withParts({ M: 'master', N: 'master', FL: 'caliper', RL: 'caliper' }), [
      [`M.outlet > FL.${CALIPER}`],
      [`N.outlet > RL.${CALIPER}`, 'rear'],
    ]);
    const filled = set(set(two, 'M', { figures: { levelMm: 0 } }), 'N', {
      figures: { levelMm: 2000 },
    });
    expect(
      said(
        { ...filled, filling: { ...filled.filling, method: 'gravity' } },
        'gravity-uphill',
      ).join(),
    ).toMatch(/^stop FL: /);
  });
});

describe('what tube, hose and die are made of', () => {
  // Source: Lamé and von Mises; 3/8 x 0.028 in is stressed 6.27 times its pressure, and copper-nickel of 110 MPa yields
  // in it near 17.6 MPa, in 3/16 x 0.028 at 32 (worked by hand).
  test('stress at the bore of a tube', () => {
    const [wide, small] = ['3-8-copper-nickel', '3-16-copper-nickel'].map((id) => tubeById(id)!);
    expect(boreStressMPa(1, wide!)).toBeCloseTo(6.27, 2);
    expect(110 / boreStressMPa(1, wide!)).toBeCloseTo(17.55, 1);
    expect(110 / boreStressMPa(1, small!)).toBeCloseTo(32.3, 0);
  });
  test('tube-strength: wide thin tube under the foot of the rule, not the small one', () => {
    const tube = (tubeId: string, ratio: number): string[] =>
      said(
        {
          ...gannet,
          sizing: { ...gannet.sizing!, pedal: { ...gannet.sizing!.pedal, ratio } },
          lines: gannet.lines.map((line) => (line.id === 'line-r2' ? { ...line, tubeId } : line)),
        },
        'tube-strength',
      ).filter((text) => / R2: /.test(text));
    // 500 N of the rule at 12 to 1 are some 14 MPa.
    expect(tube('3-16-copper-nickel', 12)).toEqual([]);
    expect(tube('3-8-copper-nickel', 6.2)).toEqual([]);
    expect(tube('3-8-copper-nickel', 12).join()).toMatch(/^caution R2: It will see 13\.\d MPa/);
    expect(tube('3-8-copper-nickel', 20).join()).toMatch(/^stop R2: At .* this tube yields/);
  });
  test('die-tight: by tube and material', () => {
    const die = (dieRadiusMm: number, tubeId: string): string[] =>
      said(
        {
          ...gannet,
          bench: {
            ...gannet.bench,
            benders: gannet.bench.benders.map((one) => ({ ...one, dieRadiusMm })),
          },
          lines: gannet.lines.map((line) => ({ ...line, tubeId })),
        },
        'die-tight',
      ).filter((text) => / F1: /.test(text));
    expect(die(9.6, '3-16-steel')).toEqual([]);
    expect(die(9.6, '3-16-stainless').join()).toMatch(/^caution F1: .*11\.9 is usual/);
    expect(die(9.3, '3-16-steel').join()).toMatch(/^note F1/);
    expect(die(5.5, '3-16-steel').join()).toMatch(/^stop F1: .*it kinks/);
  });
  test('hose-fluid: rubber in mineral oil, not PTFE, and not in glycol', () => {
    const hose = (stockId: string, fluidId: string): string[] =>
      said(
        {
          ...wheatear,
          hoses: wheatear.hoses.map((one) => (one.id === 'hose-rl' ? { ...one, stockId } : one)),
          filling: {
            ...wheatear.filling,
            fluids: wheatear.filling.fluids.map((one) => ({ ...one, fluidId })),
          },
        },
        'hose-fluid',
      ).filter((text) => / H3: /.test(text));
    expect(hose('rubber-1-8', 'dot-4')).toEqual([]);
    expect(hose('ptfe-3', 'mineral')).toEqual([]);
    expect(hose('rubber-1-8', 'mineral').join()).toMatch(/^stop H3: Its rubber swells/);
  });
});

describe('what is mounted on an axle goes with it', () => {
  const van = setOut(
    { answers: defaultsFor('van'), said: [], name: 'Van', units: 'metric' },
    { id: 'p', now: '2026-01-01T00:00:00.000Z' },
  );
  /** A hot pipe across the van, so high over the middle of its rear axle. */
  const pipeAt = (zMm: number, bumpMm: number): string[] => {
    const axle = van.things.find(({ name }) => name === 'Rear axle')!;
    const { aboutMm } = axle.travel!;
    const pipe = {
      ...van.things.find(({ kind }) => kind === 'exhaust')!,
      id: 'across',
      name: 'Cross pipe',
      shape: {
        kind: 'pipe' as const,
        pathMm: [
          [aboutMm[0], -60, aboutMm[2] + zMm],
          [aboutMm[0], 60, aboutMm[2] + zMm],
        ] as const,
        diameterMm: 50,
      },
    };
    const things = [
      ...van.things.map((thing) =>
        thing === axle
          ? { ...axle, travel: { ...axle.travel!, heaveMm: [-60, bumpMm] as const } }
          : thing,
      ),
      pipe,
    ];
    return said({ ...van, things } as Plan, 'near-hot').filter((text) => /Cross pipe/.test(text));
  };
  test('clear of a pipe at ride and not at bump: it says at which', () => {
    // The tube lies 55 mm over the axle's middle; the pipe's lower side 255.
    expect(pipeAt(280, 0)).toEqual([]);
    expect(pipeAt(280, 60).join()).toMatch(/caution R\d: At bump, .*: 1[34]\d mm from Cross pipe/);
    // Raised by as much as the axle rises, it is clear again.
    expect(pipeAt(340, 60)).toEqual([]);
  });
  test('its own wheel goes with it, and a line on the frame does not', () => {
    expect(said(van, 'near-moving')).toEqual([]);
    expect(said(van, 'near-hot').filter((text) => /At bump/.test(text))).toEqual([]);
  });
});

describe('a level follows its shortfall', () => {
  const led = (id: string, cornersMm: readonly Vec3[], rule: string): string =>
    said(applyEdit(gannet, { edit: 'setCorners', with: { id, cornersMm } }), rule)
      .filter((text) => text.includes(id.slice(5).toUpperCase()))
      .join();
  test('end-straight-short: a millimeter short the shoe still holds', () => {
    const at = (y: number): string =>
      led(
        'line-r2',
        [
          [2870, y, 525],
          [2960, y, 560],
        ],
        'end-straight-short',
      );
    expect(at(-385)).toMatch(/^stop R2, end B: The end straight is 29\.5/);
    expect(at(-381)).toMatch(/^caution R2, end B: The end straight is 33\.5/);
    expect(at(-380)).toBe('');
  });
  test('hangs-low: by no more than a nut stands out it is to be known', () => {
    const at = (z: number): string =>
      led(
        'line-r1',
        [
          [500, -335, 445],
          [720, -335, z],
          [2240, -335, z],
          [2380, -335, 524],
          [2640, -335, 524],
          [2700, -149, 524],
        ],
        'hangs-low',
      );
    expect(at(300)).toMatch(/^caution R1/);
    expect(at(334)).toMatch(/^note R1/);
    expect(at(340)).toBe('');
  });
});
