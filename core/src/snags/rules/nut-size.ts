import { nutFitsTube } from '../../stock/index.ts';
import { ENDS, endName, lengthWords, onLine, type Rule, type Snag } from '../snag.ts';

/** Tube size, nut and flare are three facts that must go together. Common practice. */
export const nutSize: Rule = (view) => {
  const { bare, full } = lengthWords(view);
  return view.lines.flatMap((line) =>
    ENDS.flatMap((end): Snag[] => {
      const nut = line.nuts[end];
      const place = {
        place: onLine(line, cornerOf(line.nodesMm.length, end)),
        where: `${line.line.name}, ${endName(end)}`,
        level: 'stop',
        station: 'make',
        rule: 'nut-size',
      } as const;
      if (!nutFitsTube(nut, line.tube.odMm))
        return [
          {
            ...place,
            text: `The ${nut.name} is drilled for ${full(nut.tubeOdMm, 2)} tube and this line is ${bare(line.tube.odMm, 2)}.`,
          },
        ];
      if (nut.flare !== line.line.ends[end].flare)
        return [{ ...place, text: `The ${nut.name} does not press on this end's flare: choose the nut that goes with it.` }];
      return [];
    }),
  );
};

const cornerOf = (nodes: number, end: 'a' | 'b'): number => (end === 'a' ? 0 : Math.max(nodes - 1, 0));
