import { MATERIAL_NAMES, REFUSED_TUBE } from '../../../trade/stock/index.ts';
import { defineRule } from '../../define-rule.ts';
import { onLine } from '../../rule-kit/places.ts';

/** Plain copper work-hardens and cracks, a seam splits: neither is brake tube, and many places forbid them. Common practice. */
export const tubeRefused = defineRule({
  id: 'tube-refused',
  station: 'join',
  about: 'line',
  reads: [],
  judge: (line) =>
    REFUSED_TUBE.includes(line.tube.material)
      ? [
          {
            level: 'stop',
            place: onLine(line),
            where: line.line.name,
            text: `The tube is ${MATERIAL_NAMES[line.tube.material].replace(/ \(.*/, '')}, which is not brake tube. Many places forbid it.${line.tube.material === 'seam-steel' ? ' Double-wall brazed tube (SAE J527) shows a seam too and is brake tube.' : ''}`,
          },
        ]
      : [],
});
