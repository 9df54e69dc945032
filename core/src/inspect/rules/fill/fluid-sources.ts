import { sourcesThatDiffer } from '../../../stations/fill/index.ts';
import { fluidById } from '../../../trade/stock/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** Cap, plate, sheet and what came out name another fluid than the one that is to go in, and nobody said why. Common practice. */
export const fluidSources = defineRule({
  id: 'fluid-sources',
  station: 'fill',
  about: 'plan',
  reads: ['plan.filling', 'plan.parts'],
  judge: ({ plan: { filling, parts } }) =>
    filling.fluids.flatMap((one): Finding[] => {
      const of = parts.find(({ id }) => id === one.part);
      const named = sourcesThatDiffer(one);
      if (!of || !named.length || one.why) return [];
      const words = named.map(({ from, fluid }) => `${from} ${fluid.name}`).join(', ');
      return [
        {
          level: 'caution',
          place: { kind: 'part', id: of.id },
          where: of.name,
          text: `${fluidById(one.fluidId)!.name} is chosen, but ${words}. Check the part’s sheet, then choose again or enter why.`,
        },
      ];
    }),
});
