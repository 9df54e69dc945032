import { causeOf, jointRule } from './_shared.ts';

/** A bubble on an inverted flare seat, or the reverse: the commonest leak that screws together. Common practice. */
export const bubbleInverted = jointRule('bubble-inverted', (joint) =>
  causeOf(joint) !== 'bubble-inverted'
    ? null
    : joint.join!.male.end === 'bubble'
      ? 'A bubble flare on a seat that rises: it touches along one line and leaks. This port takes a 45° double flare.'
      : 'A double flare on a seat that dips: it touches along one line and leaks. This port takes a bubble flare.',
);
