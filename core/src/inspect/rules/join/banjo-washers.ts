import { defineRule } from '../../define-rule.ts';
import { jointFix } from './_shared.ts';

/** A banjo takes a sealing washer on each face, of two eyes on one bolt three in all; any other flat face takes one. Common practice. */
export const banjoWashers = defineRule({
  id: 'banjo-washers',
  station: 'join',
  about: 'joined',
  reads: [],
  judge: (at) => {
    const meets = (end: string): boolean =>
      at.joints?.some(({ join }) => join?.male.end === end) ?? false;
    if (at.work.washers !== 'none') return null;
    if (meets('flat'))
      return {
        level: 'caution',
        text: 'A flat face seals on a crush washer. Confirm that a new one is fitted.',
        fix: jointFix(at, 'One new washer is in', { washers: 'new', opened: 0 }),
      };
    if (!meets('banjo')) return null;
    const [count, faces] =
      at.eyes === 1
        ? ['Two', 'one on each face of its eye']
        : [`${at.eyes + 1}`, `one on each side of each of its ${at.eyes} eyes`];
    return {
      level: 'caution',
      text: `A banjo needs ${count.toLowerCase()} new sealing washers, ${faces}. Confirm that they are fitted.`,
      fix: jointFix(at, `${count} new ones are in`, { washers: 'new', opened: 0 }),
    };
  },
});
