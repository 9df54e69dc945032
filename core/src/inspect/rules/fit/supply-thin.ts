import { figure } from '../../../lib/faults/index.ts';
import { supplyFit, wireSizeName } from '../../../physics/wheel-ends/index.ts';
import { defineRule } from '../../define-rule.ts';

/** Wires of an actuator in which too much is lost, or that carry less than it draws. Source: 2·I·L·ρ/A; tables after DIN 72551, from memory. */
export const supplyThin = defineRule({
  id: 'supply-thin',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds'],
  judge: ({ plan: { wheelEnds } }) => {
    const fit = wheelEnds.supply && supplyFit(wheelEnds.supply);
    if (!fit) return null;
    const { currentA, dropV, mostV, carriesA, take } = fit;
    const hot = currentA > carriesA;
    const advice = take
      ? `Take ${wireSizeName(take)} for both.`
      : hot
        ? 'Ask the actuator’s maker for its wire.'
        : 'Bring the battery nearer.';
    if (!hot && dropV <= mostV) return null;
    return {
      level: hot ? 'stop' : 'caution',
      where: 'Actuator supply',
      text: hot
        ? `The actuator draws ${figure(currentA)} A, and the thinner wire carries ${figure(carriesA, 0)} A for long. It gets hot and can burn. ${advice}`
        : `At ${figure(currentA)} A the wires lose ${figure(dropV, 2)} V there and back, and ${figure(mostV, 2)} V is the most for full braking. ${advice}`,
    };
  },
});
