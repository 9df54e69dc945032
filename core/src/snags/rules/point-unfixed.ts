import type { Rule, Snag } from '../snag.ts';
import { places } from './places.ts';

/** Tapes that do not fix a point; what was held before still counts, as a guess. */
export const pointUnfixed: Rule = (view) =>
  places(view).flatMap(({ place, where, fixed }): Snag[] =>
    fixed.fault
      ? [
          {
            rule: 'point-unfixed',
            level: 'mind',
            station: 'measure',
            place,
            where,
            text: `${fixed.fault} Until then the earlier guess counts.`,
          },
        ]
      : [],
  );
