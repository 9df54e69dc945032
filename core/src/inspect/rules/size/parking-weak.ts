import { figure } from '../../../lib/faults/index.ts';
import { limitsOf, parkingMostN } from '../../../plan/results/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';

/** The slope it holds, laden, against the one that is asked; none is judged where no limit is known. */
export const parkingWeak = defineRule({
  id: 'parking-weak',
  station: 'size',
  about: 'plan',
  reads: ['plan.parking', 'plan.sizing', 'works'],
  judge: ({ plan, works }) => {
    const limit = plan.sizing && limitsOf(plan.sizing)?.parking;
    if (!limit || !works.parking || plan.parking?.by !== 'lever') return [];
    const finding = (level: Finding['level'], text: string): Finding[] => [
      { level, place: { kind: 'plan', id: plan.id }, where: 'Parking brake', text },
    ];
    const { force } = quantityWords({ plan });
    const { holdsGrade } = works.parking;
    if (holdsGrade !== null && holdsGrade < limit.grade)
      return finding(
        'stop',
        `Laden, the parking brake holds on ${figure(100 * holdsGrade, 0)} % and ${figure(100 * limit.grade, 0)} % is required (${limit.source}).`,
      );
    const { handN, worked = 'hand' } = plan.parking;
    const most = parkingMostN(plan.parking, limit);
    return handN > most
      ? finding(
          'caution',
          `${force(handN)} of ${worked} force is over the ${force(most)} allowed (${limit.source}).`,
        )
      : [];
  },
});
