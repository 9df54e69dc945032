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
        where: `Stop from ${last.fromKmh} km/h`,
        text: `The rear locked first: it turns round. ${view.plan.sizing?.rearValve ? `Take the rear down by one turn${turns === null ? '' : `, from ${turns}`}, one change a run, and stop again from lower.` : 'It wants a valve in the rear, or another bore: see Size.'}`,
      },
    ];
  },
});
