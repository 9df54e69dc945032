import { fluidById, FLUIDS } from '../../../trade/stock/index.ts';
import { defineRule } from '../../define-rule.ts';

/** A modulator whose sheet asks for fluid of low viscosity is slow on any other in the cold. Source: ISO 4925 class 6 (from memory). */
export const fluidThick = defineRule({
  id: 'fluid-thick',
  station: 'fill',
  about: 'part',
  reads: ['plan.bleeding'],
  judge: (part, { plan: { bleeding } }) => {
    const fluid = fluidById(bleeding.fluidId)!;
    const thin = FLUIDS.find((one) => one.thin)!;
    return (
      part.facts?.thinFluid === true &&
      !fluid.thin && {
        level: 'caution',
        text: `The maker’s sheet calls for low-viscosity fluid, and the plan uses ${fluid.name}, which reacts slowly when cold. Use ${thin.name}.`,
        fix: () => ({
          label: `Fill ${thin.name}`,
          call: { edit: 'changeBleeding', with: { patch: { fluidId: thin.id } } },
        }),
      }
    );
  },
});
