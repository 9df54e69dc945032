import { defineRule } from '../../define-rule.ts';

/** One leak must not take every brake. Source: FMVSS 105, 135 and UN R13-H ask split systems, rulebooks of competition two circuits (from memory). */
export const oneCircuit = defineRule({
  id: 'one-circuit',
  station: 'plumb',
  about: 'plan',
  reads: ['plan.sizing', 'size'],
  judge: ({ plan: { sizing }, size }) =>
    sizing &&
    ['light', 'heavy', 'competition'].includes(sizing.category) &&
    size?.empty.failed.some(({ left }) => left.front + left.rear === 0)
      ? {
          level: 'stop',
          where: 'Brakes',
          text: 'One outlet feeds every brake: one leak leaves none. Two circuits are the least; the rule of the road or the race says how they are split.',
        }
      : null,
});
