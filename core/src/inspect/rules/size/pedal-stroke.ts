import { figure } from '../../../lib/faults/index.ts';
import { sizingRule } from './_shared.ts';

/** Share of the pedal's stroke beyond which a pedal at full pressure is long. Common practice. */
export const LONG = 0.6;

/** The pedal or a master runs out of stroke before pressure is made, or goes down far. The load does not change it. */
export const pedalStroke = sizingRule('pedal-stroke', (sizing, { empty: { size } }) => {
  const of = `${figure(size.travelMm.total, 0)} of ${figure(sizing.pedal.strokeMm, 0)} mm`;
  if (size.bottoms)
    return [
      {
        level: 'stop',
        where: 'Pedal',
        text: `The pedal runs out of stroke: ${of} of pedal, ${figure(size.strokeMm)} of ${figure(sizing.master.strokeMm)} mm at the master.`,
      },
    ];
  return size.travelMm.share > LONG
    ? [
        {
          level: 'caution',
          where: 'Pedal',
          text: `Pedal travel is ${of} at full pressure; plan for ${LONG * 100} % at most.`,
        },
      ]
    : [];
});
