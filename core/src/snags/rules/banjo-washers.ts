import { jointsAt } from '../../joints/index.ts';
import { eachEndOf } from './line-joints.ts';

/** A banjo takes one sealing washer on each face. Common practice. */
export const banjoWashers = eachEndOf('banjo-washers', (line, end) => {
  const { joint } = line.line.ends[end];
  const banjo = jointsAt(line, end)?.some(({ join }) => join?.male.end === 'banjo');
  return banjo && joint.washers === 'none'
    ? {
        level: 'mind',
        text: 'A banjo wants two new sealing washers, one on each face of its eye: set down that they are there.',
        mend: { label: 'Two new ones are in', call: { edit: 'changeEnd', with: { id: line.line.id, end, patch: { joint: { ...joint, washers: 'new', opened: 0 } } } } },
      }
    : null;
}); // prettier-ignore
