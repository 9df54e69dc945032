import { defineRule, type Finding } from '../../define-rule.ts';

/** A rear that locks first turns the vehicle round. Common practice. */
export const rearLocked = defineRule({
  id: 'rear-locked',
  station: 'prove',
  about: 'plan',
  reads: ['plan.proving', 'plan.sizing'],
  judge: (view): Finding[] => {
    const last = view.plan.proving.stops.at(-1);
    if (last?.locked !== 'rear') return [];
    const turns = last.valveTurns;
    return [
      {
        level: 'stop',
        repeats: 'test:site',
        where: `Stop from ${last.fromKmh} km/h`,
        text: `The rear locked first: the vehicle can spin. ${view.plan.sizing?.rearValve ? `Reduce rear pressure by one turn${turns === null ? '' : `, from ${turns}`}, one change per run, and repeat the stop from a lower speed.` : 'Fit a valve in the rear circuit, or another bore: see Size.'}`,
      },
    ];
  },
});
