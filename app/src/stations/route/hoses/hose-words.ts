import type { HoseVerdict } from '@firm-line/core/shape/rod';

export const VERDICT_WORDS: Record<HoseVerdict, string> = {
  'out-of-reach': 'does not reach',
  taut: 'taut',
  kinks: 'kinks',
  ok: 'good',
};
/** A sign beside the word, so that color never stands alone. */
export const VERDICT_SIGNS: Record<HoseVerdict, string> = {
  'out-of-reach': '✕',
  taut: '↔',
  kinks: '∠',
  ok: '✓',
};
