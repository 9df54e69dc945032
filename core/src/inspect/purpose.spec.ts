import { applyEdit, type Part, type PartKind, type Plan } from '../plan/index.ts';
import { typicalClutch, typicalSizing, typicalTrailer } from '../plan/typical.ts';
import {
  brakePlace,
  feedsOf,
  pedalsOf,
  pressingFeeds,
  serviceFeeds,
} from '../plan/network/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { joined, passages, portOf, said, withParts } from '../testing/plumbed.ts';

const partOf = (plan: Plan, name: string): Part => plan.parts.find((part) => part.name === name)!;
const set = (plan: Plan, name: string, patch: Partial<Part>): Plan =>
  applyEdit(plan, { edit: 'changePart', with: { id: partOf(plan, name).id, patch } });
const port = (plan: Plan, text: string, patch: object): Plan =>
  applyEdit(plan, { edit: 'changePort', with: { id: portOf(plan, text).id, patch } });
/** A port of a part at a height. */
const at = (plan: Plan, text: string, zMm: number): Plan =>
  port(plan, text, { known: { how: 'typed', atMm: [0, 0, zMm], sigmaMm: [1, 1, 1] } });
/** Brakes called FL, FR, RL and RR are where their names say. */
const placed = (plan: Plan): Plan =>
  plan.parts
    .filter(({ name }) => /^[FR][LR]\d?$/.test(name))
    .reduce(
      (now, { name }) =>
        set(now, name, {
          axle: name[0] === 'F' ? 'front' : 'rear',
          side: name[1] === 'L' ? 'left' : 'right',
        }),
      plan,
    );
const sized = (plan: Plan, category: 'light' | 'motorcycle' = 'light'): Plan => ({
  ...plan,
  sizing: typicalSizing(category),
});
const caliper = (name: string): string => `${name}.hose end at bracket`;
const CALIPERS = { FL: 'caliper', FR: 'caliper', RL: 'caliper', RR: 'caliper' } as const;

describe('what a part is for', () => {
  test('a master is worked by what is set, else by what its circuit and its name say', () => {
    const plan = joined(
      withParts({
        'Left toe master': 'master',
        'Clutch pump': 'master',
        Handbrake: 'master',
        Master: 'master',
        Coupling: 'actuator',
        S: 'slave',
      }),
      [['Clutch pump.outlet > S.inlet', 'clutch']],
    );
    expect([...pedalsOf(plan).values()]).toEqual(['toe-left', 'clutch', 'hand', 'foot', 'trailer']);
    const told = set(plan, 'Master', { pedal: 'hand-right' });
    expect(pedalsOf(told).get(partOf(told, 'Master').id)).toBe('hand-right');
  });
  test('a brake’s place is its position, until it is set', () => {
    const plan = withParts({ M: 'master', B: 'caliper', C: 'caliper' });
    const place = (of: Plan, name: string) =>
      brakePlace(partOf(of, name), viewPlan(of).ports, 2000);
    // B stands at 700 aft and 500 to the right, C at 1,400 and 1,000.
    expect(place(plan, 'B')).toEqual({ axle: 'front', side: 'right' });
    expect(place(plan, 'C')).toEqual({ axle: 'rear', side: 'right' });
    expect(place(set(plan, 'C', { axle: 'front', side: 'left' }), 'C')).toEqual({
      axle: 'front',
      side: 'left',
    });
  });
});

describe('left and right', () => {
  const modulator = (left: string, right: string): Plan =>
    placed(
      joined(withParts({ M: 'master', V: 'modulator', ...CALIPERS }), [
        ['M.outlet > V.front inlet'],
        [`V.front left > ${caliper(left)}`],
        [`V.front right > ${caliper(right)}`],
      ]),
    );
  test('sides-crossed: a modulator’s outlet to the other wheel', () => {
    expect(said(modulator('FL', 'FR'), 'sides-crossed')).toEqual([]);
    expect(said(modulator('FR', 'FL'), 'sides-crossed').join()).toMatch(
      /stop V: The outlet “front left” serves the front left and leads to FR/,
    );
    // What is set counts before the name.
    const renamed = port(modulator('FR', 'FL'), 'V.front left', { serves: 'front-right' });
    expect(said(renamed, 'sides-crossed')).toHaveLength(1);
    expect(said(port(renamed, 'V.front right', { serves: 'front-left' }), 'sides-crossed')).toEqual(
      [],
    );
  });
  test('sides-crossed: toe pedals', () => {
    const toes = (left: string, right: string): Plan =>
      placed(
        joined(withParts({ 'Left toe': 'master', 'Right toe': 'master', ...CALIPERS }), [
          [`Left toe.outlet > ${caliper(left)}`],
          [`Right toe.outlet > ${caliper(right)}`, 'rear'],
        ]),
      );
    expect(said(toes('RL', 'RR'), 'sides-crossed')).toEqual([]);
    expect(said(toes('RR', 'RL'), 'sides-crossed')).toHaveLength(2);
  });
  test('one-side: a circuit with both wheels of one side', () => {
    const split = (first: readonly string[], second: readonly string[]): Plan =>
      sized(
        placed(
          joined(withParts({ M: ['master', 'second:outlet'], T: 'tee', U: 'tee', ...CALIPERS }), [
            ['M.outlet > T.inlet'],
            ['M.second > U.inlet', 'rear'],
            [`T.left > ${caliper(first[0]!)}`],
            [`T.right > ${caliper(first[1]!)}`],
            [`U.left > ${caliper(second[0]!)}`, 'rear'],
            [`U.right > ${caliper(second[1]!)}`, 'rear'],
          ]),
        ),
      );
    expect(said(split(['FL', 'RR'], ['FR', 'RL']), 'one-side')).toEqual([]);
    expect(said(split(['FL', 'FR'], ['RL', 'RR']), 'one-side')).toEqual([]);
    expect(said(split(['FL', 'RL'], ['FR', 'RR']), 'one-side')).toHaveLength(2);
  });
});

describe('hand levers', () => {
  const inLine = (front: boolean): Plan =>
    sized(
      placed(
        joined(withParts({ M: 'master', H: 'handbrake-cylinder', ...CALIPERS }), [
          ['M.outlet > H.inlet'],
          [`H.outlet > ${caliper(front ? 'FL' : 'RL')}`],
        ]),
      ),
    );
  test('hand-in-front: in a front circuit of a car, not in the rear, and not on a motorcycle', () => {
    expect(said(inLine(true), 'hand-in-front').join()).toMatch(/stop H: .*works FL, a front brake/);
    expect(said(inLine(false), 'hand-in-front')).toEqual([]);
    const lever = (category: 'light' | 'motorcycle'): Plan =>
      sized(
        placed(
          joined(withParts({ 'Hand lever': 'master', ...CALIPERS }), [
            [`Hand lever.outlet > ${caliper('FL')}`],
          ]),
        ),
        category,
      );
    expect(said(lever('light'), 'hand-in-front')).toHaveLength(1);
    expect(said(lever('motorcycle'), 'hand-in-front')).toEqual([]);
  });
  test('hand-teed: teed into another master it vents; with cylinders of its own it does not', () => {
    const parts = withParts({
      M: 'master',
      'Hand lever': 'master',
      T: 'tee',
      RL: 'caliper',
      RR: 'caliper',
    });
    const teed = joined(parts, [
      ['M.outlet > T.inlet', 'rear'],
      ['Hand lever.outlet > T.left', 'rear'],
      [`T.right > ${caliper('RL')}`, 'rear'],
    ]);
    expect(said(teed, 'hand-teed').join()).toMatch(
      /stop Hand lever: It is teed into the circuit of M/,
    );
    const own = joined(parts, [
      [`M.outlet > ${caliper('RL')}`, 'rear'],
      [`Hand lever.outlet > ${caliper('RR')}`, 'rear'],
    ]);
    expect(said(own, 'hand-teed')).toEqual([]);
    // In line: the foot presses through the lever's master.
    const inSeries = joined(
      withParts({ M: 'master', 'Hand lever': ['master', 'feed:feed'], RL: 'caliper' }),
      [
        ['M.outlet > Hand lever.feed', 'rear'],
        [`Hand lever.outlet > ${caliper('RL')}`, 'rear'],
      ],
    );
    const rated = port(inSeries, 'Hand lever.feed', { takesPressure: true });
    expect(said(rated, 'hand-teed')).toEqual([]);
    expect(said(rated, 'roles-swapped')).toEqual([]);
    const { network, pedals } = viewPlan(rated);
    const feeds = pressingFeeds(network, rated.parts, pedals);
    expect(serviceFeeds(feeds, false).map(({ master }) => master.name)).toEqual(['M']);
  });
  test('a lever of its own is no part of the foot’s circuits', () => {
    const plan = sized(
      placed(
        joined(
          withParts({
            M: ['master', 'second:outlet'],
            'Hand lever': 'master',
            ...CALIPERS,
            RL2: 'caliper',
          }),
          [
            [`M.outlet > ${caliper('FL')}`],
            [`M.second > ${caliper('RL')}`, 'rear'],
            [`Hand lever.outlet > ${caliper('RL2')}`, 'rear'],
          ],
        ),
      ),
    );
    const { network } = viewPlan(plan);
    const feeds = serviceFeeds(pressingFeeds(network, plan.parts, pedalsOf(plan)), false);
    expect(feeds.map(({ master }) => master.name)).toEqual(['M', 'M']);
    expect(
      said(plan, 'drawing-differs').filter((text) => /master cylinders feed/.test(text)),
    ).toEqual([]);
  });
});

describe('what is joined on purpose', () => {
  const DUAL = {
    'Far toe left': ['master', 'feed:feed'],
    'Near toe left': ['master', 'feed:feed'],
    R: 'reservoir',
    RL: 'caliper',
  } as const;
  const dual = (rated: boolean): Plan => {
    const plan = joined(withParts(DUAL), [
      ['R.feed > Far toe left.feed', 'rear', 'feed'],
      ['Far toe left.outlet > Near toe left.feed', 'rear'],
      [`Near toe left.outlet > ${caliper('RL')}`, 'rear'],
    ]);
    return rated ? port(plan, 'Near toe left.feed', { takesPressure: true }) : plan;
  };
  test('masters in series: where the near one’s feed is made for it', () => {
    for (const rule of ['roles-swapped', 'master-dry', 'circuits-joined', 'valve-backwards'])
      expect(said(dual(true), rule)).toEqual([]);
    expect(said(dual(false), 'roles-swapped')).toHaveLength(1);
    const { network } = viewPlan(dual(true));
    const feeds = feedsOf(network, dual(true).parts);
    const pressing = feeds.filter(({ reached }) =>
      reached.has(portOf(dual(true), caliper('RL')).id),
    );
    expect(pressing.map(({ master }) => master.name)).toEqual(['Far toe left', 'Near toe left']);
  });
  test('fed-twice and roles-swapped: a pipe from one brake to the next feeds no brake twice', () => {
    const parts = withParts({
      M: ['master', 'second:outlet'],
      RL: ['wheel-cylinder', 'bridge:inlet'],
      RR: ['wheel-cylinder', 'bridge:inlet'],
    });
    const bridged = joined(parts, [
      ['M.outlet > RL.inlet', 'rear'],
      ['RL.bridge > RR.bridge', 'rear'],
    ]);
    for (const rule of ['fed-twice', 'roles-swapped', 'part-unfed'])
      expect(said(bridged, rule)).toEqual([]);
    const twice = joined(bridged, [['M.second > RR.inlet', 'rear']]);
    expect(said(twice, 'fed-twice')).toHaveLength(2);
    // Nothing presses a bridge between two brakes that no line comes to.
    const dry = joined(parts, [['RL.bridge > RR.bridge', 'rear']]);
    expect(said(dry, 'roles-swapped').join()).toMatch(/Both ends are inlets/);
  });
  test('roles-swapped: a line from a bleeder to one that can be reached', () => {
    const parts = withParts({ M: 'master', RL: 'caliper', B: ['bracket', 'bleeder:bleeder'] });
    const remote = joined(parts, [
      [`M.outlet > ${caliper('RL')}`, 'rear'],
      ['RL.bleeder > B.near side', 'rear'],
    ]);
    expect(said(remote, 'roles-swapped')).toEqual([]);
    expect(said(remote, 'fed-twice')).toEqual([]);
    const led = joined(parts, [
      [`M.outlet > ${caliper('RL')}`, 'rear'],
      ['RL.bleeder > B.near side', 'rear'],
      ['B.far side > M.outlet', 'rear'],
    ]);
    expect(said(led, 'roles-swapped')).toHaveLength(1);
  });
  test('bleeder-low: a second one at the bottom is kept shut and not bled at; alone it is a stop', () => {
    const parts = withParts({ M: 'master', FL: ['caliper', 'lower:bleeder'] });
    const plan = joined(parts, [[`M.outlet > ${caliper('FL')}`]]);
    const heights = (upper: number): Plan =>
      at(at(at(plan, 'FL.lower', 300), 'FL.bleeder', upper), caliper('FL'), 350);
    expect(said(heights(400), 'bleeder-low').join()).toMatch(/^note FL, lower: A second bleeder/);
    expect(viewPlan(heights(400)).bleeding[0]!.bleeders.map(({ port: { name } }) => name)).toEqual([
      'bleeder',
    ]);
    expect(said(heights(300), 'bleeder-low').every((text) => text.startsWith('stop'))).toBe(true);
    // In chambers of their own both are bled.
    const apart = passages(heights(400), 'FL', [['hose end at bracket', 'bleeder'], ['lower']]);
    expect(viewPlan(apart).bleeding[0]!.bleeders).toHaveLength(2);
  });
  test('circuits-joined: a hose in another circuit than the tube it joins', () => {
    const parts = withParts({ M: 'master', B: 'bracket', FL: 'caliper' });
    const tube = joined(parts, [['M.outlet > B.near side']]);
    const by = (circuit: 'front' | 'rear'): Plan =>
      joined(tube, [[`B.far side > ${caliper('FL')}`, circuit, 'hose']]);
    expect(said(by('front'), 'circuits-joined')).toEqual([]);
    expect(said(by('rear'), 'circuits-joined').join()).toMatch(
      /L1 \(Front brakes\) and H0 \(Rear brakes\)/,
    );
  });
});

describe('what does not suit', () => {
  test('tube-to-moving: a tube on a caliper that slides, not on a fixed one, nor on the bracket of its hose', () => {
    const plan = joined(withParts({ M: 'master', FL: 'caliper' }), [
      [`M.outlet > ${caliper('FL')}`],
    ]);
    const body = at(at(plan, 'FL.bleeder', 440), caliper('FL'), 400);
    const slides = (of: Plan, slides: boolean): string[] =>
      said(set(of, 'FL', { slides }), 'tube-to-moving');
    expect(slides(body, true).join()).toMatch(/stop L1, end B: FL slides on its pins/);
    expect(slides(body, false)).toEqual([]);
    expect(slides(at(body, 'FL.bleeder', 600), true)).toEqual([]);
  });
  const trailer = (kind: PartKind, actuatorMPa: number): Plan => ({
    ...joined(withParts({ A: 'actuator', B: kind }), [
      [`A.outlet > B.${kind === 'caliper' ? 'hose end at bracket' : 'inlet'}`],
    ]),
    trailer: { ...typicalTrailer(), actuatorMPa },
  });
  // 1,000 psi are 6.9 MPa, 1,600 psi 11.0 MPa. Common practice.
  test.each<[PartKind, number, number]>([
    ['caliper', 6.9, 1],
    ['caliper', 11, 0],
    ['wheel-cylinder', 6.9, 0],
    ['wheel-cylinder', 11, 1],
  ])('actuator-pressure: a %s at %d MPa', (kind, mpa, count) => {
    expect(said(trailer(kind, mpa), 'actuator-pressure')).toHaveLength(count);
  });
  test('slaves-sized: two slaves where one is sized', () => {
    const parts = withParts({ M: 'master', T: 'tee', S: 'slave', U: 'slave' });
    const one = joined(parts, [
      ['M.outlet > T.inlet', 'clutch'],
      ['T.left > S.inlet', 'clutch'],
    ]);
    const two = joined(one, [['T.right > U.inlet', 'clutch']]);
    const withClutch = (plan: Plan): Plan => ({ ...plan, clutch: typicalClutch() });
    expect(said(withClutch(one), 'slaves-sized')).toEqual([]);
    expect(said(withClutch(two), 'slaves-sized')).toHaveLength(1);
  });
  test('reservoir-low: below the feed of its master', () => {
    const plan = joined(withParts({ R: 'reservoir', M: ['master', 'feed:feed'] }), [
      ['R.feed > M.feed', 'front', 'feed'],
    ]);
    const heights = (reservoir: number): Plan => at(at(plan, 'R.feed', reservoir), 'M.feed', 500);
    expect(said(heights(700), 'reservoir-low')).toEqual([]);
    expect(said(heights(400), 'reservoir-low').join()).toMatch(
      /stop R: Its fluid stands below the feed of M/,
    );
  });
  test('residual-doubled: two in one circuit, or one in a clutch line', () => {
    const parts = withParts({ M: 'master', V: 'residual-valve', RL: 'wheel-cylinder', S: 'slave' });
    const one = set(
      joined(parts, [
        ['M.outlet > V.inlet', 'rear'],
        ['V.outlet > RL.inlet', 'rear'],
      ]),
      'V',
      { figures: { residualMPa: 0.069 } },
    );
    expect(said(one, 'residual-doubled')).toEqual([]);
    expect(said(port(one, 'M.outlet', { residualMPa: 0.069 }), 'residual-doubled').join()).toMatch(
      /caution V: M, outlet and V each hold residual pressure/,
    );
    const clutch = joined(parts, [
      ['M.outlet > V.inlet', 'clutch'],
      ['V.outlet > S.inlet', 'clutch'],
    ]);
    expect(said(clutch, 'residual-doubled').join()).toMatch(
      /stop V: A residual valve in a clutch line/,
    );
  });
  test('valve-misplaced: a metering valve belongs to the front', () => {
    const metering = (brake: string): Plan =>
      sized(
        placed(
          joined(withParts({ M: 'master', V: 'metering-valve', ...CALIPERS }), [
            ['M.outlet > V.inlet'],
            [`V.outlet > ${caliper(brake)}`],
          ]),
        ),
      );
    expect(said(metering('FL'), 'valve-misplaced')).toEqual([]);
    expect(said(metering('RL'), 'valve-misplaced').join()).toMatch(/stop V: A metering valve/);
  });
});
