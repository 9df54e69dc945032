import { figure } from '../../../lib/faults/index.ts';
import { isEnough, stoppingM } from '../../../physics/hydraulics/index.ts';
import type { Finding } from '../../define-rule.ts';
import { eachLoad } from './_shared.ts';

/** Stopping distance against the published limit, whole, and with either circuit or the booster failed; none is judged where no limit is known. */
export const stopsTooLong = eachLoad(
  'stops-too-long',
  ({ limits, stopM, fromKmh, failed, input }, name) => {
    if (!limits) return [];
    const found: Finding[] = [];
    const most = limits.wholeM(fromKmh);
    const foot = `${figure(input.pedal.forceN, 0)} N on the pedal`;
    if (stopM > most)
      found.push({
        level: 'stop',
        where: `Stopping, ${name}`,
        text: `From ${fromKmh} km/h the vehicle takes ${figure(stopM, 0)} m with ${foot}; ${figure(most, 0)} m is the limit (${limits.source}).`,
      });
    const { residual: rule } = limits;
    for (const left of failed) {
      // One circuit for all of them has a rule of its own.
      if (left.left.front + left.left.rear === 0) continue;
      const where = `${left.failed} failed, ${name}`;
      const metres = stoppingM(rule.fromKmh, left.z, limits.buildUpS);
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
          text: `From ${rule.fromKmh} km/h the vehicle takes ${figure(metres, 0)} m on the remaining circuit, at ${figure(left.footN, 0)} N${left.locks ? ' with the axle at its grip limit' : ''}; ${figure(rule.mostM(rule.fromKmh), 0)} m is the limit (${rule.source}).`,
        });
    }
    return found;
  },
);
