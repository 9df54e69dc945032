import { fluidIn } from '../../../plan/index.ts';
import { wholeView } from '../../rule-kit/whole-view.ts';
import { partsOf } from '../../../stations/fill/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** A part that stays on the vehicle has held a fluid nobody named: what goes in next may not meet it. Common practice. */
export const fluidUnknown = defineRule({
  id: 'fluid-unknown',
  station: 'fill',
  about: 'plan',
  reads: ['bleeding', 'lines', 'ports', 'plan.parts', 'plan.hoses', 'plan.filling', 'plan.floor'],
  judge: (view) =>
    view.bleeding.flatMap((work) =>
      partsOf(work, wholeView(view))
        .filter(
          (part) =>
            part.kept &&
            part.family === null &&
            part.cavityMl > 0 &&
            !fluidIn(view.plan, part.id).wasId,
        )
        .map((part): Finding => ({
          // Once fluid is in, two that must not meet may have met.
          level: view.plan.floor.done.some(({ task }) => task === 'fill') ? 'stop' : 'caution',
          place: onPart(part),
          where: part.name,
          text: 'This part stays on the vehicle, and its previous fluid is not entered. Check the cap and the maker’s sheet; color proves nothing.',
        })),
    ),
});
