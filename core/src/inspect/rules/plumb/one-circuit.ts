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
          text: 'One outlet feeds every brake, so one leak leaves no brakes. You need at least two circuits; road or race rules say how to split them.',
        }
      : null,
});
