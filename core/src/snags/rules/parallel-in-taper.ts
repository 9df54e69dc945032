import { causeOf, eachJoint } from './line-joints.ts';

/** Parallel in taper does not seal, with or without tape. Common practice. */
export const parallelInTaper = eachJoint('parallel-in-taper', 'stop', (joint) =>
  causeOf(joint) === 'parallel-taper' ? joint.reasons[0]! : null,
);
