import { figure } from '../../../lib/faults/index.ts';
import { limitsOf } from '../../../plan/results/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';
import { LONG } from './pedal-stroke.ts';

/** A parking lever that reaches its stop before it pulls in full, cold or on hot drums; and cables without an equalizer. Common practice. */
export const parkingTravel = defineRule({
  id: 'parking-travel',
  station: 'size',
  about: 'plan',
  reads: ['plan.parking', 'plan.sizing', 'works'],
  judge: ({ plan, works }) => {
    const sheet = plan.parking?.by === 'lever' ? plan.parking : null;
    const held = works.parking;
    if (!sheet?.travel || !held?.pull) return [];
    const { full } = lengthWords({ plan });
    const { strokeMm, equalizer } = sheet.travel;
    const { travelMm, hotMm } = held.pull;
    const finding = (level: Finding['level'], text: string): Finding => ({
      level,
      place: { kind: 'plan', id: plan.id },
      where: 'Parking brake',
      text,
    });
    const lever =
      travelMm > strokeMm
        ? finding(
            'stop',
            `The parking lever reaches its stop: full pull takes ${full(travelMm)} and the lever has ${full(strokeMm)}. It never pulls as hard as calculated. Shorten the cable, or take a thicker one.`,
          )
        : hotMm > strokeMm
          ? finding(
              'caution',
              `On hot drums the parking lever reaches its stop: full pull takes ${full(hotMm)} of ${full(strokeMm)}. Adjust the shoes closer.`,
            )
          : travelMm > LONG * strokeMm
            ? finding(
                'caution',
                `Parking lever travel at full pull is ${full(travelMm)} of ${full(strokeMm)}, ${figure((100 * travelMm) / strokeMm, 0)} %. Leave more for wear.`,
              )
            : null;
    const limit = plan.sizing && limitsOf(plan.sizing)?.parking;
    const { oneWheelGrade } = held;
    const uneven =
      equalizer || !limit || oneWheelGrade === null || oneWheelGrade >= limit.grade
        ? null
        : finding(
            'caution',
            `The parking brake has no equalizer. If one cable is shorter, one wheel holds alone: on ${figure(100 * oneWheelGrade, 0)} %, and ${figure(100 * limit.grade, 0)} % is required. Fit one, or set both cables alike.`,
          );
    return [lever, uneven].filter((one) => one !== null);
  },
});
