import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords, quantityWords } from '../../rule-kit/places.ts';

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
    const { force } = quantityWords(view);
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
              `Release bearing travel is ${full(bearingStrokeMm, 1)}, and ${full(releaseMm, 1)} are needed to free the clutch.`,
            ),
          ]
        : []),
      ...(bearingStrokeMm > mostMm
        ? [
            finding(
              'caution',
              `Release bearing travel is ${full(bearingStrokeMm, 1)} and ${full(mostMm, 1)} is the most. Fit a pedal stop.`,
            ),
          ]
        : []),
      ...(pedalForceN > pedal.forceN
        ? [
            finding(
              'caution',
              `Clutch pedal force is ${force(pedalForceN)}, and ${force(pedal.forceN)} is the most you want.`,
            ),
          ]
        : []),
    ];
  },
});
