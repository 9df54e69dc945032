import { isAnotherPedal, judgedCurve } from '../../../stations/prove/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';
import { PROVE_READS } from './_shared.ts';

/** A curve that begins sooner than calculated, beyond doubt: a pushrod that holds the piston over its port locks the brakes on once they are warm. Common practice. */
export const portCovered = defineRule({
  id: 'port-covered',
  station: 'prove',
  about: 'circuit',
  reads: PROVE_READS,
  judge: (circuit, view) => {
    const taken = view.plan.proving.curves.findLast(({ circuitId }) => circuitId === circuit.id);
    const judged = taken && judgedCurve(taken, view);
    if (judged?.fit.verdict !== 'no-free-play' || isAnotherPedal(judged.fit, judged.against!))
      return [];
    const { excess, excessSigma } = judged.fit;
    const { full: length } = lengthWords(view);
    return [
      {
        level: 'stop',
        text: `The pedal curve begins ${length(-excess!.freeMm)} (± ${length(2 * excessSigma!.freeMm)}) sooner than calculated: the pushrod may cover the compensating port. Brakes then drag, heat and lock on. Measure the free play, and shorten the pushrod.`,
      },
    ];
  },
});
