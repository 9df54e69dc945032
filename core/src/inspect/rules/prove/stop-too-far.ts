import { limitsOf } from '../../../plan/results/index.ts';
import { defineRule } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';

/** The last stop with bedded linings against the distance of the rule. Source: FMVSS 135 and UN R13-H, UN R13 (from memory), as in Size. */
export const stopTooFar = defineRule({
  id: 'stop-too-far',
  station: 'prove',
  about: 'plan',
  reads: ['plan.proving', 'plan.sizing'],
  judge: (view) => {
    const { sizing, proving } = view.plan;
    const last = proving.stops.filter(({ when }) => when === 'after').at(-1);
    const limits = sizing && limitsOf(sizing);
    if (!last || !limits) return null;
    const most = limits.wholeM(last.fromKmh);
    const { distance, speed } = quantityWords(view);
    const at = { level: 'stop', where: `Stop from ${speed(last.fromKmh)}` } as const;
    const then = 'Do not drive on the road. Find the cause, and repeat the stop.';
    if (last.distanceM > most)
      return {
        ...at,
        text: `The vehicle took ${distance(last.distanceM, 1)}; ${distance(most, 1)} is the limit (${limits.source}). ${then}`,
      };
    return last.mfddMs2 !== undefined && last.mfddMs2 < limits.leastMs2
      ? {
          ...at,
          text: `The mean fully developed deceleration is ${last.mfddMs2.toFixed(1)} m/s²; ${limits.leastMs2.toFixed(1)} m/s² is the least (${limits.source}). ${then}`,
        }
      : null;
  },
});
