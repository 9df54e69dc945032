import { nutFitsTube } from '../../../trade/stock/index.ts';
import { defineRule } from '../../define-rule.ts';
import { endName, lengthWords, onLine } from '../../rule-kit/places.ts';

/** Tube size, nut and flare are three facts that must go together. Common practice. */
export const nutSize = defineRule({
  id: 'nut-size',
  station: 'join',
  about: 'end',
  reads: [],
  judge: (line, end, view) => {
    const { bare, full } = lengthWords(view);
    const nut = line.nuts[end];
    const text = !nutFitsTube(nut, line.tube.odMm)
      ? `The ${nut.name} is drilled for ${full(nut.tubeOdMm, 2)} tube and this line is ${bare(line.tube.odMm, 2)}.`
      : nut.flare !== line.line.ends[end].flare
        ? `The ${nut.name} does not fit the flare at this end. Choose the nut that goes with it.`
        : null;
    const node = end === 'a' ? 0 : Math.max(line.nodesMm.length - 1, 0);
    return text
      ? [
          {
            level: 'stop',
            place: onLine(line, node),
            where: `${line.line.name}, ${endName(end)}`,
            text,
          },
        ]
      : [];
  },
});
