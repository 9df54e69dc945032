import { boosterOf } from '../../../plan/results/index.ts';
import { sizingRule } from './_shared.ts';

/** A booster whose help is used up before the foot is at its force helps no further: the pedal turns hard there. */
export const boosterWeak = sizingRule('booster-weak', (sizing, _size, { force }) => {
  const booster = boosterOf(sizing);
  if (!booster) return [];
  const { pedal, boosterBy } = sizing;
  const lever = pedal.forceN * pedal.ratio * pedal.efficiency;
  const has = (booster.vacuumKPa * booster.diaphragmMm2) / 1000;
  const asked = (booster.gain - 1) * lever;
  if (asked <= has) return [];
  const gives = boosterBy && 'mostN' in boosterBy ? 'It gives' : 'Its vacuum gives';
  return [
    {
      level: 'caution',
      where: 'Booster',
      text: `${gives} ${force(has)} and this foot force needs ${force(asked)}. The booster runs out at ${force((has / asked) * pedal.forceN)} of foot.`,
    },
  ];
});
