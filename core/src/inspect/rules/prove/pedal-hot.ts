import { defineRule } from '../../define-rule.ts';

/** Growing by this is more than the reading's own scatter, mm. Common practice. */
const LONGER_MM = 8;
/** A pedal that is longer hot than cold: fluid that boils, or linings that swell the drum away. Common practice. */
export const pedalHot = defineRule({
  id: 'pedal-hot',
  station: 'prove',
  about: 'plan',
  reads: ['plan.proving'],
  judge: (view) => {
    const own = view.plan.proving.pedal.filter(({ vehicle }) => vehicle === 'this');
    const [hot, cold] = [true, false].map((is) => own.filter((one) => one.hot === is).at(-1));
    if (!hot || !cold || hot.engine !== cold.engine || hot.travelMm - cold.travelMm < LONGER_MM)
      return [];
    return [
      {
        level: 'stop',
        where: 'Pedal',
        text: `The pedal is ${Math.round(hot.travelMm - cold.travelMm)} mm longer hot than cold: fluid near its boiling point, or drums expanding away from the shoes. Let it cool, and check before driving again.`,
      },
    ];
  },
});
