import { leastOf, LONGER, otherLengths } from './_shared.ts';
import { defineRule } from '../../define-rule.ts';
import { severity } from '../../rule-kit/severity.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** Under its least radius by this share a hose is near its limit, beyond that it kinks. Ours, said to be a judgement. */
const SLIGHT = 0.03;
/** A hose bent tighter than its kind may be, in some state of the travel. */
export const hoseKinks = defineRule({
  id: 'hose-kinks',
  station: 'route',
  about: 'hose',
  reads: ['obstacles', 'plan.things'],
  judge: (hose, view) => {
    const kinked = hose.states.filter((state) => state.verdict === 'kinks');
    const worst = leastOf(kinked, (state) => state.minRadiusMm!);
    if (!worst) return null;
    const { bare, full } = lengthWords(view);
    const leastMm = hose.stock.minRadiusMm;
    const lifted = kinked.every(({ name }) => name.startsWith('droop'));
    const graded = severity(worst.minRadiusMm!, leastMm, 0, {
      slight: 0,
      grave: leastMm * (1 - SLIGHT),
    });
    const kinks = graded?.level === 'stop';
    const bends = `At ${worst.name} the hose bends to a radius of ${full(worst.minRadiusMm!, 1)}, ${bare(leastMm)} is the minimum for ${hose.stock.name}`;
    const ends = lifted
      ? ', with the wheels hanging alone: lift the vehicle under its axle.'
      : kinks
        ? ', so it kinks.'
        : ': just under it.';
    return {
      level: kinks && !lifted ? 'stop' : 'caution',
      text: bends + ends,
      fix: () => otherLengths(hose, view, LONGER),
    };
  },
});
