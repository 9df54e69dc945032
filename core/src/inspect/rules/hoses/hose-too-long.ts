import { formatLengthUnit } from '../../../lib/units/index.ts';
import { otherLengths } from './_shared.ts';
import { defineRule } from '../../define-rule.ts';

/** Shares of its length that are tried, shortest first: what would serve as well is too long. */
const SHORTER = [0.7, 0.8];

/** A hose that is much longer than its travel asks for: its loop catches on what goes by. */
export const hoseTooLong = defineRule({
  id: 'hose-too-long',
  station: 'route',
  about: 'hose',
  reads: ['obstacles', 'plan.things'],
  judge: (hose, view) => {
    if (
      hose.hose.service === 'feed' ||
      !hose.states.length ||
      hose.states.some((state) => state.verdict !== 'ok')
    )
      return null;
    const shorter = otherLengths(hose, view, SHORTER);
    if (!shorter.length) return null;
    return {
      level: 'caution',
      text: `${formatLengthUnit(hose.hose.orderMm, view.plan.units)} is at least a fifth longer than the travel needs. The loop can catch, and a longer hose gives a softer pedal.`,
      fix: () => shorter,
    };
  },
});
