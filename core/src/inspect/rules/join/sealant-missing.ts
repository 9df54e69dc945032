import { sealantsOf } from '../../../stations/join/index.ts';
import { isTaper, threadByName } from '../../../trade/stock/index.ts';
import { defineRule } from '../../define-rule.ts';
import { jointFix } from './_shared.ts';

/** A taper pipe thread seals by sealant, unless it is of the form that is made to seal dry. Source: ASME B1.20.1, B1.20.3 (from memory). */
export const sealantMissing = defineRule({
  id: 'sealant-missing',
  station: 'join',
  about: 'joined',
  reads: [],
  judge: (at) => {
    const sealants = sealantsOf(at);
    const dry = (at.joints ?? []).findIndex(
      ({ join }, i) => join && sealants[i] === 'none' && isTaper(threadByName(join.male.thread)!),
    );
    if (dry < 0) return null;
    const pasted = at.work.sealants
      ? { sealants: sealants.map((one, i) => (i === dry ? 'paste' : one)) }
      : { sealant: 'paste' as const };
    return {
      level: 'caution',
      text: `${at.joints![dry]!.join!.male.thread} is a taper thread, and no sealant is entered. Use paste made for brake fluid, off the first two turns, unless both halves are dryseal.`,
      fix: jointFix(at, 'With paste', pasted),
    };
  },
});
