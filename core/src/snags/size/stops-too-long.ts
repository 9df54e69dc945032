import { figure } from '../../fault/index.ts';
import { stoppingM } from '../../hydraulics/index.ts';
import type { Finding } from '../define-rule.ts';
import { eachLoad } from './sizing.ts';

/** Stopping distance against the published limit, whole and with either circuit failed; none is judged where no limit is known. */
export const stopsTooLong = eachLoad('stops-too-long', ({ limits, stopM, fromKmh, failed, input }, name) => {
  if (!limits) return [];
  const found: Finding[] = [];
  const most = limits.wholeM(fromKmh);
  const foot = `${figure(input.pedal.forceN, 0)} N on the pedal`;
  if (stopM > most)
    found.push({
      level: 'stop',
      where: `Stopping, ${name}`,
      text: `From ${fromKmh} km/h it takes ${figure(stopM, 0)} m with ${foot}; ${figure(most, 0)} m is the limit (${limits.source}).`,
    });
  for (const axle of ['front', 'rear'] as const) {
    const left = failed[axle];
    const limit = limits.failedM?.(fromKmh);
    const metres = stoppingM(fromKmh, left.z);
    if (left.strokesOut)
      found.push({
        level: 'stop',
        where: `${axle === 'front' ? 'Front' : 'Rear'} circuit failed, ${name}`,
        text: 'The circuit that is left runs out of stroke before it is up to pressure.',
      });
    else if (limit !== undefined && metres > limit)
      found.push({
        level: 'stop',
        where: `${axle === 'front' ? 'Front' : 'Rear'} circuit failed, ${name}`,
        text: `From ${fromKmh} km/h it takes ${figure(metres, 0)} m with what is left; ${figure(limit, 0)} m is the limit (${limits.source}).`,
      });
  }
  return found;
});
