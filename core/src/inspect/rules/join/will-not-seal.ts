import { causeOf, jointRule, halfWords } from './_shared.ts';

/** Threads that agree over seats that do not, where no rule of its own names the pair. */
export const willNotSeal = jointRule('will-not-seal', (joint) =>
  causeOf(joint) === 'other'
    ? `${halfWords(joint.far)} screws into ${halfWords(joint.near)} and does not seal. ${joint.reasons[0]}`
    : null,
);
