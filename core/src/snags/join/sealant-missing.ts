import { jointsAt } from '../../joints/index.ts';
import { isTaper, threadByName } from '../../stock/index.ts';
import { defineRule } from '../define-rule.ts';

/** A taper pipe thread seals by sealant, unless it is of the form that is made to seal dry. Source: ASME B1.20.1, B1.20.3 (from memory). */
export const sealantMissing = defineRule({
  id: 'sealant-missing',
  station: 'join',
  about: 'end',
  reads: [],
  judge: (line, end) => {
    const { joint } = line.line.ends[end];
    const taper = (jointsAt(line, end) ?? []).find(({ join }) => join && isTaper(threadByName(join.male.thread)!));
    if (joint.sealant !== 'none' || !taper) return null;
    return {
      level: 'mind',
      text: `${taper.join!.male.thread} is a taper thread and no sealant is set down for it: paste for brake fluid, off the first two turns, unless both halves are of the dryseal form.`,
      fix: () => ({ label: 'With paste', call: { edit: 'changeEnd', with: { id: line.line.id, end, patch: { joint: { ...joint, sealant: 'paste' } } } } }),
    };
  },
}); // prettier-ignore
