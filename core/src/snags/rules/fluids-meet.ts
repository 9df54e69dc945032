import { fluidById, type FluidFamily } from '../../stock/index.ts';
import type { Rule, Snag } from '../snag.ts';
import { endsByPart } from './joints.ts';

const WORDS: Record<FluidFamily, string> = { glycol: 'glycol', silicone: 'silicone', mineral: 'mineral oil' };

/** Glycol, silicone and mineral oil never meet: seals swell and the mixture gels. Common practice. */
export const fluidsMeet: Rule = (view) => {
  const fluid = fluidById(view.plan.bleeding.fluidId)!;
  return view.plan.parts.flatMap((part): Snag[] =>
    part.family === null || part.family === fluid.family || !endsByPart(view).has(part.id)
      ? []
      : [
          {
            rule: 'fluids-meet',
            level: 'stop',
            station: 'fill',
            place: { kind: 'port', id: part.ports[0]!.id },
            where: part.name,
            text: `It is made for ${WORDS[part.family]} or has held it, and the plan fills ${fluid.name} (${WORDS[fluid.family]}): the two never meet. Change the fluid, or the part with all its seals.`,
          },
        ],
  );
};
