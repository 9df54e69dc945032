import { fluidOfWork } from '../../../stations/fill/index.ts';
import type { SizeView } from '../../../plan/results/index.ts';
import type { Fluid } from '../../../trade/stock/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** So near to boiling is worth a word, K. Common practice. */
const NEAR_K = 25;

/** Fluid that is calculated to boil down a hill or by repeated braking, laden, where nobody measured it. */
function calculated(size: SizeView | null, { name, wetBoilC }: Fluid): Finding | null {
  const hottest = (size?.laden.heat ?? [])
    .flatMap((one) => one.axles.map(({ fluidC }) => ({ when: one.name, fluidC })))
    .reduce<{ when: string; fluidC: number } | null>(
      (a, b) => (a && a.fluidC >= b.fluidC ? a : b),
      null,
    );
  return hottest && wetBoilC !== null && hottest.fluidC >= wetBoilC
    ? {
        level: 'caution',
        where: 'Fluid',
        text: `${hottest.when}, laden: the fluid is calculated to reach ${Math.round(hottest.fluidC)} °C, within a third of its rise, and ${name} with water in it boils at ${wetBoilC} °C. Measure it at the caliper, shield the fluid, or fill one with a higher boiling point.`,
      }
    : null;
}

/** Fluid measured near the least boiling point that it has with water in it, or calculated to reach it: bubbles take the pedal away. Source: 49 CFR 571.116 (from memory). */
export const fluidBoils = defineRule({
  id: 'fluid-boils',
  station: 'size',
  about: 'plan',
  reads: ['bleeding', 'plan.filling', 'plan.sizing', 'size'],
  judge: (view) => {
    const fluid = fluidOfWork(view, 'brake');
    const at = view.plan.sizing?.heat?.fluidC ?? null;
    if (at === null) return calculated(view.size, fluid);
    if (fluid.wetBoilC === null || at < fluid.wetBoilC - NEAR_K) return null;
    const boils = at >= fluid.wetBoilC;
    return {
      level: boils ? 'stop' : 'caution',
      where: 'Fluid',
      text: `Fluid was measured at ${at} °C, and ${fluid.name} with water in it boils at ${fluid.wetBoilC} °C${boils ? ', and vapor in the line leaves no pedal' : ''}. Cool the caliper, shield the line, or fill a fluid with a higher boiling point.`,
    };
  },
});
