import { judgeCurve } from '../../../stations/prove/index.ts';
import { defineRule } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';
import { PROVE_READS } from './_shared.ts';

/** Air that the plan reckons with, against air that the curve found: apart by more than both are sure of. */
export const travelDiffers = defineRule({
  id: 'travel-differs',
  station: 'prove',
  about: 'circuit',
  reads: PROVE_READS,
  judge: (circuit, view) => {
    const taken = view.plan.proving.curves
      .filter(({ circuitId }) => circuitId === circuit.id)
      .at(-1);
    const fit = taken && judgeCurve(taken);
    const { sizing } = view.plan;
    if (!fit || fit.verdict === 'cannot-tell') return [];
    const { volume } = quantityWords(view);
    const planned = circuit.axle && sizing?.airMl[circuit.axle];
    const off = typeof planned === 'number' ? fit.airMl - planned : 0;
    if (typeof planned !== 'number' || Math.abs(off) <= 2 * fit.sigma.airMl + 0.5)
      return fit.verdict === 'air'
        ? {
            level: 'caution',
            text: `The pedal curve shows ${volume(fit.airMl, 1)} of air. Bleed again, and take the curve again.`,
          }
        : [];
    return {
      level: 'caution',
      text: `The pedal curve shows ${volume(fit.airMl, 1)} of air (± ${volume(2 * fit.sigma.airMl, 1)}), and Size assumes ${volume(planned, 1)}: ${off > 0 ? 'bleed again' : 'enter the measured volume in Size'}.`,
    };
  },
});
