import { derive } from '../../../lib/derive/index.ts';
import { isInline, makesPressure, portsHeldBy, type Plan } from '../../../plan/index.ts';
import { endsByPart, ENDS_READ } from './_ends-by-part.ts';
import { defineRule } from '../../define-rule.ts';

const joinedPorts = derive(
  'joined ports',
  ({ lines, hoses }: Pick<Plan, 'lines' | 'hoses'>) => [lines, hoses],
  (lines, hoses) => portsHeldBy([...lines, ...hoses]),
);

/** A port of a joint or a master that no line ends at and that is not set down as spare lets the fluid out. */
export const portOpen = defineRule({
  id: 'port-open',
  station: 'plumb',
  about: 'port',
  reads: ['plan.lines', ...ENDS_READ],
  judge: ({ part, port }, view) => {
    const counts = (isInline(part) || makesPressure(part)) && endsByPart(view).has(part.id);
    return (
      counts &&
      !['spare', 'bleeder', 'feed'].includes(port.role) &&
      !joinedPorts(view.plan).has(port.id) && {
        level: 'stop',
        text: 'No line ends here and the port is not capped. Run a line to it, or cap it and mark it as spare.',
        fix: () => ({
          label: 'Cap it as a spare port',
          call: { edit: 'changePort', with: { id: port.id, patch: { role: 'spare' } } },
        }),
      }
    );
  },
});
