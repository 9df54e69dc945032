import { defineRule } from '../../define-rule.ts';

/** A pedal that comes up when it is pumped moves air, or linings that stand too far off. Common practice. */
export const pedalPumps = defineRule({
  id: 'pedal-pumps',
  station: 'prove',
  about: 'plan',
  reads: ['plan.proving'],
  judge: ({ plan }) => {
    const last = plan.proving.pedal.filter(({ vehicle }) => vehicle === 'this').at(-1);
    return last?.pumps
      ? {
          level: 'stop',
          where: 'Pedal',
          ...(last.hot ? {} : { repeats: 'test:pedal-firm' }),
          text: 'The pedal comes up when pumped: there is air in the fluid, or the shoes or pads stand too far off. Bleed and adjust, then read the pedal again.',
        }
      : null;
  },
});
