import type { Raw } from './raw.ts';

/** Hoses. */
export const from4 = (raw: Raw): Raw => ({ ...raw, version: 5, hoses: [] });
