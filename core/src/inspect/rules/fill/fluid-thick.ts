import { fluidById, FLUIDS } from '../../../trade/stock/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** A modulator whose sheet asks for fluid of low viscosity is slow on any other in the cold. Source: ISO 4925 class 6 (from memory). */
export const fluidThick = defineRule({
  id: 'fluid-thick',
  station: 'fill',
  about: 'plan',
  reads: ['plan.bleeding', 'plan.parts'],
  judge: ({ plan: { bleeding, parts } }) => {
    const fluid = fluidById(bleeding.fluidId)!;
    const thin = FLUIDS.find((one) => one.thin)!;
    if (fluid.thin) return [];
    return parts
      .filter((part) => part.facts?.thinFluid)
      .map((part): Finding => ({
        level: 'mind',
        place: onPart(part),
        where: part.name,
        text: `Its sheet asks for fluid of low viscosity and the plan fills ${fluid.name}: in the cold it answers late. ${thin.name} is such a one.`,
        fix: () => ({
          label: `Fill ${thin.name}`,
          call: { edit: 'changeBleeding', with: { patch: { fluidId: thin.id } } },
        }),
      }));
  },
});
