import { each, inside, type Raw } from './raw.ts';

/** Limits that plans began with when they learnt to hold lines. */
const HOLDING_BEFORE = {
  frameHz: 60,
  engineHz: 120,
  nearMm: 300,
  margin: 1.2,
  maxSpanMm: 450,
  endMm: 150,
  reachMm: 150,
};
/** What a line was taken to be before it was held. */
const HELD_BEFORE = { origin: 'made', clipsMm: [], sleeves: [], shakeHz: null };

/** Lines learn how they are held, and there is a vehicle round them. */
export const from3 = (raw: Raw): Raw => ({
  ...raw,
  version: 4,
  lines: each(raw['lines'], (line) => ({
    ...line,
    ...HELD_BEFORE,
    ends: inside(line['ends'], (end) => ({ ...end, open: null })),
  })),
  things: [],
  gates: [],
  holding: HOLDING_BEFORE,
});
