import { POT_LEAST_MPA, potLowAt } from '../../../stations/fill/index.ts';
import { defineRule } from '../../define-rule.ts';
import { listed, quantityWords } from '../../rule-kit/places.ts';

/** A pressure pot that stood low at a wheel, or fell from wheel to wheel: it pushes too slowly to carry bubbles along. Common practice. */
export const potFell = defineRule({
  id: 'pot-fell',
  station: 'fill',
  about: 'plan',
  reads: ['ports', 'plan.filling'],
  judge: (view) => {
    const { pressure } = quantityWords(view);
    const { runs } = view.plan.filling;
    return (['brake', 'clutch'] as const).flatMap((work) => {
      const run = runs.findLast((one) => one.work === work);
      const low = (run && potLowAt(run)) ?? [];
      return low.length
        ? [
            {
              level: 'caution' as const,
              where: 'Pressure pot',
              text: `The pot stood low at ${listed(low.map(({ portId, potMPa }) => `${view.ports.get(portId)?.part.name ?? portId} (${pressure(potMPa!, 2)})`))}. Under ${pressure(POT_LEAST_MPA, 2)}, or a third less than at first, bubbles stay behind. Check cap adapter and hose for leaks, and bleed these wheels again.`,
            },
          ]
        : [];
    });
  },
});
