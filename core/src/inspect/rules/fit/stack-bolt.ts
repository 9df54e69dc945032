import { boltThrough } from '../../../physics/wheel-ends/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords, onPart } from '../../rule-kit/places.ts';

/** A bolt that is too short strips, one that bottoms or stands on its shank clamps nothing. */
export const stackBolt = defineRule({
  id: 'stack-bolt',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds', 'plan.parts'],
  judge: ({ plan }) => {
    return plan.wheelEnds.calipers.flatMap(({ key, bolt, fittedMm }) => {
      const part = plan.parts.find(({ id }) => id === key);
      if (!part || !bolt || fittedMm === null) return [];
      const { engagementMm, boltFault, boltMm } = boltThrough(bolt, fittedMm);
      if (!boltFault) return [];
      const { full } = lengthWords({ plan });
      const text =
        boltFault === 'short'
          ? `Only ${full(Math.max(engagementMm, 0), 1)} of the bolt’s thread engages, and ${full(bolt.needMm, 1)} must`
          : boltFault === 'shank'
            ? 'The bolt stops on its plain shank and clamps nothing'
            : `The bolt bottoms: ${full(engagementMm, 1)} of thread go in, and the hole has ${full(bolt.depthMm!, 1)}`;
      const one =
        boltMm.most === null
          ? `${full(boltMm.least, 1)} or more`
          : boltMm.most - boltMm.least < 0.05
            ? full(boltMm.least, 1)
            : `${full(boltMm.least, 1)} to ${full(boltMm.most, 1)}`;
      return [
        {
          level: 'stop' as const,
          place: onPart(part),
          where: part.name,
          text: `${text}. Use a bolt of ${one}.`,
        },
      ];
    });
  },
});
