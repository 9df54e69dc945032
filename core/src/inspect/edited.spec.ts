import { type Hose, type Plan } from '../plan/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { defaultsFor, setOut, VEHICLES } from '../proposals/set-out/index.ts';
import { newThing } from '../shape/obstacles/fresh.ts';
import { add, addScaled, scale, type Vec3 } from '../lib/vec/index.ts';
import { inspect, RULES } from './index.ts';

/** What a fabricator changes on a vehicle that was just set out. */
type Edit = (plan: Plan) => Plan;
const hose =
  (patch: (hose: Hose) => Partial<Hose>): Edit =>
  (plan) => {
    const own = plan.hoses.find(({ service }) => service === 'pressure')!;
    return {
      ...plan,
      hoses: plan.hoses.map((one) => (one === own ? { ...one, ...patch(one) } : one)),
    };
  };
const fluid =
  (fluidId: string): Edit =>
  (plan) => ({
    ...plan,
    filling: {
      ...plan.filling,
      fluids: plan.filling.fluids.map((one) => ({ ...one, fluidId })),
    },
  });
/** A hot pipe across the middle of the first line, so far over it. */
const pipe =
  (overMm: number): Edit =>
  (plan) => {
    const [a, b] = viewPlan(plan).lines[0]!.nodesMm as [Vec3, Vec3];
    const at = addScaled(scale(add(a, b), 0.5), [0, 0, 1], overMm);
    const thing = {
      ...newThing('hot', 'Hot pipe', 'exhaust'),
      shape: {
        kind: 'pipe' as const,
        pathMm: [-30, 30].map((by) => addScaled(at, [1, 1, 0], by)),
        diameterMm: 20,
      },
      surfaceC: 400,
    };
    return { ...plan, things: [...plan.things, thing] };
  };
const rename: Edit = (plan) => ({
  ...plan,
  parts: plan.parts.map((part, i) => ({ ...part, name: `Part ${i + 1}` })),
});

const setOutOf = (vehicle: (typeof VEHICLES)[number]): Plan =>
  setOut(
    { answers: defaultsFor(vehicle), said: [], name: 'New', units: 'metric' },
    { id: 'p', now: '2026-01-01T00:00:00.000Z' },
  );

describe.each(VEHICLES)('a %s that was set out and edited', (vehicle) => {
  const plan = setOutOf(vehicle);
  const told = inspect(plan);
  const stops = (edit: Edit): string[] => {
    const before = new Set(told.map(({ key }) => key));
    return inspect(edit(plan))
      .filter(({ key, level }) => level === 'stop' && !before.has(key))
      .map(({ rule }) => rule);
  };

  test.each<readonly [string, string, Edit]>([
    ['fuel hose to a brake', 'hose-class', hose(() => ({ stockId: 'fuel-6' }))],
    [
      'a hose cut by half',
      'hose-reach',
      hose(({ orderMm }) => ({ orderMm: Math.round(orderMm / 10) * 5 })),
    ],
    ['a zip tie for a bracket', 'hose-unfixed', hose(() => ({ fixing: 'zip-tie' }))],
    ['a hot pipe 8 mm over a line', 'near-hot', pipe(20)],
    [
      'rubber hose and mineral oil',
      'hose-fluid',
      (of) => fluid('mineral')(hose(() => ({ stockId: 'rubber-1-8' }))(of)),
    ],
  ])('%s is a stop', (_, rule, edit) => {
    const judged = RULES.find(({ id }) => id === rule)!;
    const levels = (of: Plan): string[] => judged.find(viewPlan(of)).map(({ level }) => level);
    expect(levels(plan)).not.toContain('stop');
    expect(levels(edit(plan))).toContain('stop');
  });

  test.each<readonly [string, Edit]>([
    ['a hose longer by one step', hose(({ orderMm }) => ({ orderMm: orderMm + 5 }))],
    ['a hot pipe 500 mm over a line', pipe(500)],
    ['another fluid of its family', fluid('dot-5.1')],
    ['other names for all parts', rename],
  ])('%s is none', (_, edit) => {
    expect(stops(edit)).toEqual([]);
  });
});
