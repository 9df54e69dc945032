import { fluidById } from '../../../trade/stock/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** Fluid so wet that it boils lower than its standard allows wet fluid to, or that is hotter than it boils. Source: 49 CFR 571.116 (from memory). */
const NEAR_C = 15;
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
            level: hotC >= from ? 'stop' : 'mind',
            place,
            where: of.name,
            text: `It was ${hotC} °C hot and ${boilC === null ? `${fluid.name} may boil from ${from} °C with water in it` : `boils from ${from} °C`}: ${hotC >= from ? 'steam takes the pedal away' : `less than ${NEAR_C} °C are left`}.`,
          },
        ];
      if (boilC === null || boilC > fluid.wetBoilC + NEAR_C) return [];
      return [
        {
          level: boilC < fluid.wetBoilC ? 'stop' : 'mind',
          place,
          where: of.name,
          text: `It was measured to boil at ${boilC} °C; ${fluid.name} with water in it boils from ${fluid.wetBoilC} °C. Renew it.`,
        },
      ];
    }),
});
