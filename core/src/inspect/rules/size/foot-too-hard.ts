import { sizingRule } from './_shared.ts';

/** The published rules allow no more foot than this. */
export const footTooHard = sizingRule('foot-too-hard', (sizing, { empty }, { force }) => {
  const { limits } = empty;
  if (!limits || sizing.pedal.forceN <= limits.pedalMostN) return [];
  return [
    {
      level: 'caution',
      where: 'Pedal',
      text: `Calculated for ${force(sizing.pedal.forceN)} of pedal force, and ${force(limits.pedalMostN)} is the most allowed (${limits.source}).`,
    },
  ];
});
