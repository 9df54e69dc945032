import { figure } from '../../../lib/faults/index.ts';
import {
  AXLES,
  GRAVITY_MS2,
  MOTORCYCLE_BRAKES,
  MOTORCYCLE_SOURCE,
} from '../../../physics/hydraulics/index.ts';
import { quantityWords } from '../../rule-kit/places.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** A brake of a motorcycle that is too weak by itself: one lever works one front wheel and another one rear wheel. Source: UN R78 annex 3 (from memory). */
export const motorcycleWeak = defineRule({
  id: 'motorcycle-weak',
  station: 'size',
  about: 'plan',
  reads: ['plan.singles', 'plan.circuits', 'works'],
  judge: ({ plan, works }) => {
    const { singles, circuits } = plan;
    const brakes = singles.map((sheet, i) => ({
      sheet,
      made: works.singles[i]!,
      axle: circuits.find(({ id }) => id === sheet.circuitId)?.axle,
    }));
    const isMotorcycle =
      brakes.every(({ sheet }) => sheet.wheels === 1) &&
      AXLES.every((axle) => brakes.some((one) => one.axle === axle));
    if (!isMotorcycle) return [];
    const massKg = singles.reduce((sum, { loadKg }) => sum + loadKg, 0);
    const { force } = quantityWords({ plan });
    return brakes.flatMap(({ sheet, made, axle }): Finding[] => {
      const rule = axle && MOTORCYCLE_BRAKES[axle];
      if (!rule) return [];
      const ms2 = (made.forceN * rule.mostN) / sheet.lever.forceN / massKg;
      return ms2 < rule.leastMs2
        ? [
            {
              level: 'stop',
              place: { kind: 'plan', id: plan.id },
              where: sheet.name,
              text: `With ${force(rule.mostN)} by ${rule.by} this brake alone slows the motorcycle by ${figure(ms2)} m/s² (${figure(ms2 / GRAVITY_MS2, 2)} g), and ${rule.leastMs2} is required (${MOTORCYCLE_SOURCE}). Take a smaller master, larger pistons or a larger disc.`,
            },
          ]
        : [];
    });
  },
});
