import { endsByPart, ENDS_READ } from './_ends-by-part.ts';
import { defineRule } from '../../define-rule.ts';

/** A clutch on the brakes' master takes its fluid with it when it leaks. */
export const masterShared = defineRule({
  id: 'master-shared',
  station: 'plumb',
  about: 'part',
  reads: ENDS_READ,
  judge: (part, view) => {
    const outlets = (endsByPart(view).get(part.id) ?? []).filter(
      ({ at }) => at.port.role === 'outlet',
    );
    return (
      part.kind === 'master' &&
      new Set(outlets.map(({ circuit }) => circuit.work)).size > 1 && {
        level: 'stop',
        text: 'Brakes and clutch share one master cylinder. Give each its own.',
      }
    );
  },
});
