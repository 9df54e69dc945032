import { MATERIAL_NAMES, REFUSED_TUBE } from '../../stock/index.ts';
import { eachLine, onLine } from '../snag.ts';

/** Plain copper work-hardens and cracks, a seam splits: neither is brake tube, and many places forbid them. Common practice. */
export const tubeRefused = eachLine((line) =>
  REFUSED_TUBE.includes(line.tube.material)
    ? [
        {
          rule: 'tube-refused',
          level: 'stop',
          station: 'join',
          place: onLine(line),
          where: line.line.name,
          text: `It is ${MATERIAL_NAMES[line.tube.material].replace(/ \(.*/, '')}, which is no brake tube: many places forbid it.`,
        },
      ]
    : [],
);
