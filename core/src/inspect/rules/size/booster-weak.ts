import { figure } from '../../../lib/faults/index.ts';
import { boosterOf } from '../../../plan/results/index.ts';
import { sizingRule } from './_shared.ts';

/** A booster whose help is used up before the foot is at its force helps no further: the pedal turns hard there. */
export const boosterWeak = sizingRule('booster-weak', (sizing) => {
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
      text: `${gives} ${figure(has, 0)} N and this foot force needs ${figure(asked, 0)} N. The booster runs out at ${figure((has / asked) * pedal.forceN, 0)} N of foot.`,
    },
  ];
});
