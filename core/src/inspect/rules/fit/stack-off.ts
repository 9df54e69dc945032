import { STACK_TOLERANCE_MM, wantedStackMm } from '../../../physics/wheel-ends/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords, onPart } from '../../rule-kit/places.ts';

/** A caliper off the middle of its disc wears one pad, and bends the other's pins. */
export const stackOff = defineRule({
  id: 'stack-off',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds', 'plan.parts'],
  judge: ({ plan }) => {
    return plan.wheelEnds.calipers.flatMap((fit) => {
      const part = plan.parts.find(({ id }) => id === fit.key);
      const { innerGapMm, outerGapMm } = fit;
      if (!part || innerGapMm === null || outerGapMm === null || fit.fittedMm === null) return [];
      const wantMm = wantedStackMm({ ...fit, innerGapMm, outerGapMm });
      const offMm = fit.fittedMm - wantMm;
      return Math.abs(offMm) <= STACK_TOLERANCE_MM + 1e-9
        ? []
        : [
            {
              level: 'caution' as const,
              place: onPart(part),
              where: part.name,
              text: `The shim stack of ${lengthWords({ plan }).full(fit.fittedMm, 2)} is ${lengthWords({ plan }).full(Math.abs(offMm), 2)} off the middle of the disc: ${lengthWords({ plan }).full(Math.max(wantMm, 0), 2)} is needed.`,
            },
          ];
    });
  },
});
