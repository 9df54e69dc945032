import { sealantsOf } from '../../../stations/join/index.ts';
import { isTaper, threadByName } from '../../../trade/stock/index.ts';
import { defineRule } from '../../define-rule.ts';
import { jointFix } from './_shared.ts';

/** Sealant or tape on taper pipe threads only, off the first two threads; never on flares, banjos, O-rings. Common practice. */
export const sealantMisplaced = defineRule({
  id: 'sealant-misplaced',
  station: 'join',
  about: 'joined',
  reads: [],
  judge: (at) => {
    const sealants = sealantsOf(at);
    const wrong = (at.joints ?? []).findIndex(
      ({ join }, i) =>
        sealants[i] !== 'none' && !(join && isTaper(threadByName(join.male.thread)!)),
    );
    if (wrong < 0) return null;
    const which = at.joints!.length > 1 ? `joint ${wrong + 1} seals` : 'this joint seals';
    const cleaned = at.work.sealants
      ? { sealants: sealants.map((one, i) => (i === wrong ? 'none' : one)) }
      : { sealant: 'none' as const };
    return {
      level: 'stop',
      text: `${sealants[wrong] === 'tape' ? 'Tape' : 'Sealant'} must not be used here: ${which} on metal or on a washer, and shreds travel to valves and seals.`,
      fix: jointFix(at, 'Clean it off', cleaned),
    };
  },
});
