import { cableFit } from '../../../physics/wheel-ends/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** A cable that is too short does not reach, one that is too long hangs or cannot be taken up. */
export const cableLength = defineRule({
  id: 'cable-length',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds'],
  judge: ({ plan }) => {
    return plan.wheelEnds.cables.flatMap((cable) => {
      const { outerOverMm, innerOverMm, fault } = cableFit(cable);
      const { full } = lengthWords({ plan });
      const { slackAfterMm, adjustMm } = cable;
      if (!fault)
        return slackAfterMm !== null && slackAfterMm > adjustMm
          ? [
              {
                level: 'caution' as const,
                place: { kind: 'cable' as const, id: cable.id },
                where: cable.name,
                text: `After twenty pulls its slack is ${full(slackAfterMm)}, and the adjuster only takes up ${full(adjustMm)}.`,
              },
            ]
          : [];
      const text = {
        'outer-short': `The outer cable is ${full(-outerOverMm)} shorter than the cable path and does not reach its stops.`,
        'outer-long': `The outer cable is ${full(outerOverMm)} longer than the cable path and hangs loose. Use a shorter cable, or move the stops that much further apart.`,
        'inner-short': `The inner cable is ${full(-innerOverMm)} too short: the brake is on before the lever moves.`,
        'inner-long': `The inner cable is ${full(innerOverMm)} too long, and the adjuster only takes up ${full(cable.adjustMm)}.`,
      }[fault];
      return [
        {
          level: 'caution' as const,
          place: { kind: 'cable' as const, id: cable.id },
          where: cable.name,
          text,
        },
      ];
    });
  },
});
