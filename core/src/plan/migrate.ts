import { DEFAULT_HOLDING } from './defaults.ts';

type Raw = Record<string, unknown>;

/** From version 1: circuits learn their axle, sizing is not begun. */
function from1(raw: Raw): Raw {
  const axleOf = (circuit: Raw): 'front' | 'rear' | null => {
    if (circuit['work'] !== 'brake') return null;
    return (['front', 'rear'] as const).find((axle) => String(circuit['name']).toLowerCase().includes(axle)) ?? null;
  };
  const circuits = Array.isArray(raw['circuits'])
    ? raw['circuits'].map((c: unknown) => (typeof c === 'object' && c !== null ? { ...c, axle: axleOf(c as Raw) } : c))
    : raw['circuits'];
  return { ...raw, version: 2, circuits, sizing: null };
}

const isRaw = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);
const each = (list: unknown, change: (item: Raw) => Raw): unknown =>
  Array.isArray(list) ? list.map((item: unknown) => (isRaw(item) ? change(item) : item)) : list;
const inside = (record: unknown, change: (item: Raw) => Raw): unknown =>
  isRaw(record)
    ? Object.fromEntries(Object.entries(record).map(([key, item]) => [key, isRaw(item) ? change(item) : item]))
    : record;
/** What an end was taken to be before joints were kept. */
const JOINT_BEFORE = {
  adapters: [],
  standoffMm: 0,
  joint: { made: 'flared', sealant: 'none', washers: 'none', opened: 0, torqueNm: null, torqueSource: '' },
};

/** From version 2: parts learn their figures, ports and ends what joins them, and there are sheets beside the one from foot to road. */
function from2(raw: Raw): Raw {
  const { sizing } = raw;
  const open: unknown = isRaw(sizing) ? sizing['open'] : null;
  return {
    ...raw,
    version: 3,
    parts: each(raw['parts'], (part) => ({
      ...part,
      figures: {},
      family: null,
      ports: each(part['ports'], (port) => ({ ...port, fitting: null })),
    })),
    lines: each(raw['lines'], (line) => ({ ...line, ends: inside(line['ends'], (end) => ({ ...end, ...JOINT_BEFORE })) })),
    bench: isRaw(raw['bench'])
      ? {
          ...raw['bench'],
          adapters: [],
          flares: inside(raw['bench']['flares'], (flare) => ({ ...flare, owned: true, provenOn: [] })),
        }
      : raw['bench'],
    sizing: isRaw(sizing)
      ? {
          ...sizing,
          kneePerTurnMPa: null,
          combination: null,
          wearMm: { front: 8, rear: 3 },
          open: Array.isArray(open) ? [...(open as unknown[]), 'wearMm.front', 'wearMm.rear'] : open,
        }
      : sizing,
    trailer: null,
    singles: [],
    clutch: null,
    parking: null,
  };
}

/** What a line was taken to be before it was held. */
const HELD_BEFORE = { origin: 'made', clipsMm: [], sleeves: [], shakeHz: null };

/** From version 3: lines learn how they are held, and there is a vehicle round them. */
const from3 = (raw: Raw): Raw => ({
  ...raw,
  version: 4,
  lines: each(raw['lines'], (line) => ({
    ...line,
    ...HELD_BEFORE,
    ends: inside(line['ends'], (end) => ({ ...end, open: null })),
  })),
  things: [],
  gates: [],
  holding: DEFAULT_HOLDING,
});

/** From version 4: hoses. */
const from4 = (raw: Raw): Raw => ({ ...raw, version: 5, hoses: [] });

/** From version 5: what shakes a line is known by its stretches, and feeds have a gauze or none. */
const from5 = (raw: Raw): Raw => ({
  ...raw,
  version: 6,
  lines: each(raw['lines'], ({ shakeHz, ...line }) => ({
    ...line,
    shakes: typeof shakeHz === 'number' && shakeHz > 0 ? [{ fromMm: 0, toMm: 100_000, hz: shakeHz }] : [],
  })),
  hoses: each(raw['hoses'], (hose) => ({ ...hose, gauze: false })),
});

const STEPS: ReadonlyMap<unknown, (raw: Raw) => Raw> = new Map([
  [1, from1],
  [2, from2],
  [3, from3],
  [4, from4],
  [5, from5],
]);

/** A plan of any earlier version as one of the present version; anything else is handed back as it is. */
export function migrate(raw: Raw): Raw {
  let plan = raw;
  for (let step = STEPS.get(plan['version']); step; step = STEPS.get(plan['version'])) plan = step(plan);
  return plan;
}
