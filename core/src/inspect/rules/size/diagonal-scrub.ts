import { GRAVITY_MS2 } from '../../../physics/hydraulics/index.ts';
import type { LoadView } from '../../../plan/results/index.ts';
import { lengthWords, quantityWords } from '../../rule-kit/places.ts';
import { defineRule } from '../../define-rule.ts';

/** What one front wheel brakes with when it and the rear wheel across from it brake alone, N; null where the circuits are split otherwise. */
function oneFrontN({ failed, size, input }: LoadView): number | null {
  const half = failed.find(({ left }) => left.front === 0.5 && left.rear === 0.5);
  if (!half) return null;
  const { front, rear } = size.forceN;
  return (half.z * input.vehicle.massKg * GRAVITY_MS2 * front) / (front + rear);
}

/** A diagonal split brakes on one front wheel when a circuit fails: with scrub radius outward that wheel steers the vehicle to its side. Common practice: none, or inward. */
export const diagonalScrub = defineRule({
  id: 'diagonal-scrub',
  station: 'size',
  about: 'plan',
  reads: ['plan.sizing', 'size'],
  judge: ({ plan, size }) => {
    const { sizing } = plan;
    const n = sizing && size ? oneFrontN(size.laden) : null;
    if (!sizing || n === null) return null;
    const scrubMm = sizing.scrubMm ?? null;
    if (scrubMm === null)
      return {
        level: 'note',
        where: 'Circuits',
        text: 'The circuits are split diagonally, so a failed one leaves one front wheel braking. Enter the scrub radius: it should be zero or inward.',
      };
    if (scrubMm <= 0) return null;
    const { force, torque } = quantityWords({ plan });
    return {
      level: 'caution',
      where: 'Circuits',
      text: `The circuits are split diagonally and the scrub radius is ${lengthWords({ plan }).full(scrubMm)} outward. With one failed, a front wheel brakes with ${force(n)} and turns the steering to its side with ${torque((n * scrubMm) / 1000)}. Take wheels of more inset, or split front from rear. Common practice: zero or inward.`,
    };
  },
});
