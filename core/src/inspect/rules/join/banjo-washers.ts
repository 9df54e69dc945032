import { defineRule } from '../../define-rule.ts';
import { jointFix } from './_shared.ts';

/** A banjo takes a sealing washer on each face: of two eyes on one bolt three in all. Common practice. */
export const banjoWashers = defineRule({
  id: 'banjo-washers',
  station: 'join',
  about: 'joined',
  reads: [],
  judge: (at) => {
    const banjo = at.joints?.some(({ join }) => join?.male.end === 'banjo');
    if (!banjo || at.work.washers !== 'none') return null;
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
