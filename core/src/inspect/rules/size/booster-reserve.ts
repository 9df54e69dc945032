import { figure } from '../../../lib/faults/index.ts';
import {
  APPLICATIONS,
  GRAVITY_MS2,
  isEnough,
  RESERVE_SOURCE,
  RULES,
} from '../../../physics/hydraulics/index.ts';
import { sizingRule } from './_shared.ts';

/**
 * What a booster's store still gives when its engine, pump or current has stopped: four full applications of an engine's
 * vacuum, eight of a pump's or of a hydraulic store, and the next one as much as the rule for a failed system asks.
 * Nothing is asked where the foot alone does that. Source: UN R13 annex 7, UN R13-H annex 4 (from memory).
 */
export const boosterReserve = sizingRule(
  'booster-reserve',
  ({ boosterBy }, { laden: { reserve, limits, failed } }, { force }) => {
    const alone = failed.find((one) => one.failed === 'Booster');
    if (!limits || !alone || isEnough(alone, limits.residual, limits.buildUpS)) return [];
    const caution = (text: string) => [{ level: 'caution' as const, where: 'Booster', text }];
    if (boosterBy?.kind === 'hydraulic')
      return boosterBy.stops <= APPLICATIONS.hydraulic
        ? caution(
            `The hydraulic store is good for ${boosterBy.stops} applications; ${APPLICATIONS.hydraulic} full ones and the next are required (${RESERVE_SOURCE.hydraulic}).`,
          )
        : [];
    // Of a car the failed booster is tried, and no reserve besides (UN R13-H, from memory).
    if (limits === RULES.M1 || !reserve || reserve.nextZ * GRAVITY_MS2 >= limits.residual.leastMs2)
      return [];
    return caution(
      `With its supply stopped the booster helps ${reserve.stops === 1 ? 'one application' : `${reserve.stops} applications`} in full. After ${reserve.applications} full ones, at ${force(limits.residual.footMostN)}, ${figure(reserve.nextZ * GRAVITY_MS2, 1)} m/s² are left where ${limits.residual.leastMs2} are required (${RESERVE_SOURCE.vacuum}). Fit a tank or a larger booster.`,
    );
  },
);
