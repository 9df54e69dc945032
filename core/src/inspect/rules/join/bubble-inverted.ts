import { causeOf, jointRule } from './_shared.ts';

/** A bubble on an inverted flare seat, or the reverse: the commonest leak that screws together. Common practice. */
export const bubbleInverted = jointRule('bubble-inverted', (joint) =>
  causeOf(joint) !== 'bubble-inverted'
    ? null
    : joint.join!.male.end === 'bubble'
      ? 'A bubble flare on a raised seat touches along one line only and leaks. This port needs a 45° double flare.'
      : 'A double flare on a recessed seat touches along one line only and leaks. This port needs a bubble flare.',
);
