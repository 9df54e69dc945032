import { GATE_LOOK_KEYS, GATE_LOOKED, labelOf } from '../../../plan/index.ts';
import { defineRule } from '../../define-rule.ts';

/** What nobody looked at before access closed cannot be seen any more. Common practice. */
export const gateUnseen = defineRule({
  id: 'gate-unseen',
  station: 'measure',
  about: 'plan',
  reads: ['plan.gates'],
  judge: ({ plan }) =>
    plan.gates.flatMap(({ id, name, closed, looked }) => {
      const unseen = closed ? GATE_LOOK_KEYS.filter((look) => !looked?.[look]?.trim()) : [];
      return unseen.length
        ? {
            level: 'caution' as const,
            place: { kind: 'gate' as const, id },
            where: name,
            text: `Closed, and nothing is recorded of: ${unseen.map((look) => labelOf(GATE_LOOKED.fields[look])).join(' ')}`,
          }
        : [];
    }),
});
