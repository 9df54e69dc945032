import { mostHelpN, runOutN } from '../../../physics/hydraulics/index.ts';
import { sizingRule } from './_shared.ts';

/** A booster whose help is used up before the foot is at its force helps no further: the pedal turns hard there. A vacuum one is judged at the end of its stroke, where its vacuum is squeezed. */
export const boosterWeak = sizingRule('booster-weak', (sizing, { empty }, { force }) => {
  const { booster, pedal } = empty.input;
  const endsN = booster && runOutN(pedal, booster);
  if (!booster || endsN === null || endsN === undefined || endsN >= pedal.forceN) return [];
  const { boosterBy } = sizing;
  const gives = !boosterBy
    ? 'Its vacuum gives'
    : 'mostN' in boosterBy
      ? 'It gives'
      : 'Its vacuum, squeezed by the stroke, gives';
  const asked =
    (booster.jumpInN ?? 0) + (booster.gain - 1) * pedal.forceN * pedal.ratio * pedal.efficiency;
  return [
    {
      level: 'caution',
      where: 'Booster',
      text: `${gives} ${force(mostHelpN(booster))} and this foot force needs ${force(asked)}. The booster runs out at ${force(endsN)} of foot.`,
    },
  ];
});
