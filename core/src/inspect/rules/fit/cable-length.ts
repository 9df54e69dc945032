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
      if (!fault) return [];
      const { full } = lengthWords({ plan });
      const text = {
        'outer-short': `Its outer is ${full(-outerOverMm)} shorter than its way: it does not reach its stops.`,
        'outer-long': `Its outer is ${full(outerOverMm)} longer than its way: it hangs. A shorter one, or stops set so much further apart.`,
        'inner-short': `Its inner is ${full(-innerOverMm)} short of its ends: the brake is on before the lever moves.`,
        'inner-long': `Its inner has ${full(innerOverMm)} too much, and the adjuster takes up ${full(cable.adjustMm)}.`,
      }[fault];
      return [{ level: 'mind' as const, where: cable.name, text }];
    });
  },
});
