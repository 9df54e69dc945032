import { figure } from '../../fault/index.ts';
import { sizingRule } from './sizing.ts';

/** A booster whose vacuum is used up before the foot is at its force helps no further: the pedal turns hard there. */
export const boosterWeak = sizingRule('booster-weak', ({ booster, pedal }) => {
  if (!booster) return [];
  const lever = pedal.forceN * pedal.ratio * pedal.efficiency;
  const has = (booster.vacuumKPa * booster.diaphragmMm2) / 1000;
  const asked = (booster.gain - 1) * lever;
  return asked > has
    ? [
        {
          level: 'mind',
          where: 'Booster',
          text: `Its vacuum gives ${figure(has, 0)} N and this foot asks ${figure(asked, 0)} N: it is used up at ${figure((has / asked) * pedal.forceN, 0)} N of foot.`,
        },
      ]
    : [];
});
