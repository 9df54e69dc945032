import { each, inside, isRaw, type Raw } from './raw.ts';

/** What an end was taken to be before joints were kept. */
const JOINT_BEFORE = {
  adapters: [],
  standoffMm: 0,
  joint: {
    made: 'flared',
    sealant: 'none',
    washers: 'none',
    opened: 0,
    torqueNm: null,
    torqueSource: '',
  },
};

/** Parts learn their figures, ports and ends what joins them, and there are sheets beside the one from foot to road. */
export function from2(raw: Raw): Raw {
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
    lines: each(raw['lines'], (line) => ({
      ...line,
      ends: inside(line['ends'], (end) => ({ ...end, ...JOINT_BEFORE })),
    })),
    bench: isRaw(raw['bench'])
      ? {
          ...raw['bench'],
          adapters: [],
          flares: inside(raw['bench']['flares'], (flare) => ({
            ...flare,
            owned: true,
            provenOn: [],
          })),
        }
      : raw['bench'],
    sizing: isRaw(sizing)
      ? {
          ...sizing,
          kneePerTurnMPa: null,
          combination: null,
          wearMm: { front: 8, rear: 3 },
          open: Array.isArray(open)
            ? [...(open as unknown[]), 'wearMm.front', 'wearMm.rear']
            : open,
        }
      : sizing,
    trailer: null,
    singles: [],
    clutch: null,
    parking: null,
  };
}
