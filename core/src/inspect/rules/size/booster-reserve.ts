import { figure } from '../../../lib/faults/index.ts';
import { GRAVITY_MS2 } from '../../../physics/hydraulics/index.ts';
import { sizingRule } from './_shared.ts';

/** What a booster's store still gives when its engine, pump or current has stopped. Source: UN R13-H annex 4 (from memory): four stops, and the fifth as the rule for a failed booster asks. */
export const boosterReserve = sizingRule(
  'booster-reserve',
  ({ boosterBy }, { laden: { reserve, limits } }, { force }) => {
    if (boosterBy?.kind === 'hydraulic')
      return boosterBy.stops < 5
        ? [
            {
              level: 'caution',
              where: 'Booster',
              text: `The vacuum store is good for ${boosterBy.stops} stops; four full ones and a fifth are required (UN R13-H annex 4, from memory).`,
            },
          ]
        : [];
    if (!reserve || !limits || reserve.fifthZ * GRAVITY_MS2 >= limits.residual.leastMs2) return [];
    return [
      {
        level: 'caution',
        where: 'Booster',
        text: `With its supply stopped the booster helps ${reserve.stops === 1 ? 'one stop' : `${reserve.stops} stops`} in full. In the fifth, at ${force(limits.residual.footMostN)}, ${figure(reserve.fifthZ * GRAVITY_MS2, 1)} m/s² are left where ${limits.residual.leastMs2} are required (UN R13-H annex 4, from memory). Fit a tank or a larger booster.`,
      },
    ];
  },
);
