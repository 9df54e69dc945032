import { FLARES } from '../../../trade/stock/index.ts';
import { defineRule } from '../../define-rule.ts';

/** A flare that no tool on this bench makes. */
export const flareToolMissing = defineRule({
  id: 'flare-tool-missing',
  station: 'join',
  about: 'end',
  reads: ['plan.bench'],
  judge: (line, end, { plan }) => {
    const { flare } = line.line.ends[end];
    return plan.bench.flares[flare].owned
      ? null
      : {
          level: 'caution',
          text: `This end needs a ${FLARES[flare].name.toLowerCase()}, and there is no tool for it on your bench. Borrow or buy one, or choose another end.`,
        };
  },
});
