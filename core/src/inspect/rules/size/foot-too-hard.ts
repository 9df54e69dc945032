import { figure } from '../../../lib/faults/index.ts';
import { sizingRule } from './_shared.ts';

/** The published rules allow no more foot than this. */
export const footTooHard = sizingRule('foot-too-hard', (sizing, { empty }) => {
  const { limits } = empty;
  if (!limits || sizing.pedal.forceN <= limits.pedalMostN) return [];
  return [
    {
      level: 'caution',
      where: 'Pedal',
      text: `Calculated for ${figure(sizing.pedal.forceN, 0)} N of pedal force, and ${limits.pedalMostN} N is the most allowed (${limits.source}).`,
    },
  ];
});
