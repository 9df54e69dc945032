import {
  id,
  list,
  name,
  note,
  nullable,
  number,
  oneOf,
  optional,
  record,
  text,
  day,
} from './field.ts';

export const ORDER_STATES = [
  'needed',
  'ordered',
  'here',
  'fitted',
  'wrong',
  'missing',
  'sent-back',
] as const;
export type OrderState = (typeof ORDER_STATES)[number];
/** How one thing of the list stands. */
export interface Order {
  /** Which thing: what the list calls it, or that of one of the user's own. */
  readonly key: string;
  readonly state: OrderState;
  /** At hand before anything is bought. */
  readonly have: number;
  readonly from: string;
  readonly on: string | null;
  readonly due: string | null;
  /** Price of one, in hundredths of the currency; null where it is not known. */
  readonly priceMinor: number | null;
  readonly note: string;
}
/** Something on the list that does not follow from the plan. */
export interface OwnItem {
  readonly id: string;
  readonly name: string;
  readonly count: number;
}
export const KIT_ASKS = [
  'boltSpreadMm',
  'centreBoreMm',
  'studThread',
  'studHand',
  'wheelInsideMm',
  'shockRoomMm',
  'shaftRoomMm',
  'hoseThread',
  'banjoMm',
] as const;
export type KitAsk = (typeof KIT_ASKS)[number];
export const KIT_CORNERS = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const;
export type KitCorner = (typeof KIT_CORNERS)[number];
type Asks = Partial<Readonly<Record<KitAsk, string>>>;
/** A kit of brake parts before it is ordered: what its maker gives, what each corner measures, what it brings. */
export interface Kit {
  readonly id: string;
  readonly name: string;
  readonly gives: Asks;
  readonly corners: Partial<Readonly<Record<KitCorner, Asks>>>;
  /** What it brings, by what the list calls it. */
  readonly brings: readonly { readonly key: string; readonly count: number }[];
}
export interface Buying {
  readonly currency: string;
  readonly orders: readonly Order[];
  readonly own: readonly OwnItem[];
  readonly kits: readonly Kit[];
}
export const NO_BUYING: Buying = { currency: '', orders: [], own: [], kits: [] };

export const ORDER = record<Order>()(
  {
    key: name,
    state: oneOf(ORDER_STATES),
    have: number(0, 1e6),
    from: text,
    on: nullable(day),
    due: nullable(day),
    priceMinor: nullable(number(0, 1e9, { whole: true })),
    note,
  },
  {
    about: {
      kind: 'order',
      prefix: 'order',
      noun: 'order',
      named: ({ key: item }) => item,
      key: 'key',
      unlisted: true,
    },
  },
);
const ASKS = record<Asks>()(
  Object.fromEntries(KIT_ASKS.map((ask) => [ask, optional(text)])) as never,
);
const KIT = record<Kit>()(
  {
    id,
    name,
    gives: ASKS,
    corners: record<Kit['corners']>()(
      Object.fromEntries(KIT_CORNERS.map((corner) => [corner, optional(ASKS)])) as never,
    ),
    brings: list(record<Kit['brings'][number]>()({ key: name, count: number(0, 1e6) }), 200),
  },
  { about: { kind: 'kit', prefix: 'kit', noun: 'kit', named: ({ name }) => name } },
);
export const OWN_ITEM = record<OwnItem>()(
  { id, name, count: number(0, 1e6) },
  {
    about: { kind: 'ownItem', prefix: 'item', noun: 'item of your own', named: ({ name }) => name },
  },
);
export const BUYING = record<Buying>()({
  currency: text,
  orders: list(ORDER, 2000),
  own: list(OWN_ITEM, 500),
  kits: list(KIT, 20),
});
/** What a thing of the list is before anybody has said more of it. */
export const freshOrder = (key: string): Order => ({
  key,
  state: 'needed',
  have: 0,
  from: '',
  on: null,
  due: null,
  priceMinor: null,
  note: '',
});
