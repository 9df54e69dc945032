import { DEFAULT_TAPE_SIGMA_MM } from '../../../shape/survey/index.ts';
import { places } from './_shared.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** Residuals beyond this many sigmas say that some tape is wrong (0.1 %, normal law). */
const MOST_SIGMAS = 3.29;

/** Four tapes that do not fit one point cannot tell which of them is wrong: a fifth can. */
export const tapesDisagree = defineRule({
  id: 'tapes-disagree',
  station: 'measure',
  about: 'plan',
  reads: ['plan.lines', 'points', 'ports'],
  judge: (view) =>
    places(view).flatMap(({ place, where, known, fixed }): Finding[] => {
      const tapes = known.tapes ?? [];
      if (!fixed.survey || fixed.survey.suspect !== null || tapes.length > 4) return [];
      const worst = Math.max(
        ...fixed.survey.residualsMm.map(
          (v, i) => Math.abs(v) / (tapes[i]!.sigmaMm ?? DEFAULT_TAPE_SIGMA_MM),
        ),
      );
      const mm = Math.max(...fixed.survey.residualsMm.map(Math.abs));
      return worst > MOST_SIGMAS
        ? [
            {
              level: 'caution',
              place,
              where,
              text: `The tapes disagree by up to ${lengthWords(view).full(mm, 1)}, and it is not clear which one is wrong. Take one more reading, from another datum.`,
            },
          ]
        : [];
    }),
});
