import { defineRule, type Finding } from '../../define-rule.ts';

/** Free play of the pushrod as it was felt, cold and hot, and a booster’s check valve. Common practice. */
export const pushrodPlay = defineRule({
  id: 'pushrod-play',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds'],
  judge: ({ plan }): Finding[] => {
    const { coldMm, hotMm, valveHolds } = plan.wheelEnds.play;
    const none = [...(coldMm === 0 ? ['cold'] : []), ...(hotMm === 0 ? ['hot'] : [])];
    return [
      ...(none.length
        ? [
            {
              level: 'stop' as const,
              where: 'Pushrod',
              text: `No free play ${none.join(' or ')}: the compensating port can stay closed, and the brakes drag, heat and lock on. Shorten the pushrod.`,
            },
          ]
        : []),
      ...(valveHolds === false
        ? [
            {
              level: 'stop' as const,
              where: 'Booster check valve',
              text: 'The check valve does not hold: assist is gone as soon as the engine stops. Replace the valve and its hose.',
            },
          ]
        : []),
    ];
  },
});
