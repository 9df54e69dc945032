import { causeOf, jointRule } from './_shared.ts';

/** Parallel in taper does not seal, with or without tape. Common practice. */
export const parallelInTaper = jointRule('parallel-in-taper', (joint) =>
  causeOf(joint) === 'parallel-taper' ? joint.reasons[0]! : null,
);
