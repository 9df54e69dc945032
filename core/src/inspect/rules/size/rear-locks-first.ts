import { figure } from '../../../lib/faults/index.ts';
import { eachLoad } from './_shared.ts';

/** A rear axle that uses more adhesion than the front locks first and the vehicle turns round. Source: UN R13-H annex 5 (from memory). */
export const rearLocksFirst = eachLoad('rear-locks-first', ({ rearLeads }, name) =>
  rearLeads
    ? [
        {
          level: 'stop',
          where: `Balance, ${name}`,
          text: `The rear wheels lock first at decelerations from ${figure(rearLeads.fromZ, 2)} to ${figure(rearLeads.toZ, 2)} g, so the vehicle can spin where the road has more grip than ${figure(rearLeads.fromZ, 2)}. On slipperier roads the front wheels lock first.`,
        },
      ]
    : [],
);
