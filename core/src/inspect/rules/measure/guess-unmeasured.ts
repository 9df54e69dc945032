import { unfitted } from '../../rule-kit/fitted.ts';
import { places } from './_shared.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** A guess that a tape is read from or a line ends at is an open point until it is measured. */
export const guessUnmeasured = defineRule({
  id: 'guess-unmeasured',
  station: 'measure',
  about: 'plan',
  reads: ['plan.lines', 'plan.floor', 'points', 'ports'],
  judge: (view) => {
    const lines = unfitted(view.plan.lines, view.plan.floor);
    if (!lines.length) return [];
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
