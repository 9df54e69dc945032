import { defineRule } from '../../define-rule.ts';
import { fluidIsIn } from '../../../plan/index.ts';
import { FLOOR_READS, told } from './_shared.ts';

/** Brake fluid and its vapour burn: nothing is welded once it is in. */
export const weldAfterFluid = defineRule({
  id: 'weld-after-fluid',
  station: 'fit',
  about: 'plan',
  reads: FLOOR_READS,
  judge: (view) => {
    if (!fluidIsIn(view.plan)) return [];
    const welds = told(view).filter(
      ({ task, state }) => state !== 'done' && task.tools.includes('welder'),
    );
    return welds.length
      ? {
          level: 'stop',
          text: `Fluid is in, and this is still to be welded: ${welds.map(({ task }) => task.name).join('; ')}. Never weld on a filled line: it can burst and burn you. Drain it, or bolt the bracket.`,
        }
      : null;
  },
});
