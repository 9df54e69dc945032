import { allPorts, isInline, makesPressure } from '../../../plan/index.ts';
import { endsByPart, ENDS_READ } from './_ends-by-part.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** A port of a joint or a master that no line ends at and that is not set down as spare lets the fluid out. */
export const portOpen = defineRule({
  id: 'port-open',
  station: 'plumb',
  about: 'plan',
  reads: ['plan.lines', 'plan.parts', ...ENDS_READ],
  judge: (view) => {
    const joined = new Set(
      [...view.plan.lines, ...view.plan.hoses].flatMap(({ ends }) => [
        ends.a.portId,
        ends.b.portId,
      ]),
    );
    return allPorts(view.plan).flatMap(({ part, port }): Finding[] => {
      const counts = (isInline(part) || makesPressure(part)) && endsByPart(view).has(part.id);
      if (
        !counts ||
        joined.has(port.id) ||
        port.role === 'spare' ||
        port.role === 'bleeder' ||
        port.role === 'feed'
      )
        return [];
      return [
        {
          level: 'stop',
          place: { kind: 'port', id: port.id },
          where: `${part.name}, ${port.name}`,
          text: 'No line ends here and it is not capped: run a line to it, or set it down as spare and cap it.',
          fix: () => ({
            label: 'Cap it as a spare port',
            call: { edit: 'changePort', with: { id: port.id, patch: { role: 'spare' } } },
          }),
        },
      ];
    });
  },
});
