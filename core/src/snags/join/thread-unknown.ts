import { jointsAt } from '../../joints/index.ts';
import { defineRule } from '../define-rule.ts';
import { ENDS } from '../words.ts';

/** Said once: joints at ports whose thread and seat are not set down cannot be judged. */
export const threadUnknown = defineRule({
  id: 'thread-unknown',
  station: 'join',
  about: 'plan',
  reads: ['lines'],
  judge: (view) => {
    const unknown = view.lines.flatMap((line) =>
      ENDS.flatMap((end) => (line.ports[end] && !jointsAt(line, end) ? [line.ports[end]] : [])),
    );
    const [first] = unknown;
    if (!first) return [];
    return [
      {
        level: 'note',
        place: { kind: 'port', id: first.port.id },
        where: `${first.part.name}, ${first.port.name}`,
        text: `${unknown.length === 1 ? 'Its thread and seat are' : `Its thread and seat and those of ${unknown.length - 1} more ports are`} not set down: those joints cannot be judged.`,
      },
    ];
  },
});
