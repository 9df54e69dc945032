import { makesPressure } from '../../plan/index.ts';
import { endsByPart } from '../plumb/ends-by-part.ts';
import { defineRule, type Finding } from '../define-rule.ts';

/** Parts that work one way only. */
const ONE_WAY = new Set([
  'proportioning-valve',
  'residual-valve',
  'combination-valve',
  'modulator',
  'handbrake-cylinder',
  'parking-valve',
]);

/** Walking from where pressure is made, a valve that is entered by its outlet faces the wrong way. */
export const valveBackwards = defineRule({
  id: 'valve-backwards',
  station: 'plumb',
  about: 'plan',
  reads: ['lines', 'plan.parts'],
  judge: (view) => {
    const ends = endsByPart(view);
    const seen = new Set<string>();
    const found: Finding[] = [];
    const queue = view.plan.parts.filter(makesPressure).map((part) => part.id);
    for (let id = queue.pop(); id !== undefined; id = queue.pop()) {
      if (seen.has(id)) continue;
      seen.add(id);
      for (const { line, end } of ends.get(id) ?? []) {
        const far = line.ports[end === 'a' ? 'b' : 'a'];
        if (!far || seen.has(far.part.id)) continue;
        queue.push(far.part.id);
        if (!ONE_WAY.has(far.part.kind) || far.port.role !== 'outlet') continue;
        const text = `${line.line.name} brings pressure to its outlet (${far.port.name}): it faces the wrong way.`;
        found.push({
          level: 'stop',
          place: { kind: 'port', id: far.port.id },
          where: far.part.name,
          text,
        });
      }
    }
    return found;
  },
});
