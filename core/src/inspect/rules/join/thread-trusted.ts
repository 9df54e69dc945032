import { defineRule } from '../../define-rule.ts';

/** A thread that nobody measured is taken on trust. */
export const threadTrusted = defineRule({
  id: 'thread-trusted',
  station: 'join',
  about: 'end',
  reads: [],
  judge: (line, end) => {
    const at = line.ports[end];
    return at?.port.fitting?.how === 'trusted'
      ? {
          level: 'note',
          text: `The thread of ${at.part.name}, ${at.port.name} is not measured. Measure it with a caliper and a pitch gauge before you buy parts.`,
        }
      : null;
  },
});
