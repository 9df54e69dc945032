import { each, type Raw } from './raw.ts';

/** What shakes a line is known by its stretches, and feeds have a gauze or none. */
export const from5 = (raw: Raw): Raw => ({
  ...raw,
  version: 6,
  lines: each(raw['lines'], ({ shakeHz, ...line }) => ({
    ...line,
    shakes:
      typeof shakeHz === 'number' && shakeHz > 0 ? [{ fromMm: 0, toMm: 100_000, hz: shakeHz }] : [],
  })),
  hoses: each(raw['hoses'], (hose) => ({ ...hose, gauze: false })),
});
