import { defineRule } from '../../define-rule.ts';

/** A pedal that goes down under a steady foot leaks: outside, or past the master's cup. Common practice. */
export const pedalSinks = defineRule({
  id: 'pedal-sinks',
  station: 'prove',
  about: 'plan',
  reads: ['plan.proving'],
  judge: (view) => {
    const last = view.plan.proving.pedal.filter(({ vehicle }) => vehicle === 'this').at(-1);
    return last?.sinks
      ? [
          {
            level: 'stop',
            where: 'Pedal',
            ...(last.hot ? {} : { repeats: 'test:pedal-firm' }),
            text: 'The pedal sinks under a steady foot: a joint leaks, or fluid passes the master cylinder’s cup. Do not drive.',
          },
        ]
      : [];
  },
});
