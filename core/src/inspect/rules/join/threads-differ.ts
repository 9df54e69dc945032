import { jointRule, halfWords } from './_shared.ts';

/** Two threads that bind, do not start, or are both of one gender. */
export const threadsDiffer = jointRule('threads-differ', (joint) =>
  joint.verdict === 'binds' || joint.verdict === 'will-not-start'
    ? `${halfWords(joint.far)} does not go into ${halfWords(joint.near)}. ${joint.reasons[0]}`
    : null,
);
