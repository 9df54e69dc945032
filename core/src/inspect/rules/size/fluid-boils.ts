import { fluidOfWork } from '../../../stations/fill/index.ts';
import { defineRule } from '../../define-rule.ts';

/** So near to boiling is worth a word, K. Common practice. */
const NEAR_K = 25;

/** Fluid measured near the least boiling point that it has with water in it: bubbles take the pedal away. Source: 49 CFR 571.116 (from memory). */
export const fluidBoils = defineRule({
  id: 'fluid-boils',
  station: 'size',
  about: 'plan',
  reads: ['bleeding', 'plan.filling', 'plan.sizing'],
  judge: (view) => {
    const fluid = fluidOfWork(view, 'brake');
    const at = view.plan.sizing?.heat?.fluidC ?? null;
    if (at === null || fluid.wetBoilC === null || at < fluid.wetBoilC - NEAR_K) return null;
    const boils = at >= fluid.wetBoilC;
    return {
      level: boils ? 'stop' : 'caution',
      where: 'Fluid',
      text: `Fluid was measured at ${at} °C, and ${fluid.name} with water in it boils at ${fluid.wetBoilC} °C${boils ? ', and vapor in the line leaves no pedal' : ''}. Cool the caliper, shield the line, or fill a fluid with a higher boiling point.`,
    };
  },
});
