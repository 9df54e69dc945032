import { FLUIDS } from '../../../trade/stock/index.ts';
import { defineRule } from '../../define-rule.ts';
import { fluidAt, FLUID_READS } from './_fluid-at.ts';

/** A modulator whose sheet asks for fluid of low viscosity is slow on any other in the cold. Source: ISO 4925 class 6 (from memory). */
export const fluidThick = defineRule({
  id: 'fluid-thick',
  station: 'fill',
  about: 'part',
  reads: FLUID_READS,
  judge: (part, view) => {
    const { fluid, reservoirs } = fluidAt(part, view);
    const thin = FLUIDS.find((one) => one.thin)!;
    return (
      part.facts?.thinFluid === true &&
      !fluid.thin && {
        level: 'caution',
        text: `The maker’s sheet calls for low-viscosity fluid, and the plan uses ${fluid.name}, which reacts slowly when cold. Use ${thin.name}.`,
        ...(reservoirs.length
          ? {
              fix: () => ({
                label: `Fill ${thin.name}`,
                call: {
                  edit: 'chooseFluid' as const,
                  with: { parts: reservoirs.map(({ id }) => id), fluidId: thin.id },
                },
              }),
            }
          : {}),
      }
    );
  },
});
