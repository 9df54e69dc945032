import { nutFitsTube } from '../../stock/index.ts';
import { eachEnd, endName, lengthWords, onLine } from '../snag.ts';

/** Tube size, nut and flare are three facts that must go together. Common practice. */
export const nutSize = eachEnd((line, end, view) => {
  const { bare, full } = lengthWords(view);
  const nut = line.nuts[end];
  const text = !nutFitsTube(nut, line.tube.odMm)
    ? `The ${nut.name} is drilled for ${full(nut.tubeOdMm, 2)} tube and this line is ${bare(line.tube.odMm, 2)}.`
    : nut.flare !== line.line.ends[end].flare
      ? `The ${nut.name} does not press on this end's flare: choose the nut that goes with it.`
      : null;
  const node = end === 'a' ? 0 : Math.max(line.nodesMm.length - 1, 0);
  return text
    ? [
        {
          rule: 'nut-size',
          level: 'stop',
          station: 'join',
          place: onLine(line, node),
          where: `${line.line.name}, ${endName(end)}`,
          text,
        },
      ]
    : [];
});
