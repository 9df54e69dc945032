import { likelyTorqueNm } from '../../../trade/ends/index.ts';
import { jointsBefore } from '../../../stations/join/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';

/** A torque far from what such a thread mostly takes is questioned, not refused. */
export const torqueUnlikely = defineRule({
  id: 'torque-unlikely',
  station: 'join',
  about: 'joined',
  reads: [],
  judge: (end, view) => {
    const { torque } = quantityWords(view);
    return [...jointsBefore(end), end].flatMap(
      ({ name, joints, work: { torqueNm } }): Finding[] => {
        const last = joints?.at(-1);
        const likely = last && likelyTorqueNm(last);
        if (torqueNm === null || !likely || (torqueNm >= likely.least && torqueNm <= likely.most))
          return [];
        return [
          {
            level: 'caution',
            where: name,
            text: `${torque(torqueNm, 1)} looks wrong for ${last.join!.male.thread}: usually ${torque(likely.least)} to ${torque(likely.most)}. Check the unit.`,
          },
        ];
      },
    );
  },
});
