import { cutAllowedMm, cutSigmaMm } from '../../../plan/index.ts';
import { defineRule } from '../../define-rule.ts';
import { fittedLines, FLOOR_READS } from '../fit/_shared.ts';
import { lengthWords, onLine } from '../../rule-kit/places.ts';

/** The trim left at B must cover what the ports are unsure of, at two sigmas. */
export const cutUnsure = defineRule({
  id: 'cut-unsure',
  station: 'make',
  about: 'line',
  reads: FLOOR_READS,
  judge: (line, view) => {
    const sigma = cutSigmaMm(line);
    if (sigma === null || 2 * sigma <= cutAllowedMm(line.card!)) return [];
    if (fittedLines(view).has(line.line.id)) return [];
    // Of an end that is an estimate Measure says so.
    if ([line.ports.a, line.ports.b].some((at) => at?.port.known.how === 'guessed')) return [];
    const { bare, full } = lengthWords(view);
    const trim = line.card!.trimMm
      ? `and the trim at B is ${bare(line.card!.trimMm)}`
      : 'and this line has no trim at B';
    const text = `Cut length is ±${full(2 * sigma, 1)}, ${trim}. Measure both ports again before cutting.`;
    return [{ level: 'caution', place: onLine(line), where: line.line.name, text }];
  },
});
