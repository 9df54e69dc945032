import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { hose as hoseVerb, judge, type Motion } from '../../shape/rod/index.ts';
import { applyEdit, freeMm, hoseVolumeMl, type Hose, type Plan } from '../../plan/index.ts';
import { readPlan } from '../../plan/file/index.ts';
import { typicalClutch, typicalSingle, typicalTrailer } from '../../plan/typical.ts';
import { plannedHoses, sizeInputOf, viewPlan } from '../../plan/results/index.ts';
import {
  HOSE_FITTINGS,
  allowedMlPerM,
  hoseById,
  hoseMlPerM,
  HOSES,
} from '../../trade/stock/index.ts';
import { fixOf, inspect, proposedFixes, type Snag } from '../../inspect/index.ts';
import { distance, scale, type Vec3 } from '../../lib/vec/index.ts';
import {
  equalLength,
  atLength,
  bracketPlaces,
  hoseOrder,
  hoseView,
  lengthsOf,
  shortestOf,
  placeEnd,
  sweep,
  type EndPlace,
  type HoseView,
} from './index.ts';
import { twistThrough } from './twist.ts';

const wheatear = (): Plan =>
  readPlan(readFileSync(join(__dirname, '../../../../demo/wheatear.firmline.json'), 'utf8'));
const plan = wheatear();
const view = (id: string, on = plan): HoseView =>
  hoseView(
    on,
    on.hoses.find((hose) => hose.id === id)!,
    viewPlan(on).ports,
  );
const patched = (id: string, patch: Partial<Hose>, on = plan): Plan =>
  applyEdit(on, { edit: 'changeHose', with: { id, patch } });
const still: Motion = { ...plan.hoses[0]!.motion, kind: 'still' };

describe('the stock of hose', () => {
  // Source: 49 CFR 571.106, most expansion of brake hose, mL per foot (from memory): 0.66 and 0.33 at 1,000 psi, 0.79 and 0.42 at 1,500, 1.21 at 2,900; 3/16 in 1.67 and 0.91 there.
  test.each([
    ['rubber-1-8', 1000, 0.66],
    ['rubber-1-8', 1500, 0.79],
    ['rubber-1-8', 2900, 1.21],
    ['rubber-low-1-8', 1000, 0.33],
    ['rubber-low-1-8', 1500, 0.42],
    ['rubber-3-16', 2900, 1.67],
    ['rubber-low-3-16', 2900, 0.91],
  ])('%s may take at %p psi %p mL a foot, and takes less', (id, psi, mlPerFoot) => {
    const [hose, MPa] = [hoseById(id)!, psi * 0.00689475729];
    expect(allowedMlPerM(hose, MPa)! * 0.3048).toBeCloseTo(mlPerFoot, 4);
    expect(hoseMlPerM(hose, MPa)!).toBeLessThan(0.8 * allowedMlPerM(hose, MPa)!);
  });
  test('rubber as it is sold takes about 0.2 mL a metre for each MPa (common practice), braid a fraction of it', () => {
    const perMPa = (id: string): number => hoseMlPerM(hoseById(id)!, 6.9)! / 6.9;
    expect(perMPa('rubber-1-8')).toBeCloseTo(0.2, 1);
    expect(perMPa('ptfe-3')).toBeLessThan(0.25 * perMPa('rubber-1-8'));
    expect(allowedMlPerM(hoseById('ptfe-3')!, 6.9)).toBeNull();
  });
  test('takes more the harder it is pressed, and not in proportion', () => {
    for (const hose of HOSES.filter((one) => one.expansion.length > 1)) {
      const at = (MPa: number): number => hoseMlPerM(hose, MPa)!;
      for (let MPa = 1; MPa < 25; MPa++) expect(at(MPa + 1)).toBeGreaterThan(at(MPa));
      expect(at(0)).toBe(0);
    }
    expect(hoseMlPerM(hoseById('feed-8')!, 5)).toBeNull();
    expect(hoseMlPerM(hoseById('rubber-1-8')!, 10)! / 10).not.toBeCloseTo(
      hoseMlPerM(hoseById('rubber-1-8')!, 5)! / 5,
      2,
    );
  });
});

describe('where a hose begins', () => {
  const end = {
    portId: null,
    through: false,
    atMm: [10, 20, 30] as Vec3,
    direction: [0, 2, 0] as Vec3,
    turnDeg: 0,
  };
  test.each(HOSE_FITTINGS.map((fitting) => [fitting.id, fitting] as const))(
    '%s: its own length from the seat, at its own bend',
    (fittingId, fitting) => {
      for (const turnDeg of [0, 45, -120]) {
        const { clamp, thread } = placeEnd({ ...end, fittingId, turnDeg }, new Map());
        const cos =
          clamp.direction[0] * thread[0] +
          clamp.direction[1] * thread[1] +
          clamp.direction[2] * thread[2];
        expect(Math.hypot(...clamp.direction)).toBeCloseTo(1, 9);
        expect(cos).toBeCloseTo(Math.cos((fitting.bendDeg * Math.PI) / 180), 9);
        // Stem and leg are two sides of a triangle with the bend outside it: the law of cosines.
        const { stemMm: s, legMm: l } = fitting;
        expect(distance(clamp.pointMm, end.atMm)).toBeCloseTo(
          Math.sqrt(s * s + l * l + 2 * s * l * cos),
          9,
        );
      }
    },
  );
  test('through a bracket it leaves on the other side from the tube', () => {
    const { ports } = viewPlan(plan);
    const at = ports.get('port-5')!;
    const { thread, seatMm } = placeEnd(plan.hoses[0]!.ends.a, ports);
    expect(seatMm).toEqual(at.fixed.atMm);
    expect(thread.map((v) => v + 0)).toEqual(scale(at.port.direction, -1).map((v) => v + 0));
    expect(placeEnd({ ...plan.hoses[0]!.ends.a, through: false }, ports).thread).toEqual(
      at.port.direction,
    );
  });
});

describe('a hose through its travel', () => {
  test.each(['hose-fl', 'hose-rl', 'hose-rr'])(
    '%s, followed from ride, hangs in each state as the verb says of that state alone',
    (id) => {
      const { states, ends, freeMm: lengthMm, stock } = view(id);
      const alone = hoseVerb({
        lengthMm,
        minRadiusMm: stock.minRadiusMm,
        endA: ends.a.clamp,
        states: states.map(({ name, clampB }) => ({ name, endB: clampB })),
      });
      states.forEach((state, i) => {
        expect(state.minRadiusMm! / alone.states[i]!.minRadiusMm!).toBeCloseTo(1, 1.5);
        expect(state.verdict).toBe(alone.states[i]!.verdict);
        expect(state.slackMm).toBeCloseTo(alone.states[i]!.slackMm, 6);
      });
    },
  );

  test('a body is touched only in the states where it is in the way, and heat is reported apart', () => {
    const { hose, ends, stock, freeMm: lengthMm, states } = view('hose-rl');
    const middle = states[0]!.shape!.pointsMm[16]!;
    const thing = {
      ...plan.things[0]!,
      id: 'x',
      holds: false,
      keepMm: 5,
      travel: null,
      nature: 'solid' as const,
      shape: {
        kind: 'block' as const,
        minMm: [middle[0] - 3, middle[1] - 3, middle[2] - 3] as Vec3,
        maxMm: [middle[0] + 3, middle[1] + 3, middle[2] + 3] as Vec3,
      },
    };
    const [ride, droop] = sweep(hose.motion, ends.a.clamp, ends.b, lengthMm, stock, [thing]);
    expect(ride!.near).toMatchObject({ distanceMm: 0, wantedMm: 5 });
    expect(droop!.near?.distanceMm ?? 99).toBeGreaterThan(0);
    const [hot] = sweep(hose.motion, ends.a.clamp, ends.b, lengthMm, stock, [
      { ...thing, nature: 'hot' },
    ]);
    expect([hot!.near, hot!.hot!.distanceMm]).toEqual([null, 0]);
  });

  test('tight at both ends it is free of twist at ride and twisted by the travel, whatever its fittings; a stiffer one less', () => {
    const { twistDeg, states } = view('hose-fl');
    expect(twistDeg).toHaveLength(states.length);
    expect(twistDeg[0]).toBeCloseTo(0, 9);
    const most = (deg: readonly (number | null)[]): number =>
      Math.max(...deg.map((one) => Math.abs(one!)));
    expect(most(twistDeg)).toBeGreaterThan(10);
    expect(most(twistDeg)).toBeLessThan(90);
    const { hose, ends, freeMm } = view('hose-fl');
    const of = (stiffness: number): number =>
      most(twistThrough(hose.motion, ends.a, ends.b, freeMm, stiffness, states));
    expect([of(1) > of(5), of(5) > of(20)]).toEqual([true, true]);
    expect(of(5)).toBeCloseTo(most(twistDeg), 6);
  });
  test('a hose whose end goes straight to and fro in the plane of its bend is not twisted', () => {
    const at: EndPlace = {
      seatMm: [0, 0, 0],
      thread: [1, 0, 0],
      clamp: { pointMm: [0, 0, 0], direction: [1, 0, 0] },
    };
    const to: EndPlace = {
      seatMm: [200, 0, 0],
      thread: [0, 0, 1],
      clamp: { pointMm: [180, 0, 120], direction: [0, 0, -1] },
    };
    const motion = {
      ...plan.hoses[0]!.motion,
      kind: 'axle' as const,
      axis: [0, 0, 1] as Vec3,
      heaveMm: [-30, 30] as const,
      rollDeg: 0,
      steer: null,
      floatMm: 0,
    };
    const states = sweep(motion, at.clamp, to, 280, view('hose-fl').stock, null);
    expect(states.map(({ verdict }) => verdict)).toEqual(['ok', 'ok', 'ok']);
    for (const deg of twistThrough(motion, at, to, 280, 5, states)) expect(deg).toBeCloseTo(0, 3);
  });

  test('what is done to its joint does not hang it anew', () => {
    const { ends } = plan.hoses[0]!;
    const washers = patched('hose-fl', { ends: { ...ends, b: { ...ends.b, eyes: 2 } } });
    expect(view('hose-fl', washers).states).toBe(view('hose-fl').states);
    const turned = patched('hose-fl', { ends: { ...ends, b: { ...ends.b, turnDeg: 30 } } });
    expect(view('hose-fl', turned).states).not.toBe(view('hose-fl').states);
  });

  test('an arm that is too short, and fittings longer than the hose, end in a sentence', () => {
    const far = patched('hose-fl', { motion: { ...plan.hoses[0]!.motion, heaveMm: [-900, 50] } });
    expect(view('hose-fl', far)).toMatchObject({
      states: [],
      fault: expect.stringMatching(/arm is too short for droop/) as string,
    });
    expect(view('hose-fl', patched('hose-fl', { orderMm: 60 })).fault).toMatch(
      /fittings alone are longer than the 60 mm/,
    );
  });
});

describe('lengths', () => {
  const front = view('hose-fl');
  const lengths = lengthsOf(front, plan.things);
  test('every one tried is judged as it hangs, and the shortest is the first that serves', () => {
    const { tried, shortestMm, longestMm } = lengths;
    expect(tried.find((one) => one.ok)!.orderMm).toBe(shortestMm);
    expect(tried.at(-1)!.ok ? tried.at(-1)!.orderMm : tried.at(-2)!.orderMm).toBe(longestMm);
    for (const one of tried.filter((_, i) => i % 4 === 0)) {
      const free = one.orderMm - (front.hose.orderMm - front.freeMm);
      const bends = front.states.every(
        ({ clampB }) =>
          judge(free, front.ends.a.clamp, clampB, front.stock.minRadiusMm).verdict === 'ok',
      );
      expect(one.verdict === 'ok').toBe(bends);
    }
  });
  test('the shortest alone is the same as the shortest of all that were tried', () => {
    expect(lengths.shortestMm).not.toBeNull();
    expect(shortestOf(front, plan.things)).toBe(lengths.shortestMm);
    expect(shortestOf({ ...front, states: [] }, plan.things)).toBeNull();
  });
  test('the length for all four serves each, and 5 mm less does not serve them all', () => {
    const corners = ['hose-fl', 'hose-fr', 'hose-rl', 'hose-rr'].map((id) => view(id));
    const { orderMm } = equalLength(corners, plan.things);
    expect(corners.every((one) => atLength(one, plan.things, orderMm!).ok)).toBe(true);
    expect(corners.every((one) => atLength(one, plan.things, orderMm! - 5).ok)).toBe(false);
  });
  test('where none serves all, it says which hose speaks against it', () => {
    const tight = patched('hose-rl', {
      stockId: 'feed-8',
      ends: { ...plan.hoses[2]!.ends, b: { ...plan.hoses[2]!.ends.b, turnDeg: 180 } },
    });
    const found = equalLength([view('hose-fl', tight), view('hose-rl', tight)], plan.things);
    expect(found).toEqual({ orderMm: null, against: 'H3' });
  });
  test('a bracket is found from which a hose serves that did not', () => {
    const places = bracketPlaces(view('hose-fr'), plan.things);
    expect(places.length).toBeGreaterThan(0);
    const best = places[0]!;
    expect(best.ok).toBe(true);
    const ends = plan.hoses[1]!.ends;
    const moved = patched('hose-fr', {
      ends: {
        ...ends,
        a: { ...ends.a, portId: null, through: false, atMm: best.atMm, direction: best.direction },
      },
    });
    expect(view('hose-fr', moved).states.every((state) => state.verdict === 'ok')).toBe(true);
    expect(Math.min(...view('hose-fr', moved).states.map((s) => s.minRadiusMm!))).toBeCloseTo(
      best.leastRadiusMm,
      3,
    );
    expect(bracketPlaces(view('hose-fr'), [])).toEqual([]);
  });
});

describe('what hoses mean for the rest of the plan', () => {
  test('Size reckons with their free length and what their class takes, not with the typed figure', () => {
    const front = (on: Plan) => plannedHoses(on, 'sizing').find(({ name }) => name === 'front');
    const planned = front(plan)!;
    expect(planned.hoseMm).toBeCloseTo(freeMm(plan.hoses[0]!) + freeMm(plan.hoses[1]!), 9);
    const input = sizeInputOf(plan, plan.sizing!, viewPlan(plan).lines, 0);
    expect(input.lines.front.hoseMm).toBe(planned.hoseMm);
    const rubber = patched(
      'hose-fr',
      { stockId: 'rubber-1-8' },
      patched('hose-fl', { stockId: 'rubber-1-8' }),
    );
    expect(front(rubber)!.hoseMlPerMPaM).toBeGreaterThan(5 * planned.hoseMlPerMPaM);
    expect(front({ ...plan, hoses: [] })).toBeUndefined();
  });
  test('so do a trailer, a clutch and a lever of its own, each by the circuits that it works', () => {
    const [circuit] = plan.circuits;
    const sheets = {
      ...plan,
      trailer: typicalTrailer(),
      clutch: typicalClutch(),
      singles: [typicalSingle('Lever', circuit!.id)],
    };
    const all = plannedHoses(sheets, 'trailer')[0]!;
    expect(all.hoseMm).toBeCloseTo(
      plan.hoses
        .filter((hose) => hose.service === 'pressure')
        .reduce((sum, hose) => sum + freeMm(hose), 0),
      9,
    );
    expect(plannedHoses(sheets, 'singles.0')[0]!.hoseMm).toBeLessThan(all.hoseMm);
    expect(plannedHoses(sheets, 'clutch')).toEqual([]);
    // Softer hose takes more of the stroke; without hoses of its own the typed figure counts, whatever it is.
    const travelMm = (on: Plan): number => viewPlan(on).works.singles[0]!.travelMm;
    const rubber = {
      ...sheets,
      hoses: sheets.hoses.map((hose) =>
        hose.service === 'pressure' ? { ...hose, stockId: 'rubber-1-8' } : hose,
      ),
    };
    expect(travelMm(rubber)).toBeGreaterThan(1.01 * travelMm(sheets));
    const soft = (on: Plan): Plan => ({
      ...on,
      singles: on.singles.map((one) => ({ ...one, hose: { hoseMm: 5000, hoseMlPerMPaM: 1 } })),
    });
    expect(travelMm(soft(sheets))).toBe(travelMm(sheets));
    expect(travelMm(soft({ ...sheets, hoses: [] }))).toBeGreaterThan(travelMm(rubber));
  });
  test('the fluid in them is filled and bled like the rest', () => {
    const fill = (on: Plan): number => viewPlan(on).bleeding[0]!.result!.fillMl;
    const inHoses = plan.hoses
      .filter((hose) => hose.service === 'pressure')
      .reduce((sum, hose) => sum + hoseVolumeMl(hose), 0);
    expect(fill(plan) - fill({ ...plan, hoses: [] })).toBeCloseTo(inHoses, 6);
  });
  test('they go on fixed end first, the end that turns last, and come off the other way round', () => {
    const steps = hoseOrder(view('hose-fl'));
    expect(steps[0]).toMatch(/^End A first/);
    expect(steps.join(' ')).toMatch(/End B last \(banjo.*new washer/);
    expect(steps.at(-1)).toMatch(/end B first, then end A/);
    expect(hoseOrder(view('feed-front'))[1]).toMatch(/clamp/);
  });
});

describe('each rule of hoses against a hose spoilt for it', () => {
  const ends = plan.hoses[0]!.ends;
  const spoilt: readonly (readonly [
    rule: string,
    level: Snag['level'],
    patch: Partial<Hose>,
    mended: boolean,
  ])[] = [
    // Long enough it would twist: no length is offered.
    ['hose-reach', 'stop', { orderMm: 200 }, false],
    [
      'hose-taut',
      'stop',
      {
        orderMm: 260,
        ends: { a: { ...ends.a }, b: { ...ends.b, turnDeg: 180, fittingId: 'straight-swivel' } },
      },
      true,
    ],
    ['hose-kinks', 'caution', { orderMm: 315 }, true],
    ['hose-kinks', 'stop', { orderMm: 300 }, true],
    ['hose-rubs', 'caution', {}, false],
    [
      'hose-twisted',
      'caution',
      { orderMm: 420, ends: { ...ends, b: { ...ends.b, fittingId: 'straight-fixed' } } },
      true,
    ],
    ['hose-unfixed', 'stop', { fixing: 'none' }, true],
    ['hose-unlocked', 'caution', { locked: false }, true],
    ['hose-class', 'stop', { stockId: 'fuel-6' }, true],
    ['hose-class', 'stop', { stockId: 'feed-8' }, false],
    ['hose-too-long', 'caution', { orderMm: 435 }, true],
    ['hose-aged', 'caution', { madeOn: '2009-01' }, false],
    ['hose-unjudged', 'caution', { orderMm: 60 }, false],
    ['hose-hot', 'caution', {}, false],
    ['feed-bare', 'note', { service: 'feed', stockId: 'feed-8', gauze: false }, true],
    [
      'feed-falls',
      'caution',
      {
        service: 'feed',
        stockId: 'feed-8',
        motion: still,
        ends: {
          a: { ...ends.a, portId: null, atMm: [0, 0, 500], direction: [0, 0, 1] },
          b: { ...ends.b, atMm: [200, 0, 520], direction: [0, 0, 1] },
        },
        orderMm: 560,
      },
      false,
    ],
  ];
  const sound = { ...plan, hoses: plan.hoses.slice(0, 1) };
  const exhaust = plan.things.find((thing) => thing.kind === 'exhaust')!;
  const pathMm: Vec3[] = [
    [-300, -330, 330],
    [400, -330, 330],
  ];
  const hot = {
    ...exhaust,
    id: 'second-exhaust',
    shape: { kind: 'pipe' as const, pathMm, diameterMm: 50 },
  };
  const near = plan.things.map((thing) =>
    thing.id === 'wheel-fl' ? { ...thing, keepMm: 70 } : thing,
  );
  const found = (on: Plan, rule: string): Snag[] =>
    inspect(on).filter((snag) => snag.rule === rule);

  test('the fix of a hose of another class takes one of its own service', () => {
    const fixed = (patch: Partial<Hose>): [said: string, kind: string] => {
      const on = { ...sound, hoses: sound.hoses.map((hose) => ({ ...hose, ...patch })) };
      const [snag] = found(on, 'hose-class');
      const { call } = proposedFixes(on, snag!.key)[0]!;
      const [after] = applyEdit(on, call).hoses;
      return [snag!.text, hoseById(after!.stockId)!.kind === 'feed' ? 'feed' : 'pressure'];
    };
    expect(fixed({ stockId: 'feed-8' })).toEqual([
      expect.stringMatching(
        /8 mm reservoir hose is made for a reservoir feed\. Brake pressure bursts it/,
      ),
      'pressure',
    ]);
    expect(fixed({ stockId: 'ptfe-3', service: 'feed' })).toEqual([
      expect.stringMatching(
        /-3 braided PTFE is pressure hose\. A reservoir feed needs a wider bore/,
      ),
      'feed',
    ]);
    expect(fixed({ stockId: 'fuel-6' })[0]).toMatch(/is not brake hose/);
  });
  test('a sound hose has none: one that is steered is twisted a little by its travel', () => {
    const at = (on: Plan) => inspect(on).filter((snag) => snag.place.kind === 'hose');
    expect(at({ ...plan, hoses: plan.hoses.slice(2, 3) })).toEqual([]);
    expect(at(sound)).toMatchObject([
      {
        rule: 'travel-twists',
        level: 'caution',
        text: expect.stringMatching(
          /17° in 100 mm, where 5° is a caution and 20° a stop, by our judgement/,
        ) as string,
      },
    ]);
  });
  test('an end that goes through no bracket needs no lock nut, a bulkhead end always does', () => {
    const { ends: all } = plan.hoses[0]!;
    const unlocked = (patch: Partial<Hose>): number =>
      found(patched('hose-fl', { locked: false, ...patch }, sound), 'hose-unlocked').length;
    expect(unlocked({})).toBe(1);
    const straight = { ...all.a, fittingId: 'straight-swivel' };
    expect(unlocked({ ends: { ...all, a: { ...straight, through: true } } })).toBe(1);
    expect(unlocked({ ends: { ...all, a: { ...straight, through: false } } })).toBe(0);
    expect(unlocked({ fixing: 'none', ends: { ...all, a: { ...straight, through: true } } })).toBe(
      0,
    );
  });
  test('twist through the travel by the figure: silent, a look, too much', () => {
    const fitted = (id: string, fittingId: string, orderMm: number): Plan => {
      const { ends } = plan.hoses.find((one) => one.id === id)!;
      return patched(id, { orderMm, ends: { ...ends, b: { ...ends.b, fittingId } } });
    };
    const levels = (on: Plan, id: string): string[] =>
      found(on, 'travel-twists')
        .filter(({ place }) => 'id' in place && place.id === id)
        .map(({ level }) => level);
    expect(levels(fitted('hose-rl', 'banjo-20', 350), 'hose-rl')).toEqual([]);
    expect(levels(fitted('hose-rl', 'banjo-45', 350), 'hose-rl')).toEqual(['caution']);
    expect(levels(fitted('hose-fl', 'banjo-45', 315), 'hose-fl')).toEqual(['stop']);
  });
  test.each(spoilt)('%s, %s', (rule, level, patch, mended) => {
    const base = {
      ...sound,
      things:
        rule === 'hose-hot' ? [...sound.things, hot] : rule === 'hose-rubs' ? near : sound.things,
    };
    const bad = patched('hose-fl', patch, base);
    const [snag] = found(bad, rule);
    expect(snag).toMatchObject({ level, where: 'H1', place: { kind: 'hose', id: 'hose-fl' } });
    const fix = fixOf(bad, snag!.key);
    expect(fix !== null).toBe(mended);
    if (fix) expect(found(applyEdit(bad, fix.call), rule)).toEqual([]);
  });
  test('a tube led through where the hose swings is told, the one that meets it at its bracket is not', () => {
    const { states } = view('hose-fl', sound);
    const droop = states.find((state) => state.name.startsWith('droop'))!.shape!.pointsMm[16]!;
    const line = sound.lines.find((one) => one.id === 'line-1')!;
    const through = {
      ...sound,
      lines: sound.lines.map((one) =>
        one === line
          ? {
              ...one,
              cornersMm: [90, -90].map((by): Vec3 => [droop[0] + by, droop[1], droop[2] + 6]),
            }
          : one,
      ),
    };
    expect(found(sound, 'near-hose')).toEqual([]);
    expect(found(through, 'near-hose')[0]!.text).toMatch(
      /During its travel the hose comes within 0 mm of F1, 10 required/,
    );
  });
  test('two hoses that swing into one another are told at the later one; moving together, only where they are in the same state', () => {
    const [front] = sound.hoses;
    const beside = (byMm: number, motion = front!.motion): Plan => {
      const aside = (end: Hose['ends']['a']): Hose['ends']['a'] => {
        const { seatMm, thread } = view('hose-fl', sound).ends[end === front!.ends.a ? 'a' : 'b'];
        return {
          ...end,
          portId: null,
          through: false,
          atMm: [seatMm[0] + byMm, seatMm[1], seatMm[2]],
          direction: thread,
        };
      };
      const twin = {
        ...front!,
        id: 'twin',
        name: 'H9',
        motion,
        ends: { a: aside(front!.ends.a), b: aside(front!.ends.b) },
      };
      return { ...sound, hoses: [front!, twin] };
    };
    expect(found(sound, 'hoses-touch')).toEqual([]);
    // 100 mm apart, shape beside shape, they never meet; 12 mm apart they leave 5.8 mm between their skins, or less where they cross.
    expect(found(beside(100), 'hoses-touch')).toEqual([]);
    const [snag] = found(beside(12), 'hoses-touch');
    expect(snag).toMatchObject({
      level: 'caution',
      where: 'H9',
      text: expect.stringMatching(
        /During its travel the hose comes within 0 mm of H1, 10 required/,
      ) as string,
    });
    // The other stands still while this one swings past it.
    const still40 = found(beside(40, { ...front!.motion, kind: 'still' }), 'hoses-touch');
    expect(still40).toHaveLength(1);
    expect(found(beside(40), 'hoses-touch').length).toBeLessThanOrEqual(still40.length);
  });
  test('a zip tie is a stop too, and lengths that differ for nothing are a note with one that serves all', () => {
    expect(
      found(patched('hose-fl', { fixing: 'zip-tie' }, sound), 'hose-unfixed')[0]!.text,
    ).toMatch(/zip tie/);
    const [snag] = found(plan, 'hoses-unlike');
    expect(snag).toMatchObject({ level: 'note', where: 'H1, H2, H3, H4' });
    expect(found(applyEdit(plan, fixOf(plan, snag!.key)!.call), 'hoses-unlike')).toEqual([]);
  });
});
