import { clearanceTo, type Obstacle } from '../../../shape/obstacles/index.ts';
import {
  envelopeOfHose,
  hoseView,
  volumeOf,
  type HoseView,
} from '../../../stations/route/index.ts';
import { distance } from '../../../lib/vec/index.ts';
import { MEETS_MM } from './_shared.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** The nearest that one comes to another: in the same state where both move with the same thing, else in any of either's. */
function nearestMm(one: HoseView, other: HoseView, keepMm: number): number {
  const seats = (view: HoseView) => [view.ends.a.seatMm, view.ends.b.seatMm] as const;
  const beside = (end: 0 | 1): boolean =>
    seats(other).some((seat) => distance(seat, seats(one)[end]) < MEETS_MM);
  const [from, to] = [beside(0) ? MEETS_MM : 0, one.freeMm - (beside(1) ? MEETS_MM : 0)];
  const together = JSON.stringify(one.hose.motion) === JSON.stringify(other.hose.motion);
  const whole = together ? null : envelopeOfHose(other);
  const against = (i: number): Obstacle | null =>
    together ? volumeOf(other, other.states.slice(i, i + 1)) : whole;
  return one.states.reduce((least, { shape }, i) => {
    const obstacle = shape && against(i);
    const gap =
      obstacle &&
      clearanceTo(obstacle, shape.pointsMm, one.stock.odMm, Math.min(least, keepMm), from, to);
    return Math.min(least, gap?.distanceMm ?? Infinity);
  }, Infinity);
}

/** Two hoses that come too near to one another somewhere in their travel; told at the later one. */
export const hosesTouch = defineRule({
  id: 'hoses-touch',
  station: 'route',
  about: 'hose',
  reads: ['obstacles', 'plan.hoses', 'plan.things', 'ports'],
  judge: (hose, view) => {
    const own = view.plan.hoses.findIndex((one) => one.id === hose.hose.id);
    const keepMm = envelopeOfHose(hose)?.thing.keepMm;
    if (keepMm === undefined) return null;
    for (const one of view.plan.hoses.slice(0, own)) {
      const other = hoseView(view.plan, one, view.ports);
      const box = envelopeOfHose(other)?.box;
      const mine = envelopeOfHose(hose)!.box!;
      if (
        !box ||
        [0, 1, 2].some(
          (i) => box.min[i]! - mine.max[i]! > keepMm || mine.min[i]! - box.max[i]! > keepMm,
        )
      )
        continue;
      const nearMm = nearestMm(hose, other, keepMm);
      if (nearMm >= keepMm) continue;
      const { full, bare } = lengthWords(view);
      const text = `During its travel the hose comes within ${full(nearMm)} of ${one.name}, ${bare(keepMm)} required. Hold them apart with a double clip, or route one elsewhere.`;
      return { level: 'caution', text };
    }
    return null;
  },
});
