import { NUTS } from '../../../trade/stock/index.ts';
import { withOrder, withSection } from '../../../testing/records.ts';
import { demo } from '../../../testing/demo-plans.ts';
import {
  NO_FILLING,
  applyEdit,
  freshFluid,
  type Buying,
  type Kit,
  type KitAsk,
  type Order,
  type Plan,
} from '../../../plan/index.ts';
import { viewPlan } from '../../../plan/results/index.ts';
import {
  compared,
  kitFindings,
  kitLacks,
  listView,
  priceRows,
  received,
  sellerWords,
  shoppingList,
} from './index.ts';

const gannet = demo('gannet');
const rowsOf = (plan: Plan) => listView(viewPlan(plan)).rows;
const withBuying = (buying: Buying): Plan => withSection(gannet, 'buying', buying);
const ordered = (key: string, patch: Partial<Order>): Plan =>
  withBuying(withOrder(gannet.buying, key, patch));

test('each 37° end that is made takes a sleeve beside its nut, and no other end does', () => {
  const r1 = gannet.lines.find(({ id }) => id === 'line-r1')!;
  const sleeves = (plan: Plan): number =>
    shoppingList(viewPlan(plan))
      .filter(({ key }) => key.startsWith('sleeve:'))
      .reduce((sum, { count }) => sum + count, 0);
  const nut = NUTS.find(({ flare }) => flare === 'cone-37')!;
  const coned = { ...r1.ends.a, nutId: nut.id, flare: nut.flare };
  const lines = gannet.lines.map((line) =>
    line === r1 ? { ...r1, ends: { ...r1.ends, a: coned } } : line,
  );
  expect([sleeves(gannet), sleeves({ ...gannet, lines })]).toEqual([0, 1]);
});

describe('one list', () => {
  const items = shoppingList(viewPlan(gannet));
  const of = (key: string) => items.find((item) => item.key === key);

  test('nuts by their kind, with every end they go on: as many as the lines have ends', () => {
    const made = gannet.lines.filter(({ origin }) => origin === 'made');
    const nuts = items.filter(({ key }) => key.startsWith('nut:'));
    expect(nuts.reduce((sum, { count }) => sum + count, 0)).toBe(2 * made.length);
    for (const { count, uses } of nuts) expect(uses).toHaveLength(count);
    expect(of('nut:3/8-24-inverted')!.uses.map(({ text }) => text)).toContain('R2, end A');
  });

  test('tube by what is still to be cut, clips and screws by where they sit, fluid by the bleeding', () => {
    const view = viewPlan(gannet);
    const longest = view.lines
      .filter(
        ({ tube, card, line }) => card && tube.id === '3-16-copper-nickel' && !line.ticks.length,
      )
      .reduce((sum, { card }) => sum + card!.stockCutMm, 0);
    expect(of('tube:3-16-copper-nickel')!.count * 1000).toBeGreaterThanOrEqual(longest);
    const clips = items
      .filter(({ key }) => key.startsWith('clip:'))
      .reduce((sum, { count }) => sum + count, 0);
    expect(clips).toBe(gannet.lines.reduce((sum, { clipsMm }) => sum + clipsMm.length, 0));
    expect(of('screw:M6')!.count).toBe(clips);
    expect(of('fluid:dot-4')!.count).toBe(
      view.bleeding.reduce((sum, { result }) => sum + (result?.buyMl ?? 0), 0),
    );
    // A clutch of its own fluid is a bottle of its own.
    const clutch = freshFluid('clutch-master', 'mineral');
    const two = shoppingList(
      viewPlan({ ...gannet, filling: { ...NO_FILLING, fluids: [clutch] } }),
    ).filter(({ group }) => group === 'Fluid');
    expect(two.map(({ key }) => key).sort()).toEqual(['fluid:dot-4', 'fluid:mineral']);
  });

  test('what stays on the vehicle is not on it, what is bought bent is one thing', () => {
    const plan = applyEdit(gannet, {
      edit: 'changeLine',
      with: { id: 'line-r2', patch: { origin: 'kept' } },
    });
    const kept = shoppingList(viewPlan(plan));
    expect(kept.some(({ uses }) => uses.some(({ text }) => text.startsWith('R2')))).toBe(false);
    const bought = shoppingList(
      viewPlan(
        applyEdit(gannet, {
          edit: 'changeLine',
          with: { id: 'line-r2', patch: { origin: 'bought' } },
        }),
      ),
    );
    expect(bought.find(({ key }) => key === 'line:line-r2')).toMatchObject({
      count: 1,
      group: 'Bought lines',
    });
  });

  test('a flare without a tool asks for one', () => {
    const bench = gannet.bench;
    const plan = applyEdit(gannet, {
      edit: 'changeBench',
      with: {
        patch: { flares: { ...bench.flares, bubble: { ...bench.flares.bubble, owned: false } } },
      },
    });
    expect(shoppingList(viewPlan(plan)).map(({ key }) => key)).toContain('tool:flare-bubble');
    expect(items.map(({ key }) => key)).not.toContain('tool:flare-bubble');
  });
});

describe('how it stands', () => {
  test('sums, shares and what is still to be bought, by hand', () => {
    const count = rowsOf(gannet).find(({ item }) => item.key === 'nut:3/8-24-inverted')!.item.count;
    let buying = withOrder(gannet.buying, 'nut:3/8-24-inverted', { have: 2, priceMinor: 150 });
    buying = withOrder(buying, 'own:own-1', { priceMinor: 10 });
    const view = listView(viewPlan(withBuying(buying)));
    const nuts = view.rows.find(({ item }) => item.key === 'nut:3/8-24-inverted')!;
    expect([nuts.toBuy, nuts.costMinor]).toEqual([count - 2, (count - 2) * 150]);
    expect(view.sumMinor).toBe((count - 2) * 150 + 200);
    expect(nuts.share).toBeCloseTo(((count - 2) * 150) / view.sumMinor, 12);
    expect(view.groups.reduce((sum, { share }) => sum + (share ?? 0), 0)).toBeCloseTo(1, 12);
  });

  test('what was ordered and paid stays in the sum once it has come', () => {
    const key = 'nut:3/8-24-inverted';
    const count = rowsOf(gannet).find(({ item }) => item.key === key)!.item.count;
    const sums = (patch: Partial<Order>) =>
      listView(viewPlan(withBuying(withOrder(gannet.buying, key, { priceMinor: 150, ...patch }))));
    expect(sums({}).sums).toEqual({ planned: count * 150, ordered: 0, paid: 0 });
    const on = sums({ state: 'ordered', have: 2, bought: count - 2 });
    expect(on.sums).toEqual({ planned: 0, ordered: (count - 2) * 150, paid: 0 });
    const come = sums({ state: 'here', have: count, bought: count - 2 });
    expect(come.sums).toEqual({ planned: 0, ordered: 0, paid: (count - 2) * 150 });
    expect(come.sumMinor).toBe((count - 2) * 150);
    expect(sums({ state: 'wrong' }).sums.ordered).toBe(count * 150);
  });

  test('an order for what the plan no longer asks for is stray; while it asks, it is not', () => {
    const plan = ordered('nut:M10x1-bubble', { state: 'ordered' });
    expect(listView(viewPlan(plan)).stray).toEqual([]);
    const other = plan.lines.reduce(
      (now, { id, ends }) =>
        (['a', 'b'] as const).reduce(
          (p, end) =>
            ends[end].nutId === 'M10x1-bubble'
              ? applyEdit(p, {
                  edit: 'changeEnd',
                  with: { id, end, patch: { nutId: '3/8-24-bubble' } },
                })
              : p,
          now,
        ),
      plan,
    );
    expect(listView(viewPlan(other)).stray.map(({ key }) => key)).toEqual(['nut:M10x1-bubble']);
  });

  test('38 less of 90 is 42 per cent', () => {
    expect(compared(9000, 5200)).toEqual({ lessMinor: 3800, percent: expect.closeTo(42.22, 2) });
    expect(compared(0, 100).percent).toBeNull();
  });

  test('to read out to a seller: thread, hand, size, seat and length', () => {
    const row = rowsOf(gannet).find(({ item }) => item.key === 'nut:3/8-24-inverted')!;
    expect(sellerWords(row)).toMatch(
      /^\d+ off: 3\/8-24 nut\. Tube nut 3\/8-24 UNF, right hand, for 3\/16 in tube, double flare, 16 mm long\.$/,
    );
  });

  // Limits of the threads: ISO 965-1 6g and ASME B1.1 2A, as in the catalog of threads.
  test('what came is measured: 9.85 over a pitch of 1 is the M10x1 that was ordered, 9.45 over 24 to the inch is not', () => {
    const { item } = rowsOf(gannet).find((row) => row.item.key === 'nut:M10x1-bubble')!;
    expect(received(item, 9.87, 1).ok).toBe(true);
    expect(received(item, 9.45, 25.4 / 24)).toMatchObject({
      ok: false,
      text: expect.stringMatching(
        /M10x1 was ordered, but this measures as 3\/8-24 UNF\. Send it back/,
      ),
    });
  });
});

describe('a kit before it is ordered', () => {
  const kit: Kit = {
    id: 'kit-1',
    name: 'Rear disc kit',
    gives: {
      boltSpreadMm: '88.9',
      studThread: '1/2-20 UNF',
      wheelInsideMm: '330',
      studHand: 'right',
    },
    corners: {
      rearLeft: {
        boltSpreadMm: '88.7',
        studThread: '1/2-20 UNF',
        wheelInsideMm: '345',
        studHand: 'left',
      },
      rearRight: { boltSpreadMm: '90.5', studThread: '1/2-20 UNF', wheelInsideMm: '345' },
    },
    brings: [{ key: 'own:own-1', count: 12 }],
  };

  test('each corner by itself: what differs, and what nobody measured; what only has to be enough may be more', () => {
    expect(kitFindings(kit)).toEqual([
      {
        kind: 'differs',
        corner: 'rearLeft',
        ask: 'studHand',
        text: 'Hand of the studs, rear left: the kit is for right, the vehicle has left.',
      },
      {
        kind: 'differs',
        corner: 'rearRight',
        ask: 'boltSpreadMm',
        text: 'Bolt spread of the caliper, rear right: the kit is for 88.9, the vehicle has 90.5.',
      },
      {
        kind: 'open',
        corner: 'rearRight',
        ask: 'studHand',
        text: 'Hand of the studs, rear right: not measured.',
      },
    ]);
    expect(
      kitFindings({ ...kit, gives: { wheelInsideMm: '350' } }).map(({ kind }) => kind),
    ).toEqual(['differs', 'differs']);
  });

  test('lengths are compared as lengths, threads as threads, words as words', () => {
    const pairs = (ask: KitAsk, gives: string, has: string) =>
      kitFindings({ ...kit, gives: { [ask]: gives }, corners: { rearLeft: { [ask]: has } } }).map(
        ({ kind }) => kind,
      );
    // 3 1/8 in are 79.4 mm, 3 3/8 in 85.7 mm; 3 1/2 in are 88.9 mm.
    expect(pairs('boltSpreadMm', '3 1/8 in', '3 3/8 in')).toEqual(['differs']);
    expect(pairs('boltSpreadMm', '3 1/2 in', '88.7')).toEqual([]);
    expect(pairs('flangeSpreadMm', '3 1/2"', '90')).toEqual(['differs']);
    expect(pairs('bearingBoreMm', '80', '80.4 mm')).toEqual([]);
    expect(pairs('boltSpreadMm', 'three', '88.9')).toEqual(['open']);
    expect(pairs('studThread', 'M10x1', 'm10 x 1')).toEqual([]);
    expect(pairs('studThread', 'M10x1', 'M10x1.25')).toEqual(['differs']);
    expect(pairs('hoseThread', '3/8-24 UNF', '3/8-24')).toEqual([]);
    expect(pairs('hoseThread', '3/8-24', 'M10x1')).toEqual(['differs']);
    expect(pairs('hoseSeat', 'banjo', 'flare')).toEqual(['differs']);
    expect(pairs('banjoEyeMm', '3/8 in', '9.6')).toEqual([]);
    expect(pairs('banjoEyeMm', '3/8 in', '10.2')).toEqual(['differs']);
    expect(pairs('shockSide', 'Ahead', 'ahead ')).toEqual([]);
    expect(pairs('shockSide', 'ahead', 'behind')).toEqual(['differs']);
  });

  test('what it does not bring is told', () => {
    expect(kitLacks(kit, rowsOf(gannet))).toEqual([
      { item: expect.objectContaining({ key: 'own:own-1' }), lacks: 8 },
    ]);
  });
});

test('a table of prices: what names a thing of the list is taken, every other row is named with what is wrong', () => {
  const items = shoppingList(viewPlan(gannet));
  const rows = [
    ['3/8-24 nut', '1,20'],
    ['Cable ties, 200 mm', 'EUR 0.08'],
    ['Nothing of ours', '3'],
    ['M10x1 nut', 'on request'],
    ['', ''],
  ];
  const { prices, bad } = priceRows(rows, 0, 1, items);
  expect([...prices]).toEqual([
    ['nut:3/8-24-inverted', 120],
    ['own:own-1', 8],
  ]);
  expect(bad).toEqual([
    'Row 3: “Nothing of ours” is not on this list.',
    'Row 4: “on request” is not a price for M10x1 nut.',
  ]);
});
