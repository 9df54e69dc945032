import { fittedLines, FLOOR_READS } from '../fit/_shared.ts';
import { places } from './_shared.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** A guess that a tape is read from or a line ends at is an open point until it is measured. */
export const guessUnmeasured = defineRule({
  id: 'guess-unmeasured',
  station: 'measure',
  about: 'plan',
  reads: [...FLOOR_READS, 'plan.lines', 'points'],
  together: {
    where: 'Places',
    text: (count, names) =>
      `${count} positions are estimates: ${names}. Cut lengths are not sure before they are measured.`,
  },
  judge: (view) => {
    const fitted = fittedLines(view);
    const made = view.plan.lines.filter(({ origin }) => origin !== 'kept');
    const lines = made.filter(({ id }) => !fitted.has(id));
    // All of them lie on the vehicle: nothing waits for a measurement any more.
    if (made.length && !lines.length) return [];
    return places({ ...view, plan: { lines } }).flatMap(
      ({ place, where, known, used }): Finding[] =>
        used && known.how === 'guessed'
          ? [
              {
                level: 'caution',
                place,
                where,
                text: 'This position is an estimate. Measure it before you cut tube for it.',
              },
            ]
          : [],
    );
  },
});
