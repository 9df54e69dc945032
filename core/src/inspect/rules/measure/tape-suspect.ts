import { places } from './_shared.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** Among five tapes or more, one that disagrees with the rest can be named (Baarda's test). */
export const tapeSuspect = defineRule({
  id: 'tape-suspect',
  station: 'measure',
  about: 'plan',
  reads: ['plan.lines', 'points', 'ports'],
  judge: (view) =>
    places(view).flatMap(({ place, where, known, fixed }): Finding[] => {
      const index = fixed.survey?.suspect ?? null;
      if (index === null) return [];
      const tape = known.tapes![index]!;
      const off = fixed.survey!.residualsMm[index]!;
      return [
        {
          level: 'caution',
          place,
          where,
          text: `The tape from ${view.points.get(tape.from)!.point.name} reads ${lengthWords(view).full(Math.abs(off), 1)} too ${off > 0 ? 'long' : 'short'} for the other tapes (${lengthWords(view).bare(tape.readMm, 1)} read). Read it again.`,
        },
      ];
    }),
});
