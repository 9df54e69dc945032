import { figure } from '../../fault/index.ts';
import type { Circuit } from '../../plan/index.ts';
import { endsByPart, ENDS_READ } from '../plumb/ends-by-part.ts';
import { defineRule, type Finding, type Reading } from '../define-rule.ts';
import { onPart } from '../words.ts';

type Judged = Reading<'plan.singles' | 'plan.trailer' | 'size' | 'works'>;

/** Most pressure that a circuit comes to by the plan's figures; 0 where none are begun. */
function pressureIn({ size, works, plan }: Judged, circuit: Circuit): number {
  if (circuit.work === 'clutch') return works.clutch?.pressureMPa ?? 0;
  const ownLever = Math.max(0, ...works.singles.filter((_, i) => plan.singles[i]!.circuitId === circuit.id).map((s) => s.pressureMPa));
  const pedal = size ? (circuit.axle ? size.empty.size.pressureMPa[circuit.axle] : Math.max(size.empty.size.pressureMPa.front, size.empty.size.pressureMPa.rear)) : 0;
  return Math.max(ownLever, pedal, plan.trailer?.actuatorMPa ?? 0);
} // prettier-ignore

/** Pressure above what a part's sheet allows. */
export const overRating = defineRule({
  id: 'over-rating',
  station: 'size',
  about: 'plan',
  reads: [...ENDS_READ, 'plan.clutch', 'plan.parts', 'plan.singles', 'plan.sizing', 'plan.trailer', 'size', 'works'],
  judge: (view) =>
  view.plan.parts.flatMap((part): Finding[] => {
    const rating = part.figures.ratingMPa;
    if (rating === undefined) return [];
    const circuits = (endsByPart(view).get(part.id) ?? []).map(({ circuit }) => circuit);
    const most = Math.max(0, ...circuits.map((circuit) => pressureIn(view, circuit)));
    return most > rating
      ? [{ level: 'stop', place: onPart(part), where: part.name,
          text: `It comes to ${figure(most, 1)} MPa and is rated for ${figure(rating, 1)}.`,
        }]
      : [];
  }),
}); // prettier-ignore
