import { defineRule } from '../../define-rule.ts';
import { jointFix } from './_shared.ts';

/** Crushed washers do not crush again. Common practice: new at every opening. */
export const washersUsed = defineRule({
  id: 'washers-used',
  station: 'join',
  about: 'joined',
  reads: [],
  judge: (at) => {
    const { washers, opened } = at.work;
    const crushed = at.joints?.some(
      ({ join }) => join?.male.end === 'banjo' || join?.male.end === 'flat',
    );
    if (!crushed || (washers !== 'used' && opened === 0)) return null;
    return {
      level: 'stop',
      text: `The joint was opened ${opened === 1 ? 'once' : `${opened} times`} since its washers were new. Crushed washers do not seal again: fit new ones.`,
      fix: jointFix(at, 'New washers are in', { washers: 'new', opened: 0 }),
    };
  },
});
