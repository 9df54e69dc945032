import { places } from './_shared.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** Tapes that do not fix a point; what was held before still counts, as a guess. */
export const pointUnfixed = defineRule({
  id: 'point-unfixed',
  station: 'measure',
  about: 'plan',
  reads: ['plan.lines', 'points', 'ports'],
  judge: (view) =>
    places(view).flatMap(({ place, where, fixed }): Finding[] =>
      fixed.fault
        ? [
            {
              level: 'caution',
              place,
              where,
              text: `${fixed.fault} Until then the earlier estimate is used.`,
            },
          ]
        : [],
    ),
});
