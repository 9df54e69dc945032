import { jointsAt } from '../../joints/index.ts';
import { isTaper, threadByName } from '../../stock/index.ts';
import { defineRule } from '../define-rule.ts';

/** Sealant or tape on taper pipe threads only, off the first two threads; never on flares, banjos, O-rings. Common practice. */
export const sealantMisplaced = defineRule({
  id: 'sealant-misplaced',
  station: 'join',
  about: 'end',
  reads: [],
  judge: (line, end) => {
  const { joint } = line.line.ends[end];
  const joints = jointsAt(line, end);
  if (joint.sealant === 'none' || !joints) return null;
  // It goes on the taper where there is one.
  if (joints.some(({ join }) => join && isTaper(threadByName(join.male.thread)!))) return null;
  return {
    level: 'stop',
    text: `${joint.sealant === 'tape' ? 'Tape' : 'Sealant'} has no place here: this joint seals on metal or on a washer, and shreds travel to valves and seals.`,
    fix: () => ({ label: 'Clean it off', call: { edit: 'changeEnd', with: { id: line.line.id, end, patch: { joint: { ...joint, sealant: 'none' } } } } }),
  };
},
}); // prettier-ignore
