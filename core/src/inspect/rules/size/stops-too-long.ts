import { isEnough, stoppingM } from '../../../physics/hydraulics/index.ts';
import type { Finding } from '../../define-rule.ts';
import { eachLoad } from './_shared.ts';

/** Stopping distance against the published limit, whole, and with either circuit or the booster failed; none is judged where no limit is known. */
export const stopsTooLong = eachLoad(
  'stops-too-long',
  ({ limits, stopM, fromKmh, failed, input }, name, { distance, force, speed }) => {
    if (!limits) return [];
    const found: Finding[] = [];
    const most = limits.wholeM(fromKmh);
    const foot = `${force(input.pedal.forceN)} on the pedal`;
    if (stopM > most)
      found.push({
        level: 'stop',
        where: `Stopping, ${name}`,
        text: `From ${speed(fromKmh)} the vehicle takes ${distance(stopM, 0)} with ${foot}; ${distance(most, 0)} is the limit (${limits.source}).`,
      });
    const { residual: rule } = limits;
    for (const left of failed) {
      // One circuit for all of them has a rule of its own.
      if (left.left.front + left.left.rear === 0) continue;
      const where = `${left.failed} failed, ${name}`;
      const meters = stoppingM(rule.fromKmh, left.z, limits.buildUpS);
      if (left.strokesOut)
        found.push({
          level: 'stop',
          where,
          text: 'The remaining circuit runs out of stroke before it can stop the vehicle in the required distance.',
        });
      else if (!isEnough(left, rule, limits.buildUpS))
        found.push({
          level: 'stop',
          where,
          text: `From ${speed(rule.fromKmh)} the vehicle takes ${distance(meters, 0)} on the remaining circuit, at ${force(left.footN)}${left.locks ? ' with the axle at its grip limit' : ''}; ${distance(rule.mostM(rule.fromKmh), 0)} is the limit (${rule.source}).`,
        });
    }
    return found;
  },
);
