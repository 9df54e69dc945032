import { isTaper, threadByName } from '../../stock/index.ts';
import { defineRule } from '../define-rule.ts';
import { jointFix } from './line-joints.ts';

/** Sealant or tape on taper pipe threads only, off the first two threads; never on flares, banjos, O-rings. Common practice. */
export const sealantMisplaced = defineRule({
  id: 'sealant-misplaced',
  station: 'join',
  about: 'joined',
  reads: [],
  judge: (at) => {
    if (at.work.sealant === 'none' || !at.joints) return null;
    // It goes on the taper where there is one.
    if (at.joints.some(({ join }) => join && isTaper(threadByName(join.male.thread)!))) return null;
    return {
      level: 'stop',
      text: `${at.work.sealant === 'tape' ? 'Tape' : 'Sealant'} has no place here: this joint seals on metal or on a washer, and shreds travel to valves and seals.`,
      fix: jointFix(at, 'Clean it off', { sealant: 'none' }),
    };
  },
});
