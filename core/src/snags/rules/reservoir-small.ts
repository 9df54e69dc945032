import { figure } from '../../fault/index.ts';
import { AXLES, wearMl } from '../../hydraulics/index.ts';
import type { Rule, Snag } from '../snag.ts';
import { endsByPart } from './joints.ts';

/** Between its marks a reservoir must hold what worn linings take; judged where both are known. */
export const reservoirSmall: Rule = (view) => {
  const { sizing } = view.plan;
  if (!sizing) return [];
  return view.plan.parts.flatMap((part): Snag[] => {
    const holds = part.figures.reservoirMl;
    if (holds === undefined || part.kind !== 'master') return [];
    const axles = new Set((endsByPart(view).get(part.id) ?? []).map(({ line }) => view.circuits.get(line.line.circuitId)!.axle));
    const takes = AXLES.filter((axle) => axles.has(axle)).reduce((sum, axle) => sum + wearMl(sizing[axle], sizing.wearMm[axle]), 0);
    return takes > holds
      ? [{
          rule: 'reservoir-small', level: 'mind', station: 'size', place: { kind: 'port', id: part.ports[0]!.id }, where: part.name,
          text: `It holds ${figure(holds, 0)} mL between its marks and worn linings take ${figure(takes, 0)} mL: it would run dry before they are renewed.`,
        }]
      : [];
  }); // prettier-ignore
};
