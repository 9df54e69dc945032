import { figure } from '../../../lib/faults/index.ts';
import { eachLoad } from './_shared.ts';

/** A rear axle that uses more adhesion than the front locks first and the vehicle turns round. Source: UN R13-H annex 5 (from memory). */
export const rearLocksFirst = eachLoad('rear-locks-first', ({ rearLeads }, name) =>
  rearLeads
    ? [
        {
          level: 'stop',
          where: `Balance, ${name}`,
          text: `The rear uses more grip than the front from z ${figure(rearLeads.fromZ, 2)} to ${figure(rearLeads.toZ, 2)}: on a road that gives ${figure(rearLeads.fromZ, 2)} or more it locks first, on a slipperier one the front does.`,
        },
      ]
    : [],
);
