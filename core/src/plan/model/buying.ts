import {
  anyOf,
  id,
  list,
  name,
  note,
  noted,
  nullable,
  number,
  oneOf,
  optional,
  record,
  text,
  day,
  told,
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
  /** How many were ordered or bought, so that what they cost stays once they have come. */
  readonly bought?: number;
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
const KIT_ASK_NAMES = {
  boltSpreadMm: 'Bolt spread of the caliper',
  flangeSpreadMm: 'Bolt spread of the axle flange',
  bearingBoreMm: 'Bore for the axle bearing',
  centreBoreMm: 'Center bore of the disc',
  studThread: 'Stud thread',
  studHand: 'Hand of the studs',
  wheelInsideMm: 'Wheel’s inside, across',
  shockSide: 'Shock, ahead of or behind the axle',
  shockRoomMm: 'Room at the shock',
  shaftRoomMm: 'Room to draw an axle shaft',
  hoseThread: 'Thread of the hose end or banjo bolt',
  hoseSeat: 'Hose end: banjo, flare or O-ring',
  banjoMm: 'Length of the banjo bolt',
  banjoEyeMm: 'Bore of the banjo eye',
} as const;
export type KitAsk = keyof typeof KIT_ASK_NAMES;
export const KIT_ASKS = Object.keys(KIT_ASK_NAMES) as readonly KitAsk[];
const KIT_CORNER_NAMES = {
  frontLeft: 'front left',
  frontRight: 'front right',
  rearLeft: 'rear left',
  rearRight: 'rear right',
} as const;
export type KitCorner = keyof typeof KIT_CORNER_NAMES;
export const KIT_CORNERS = Object.keys(KIT_CORNER_NAMES) as readonly KitCorner[];
type Asks = Readonly<Partial<Record<KitAsk, string>>>;
/** A kit of brake parts before it is ordered: what its maker gives, what each corner measures, what it brings. */
export interface Kit {
  readonly id: string;
  readonly name: string;
  readonly gives: Asks;
  readonly corners: Readonly<Partial<Record<KitCorner, Asks>>>;
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
    key: told('Item', name),
    state: told(
      'Status',
      oneOf(ORDER_STATES, {
        needed: 'needed',
        ordered: 'ordered',
        here: 'here',
        fitted: 'fitted',
        wrong: 'came wrong',
        missing: 'missing',
        'sent-back': 'sent back',
      }),
    ),
    have: told('At hand', number(0, 1e6)),
    bought: told('Bought', optional(number(0, 1e6))),
    from: told('From', text),
    on: told('Ordered', nullable(noted(day))),
    due: told('Due', nullable(day)),
    priceMinor: told('Price', nullable(number(0, 1e9, { whole: true }))),
    note: told('Note', note),
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
export const KIT_ASK_RECORD = anyOf(KIT_ASK_NAMES, text);
export const ASKS_OF_CORNERS = anyOf(KIT_CORNER_NAMES, KIT_ASK_RECORD);
export const KIT = record<Kit>()(
  {
    id,
    name,
    gives: told('Kit gives', KIT_ASK_RECORD),
    corners: told('Measured', ASKS_OF_CORNERS),
    brings: told(
      'Brings',
      list(
        record<Kit['brings'][number]>()({
          key: told('Item', name),
          count: told('How many', number(0, 1e6)),
        }),
        200,
      ),
    ),
  },
  { about: { kind: 'kit', prefix: 'kit', noun: 'kit', named: ({ name }) => name } },
);
export const OWN_ITEM = record<OwnItem>()(
  { id, name, count: told('How many', number(0, 1e6)) },
  {
    about: { kind: 'ownItem', prefix: 'item', noun: 'item of your own', named: ({ name }) => name },
  },
);
export const BUYING = record<Buying>()({
  currency: told('Currency', text),
  orders: told('Orders', list(ORDER, 2000)),
  own: told('Own items', list(OWN_ITEM, 500)),
  kits: told('Kits', list(KIT, 20)),
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
