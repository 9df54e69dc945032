import { fluidById } from '../../../trade/stock/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** So near to boiling is too near. */
const NEAR_C = 15;
/** Fluid so wet that it boils lower than its standard allows wet fluid to, or that is hotter than it boils. Source: 49 CFR 571.116 (from memory). */
export const fluidWet = defineRule({
  id: 'fluid-wet',
  station: 'fill',
  about: 'plan',
  reads: ['plan.filling', 'plan.parts'],
  judge: (view) =>
    view.plan.filling.fluids.flatMap(({ part, fluidId, boilC, hotC }): Finding[] => {
      const fluid = fluidById(fluidId);
      const of = view.plan.parts.find(({ id }) => id === part);
      if (!of || !fluid || fluid.wetBoilC === null) return [];
      const place = { kind: 'part', id: part } as const;
      const from = boilC ?? fluid.wetBoilC;
      if (hotC !== null && hotC > from - NEAR_C)
        return [
          {
            level: hotC >= from ? 'stop' : 'caution',
            place,
            where: of.name,
            text: `The fluid reached ${hotC} °C and ${boilC === null ? `${fluid.name} can boil at ${from} °C with water in it` : `boils at ${from} °C`}: ${hotC >= from ? 'vapor in the line leaves no pedal' : `less than ${NEAR_C} °C are left`}.`,
          },
        ];
      if (boilC === null || boilC > fluid.wetBoilC + NEAR_C) return [];
      return [
        {
          level: boilC < fluid.wetBoilC ? 'stop' : 'caution',
          place,
          where: of.name,
          text: `Measured boiling point is ${boilC} °C; ${fluid.name} with water in it boils at ${fluid.wetBoilC} °C. Replace the fluid.`,
        },
      ];
    }),
});
