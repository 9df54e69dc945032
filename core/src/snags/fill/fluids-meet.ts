import { fluidById, type FluidFamily } from '../../stock/index.ts';
import { endsByPart, ENDS_READ } from '../plumb/ends-by-part.ts';
import { defineRule, type Finding } from '../define-rule.ts';
import { onPart } from '../words.ts';

const WORDS: Record<FluidFamily, string> = { glycol: 'glycol', silicone: 'silicone', mineral: 'mineral oil' };

/** Glycol, silicone and mineral oil never meet: seals swell and the mixture gels. Common practice. */
export const fluidsMeet = defineRule({
  id: 'fluids-meet',
  station: 'fill',
  about: 'plan',
  reads: ['plan.bleeding', 'plan.parts', ...ENDS_READ],
  judge: (view) => {
    const fluid = fluidById(view.plan.bleeding.fluidId)!;
    return view.plan.parts.flatMap((part): Finding[] =>
      part.family === null || part.family === fluid.family || !endsByPart(view).has(part.id)
        ? []
        : [
            {
              level: 'stop',
              place: onPart(part),
              where: part.name,
              text: `It is made for ${WORDS[part.family]} or has held it, and the plan fills ${fluid.name} (${WORDS[fluid.family]}): the two never meet. Change the fluid, or the part with all its seals.`,
            },
          ],
    );
  },
});
