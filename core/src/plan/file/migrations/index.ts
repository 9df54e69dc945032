import { from1 } from './from-1.ts';
import { from2 } from './from-2.ts';
import { from3 } from './from-3.ts';
import { from4 } from './from-4.ts';
import { from5 } from './from-5.ts';
import { from6 } from './from-6.ts';
import { from7 } from './from-7.ts';
import type { Raw } from './raw.ts';

/** One step a version, each from the one before; the last one ends at the present version. */
export const MIGRATIONS: readonly ((raw: Raw) => Raw)[] = [
  from1,
  from2,
  from3,
  from4,
  from5,
  from6,
  from7,
];

/** A plan of any earlier version as one of the present version; anything else is handed back as it is. */
export function migrate(raw: Raw): Raw {
  const version = raw['version'];
  const step =
    typeof version === 'number' && Number.isInteger(version) ? MIGRATIONS[version - 1] : undefined;
  return step ? migrate(step(raw)) : raw;
}
