import { fluidFor, type Part } from '../../../plan/index.ts';
import { fluidById, type FluidFamily } from '../../../trade/stock/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';
import { sharingFluid } from './_fluid-at.ts';

const WORDS: Record<FluidFamily, string> = {
  glycol: 'glycol',
  silicone: 'silicone',
  mineral: 'mineral oil',
};
/** What it takes to change from one family to another. Common practice. */
const changed = (a: FluidFamily, b: FluidFamily): string =>
  a === 'mineral' || b === 'mineral'
    ? 'Never change to or from mineral oil, unless the parts’ sheets allow both: seals of the old kind fail at once.'
    : 'Choose another fluid, or replace every seal and flush the lines.';

/** Glycol, silicone and mineral oil never meet: seals swell and the mixture gels. Judged for all that shares its fluid, back to the reservoir. Common practice. */
export const fluidsMeet = defineRule({
  id: 'fluids-meet',
  station: 'fill',
  about: 'plan',
  reads: ['network', 'plan.parts', 'plan.filling'],
  judge: ({ network, plan: { parts, filling } }) => {
    return sharingFluid(network, parts).flatMap((own): Finding[] => {
      const made = own.filter(
        (part): part is Part & { readonly family: FluidFamily } => part.family !== null,
      );
      // Each reservoir has a fluid of its own.
      const chosen = fluidFor({ filling }, own);
      const fluid = fluidById(chosen)!;
      const odd = made.filter(({ family }) => family !== fluid.family);
      if (!odd.length) return [];
      // A circuit of which every part is known to take another fluid has that fluid: it is filled from a bottle of its own.
      if (
        odd.length === own.filter(({ cavityMl }) => cavityMl > 0).length &&
        new Set(odd.map(({ family }) => family)).size === 1
      )
        return [
          {
            level: 'note',
            place: onPart(odd[0]!),
            where: odd[0]!.name,
            text: `This circuit takes ${WORDS[odd[0]!.family]}. Keep a separate bottle for it, and never use ${fluid.name}, which is chosen for the other circuits.`,
          },
        ];
      return odd.map((part) => ({
        level: 'stop',
        place: onPart(part),
        where: part.name,
        text: `This part is made for ${WORDS[part.family]} or has held it, and the plan uses ${fluid.name} (${WORDS[fluid.family]}). They must never mix. ${changed(part.family, fluid.family)}`,
      }));
    });
  },
});
