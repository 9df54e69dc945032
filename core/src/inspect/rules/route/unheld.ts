import { InputError } from '../../../lib/faults/index.ts';
import { placeClips } from '../../../plan/layout/place-clips.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords, onLine } from '../../rule-kit/places.ts';

/** A tube that nothing holds, on a vehicle whose frame is known. */
export const unheld = defineRule({
  id: 'unheld',
  station: 'route',
  about: 'space',
  reads: ['obstacles', 'plan.bench', 'plan.clipSettings', 'plan.things'],
  judge: (line, space, view) => {
    if (
      line.line.clipsMm.length ||
      space.lengthMm <= view.plan.clipSettings.endMm ||
      !view.plan.things.some((thing) => thing.holds)
    )
      return [];
    const snag = { level: 'caution', place: onLine(line), where: line.line.name } as const;
    const long = lengthWords(view).full(space.lengthMm);
    try {
      const clipsMm = placeClips(view.plan, line);
      const text = `No clip holds its ${long}; ${clipsMm.length} would hold it.`;
      return [
        {
          ...snag,
          text,
          fix: () => ({
            label: `Take ${clipsMm.length} clips`,
            call: { edit: 'changeLine', with: { id: line.line.id, patch: { clipsMm } } },
          }),
        },
      ];
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return [{ ...snag, text: `No clip holds its ${long}. ${error.message}` }];
    }
  },
});
