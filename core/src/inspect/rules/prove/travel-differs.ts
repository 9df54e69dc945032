import { isAnotherPedal, judgedCurve } from '../../../stations/prove/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords, quantityWords } from '../../rule-kit/places.ts';
import { PROVE_READS } from './_shared.ts';

/** The newest curve of a circuit, held against the pedal that was calculated: a part of its travel that is too long beyond doubt, or air that Size does not assume. */
export const travelDiffers = defineRule({
  id: 'travel-differs',
  station: 'prove',
  about: 'circuit',
  reads: PROVE_READS,
  judge: (circuit, view) => {
    const taken = view.plan.proving.curves.findLast(
      ({ circuitId, pumped }) => circuitId === circuit.id && !pumped,
    );
    const judged = taken && judgedCurve(taken, view);
    if (!judged) return [];
    const { fit, against } = judged;
    const { volume, pressure } = quantityWords(view);
    const caution = (text: string) => [{ level: 'caution' as const, text }];
    if (against && isAnotherPedal(fit, against))
      return caution(
        'The pedal is far firmer than Size calculates: the curve or the figures in Size are of another pedal. Check both before you trust either.',
      );
    if (fit.verdict === 'air')
      return caution(
        `The pedal curve shows ${volume(fit.airMl, 1)} of air (± ${volume(2 * fit.sigma.airMl, 1)}). Bleed again, and take the curve again.`,
      );
    if (fit.excess && against && (fit.verdict === 'flex' || fit.verdict === 'free-play')) {
      const overMm = fit.verdict === 'flex' ? fit.excess.flexMm : fit.excess.freeMm;
      const { full: length } = lengthWords(view);
      return caution(
        fit.verdict === 'flex'
          ? `The pedal flexes ${length(overMm)} more than calculated at ${pressure(against.referenceMPa, 1)}. Check hoses, pedal box and drum adjustment, or correct the figures in Size.`
          : `The pedal has ${length(overMm)} more free play than calculated. Check the pushrod, the drum adjustment and pads that were knocked back.`,
      );
    }
    const planned = circuit.axle && view.plan.sizing?.airMl[circuit.axle];
    const off = typeof planned === 'number' ? fit.airMl - planned : 0;
    return fit.verdict === 'cannot-tell' || Math.abs(off) <= 2 * fit.sigma.airMl + 0.5
      ? []
      : caution(
          `The pedal curve shows ${volume(fit.airMl, 1)} of air (± ${volume(2 * fit.sigma.airMl, 1)}), and Size assumes ${volume(planned!, 1)}: ${off > 0 ? 'bleed again' : 'enter the measured volume in Size'}.`,
        );
  },
});
