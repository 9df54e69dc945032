import { likelyTorqueNm } from '../../../trade/ends/index.ts';
import { formatTorque } from '../../../lib/units/torque.ts';
import { defineRule } from '../../define-rule.ts';

/** A torque far from what such a thread mostly takes is questioned, not refused. */
export const torqueUnlikely = defineRule({
  id: 'torque-unlikely',
  station: 'join',
  about: 'joined',
  reads: [],
  judge: ({ joints, work: { torqueNm } }) => {
    const last = joints?.at(-1);
    const likely = last && likelyTorqueNm(last);
    if (torqueNm === null || !likely || (torqueNm >= likely.least && torqueNm <= likely.most))
      return null;
    return {
      level: 'caution',
      text: `${formatTorque(torqueNm)} looks wrong for ${last.join!.male.thread}: usually ${likely.least} to ${likely.most} N·m. Check the unit.`,
    };
  },
});
