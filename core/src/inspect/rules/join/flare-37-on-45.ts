import { causeOf, jointRule } from './_shared.ts';

/** Size -3 and the 3/16 in inverted flare share 3/8-24 and not the seat. Common practice. */
export const flare37On45 = jointRule('flare-37-on-45', (joint) =>
  causeOf(joint) === 'flare-37-45'
    ? '37° and 45° flares share this thread but not the cone. They screw together and leak.'
    : null,
);
