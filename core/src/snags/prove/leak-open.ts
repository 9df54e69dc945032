import { provingOf } from '../../proving/index.ts';
import { defineRule, type Finding } from '../define-rule.ts';

/** A leak that was found and not closed. */
export const leakOpen = defineRule({
  id: 'leak-open',
  station: 'prove',
  about: 'plan',
  reads: ['plan.proving', 'plan.circuits'],
  judge: (view) =>
    provingOf(view.plan).rounds.flatMap(({ key, good, note }): Finding[] => {
      const [what, id] = key.split(':');
      const circuit = view.plan.circuits.find((one) => one.id === id);
      if (good || (what !== 'leak' && what !== 'again') || !circuit) return [];
      return [{ level: 'stop', place: { kind: 'circuit', id: circuit.id }, where: circuit.name, text: `It leaks${note ? `: ${note}` : ''}. Find it, mend it, hold and look again.` }];
    }),
}); // prettier-ignore
