import { identify } from '../../../trade/threads/identify.ts';
import { freshOrder, type Buying, type Order } from '../../../plan/index.ts';
import { shoppingList, type Listed } from './list.ts';
import { GROUPS, type Group, type ListItem } from './gathered.ts';

/** A thing of the list and how it stands. */
export interface ListRow {
  readonly item: ListItem;
  readonly order: Order;
  /** At hand: what was said, of tube else what Cuts has in stock. */
  readonly have: number;
  /** What is still to be bought, over what is at hand. */
  readonly toBuy: number;
  /** What it costs, in hundredths, whether it is still to be bought, ordered or paid; null where no price is known. */
  readonly costMinor: number | null;
  readonly costState: CostState;
  /** What it is of all that has a price. */
  readonly share: number | null;
}
/** Where the money for a thing stands. */
export type CostState = 'planned' | 'ordered' | 'paid';
export interface ListView {
  readonly rows: readonly ListRow[];
  readonly currency: string;
  readonly sumMinor: number;
  readonly sums: Readonly<Record<CostState, number>>;
  /** Things to buy whose price is not known. */
  readonly unpriced: number;
  readonly groups: readonly {
    readonly group: Group;
    readonly sumMinor: number;
    readonly share: number | null;
  }[];
  /** Orders for things that the plan no longer asks for. */
  readonly stray: readonly Order[];
}
/** Of a tube or a fluid a price is for a metre or a litre. */
const perUnit = ({ unit }: ListItem, amount: number): number =>
  unit === 'mL' ? amount / 1000 : amount;
const SETTLED: readonly Order['state'][] = ['here', 'fitted', 'ordered'];
/** What came is paid; what is on its way, wrong or missing is ordered. */
const costState = (state: Order['state']): CostState =>
  state === 'needed' ? 'planned' : state === 'here' || state === 'fitted' ? 'paid' : 'ordered';

/** The list with its orders and sums. Percentages are of everything that has a price. */
export function listView(view: Listed): ListView {
  const buying: Buying = view.plan.buying;
  const orders = new Map(buying.orders.map((order) => [order.key, order]));
  const items = shoppingList(view);
  const inStock = (key: string): number =>
    view.plan.making.stock.reduce(
      (sum, { tubeId, lengthMm, count }) =>
        sum + (key === `tube:${tubeId}` ? (lengthMm * count) / 1000 : 0),
      0,
    );
  const plain = items.map((item) => {
    const order = orders.get(item.key) ?? freshOrder(item.key);
    const have = order.have || (item.group === 'Tube' ? inStock(item.key) : 0);
    const toBuy = Math.max(0, item.count - have);
    const state = costState(order.state);
    const amount = state === 'planned' ? toBuy : (order.bought ?? item.count);
    const costMinor =
      order.priceMinor === null ? null : Math.round(perUnit(item, amount) * order.priceMinor);
    return { item, order, have, toBuy, costState: state, costMinor };
  });
  const sumOf = (cost: CostState): number =>
    plain.reduce((sum, row) => sum + (row.costState === cost ? (row.costMinor ?? 0) : 0), 0);
  const sumMinor = plain.reduce((sum, { costMinor }) => sum + (costMinor ?? 0), 0);
  const share = (minor: number | null): number | null =>
    sumMinor && minor !== null ? minor / sumMinor : null;
  const groups = GROUPS.map((group) => {
    const own = plain
      .filter(({ item }) => item.group === group)
      .reduce((sum, { costMinor }) => sum + (costMinor ?? 0), 0);
    return { group, sumMinor: own, share: share(own) };
  }).filter(({ group }) => items.some((item) => item.group === group));
  const keys = new Set(items.map(({ key }) => key));
  return {
    rows: plain.map((row) => ({ ...row, share: share(row.costMinor) })),
    currency: buying.currency,
    sumMinor,
    sums: { planned: sumOf('planned'), ordered: sumOf('ordered'), paid: sumOf('paid') },
    unpriced: plain.filter(({ toBuy, costMinor }) => toBuy > 0 && costMinor === null).length,
    groups,
    stray: buying.orders.filter(({ key, state }) => !keys.has(key) && SETTLED.includes(state)),
  };
}

/** What a thing weighs against another way: how much less it costs, what share that is, and how many joints more it makes. */
export function compared(
  aMinor: number,
  bMinor: number,
): { readonly lessMinor: number; readonly percent: number | null } {
  return {
    lessMinor: aMinor - bMinor,
    percent: aMinor ? (100 * (aMinor - bMinor)) / aMinor : null,
  };
}

/** What to read out to a seller: name, thread, hand, size, length, and how many. */
export function sellerWords({ item, toBuy }: ListRow): string {
  const amount =
    item.unit === 'piece'
      ? `${toBuy} off`
      : item.unit === 'm'
        ? `${toBuy.toFixed(2)} m`
        : `${Math.round(toBuy)} mL`;
  return `${amount}: ${item.name}${item.words ? `. ${item.words[0]!.toUpperCase()}${item.words.slice(1)}` : ''}.`;
}

/** What came, held against what was ordered: the thread as vernier and pitch gauge read it. */
export function received(
  item: ListItem,
  diameterMm: number,
  pitchMm: number | null,
): { readonly ok: boolean; readonly text: string } {
  const { half } = item;
  if (!half) return { ok: true, text: 'This item has no thread to measure.' };
  const { candidates, nearest } = identify({
    gender: half.gender,
    diameterMm,
    ...(pitchMm === null ? {} : { pitchMm }),
  });
  const best = candidates[0];
  if (best?.thread === half.thread)
    return { ok: true, text: `Measures as ${half.thread}, as ordered.` };
  const may = candidates.find(({ thread }) => thread === half.thread);
  if (may)
    return {
      ok: false,
      text: `Possibly ${half.thread}, but ${best!.thread} is more likely. Measure the pitch again.`,
    };
  return {
    ok: false,
    text: `${half.thread} was ordered, but this measures as ${best?.thread ?? nearest ?? 'no thread that is known here'}. Send it back.`,
  };
}

/** Prices read from a table with the columns said: rows that could not be used are named. */
export function priceRows(
  rows: readonly (readonly string[])[],
  nameAt: number,
  priceAt: number,
  items: readonly ListItem[],
): { readonly prices: ReadonlyMap<string, number>; readonly bad: readonly string[] } {
  const prices = new Map<string, number>();
  const bad: string[] = [];
  for (const [i, row] of rows.entries()) {
    const name = row[nameAt]?.trim() ?? '';
    const text =
      row[priceAt]
        ?.trim()
        .replace(/[^\d.,-]/g, '')
        .replace(/,(?=\d{2}$)/, '.')
        .replace(/,/g, '') ?? '';
    const price = text ? Number(text) : Number.NaN;
    const item = items.find(
      (one) => one.name.toLowerCase() === name.toLowerCase() || one.key === name,
    );
    if (!name && !text) continue;
    if (!item) bad.push(`Row ${i + 1}: “${name}” is not on this list.`);
    else if (!(price >= 0 && price <= 1e7))
      bad.push(`Row ${i + 1}: “${row[priceAt] ?? ''}” is not a price for ${name}.`);
    else prices.set(item.key, Math.round(price * 100));
  }
  return { prices, bad };
}
