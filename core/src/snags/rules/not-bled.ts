import type { Rule, Snag } from '../snag.ts';

/** A bleeder that no fluid reaches, one with two feeds, a loop, or an order that is not complete. */
export const notBled: Rule = (view) =>
  view.bleeding.flatMap(({ work, fault }): Snag[] => {
    if (!fault) return [];
    const place = fault.lineId
      ? ({ kind: 'line', id: fault.lineId } as const)
      : fault.portId
        ? ({ kind: 'port', id: fault.portId } as const)
        : ({ kind: 'plan', id: view.plan.id } as const);
    return [
      {
        rule: 'not-bled',
        level: 'stop',
        station: 'fill',
        place,
        where: work === 'brake' ? 'Brakes' : 'Clutch',
        text: fault.message,
      },
    ];
  });
