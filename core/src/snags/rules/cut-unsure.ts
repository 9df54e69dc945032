import { cutSigmaMm } from '../../plan/index.ts';
import { lengthWords, onLine, type Rule, type Snag } from '../snag.ts';

/** What a bent tube gives by hand when it is offered up. Common practice. */
const GIVE_MM = 5;

/** The trim left at B must cover what the ports are unsure of, at two sigmas. */
export const cutUnsure: Rule = (view) => {
  const { bare, full } = lengthWords(view);
  return view.lines.flatMap((line): Snag[] => {
    const sigma = cutSigmaMm(line, view.plan.bench);
    if (sigma === null || 2 * sigma <= line.card!.trimMm || 2 * sigma <= GIVE_MM) return [];
    return [{
      rule: 'cut-unsure', level: 'mind', station: 'make', place: onLine(line), where: line.line.name,
      text: `The cut length is known to ±${full(2 * sigma, 1)}; ${line.card!.trimMm ? `the trim at B is ${bare(line.card!.trimMm)}` : 'this line has no trim at B'}. Measure its ports closer.`,
    }]; // prettier-ignore
  });
};
