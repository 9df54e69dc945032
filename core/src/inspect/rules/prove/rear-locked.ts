import { stopAdvice } from '../../../stations/prove/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** A rear that locks first turns the vehicle round. Common practice. */
export const rearLocked = defineRule({
  id: 'rear-locked',
  station: 'prove',
  about: 'plan',
  reads: ['plan.proving', 'plan.sizing', 'size'],
  judge: (view): Finding[] => {
    const last = view.plan.proving.stops.at(-1);
    if (last?.locked !== 'rear') return [];
    return [
      {
        level: 'stop',
        repeats: 'test:site',
        where: `Stop from ${last.fromKmh} km/h`,
        text: stopAdvice(last, view),
      },
    ];
  },
});
