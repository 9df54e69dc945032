import { cutAllowedMm, cutSigmaMm } from '../../../plan/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords, onLine } from '../../rule-kit/places.ts';

/** The trim left at B must cover what the ports are unsure of, at two sigmas. */
export const cutUnsure = defineRule({
  id: 'cut-unsure',
  station: 'make',
  about: 'line',
  reads: ['plan.bench'],
  judge: (line, view) => {
    const sigma = cutSigmaMm(line);
    if (sigma === null || 2 * sigma <= cutAllowedMm(line.card!)) return [];
    const { bare, full } = lengthWords(view);
    const trim = line.card!.trimMm
      ? `the trim at B is ${bare(line.card!.trimMm)}`
      : 'this line has no trim at B';
    const text = `The cut length is known to ±${full(2 * sigma, 1)}; ${trim}. Measure its ports closer.`;
    return [{ level: 'mind', place: onLine(line), where: line.line.name, text }];
  },
});
