import { isRaw, type Raw } from './raw.ts';

/** Sections that a plan of version 6 may do without, as they are before anything is recorded in them. */
const EMPTY: Readonly<Record<string, Raw>> = {
  making: { stock: [], sold: [], kerfMm: 0, endMm: 10, brackets: [] },
  buying: { currency: '', orders: [], own: [], kits: [] },
  floor: {
    done: [],
    tight: [],
    wanted: [],
    later: [],
    temporary: [],
    found: [],
    own: [],
    looks: [],
    session: { minutes: 120, people: 1, lacks: [] },
  },
  wheelEnds: {
    calipers: [],
    wheels: [],
    hubs: [],
    cables: [],
    wires: [],
    loads: [],
    play: { coldMm: null, hotMm: null, valveHolds: null },
  },
  log: { entries: [], sheets: [], earlier: [] },
  filling: {
    method: null,
    people: 2,
    tools: ['hose and jar'],
    usedMaster: false,
    when: 'now',
    makers: null,
    before: [],
    fluids: [],
    runs: [],
  },
  proving: {
    curves: [],
    holds: [],
    airTests: [],
    rounds: [],
    pedal: [],
    stops: [],
    bedding: [],
    signed: [],
  },
};
/** Lists whose records are told apart by a field: of two with the same one the later counts. */
const KEYS: readonly (readonly [section: string, list: string, key: string])[] = [
  ['buying', 'orders', 'key'],
  ['wheelEnds', 'calipers', 'key'],
  ['wheelEnds', 'wheels', 'key'],
  ['filling', 'before', 'key'],
  ['filling', 'fluids', 'part'],
  ['floor', 'done', 'task'],
  ['floor', 'tight', 'key'],
  ['floor', 'wanted', 'key'],
  ['floor', 'later', 'task'],
  ['floor', 'looks', 'task'],
  ['proving', 'rounds', 'key'],
];
/** Lists whose ids were their own affair, and are ids of the plan now. */
const NUMBERED: readonly (readonly [section: string, list: string])[] = [
  ['making', 'stock'],
  ['making', 'sold'],
  ['making', 'brackets'],
  ['buying', 'own'],
  ['buying', 'kits'],
  ['wheelEnds', 'hubs'],
  ['wheelEnds', 'cables'],
  ['wheelEnds', 'wires'],
  ['wheelEnds', 'loads'],
  ['log', 'entries'],
  ['log', 'sheets'],
  ['log', 'earlier'],
  ['filling', 'runs'],
  ['floor', 'temporary'],
  ['floor', 'found'],
  ['floor', 'own'],
  ['proving', 'curves'],
  ['proving', 'holds'],
  ['proving', 'airTests'],
  ['proving', 'pedal'],
  ['proving', 'stops'],
];
type Sections = Record<string, Raw>;

const listIn = (sections: Sections, section: string, list: string): unknown[] | null => {
  const found = sections[section]?.[list];
  return Array.isArray(found) ? found : null;
};
function change(
  sections: Sections,
  section: string,
  list: string,
  to: (items: unknown[]) => unknown[],
): void {
  const items = listIn(sections, section, list);
  if (items) sections[section] = { ...sections[section], [list]: to(items) };
}
const field = (item: unknown, key: string): unknown => (isRaw(item) ? item[key] : undefined);
const idsIn = (list: unknown): string[] =>
  Array.isArray(list)
    ? list.flatMap((item) => {
        const id = field(item, 'id');
        return typeof id === 'string' ? [id] : [];
      })
    : [];

/** The ids of what a plan had collections of before. */
function takenIds(raw: Raw): Set<string> {
  const lists = ['points', 'parts', 'circuits', 'lines', 'hoses', 'things', 'gates'];
  const parts = Array.isArray(raw['parts']) ? raw['parts'] : [];
  const bench = isRaw(raw['bench']) ? raw['bench'] : {};
  return new Set([
    ...lists.flatMap((list) => idsIn(raw[list])),
    ...parts.flatMap((part) => idsIn(field(part, 'ports'))),
    ...idsIn(bench['benders']),
    ...idsIn(bench['adapters']),
  ]);
}
/** Records with ids that no other record of the plan has; `renamed` is told of each that got another. */
const renumbered = (
  items: unknown[],
  taken: Set<string>,
  renamed: (from: string, to: string) => void,
): unknown[] =>
  items.map((item) => {
    const id = field(item, 'id');
    if (typeof id !== 'string') return item;
    let free = id;
    for (let n = 2; taken.has(free); n++) free = `${id}-${n}`;
    taken.add(free);
    if (free === id) return item;
    renamed(id, free);
    return { ...(item as Raw), id: free };
  });
/** A value with texts replaced, deep down. */
function replaced(value: unknown, texts: ReadonlyMap<string, string>): unknown {
  if (typeof value === 'string') return texts.get(value) ?? value;
  if (Array.isArray(value)) return value.map((item) => replaced(item, texts));
  return isRaw(value)
    ? Object.fromEntries(Object.entries(value).map(([key, item]) => [key, replaced(item, texts)]))
    : value;
}

/** Every stored list is a collection: its section is always there, its ids are ids of the plan, its keys are told once. */
export function from6({ corners, holding, ...raw }: Raw): Raw {
  const own: Raw = { ...raw, wheelEnds: corners };
  const sections: Sections = Object.fromEntries(
    Object.entries(EMPTY).map(([section, empty]) => {
      const found = own[section];
      return [section, (found ?? empty) as Raw];
    }),
  );
  for (const [section, list, key] of KEYS)
    change(sections, section, list, (items) =>
      items.filter((item, i) => {
        const value = field(item, key);
        return (
          value === undefined || !items.slice(i + 1).some((other) => field(other, key) === value)
        );
      }),
    );
  const partIds = new Set(idsIn(raw['parts']));
  const thingIds = new Set(idsIn(raw['things']));
  // What was measured of a part or a wheel that is gone belongs to nothing.
  for (const [section, list, key, ids] of [
    ['wheelEnds', 'calipers', 'key', partIds],
    ['wheelEnds', 'wheels', 'key', thingIds],
    ['filling', 'fluids', 'part', partIds],
  ] as const)
    change(sections, section, list, (items) =>
      items.filter((item) => {
        const id = field(item, key);
        return typeof id !== 'string' || ids.has(id);
      }),
    );
  const taken = takenIds(raw);
  // Work is recorded of a task of the user's own by its id.
  const tasks = new Map<string, string>();
  for (const [section, list] of NUMBERED)
    change(sections, section, list, (items) =>
      renumbered(items, taken, (from, to) => {
        if (section === 'floor' && list === 'own') tasks.set(`own:${from}`, `own:${to}`);
      }),
    );
  if (tasks.size)
    for (const section of ['floor', 'log'])
      sections[section] = replaced(sections[section], tasks) as Raw;
  return { ...raw, ...sections, clipSettings: holding, version: 7 };
}
