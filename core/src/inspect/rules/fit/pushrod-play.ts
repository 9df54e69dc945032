import { defineRule, type Finding } from '../../define-rule.ts';

/** Free play of the pushrod as it was felt, cold and hot, and a booster’s check valve. Common practice. */
export const pushrodPlay = defineRule({
  id: 'pushrod-play',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds'],
  judge: ({ plan }): Finding[] => {
    const { coldMm, hotMm, valveHolds } = plan.wheelEnds.play;
    const none = [
      ...(coldMm === 0 ? (['cold'] as const) : []),
      ...(hotMm === 0 ? (['hot'] as const) : []),
    ];
    return [
      ...none.map((when): Finding => ({
        level: 'stop',
        where: 'Pushrod',
        repeats: `test:pushrod-${when}`,
        text: `No free play ${when}: the compensating port can stay closed, and the brakes drag, heat and lock on. Shorten the pushrod.`,
      })),
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
