import { newPart, type PartKind, type Plan } from '../plan/index.ts';
import { TYPICAL_BRAKE, typicalParking, typicalSizing } from '../plan/typical.ts';
import { feedsOf, brakesLostByLeakAt, planNetwork } from '../plan/network/index.ts';
import { LAYOUTS } from '../proposals/layouts/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { demo } from '../testing/demo-plans.ts';
import { bare, joined, passages, portOf, said, withParts } from '../testing/plumbed.ts';

const CORNERS = {
  FL: 'caliper',
  FR: 'caliper',
  RL: 'wheel-cylinder',
  RR: 'wheel-cylinder',
} as const;
/** A tandem through one part to the corners. */
const through = (kind: PartKind, ...more: string[]): Plan =>
  withParts({
    M: ['master', 'rear outlet:outlet'],
    V: [kind, ...more],
    ...CORNERS,
    TF: 'tee',
    TR: 'tee',
  });
const CORNER_JOINS = [
  ['TF.left > FL.hose end at bracket'],
  ['TF.right > FR.hose end at bracket'],
  ['TR.left > RL.inlet', 'rear'],
  ['TR.right > RR.inlet', 'rear'],
] as const;
const combined = (plan: Plan): Plan =>
  joined(plan, [
    ['M.outlet > V.front inlet'],
    ['M.rear outlet > V.rear inlet', 'rear'],
    ['V.front outlet > TF.inlet'],
    ['V.rear outlet > TR.inlet', 'rear'],
    ...CORNER_JOINS,
  ]);
const block = (): Plan =>
  through(
    'block',
    'front inlet:inlet',
    'rear inlet:inlet',
    'front outlet:outlet',
    'rear outlet:outlet',
  );

describe('one network of tubes, hoses and inner passages', () => {
  test('a combination valve keeps its circuits apart: bled in one order, nothing joined; a block of one gallery joins them', () => {
    const valve = combined(through('combination-valve'));
    expect(said(valve, 'circuits-joined')).toEqual([]);
    expect(said(valve, 'not-bled')).toEqual([]);
    expect(viewPlan(valve).bleeding[0]!.result!.order).toHaveLength(4);
    expect(said(combined(block()), 'circuits-joined').join()).toMatch(
      /stop V: L1 \(Front brakes\) and L2 \(Rear brakes\) are joined here, which makes them one circuit/,
    );
  });
  test('a block with two galleries is kept apart where its user says so', () => {
    const plan = passages(combined(block()), 'V', [
      ['front inlet', 'front outlet'],
      ['rear inlet', 'rear outlet'],
    ]);
    expect(said(plan, 'circuits-joined')).toEqual([]);
    expect(viewPlan(plan).bleeding[0]!.result!.order).toHaveLength(4);
  });
  test('a modulator feeds three ways out of two in, each from its own circuit', () => {
    const plan = joined(through('modulator'), [
      ['M.outlet > V.front inlet'],
      ['M.rear outlet > V.rear inlet', 'rear'],
      ['V.front left > FL.hose end at bracket'],
      ['V.front right > FR.hose end at bracket'],
      ['V.rear > TR.inlet', 'rear'],
      CORNER_JOINS[2],
      CORNER_JOINS[3],
    ]);
    expect(
      ['circuits-joined', 'not-bled', 'part-unfed'].flatMap((rule) => said(plan, rule)),
    ).toEqual([]);
    const feeds = feedsOf(viewPlan(plan).network, plan.parts);
    const fed = feeds.map(({ reached }) =>
      plan.parts
        .filter((part) => part.name.length === 2 && part.ports.some(({ id }) => reached.has(id)))
        .map(({ name }) => name),
    );
    expect(fed).toEqual([
      ['FL', 'FR'],
      ['RL', 'RR', 'TR'],
    ]);
  });
  test('a hose from a bracket to a caliper feeds it; without the hose nothing does', () => {
    const parts = withParts({ M: 'master', B: 'bracket', FL: 'caliper' });
    const tube = joined(parts, [['M.outlet > B.near side']]);
    const plan = joined(tube, [['B.far side > FL.hose end at bracket', 'front', 'hose']]);
    expect(['part-unfed', 'port-open', 'not-bled'].flatMap((rule) => said(plan, rule))).toEqual([]);
    expect(said(tube, 'part-unfed').join()).toMatch(/stop FL: No line runs to it/);
    expect(said(tube, 'port-open').join()).toMatch(/B, far side: No line ends here/);
  });
  test('a line that leads to no master feeds nothing', () => {
    const plan = joined(withParts({ M: 'master', T: 'tee', FL: 'caliper' }), [
      ['T.left > FL.hose end at bracket'],
    ]);
    expect(said(plan, 'part-unfed').join()).toMatch(/stop FL/);
  });
  test('a feed hose is a feed', () => {
    const parts = withParts({ R: 'reservoir', M: ['master', 'feed:feed'], FL: 'caliper' });
    const dry = joined(parts, [['M.outlet > FL.hose end at bracket']]);
    expect(said(dry, 'master-dry')).toHaveLength(1);
    expect(said(joined(dry, [['R.feed > M.feed', 'front', 'feed']]), 'master-dry')).toEqual([]);
  });
  test('two masters on one undivided bottle are told; with a wall in it they are not', () => {
    const parts = withParts({
      R: ['reservoir', 'feed 2:feed'],
      MF: ['master', 'feed:feed'],
      MR: ['master', 'feed:feed'],
      FL: 'caliper',
      RL: 'caliper',
    });
    const plan = joined(parts, [
      ['R.feed > MF.feed', 'front', 'feed'],
      ['R.feed 2 > MR.feed', 'rear', 'feed'],
      ['MF.outlet > FL.hose end at bracket'],
      ['MR.outlet > RL.hose end at bracket', 'rear'],
    ]);
    expect(said(plan, 'reservoir-shared').join()).toMatch(
      /caution R: Front brakes and Rear brakes draw from one reservoir/,
    );
    const { network } = viewPlan(plan);
    const lost = (of: Plan): string[] =>
      brakesLostByLeakAt(viewPlan(of).network, of.parts, portOf(of, 'FL.bleeder').id).map(
        ({ name }) => name,
      );
    expect(network.index.size).toBeGreaterThan(8);
    expect(lost(plan)).toEqual(['FL', 'RL']);
    const walled = passages(plan, 'R', [['feed'], ['feed 2']]);
    expect(said(walled, 'reservoir-shared')).toEqual([]);
    expect(lost(walled)).toEqual(['FL']);
  });
  test.each<[PartKind]>([
    ['proportioning-valve'],
    ['residual-valve'],
    ['metering-valve'],
    ['load-valve'],
    ['delay-valve'],
    ['handbrake-cylinder'],
  ])(
    'a %s that is entered by its outlet faces the wrong way, and by its inlet does not',
    (kind) => {
      const parts = withParts({ M: 'master', V: kind, FL: 'caliper' });
      const turned = joined(parts, [['M.outlet > V.outlet'], ['V.inlet > FL.hose end at bracket']]);
      expect(said(turned, 'valve-backwards').join()).toMatch(
        /stop V: L1 brings pressure to the valve’s outlet \(outlet\)/,
      );
      expect(
        said(
          joined(parts, [['M.outlet > V.inlet'], ['V.outlet > FL.hose end at bracket']]),
          'valve-backwards',
        ),
      ).toEqual([]);
    },
  );
  test('a clutch damper has no direction', () => {
    const plan = joined(withParts({ M: 'master', D: 'clutch-damper', S: 'slave' }), [
      ['M.outlet > D.outlet', 'clutch'],
      ['D.inlet > S.inlet', 'clutch'],
    ]);
    expect(said(plan, 'valve-backwards')).toEqual([]);
    expect(said(plan, 'not-bled')).toEqual([]);
  });
  test('two lines into a caliper are questioned, unless its passages are apart', () => {
    const parts = withParts({ M: ['master', 'second:outlet'], FL: ['caliper', 'second:inlet'] });
    const plan = joined(parts, [
      ['M.outlet > FL.hose end at bracket'],
      ['M.second > FL.second', 'rear'],
    ]);
    expect(said(plan, 'fed-twice')).toHaveLength(1);
    expect(
      said(passages(plan, 'FL', [['hose end at bracket', 'bleeder'], ['second']]), 'fed-twice'),
    ).toEqual([]);
  });
  test('bleeders on the master and on a modulator come before the wheels; a listed order stands as it is written', () => {
    const parts = withParts({
      M: ['master', 'bleeder:bleeder'],
      V: ['modulator', 'bleeder:bleeder'],
      FL: 'caliper',
      FR: 'caliper',
    });
    const plan = joined(parts, [
      ['M.outlet > V.front inlet'],
      ['V.front left > FL.hose end at bracket'],
      ['V.front right > FR.hose end at bracket'],
    ]);
    // The modulator's bleeder stands in the gallery that is fed.
    const own = passages(plan, 'V', [
      ['front inlet', 'front left', 'front right', 'bleeder'],
      ['rear inlet', 'rear'],
    ]);
    const order = (of: Plan): string[] =>
      viewPlan(of).bleeding[0]!.result!.order.map(
        ({ id }) => of.parts.find(({ ports }) => ports.some((port) => port.id === id))!.name,
      );
    expect(order(own).slice(0, 2)).toEqual(['M', 'V']);
    const listed = ['FL', 'V', 'M', 'FR'].map((name) => portOf(own, `${name}.bleeder`).id);
    expect(order({ ...own, bleeding: { ...own.bleeding, school: 'as-listed', listed } })).toEqual([
      'FL',
      'V',
      'M',
      'FR',
    ]);
  });
  test('a remote reservoir and its feed count among the fluid to buy', () => {
    const parts = withParts({ R: 'reservoir', M: ['master', 'feed:feed'], FL: 'caliper' });
    const dry = joined(parts, [['M.outlet > FL.hose end at bracket']]);
    const fed = joined(dry, [['R.feed > M.feed', 'front', 'feed']]);
    const fill = (plan: Plan): number => viewPlan(plan).bleeding[0]!.result!.fillMl;
    const bottle = fed.parts.find(({ kind }) => kind === 'reservoir')!.cavityMl;
    expect(fill(fed) - fill(dry)).toBeGreaterThan(bottle);
    expect(fill(fed) - fill(dry)).toBeLessThan(bottle + 60);
  });
});

describe('what one leak takes', () => {
  /** Brakes and slaves by the circuits that their own lines are set down in: the outside check, since the network knows no circuit. */
  const byCircuit = (plan: Plan, circuitId: string): string[] => {
    const ports = new Set(
      plan.lines
        .filter((line) => line.circuitId === circuitId)
        .flatMap(({ ends }) => [ends.a.portId, ends.b.portId]),
    );
    return plan.parts
      .filter(
        ({ kind, ports: own }) =>
          ['caliper', 'wheel-cylinder', 'slave', 'release-bearing'].includes(kind) &&
          own.some(({ id }) => ports.has(id)),
      )
      .map(({ name }) => name)
      .sort();
  };
  test.each(['gannet', 'wheatear', 'dunlin'])(
    'a leak of any line of %s takes the brakes of its circuit and leaves the others',
    (name) => {
      const plan = demo(name);
      const { network } = viewPlan(plan);
      let tried = 0;
      for (const line of plan.lines)
        for (const portId of [line.ends.a.portId, line.ends.b.portId]) {
          if (!portId) continue;
          tried++;
          expect(
            brakesLostByLeakAt(network, plan.parts, portId)
              .map((part) => part.name)
              .sort(),
          ).toEqual(byCircuit(plan, line.circuitId));
        }
      expect(tried).toBe(2 * plan.lines.length);
    },
  );
  test.each(LAYOUTS.map((layout) => [layout.name, layout] as const))(
    '%s: no circuit is joined, unfed or fed from two outlets',
    (_, layout) => {
      const plan = layout.draw(bare());
      expect(
        [
          'circuits-joined',
          'part-unfed',
          'not-bled',
          'valve-backwards',
          'fed-twice',
          'reservoir-shared',
        ].flatMap((rule) => said(plan, rule)),
      ).toEqual([]);
    },
  );
});

describe('what the drawing says to Size', () => {
  /** Wheelbase 3 m: corners at the front axle and behind it. */
  const sized = (plan: Plan, patch: object = {}): Plan => ({
    ...plan,
    sizing: { ...typicalSizing('light'), wheelbaseMm: 3000, ...patch },
  });
  const placed = (plan: Plan, at: Record<string, number>): Plan => ({
    ...plan,
    parts: plan.parts.map((part) => ({
      ...part,
      ports: part.ports.map((port) =>
        part.name in at
          ? {
              ...port,
              known: {
                ...port.known,
                atMm: [at[part.name]!, port.known.atMm[1], port.known.atMm[2]] as const,
              },
            }
          : port,
      ),
    })),
  });
  const AT = { FL: 0, FR: 100, RL: 2900, RR: 3000 };
  const split = (
    joins: Parameters<typeof joined>[1],
    more: Parameters<typeof withParts>[0] = {},
  ): Plan =>
    placed(
      joined(
        withParts({ M: ['master', 'second:outlet'], T: 'tee', U: 'tee', ...CORNERS, ...more }),
        joins,
      ),
      AT,
    );
  const AXLES = split([
    ['M.outlet > T.inlet'],
    ['M.second > U.inlet', 'rear'],
    ['T.left > FL.hose end at bracket'],
    ['T.right > FR.hose end at bracket'],
    ['U.left > RL.inlet', 'rear'],
    ['U.right > RR.inlet', 'rear'],
  ]);
  const DIAGONAL = split([
    ['M.outlet > T.inlet'],
    ['M.second > U.inlet', 'rear'],
    ['T.left > FL.hose end at bracket'],
    ['T.right > RR.inlet'],
    ['U.left > RL.inlet', 'rear'],
    ['U.right > FR.hose end at bracket', 'rear'],
  ]);
  const failed = (plan: Plan) =>
    viewPlan(sized(plan)).size!.empty.failed.map(({ failed: name, left }) => [
      name,
      left.front,
      left.rear,
    ]);

  test('circuits are those that are drawn: one an axle, or diagonal', () => {
    expect(failed(AXLES)).toEqual([
      ['Front circuit', 0, 1],
      ['Rear circuit', 1, 0],
    ]);
    expect(failed(DIAGONAL)).toEqual([
      ['FL and RR', 0.5, 0.5],
      ['FR and RL', 0.5, 0.5],
    ]);
  });
  test('one outlet for every brake is a stop on the road and in competition, and not judged on a trailer', () => {
    const one = split(
      [
        ['M.outlet > T.inlet'],
        ['T.left > U.inlet'],
        ['T.right > FL.hose end at bracket'],
        ['U.left > V.inlet'],
        ['U.right > FR.hose end at bracket'],
        ['V.left > RL.inlet'],
        ['V.right > RR.inlet'],
      ],
      { V: 'tee' },
    );
    for (const category of ['light', 'competition'] as const)
      expect(said(sized(one, { category }), 'one-circuit')).toHaveLength(1);
    expect(said(sized(one, { category: 'trailer' }), 'one-circuit')).toEqual([]);
    expect(said(sized(AXLES), 'one-circuit')).toEqual([]);
    expect(said(sized(DIAGONAL), 'both-axles').length).toBeGreaterThan(0);
  });
  const withValve = (before: 'front' | 'rear' | 'one rear'): Plan => {
    const joins: Record<typeof before, Parameters<typeof joined>[1]> = {
      front: [
        ['M.outlet > V.inlet'],
        ['V.outlet > T.inlet'],
        ['M.second > U.inlet', 'rear'],
        ['U.left > RL.inlet', 'rear'],
      ],
      rear: [
        ['M.outlet > T.inlet'],
        ['M.second > V.inlet', 'rear'],
        ['V.outlet > U.inlet', 'rear'],
        ['U.left > RL.inlet', 'rear'],
      ],
      'one rear': [
        ['M.outlet > T.inlet'],
        ['M.second > U.inlet', 'rear'],
        ['U.left > V.inlet', 'rear'],
        ['V.outlet > RL.inlet', 'rear'],
      ],
    };
    return sized(
      split(
        [
          ...joins[before],
          ['T.left > FL.hose end at bracket'],
          ['T.right > FR.hose end at bracket'],
          ['U.right > RR.inlet', 'rear'],
        ],
        { V: 'proportioning-valve' },
      ),
      { rearValve: { kneeMPa: 3, slope: 0.43 } },
    );
  };
  test('a valve before the front, or before one rear alone, is a stop; before both rears it is right', () => {
    expect(said(withValve('front'), 'valve-misplaced').join()).toMatch(/stop V/);
    expect(said(withValve('one rear'), 'valve-misplaced').join()).toMatch(/stop V/);
    expect(said(withValve('rear'), 'valve-misplaced')).toEqual([]);
  });
  test('valves, masters and kinds of brake that Size and the drawing do not share', () => {
    expect(said(withValve('rear'), 'drawing-differs')).toEqual([]);
    expect(
      said(
        { ...withValve('rear'), sizing: { ...withValve('rear').sizing!, rearValve: null } },
        'drawing-differs',
      ).join(),
    ).toMatch(/V is drawn, but Size calculates without a rear valve/);
    expect(
      said(sized(AXLES, { rearValve: { kneeMPa: 3, slope: 0.43 } }), 'drawing-differs').join(),
    ).toMatch(/none is drawn/);
    expect(said(sized(AXLES, { front: TYPICAL_BRAKE.drum }), 'drawing-differs').join()).toMatch(
      /FL is a disc, but Size calculates with drums at the front/,
    );
    const twin = {
      kind: 'twin',
      frontBoreMm: 19,
      rearBoreMm: 19,
      frontShare: 0.5,
      strokeMm: 30,
      deadMm: 1,
    } as const;
    expect(said(sized(AXLES, { master: twin }), 'drawing-differs').join()).toMatch(
      /caution Size and the drawing/,
    );
    const bores = (rearBoreMm: number) =>
      said(sized(DIAGONAL, { master: { ...twin, rearBoreMm } }), 'drawing-differs').join();
    expect(bores(17)).toMatch(/feeds brakes on both axles, and their bores differ/);
    expect(bores(19)).not.toMatch(/bores differ/);
    expect(said(AXLES, 'drawing-differs')).toEqual([]);
  });
  test('a road vehicle with no parking brake set down is told, a competition car is not', () => {
    expect(said(sized(AXLES), 'parking-missing')).toHaveLength(1);
    expect(said(sized(AXLES, { category: 'competition' }), 'parking-missing')).toEqual([]);
    expect(said({ ...sized(AXLES), parking: typicalParking('lever') }, 'parking-missing')).toEqual(
      [],
    );
  });
});

test('a plan of the most parts with the most ports each is a network as any other', () => {
  const one = newPart(bare(), 'other');
  const ports = Array.from({ length: 200 }, (_, k) => ({ ...one.ports[0]!, name: `port ${k}` }));
  const parts = Array.from({ length: 1000 }, (_, i) => ({
    ...one,
    id: `part-${i}`,
    ports: ports.map((port, k) => ({ ...port, id: `${i}-${k}` })),
  }));
  expect(planNetwork({ ...bare(), parts }).ducts).toHaveLength(1000 * 199);
});
