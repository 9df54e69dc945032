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

/** From version 2: parts learn their figures, and there are sheets beside the one from foot to road. */
function from2(raw: Raw): Raw {
  const each = (list: unknown, change: (item: Raw) => Raw): unknown =>
    Array.isArray(list)
      ? list.map((item: unknown) => (typeof item === 'object' && item !== null ? change(item as Raw) : item))
      : list;
  const sizing = raw['sizing'] as Raw | null;
  const open: unknown = sizing?.['open'];
  return {
    ...raw,
    version: 3,
    parts: each(raw['parts'], (part) => ({ ...part, figures: {}, family: null })),
    sizing: sizing && {
      ...sizing,
      kneePerTurnMPa: null,
      combination: null,
      wearMm: { front: 8, rear: 3 },
      open: Array.isArray(open) ? [...(open as unknown[]), 'wearMm.front', 'wearMm.rear'] : open,
    },
    trailer: null,
    singles: [],
    clutch: null,
    parking: null,
  };
}

const STEPS: ReadonlyMap<unknown, (raw: Raw) => Raw> = new Map([
  [1, from1],
  [2, from2],
]);

/** A plan of any earlier version as one of the present version; anything else is handed back as it is. */
export function migrate(raw: Raw): Raw {
  let plan = raw;
  for (let step = STEPS.get(plan['version']); step; step = STEPS.get(plan['version'])) plan = step(plan);
  return plan;
}
