import { withOrder, withSection } from '../testing/records.ts';
import { shoppingList } from '../stations/make/buying/index.ts';
import { demo } from '../testing/demo-plans.ts';
import {
  applyEdit,
  applyEdits,
  layPlan,
  NO_BUYING,
  type EditCall,
  type Kit,
  type Plan,
} from '../plan/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { inspect, type Snag } from './index.ts';

const gannet = demo('gannet');
const wheatear = demo('wheatear');
const found = (plan: Plan, rule: string): Snag[] =>
  inspect(plan).filter((snag) => snag.rule === rule);
const tick = (id: string, ...steps: string[]): EditCall[] => {
  const { digest } = layPlan(gannet).lines.find(({ line }) => line.id === id)!;
  return steps.map((step) => ({
    edit: 'tick',
    with: { id, step, digest, at: '2026-11-27T10:00:00Z' },
  }));
};
const buying = (key: string, patch: Parameters<typeof withOrder>[2], plan: Plan = gannet): Plan =>
  withSection(plan, 'buying', withOrder(plan.buying, key, patch));
const making = (patch: object): Plan =>
  withSection(gannet, 'making', { ...gannet.making, ...patch });

describe('rules of the bench: the plan in which each speaks, and the nearest in which it does not', () => {
  test("'no-order' speaks where every order meets the bender, and not where the body stands further off", () => {
    expect(found(gannet, 'no-order').map(({ where, level }) => [where, level])).toEqual([
      ['F2', 'caution'],
    ]);
    const bender = gannet.bench.benders[0]!;
    const around = { solids: [], lever: { lengthMm: 100, wideMm: 10, highMm: 10 } };
    expect(
      found(
        applyEdit(gannet, { edit: 'changeBender', with: { id: bender.id, patch: { around } } }),
        'no-order',
      ),
    ).toEqual([]);
    expect(found(wheatear, 'no-order')).toEqual([]);
  });

  test("'slid-forgotten' is a stop for an end flared without its nut, and silent once that is ticked too", () => {
    const flared = applyEdits(gannet, tick('line-r2', 'cut', 'deburr', 'flare-a'));
    expect(found(flared, 'slid-forgotten')).toEqual([
      expect.objectContaining({
        level: 'stop',
        where: 'R2, end A',
        text: expect.stringMatching(/^This end is flared and nut A is not ticked/),
      }),
    ]);
    expect(found(applyEdits(flared, tick('line-r2', 'nut-a')), 'slid-forgotten')).toEqual([]);
    // A guard that belongs on it counts as its nut does.
    const guard: EditCall = {
      edit: 'changeLine',
      with: { id: 'line-r1', patch: { slid: ['closed clip'] } },
    };
    const both = applyEdits(gannet, [guard, ...tick('line-r1', 'nut-b', 'flare-b')]);
    expect(
      found(both, 'slid-forgotten')
        .map(({ text }) => text)
        .join(),
    ).toMatch(/closed clip is not ticked/);
  });

  test("'test-piece' names the flare and the tube nobody has tried, and is silent after a good piece", () => {
    expect(found(gannet, 'test-piece')).toEqual([
      expect.objectContaining({
        level: 'note',
        text: expect.stringMatching(/bubble flare in 3\/16 in copper-nickel/),
      }),
    ]);
    const good = {
      at: '2026-11-27T09:00:00Z',
      flare: 'bubble',
      tubeId: '3-16-copper-nickel',
      piece: 'test',
      good: true,
      why: '',
    } as const;
    expect(
      found(
        applyEdit(gannet, { edit: 'changeBench', with: { patch: { trials: [good] } } }),
        'test-piece',
      ),
    ).toEqual([]);
  });

  test("'stock-short' speaks where all that is at hand is less than the cuts, or no piece is long enough", () => {
    expect(found(gannet, 'stock-short')).toEqual([]);
    const [coil] = gannet.making.stock;
    expect(
      found(making({ sold: [], stock: [{ ...coil!, lengthMm: 3000 }] }), 'stock-short')[0]!.text,
    ).toMatch(/4761 mm are to be cut, and 2990 mm are at hand/);
    expect(
      found(
        making({ sold: [], stock: [{ ...coil!, lengthMm: 2000, count: 9 }] }),
        'stock-short',
      )[0]!.text,
    ).toMatch(/the longest cut is .* gives 1990 mm/);
    // With a length that can be bought, or a coil that does, it is silent; so it is where nobody has said what there is.
    expect(found(making({ stock: [{ ...coil!, lengthMm: 3000 }] }), 'stock-short')).toEqual([]);
    expect(found(making({ sold: [], stock: [{ ...coil!, count: 2 }] }), 'stock-short')).toEqual([]);
    expect(found(making({ sold: [], stock: [] }), 'stock-short')).toEqual([]);
  });

  test("'order-stray' speaks of what is on order and asked for no more", () => {
    const plan = buying('nut:M12x1-bubble', { state: 'ordered' });
    expect(found(plan, 'order-stray').map(({ text }) => text)).toEqual([
      expect.stringMatching(/^M12x1-bubble is on order/),
    ]);
    expect(found(buying('nut:M12x1-bubble', { state: 'needed' }), 'order-stray')).toEqual([]);
    expect(found(buying('nut:3/8-24-inverted', { state: 'ordered' }), 'order-stray')).toEqual([]);
  });

  test("'order-wrong' holds what came wrong or not at all open, with its day", () => {
    const plan = buying('nut:3/8-24-inverted', {
      state: 'wrong',
      due: '2026-12-04',
      note: 'left-hand thread',
    });
    expect(found(plan, 'order-wrong').map(({ text }) => text)).toEqual([
      '3/8-24 nut came wrong, due 2026-12-04: left-hand thread',
    ]);
    expect(found(buying('nut:3/8-24-inverted', { state: 'here' }), 'order-wrong')).toEqual([]);
  });

  test("'order-late' speaks where a part comes after its gate has closed, not where it comes the day before", () => {
    const gate = gannet.gates[0]!;
    const closing = applyEdit(gannet, {
      edit: 'changeGate',
      with: {
        id: gate.id,
        patch: {
          on: '2026-12-10',
          closed: false,
          minMm: [-5000, -5000, -5000],
          maxMm: [5000, 5000, 5000],
        },
      },
    });
    const late = buying('nut:3/8-24-inverted', { state: 'ordered', due: '2026-12-11' }, closing);
    expect(found(late, 'order-late').map(({ text }) => text)).toEqual([
      `3/8-24 nut is due 2026-12-11, and ${gate.name} closes over where it goes on 2026-12-10.`,
    ]);
    expect(
      found(
        buying('nut:3/8-24-inverted', { state: 'ordered', due: '2026-12-09' }, closing),
        'order-late',
      ),
    ).toEqual([]);
    expect(
      found(
        buying('nut:3/8-24-inverted', { state: 'here', have: 99, due: '2026-12-11' }, closing),
        'order-late',
      ),
    ).toEqual([]);
  });

  test("'washers-few' speaks once they are here and too few", () => {
    const plan = wheatear;
    const washer = shoppingList(viewPlan(plan)).find(({ key }) => key.startsWith('use:'))!.key;
    expect(found(buying(washer, { state: 'here', have: 0 }, plan), 'washers-few')).toHaveLength(1);
    expect(found(buying(washer, { state: 'here', have: 99 }, plan), 'washers-few')).toEqual([]);
    expect(found(buying(washer, { state: 'ordered', have: 0 }, plan), 'washers-few')).toEqual([]);
  });

  test("'kit-differs' stops an order that does not fit a corner, and notes what is not measured", () => {
    const kit = (left: string, right: string): Kit => ({
      id: 'kit-1',
      name: 'Disc kit',
      gives: { studHand: 'right' },
      corners: { rearLeft: { studHand: left }, rearRight: { studHand: right } },
      brings: [],
    });
    const plan = (one: Kit): Plan => withSection(gannet, 'buying', { ...NO_BUYING, kits: [one] });
    expect(found(plan(kit('left', '')), 'kit-differs').map(({ level }) => level)).toEqual([
      'stop',
      'note',
    ]);
    expect(found(plan(kit('right', 'right')), 'kit-differs')).toEqual([]);
  });
});
