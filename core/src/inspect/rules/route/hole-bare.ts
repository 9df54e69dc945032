import { throughHoles } from '../../../plan/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** The edge of a hole saws through a tube that is not kept off it. Common practice. */
export const holeBare = defineRule({
  id: 'hole-bare',
  station: 'route',
  about: 'space',
  reads: ['plan.things'],
  judge: (line, { points }, { plan }) =>
    plan.things.flatMap((thing) =>
      throughHoles(thing, points, line.tube.odMm).flatMap(({ hole }): Finding[] =>
        hole?.lined === 'none'
          ? [
              {
                level: 'caution',
                text: `The line passes through a bare hole in ${thing.name}. Fit a grommet or a bulkhead, or the edge will saw through the tube.`,
              },
            ]
          : [],
      ),
    ),
});
