import { jointsAt } from '../../joints/index.ts';
import { defineRule } from '../define-rule.ts';

/** A banjo takes one sealing washer on each face. Common practice. */
export const banjoWashers = defineRule({
  id: 'banjo-washers',
  station: 'join',
  about: 'end',
  reads: [],
  judge: (line, end) => {
  const { joint } = line.line.ends[end];
  const banjo = jointsAt(line, end)?.some(({ join }) => join?.male.end === 'banjo');
  return banjo && joint.washers === 'none'
    ? {
        level: 'mind',
        text: 'A banjo wants two new sealing washers, one on each face of its eye: set down that they are there.',
        fix: () => ({ label: 'Two new ones are in', call: { edit: 'changeEnd', with: { id: line.line.id, end, patch: { joint: { ...joint, washers: 'new', opened: 0 } } } } }),
      }
    : null;
},
}); // prettier-ignore
