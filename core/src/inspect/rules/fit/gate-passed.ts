import { defineRule } from '../../define-rule.ts';
import { FLOOR_READS, told } from './_shared.ts';

/** Work behind a gate that is closed has to wait until it is opened again; so has what is put off past its day. */
export const gatePassed = defineRule({
  id: 'gate-passed',
  station: 'fit',
  about: 'plan',
  reads: FLOOR_READS,
  judge: (view) =>
    view.plan.gates.flatMap((gate) => {
      const inside = told(view).filter(
        ({ task, state }) => task.gate?.id === gate.id && state !== 'done',
      );
      if (!inside.length) return [];
      const place = { kind: 'gate' as const, id: gate.id };
      if (gate.closed)
        return [
          {
            level: 'caution' as const,
            place,
            where: gate.name,
            text: `This is closed, and ${inside.length === 1 ? `one task is left behind it: ${inside[0]!.task.name}` : `${inside.length} tasks are left behind it, ${inside[0]!.task.name} first`}.`,
          },
        ];
      const late = view.plan.floor.later.filter(
        ({ task, until }) =>
          until !== null &&
          gate.on &&
          until > gate.on &&
          inside.some((one) => one.task.id === task),
      );
      return late.map(({ task, until }) => ({
        level: 'caution' as const,
        place,
        where: gate.name,
        text: `${inside.find((one) => one.task.id === task)!.task.name} is put off until ${until}, and this closes over it on ${gate.on}.`,
      }));
    }),
});
