import { figure } from '../../../lib/faults/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** Too little travel drags the clutch, too much runs its springs past their stop; a heavy pedal is said too. */
export const clutchTravel = defineRule({
  id: 'clutch-travel',
  station: 'size',
  about: 'plan',
  reads: ['plan.clutch', 'works'],
  judge: (view) => {
    const { plan, works } = view;
    if (!plan.clutch || !works.clutch) return [];
    const { full } = lengthWords(view);
    const { bearingStrokeMm, pedalForceN } = works.clutch;
    const { releaseMm, mostMm, pedal } = plan.clutch;
    const finding = (level: Finding['level'], text: string): Finding => ({
      level,
      place: { kind: 'plan', id: plan.id },
      where: 'Clutch',
      text,
    });
    return [
      ...(bearingStrokeMm < releaseMm
        ? [
            finding(
              'stop',
              `The bearing moves ${full(bearingStrokeMm, 1)} and needs ${full(releaseMm, 1)} to free the clutch.`,
            ),
          ]
        : []),
      ...(bearingStrokeMm > mostMm
        ? [
            finding(
              'mind',
              `The bearing moves ${full(bearingStrokeMm, 1)} and ${full(mostMm, 1)} is the most: set a stop at the pedal.`,
            ),
          ]
        : []),
      ...(pedalForceN > pedal.forceN
        ? [
            finding(
              'mind',
              `It takes ${figure(pedalForceN, 0)} N of foot and ${figure(pedal.forceN, 0)} N is what you want to give.`,
            ),
          ]
        : []),
    ];
  },
});
