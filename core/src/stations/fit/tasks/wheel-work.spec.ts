import { defaultsFor, sketchOut, VEHICLES } from '../../../proposals/set-out/index.ts';
import { applyEdit, NO_WHEEL_ENDS, type Plan, type WheelFit } from '../../../plan/index.ts';
import { viewPlan } from '../../../plan/results/index.ts';
import { demo } from '../../../testing/demo-plans.ts';
import { boltThreadName } from '../../../trade/stock/index.ts';
import { shoppingList } from '../../make/buying/index.ts';
import { tasksOf, torqueOf, type Task } from './index.ts';

const gannet = demo('gannet');
const FRESH = { id: 'plan-new', now: '2026-03-02T09:00:00.000Z' };
const tasks = (plan: Plan): readonly Task[] => tasksOf(viewPlan(plan));
const one = (plan: Plan, id: string): Task => tasks(plan).find((task) => task.id === id)!;
const wheels = (plan: Plan): string[] =>
  plan.things.filter(({ shape }) => shape.kind === 'wheel').map(({ id }) => id);
const fit = (patch: Partial<WheelFit> = {}): WheelFit => ({
  key: wheels(gannet)[0]!,
  readings: null,
  spacerMm: 0,
  stacked: false,
  studs: { count: 8, dMm: 14.29, pitchMm: 1.411, lengthMm: 40, flangeMm: 20 },
  hand: 'right',
  ...patch,
});
const measured = (...fits: WheelFit[]): Plan => ({
  ...gannet,
  wheelEnds: { ...NO_WHEEL_ENDS, wheels: fits },
});

describe('the nuts of wheels', () => {
  it.each(VEHICLES)(
    'of a new %s: every wheel once after the fluid, and once after 50 km',
    (kind) => {
      const plan = sketchOut(
        { answers: defaultsFor(kind), said: [], name: 'New', units: 'metric' },
        FRESH,
      );
      const nuts = tasks(plan).filter(({ fastener }) => fastener?.againKm);
      expect(wheels(plan).length).toBeGreaterThan(1);
      for (const id of wheels(plan)) {
        const own = nuts.filter(({ place }) => place.id === id);
        expect(own.map(({ needs }) => needs[0])).toEqual(['fill', 'drive']);
      }
      const single = kind === 'motorcycle' || kind === 'aircraft';
      expect(new Set(nuts.map(({ fastener }) => fastener!.count))).toEqual(
        new Set([single ? 1 : 5]),
      );
    },
  );
  it('count, thread, hand and seat are those of the wheel’s own record', () => {
    const plan = measured(
      fit({ hand: 'left', studs: { ...fit().studs!, seat: 'cone' } }),
      fit({ key: wheels(gannet)[1]!, studs: null }),
    );
    const [first, second] = wheels(gannet).map((id) =>
      tasks(plan).find(({ fastener, place }) => fastener?.againKm && place.id === id)!,
    );
    expect(first!.fastener).toMatchObject({ count: 8, thread: '9/16-18' });
    expect(first!.how).toMatch(/^8 × 9\/16-18, left-hand thread.* cone seats clean/);
    expect(second!.fastener!.count).toBe(5);
    expect(second!.fastener!.thread).toBeUndefined();
    // The likely torque is that of the recorded thread, whatever was typed beside it.
    const wanted = {
      key: first!.fastener!.key,
      nm: 150,
      source: '',
      state: 'dry' as const,
      fastener: 'new' as const,
      propertyClass: '10.9' as const,
      thread: 'M8',
    };
    const likely = torqueOf(first!, { ...plan.floor, wanted: [wanted] })!.likely!;
    expect(likely.most).toBeGreaterThan(100);
  });
  it('a brake is in the wheel nearest to any of its ports, or in the one that it names', () => {
    const [front, , rear] = wheels(gannet);
    const brakes = (plan: Plan, id: string): string[] =>
      tasks(plan)
        .find(({ place, needs }) => place.id === id && needs[0] === 'fill')!
        .needs.slice(1);
    expect(brakes(gannet, front!)).toEqual(['look:wheel:fl']);
    const moved = applyEdit(gannet, {
      edit: 'changePart',
      with: { id: 'fl', patch: { wheelId: rear! } },
    });
    expect(brakes(moved, rear!)).toContain('look:wheel:fl');
    expect(brakes(moved, front!)).toEqual([`look:wheel:${front!}`]);
    // The wheel is deleted: the nearest counts again.
    const lost = applyEdit(moved, { edit: 'removeThing', with: { id: rear! } });
    expect(lost.parts.find(({ id }) => id === 'fl')!.wheelId ?? null).toBeNull();
    expect(brakes(lost, front!)).toEqual(['look:wheel:fl']);
  });
  it('on a vehicle that was only changed, a wheel without a new brake stays on', () => {
    const changed = {
      ...gannet,
      comesOff: ['Front calipers'],
      parts: gannet.parts.map((part) => (part.id === 'rl' ? { ...part, kept: true } : part)),
    };
    const ids = tasks(changed).map(({ id }) => id);
    expect(ids).toContain('wheel:fl');
    expect(ids).not.toContain('wheel:rl');
    expect(one(changed, 'drive').needs).not.toContain('wheel:rl');
  });
});

// Thread sizes: ASME B1.1 UNF and ISO 261 fine threads of wheel studs, from memory.
it.each([
  [12, 1.5, 'M12x1.5'],
  [14, 1.5, 'M14x1.5'],
  [11.11, 1.27, '7/16-20'],
  [12.7, 1.27, '1/2-20'],
  [14.29, 1.41, '9/16-18'],
  [15.875, 1.411, '5/8-18'],
  [12.5, 1.25, 'M12.5x1.25'],
])('a stud of %d mm and pitch %d mm is sold as %s', (dMm, pitchMm, name) => {
  expect(boltThreadName({ dMm, pitchMm })).toBe(name);
});

it('nuts and spacers of measured wheels are on the list, and longer studs where the thread is too short', () => {
  const of = (plan: Plan) =>
    shoppingList(viewPlan(plan))
      .filter(({ group }) => group === 'Wheels')
      .map(({ name, count }) => `${count} ${name}`);
  expect(of(gannet)).toEqual([]);
  expect(of(measured(fit(), fit({ key: wheels(gannet)[1]! })))).toEqual(['16 Wheel nut 9/16-18']);
  // 40 - 20 - 10 leaves 10 mm of thread where 14.29 are required: 5 mm more.
  expect(of(measured(fit({ spacerMm: 10 })))).toEqual([
    '8 Wheel nut 9/16-18',
    '1 Wheel spacer, 10 mm',
    '8 Wheel stud 9/16-18, 45 mm or more out of the hub',
  ]);
});
