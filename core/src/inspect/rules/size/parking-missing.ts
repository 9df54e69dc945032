import { limitsOf } from '../../../plan/results/index.ts';
import { defineRule } from '../../define-rule.ts';

/** A vehicle whose rule asks a parking brake and that has none set down. */
export const parkingMissing = defineRule({
  id: 'parking-missing',
  station: 'size',
  about: 'plan',
  reads: ['plan.parking', 'plan.sizing'],
  judge: ({ plan: { parking, sizing } }) => {
    const limit = sizing && !parking && limitsOf(sizing)?.parking;
    return limit
      ? {
          level: 'caution',
          where: 'Parking brake',
          text: `No parking brake is entered. It must hold ${100 * limit.grade} % without fluid pressure (${limit.source}). Enter one, or mark it as kept.`,
        }
      : null;
  },
});
