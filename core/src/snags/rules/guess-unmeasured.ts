import { places } from './places.ts';
import type { Rule, Snag } from '../snag.ts';

/** A guess that a tape is read from or a line ends at is an open point until it is measured. */
export const guessUnmeasured: Rule = (view) =>
  places(view).flatMap(({ place, where, known, used }): Snag[] =>
    used && known.how === 'guessed'
      ? [
          {
            rule: 'guess-unmeasured',
            level: 'mind',
            station: 'measure',
            place,
            where,
            text: 'This place is a guess. Measure it before tube is cut for it.',
          },
        ]
      : [],
  );
