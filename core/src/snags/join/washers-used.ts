import { jointsAt } from '../../joints/index.ts';
import { defineRule } from '../define-rule.ts';

/** Crushed washers do not crush again. Common practice: new at every opening. */
export const washersUsed = defineRule({
  id: 'washers-used',
  station: 'join',
  about: 'end',
  reads: [],
  judge: (line, end) => {
  const { joint } = line.line.ends[end];
  const washers = jointsAt(line, end)?.some(({ join }) => join?.male.end === 'banjo' || join?.male.end === 'flat');
  return washers && (joint.washers === 'used' || joint.opened > 0)
    ? {
        level: 'stop',
        text: `It was opened ${joint.opened === 1 ? 'once' : `${joint.opened} times`} since its washers were new: crushed washers do not seal again.`,
        fix: () => ({ label: 'New washers are in', call: { edit: 'changeEnd', with: { id: line.line.id, end, patch: { joint: { ...joint, washers: 'new', opened: 0 } } } } }),
      }
    : null;
},
}); // prettier-ignore
