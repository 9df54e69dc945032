import { defineRule, type Finding } from '../../define-rule.ts';

/** A bleeder that no fluid reaches, one with two feeds, a loop, or an order that is not complete. */
export const notBled = defineRule({
  id: 'not-bled',
  station: 'fill',
  about: 'plan',
  reads: ['bleeding'],
  judge: (view) =>
    view.bleeding.flatMap(({ work, fault }): Finding[] => {
      if (!fault) return [];
      const place = fault.lineId
        ? ({ kind: 'line', id: fault.lineId } as const)
        : fault.portId
          ? ({ kind: 'port', id: fault.portId } as const)
          : ({ kind: 'plan', id: view.plan.id } as const);
      return [
        {
          level: 'stop',
          place,
          where: work === 'brake' ? 'Brakes' : 'Clutch',
          text: fault.message,
        },
      ];
    }),
});
