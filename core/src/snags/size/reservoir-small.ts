import { figure } from '../../fault/index.ts';
import { AXLES, wearMl } from '../../hydraulics/index.ts';
import { endsByPart, ENDS_READ } from '../plumb/ends-by-part.ts';
import { defineRule, type Finding } from '../define-rule.ts';
import { onPart } from '../words.ts';

/** Between its marks a reservoir must hold what worn linings take; judged where both are known. */
export const reservoirSmall = defineRule({
  id: 'reservoir-small',
  station: 'size',
  about: 'plan',
  reads: [...ENDS_READ, 'plan.parts', 'plan.sizing'],
  judge: (view) => {
    const { sizing } = view.plan;
    if (!sizing) return [];
    return view.plan.parts.flatMap((part): Finding[] => {
    const holds = part.figures.reservoirMl;
    if (holds === undefined || part.kind !== 'master') return [];
    const axles = new Set((endsByPart(view).get(part.id) ?? []).map(({ circuit }) => circuit.axle));
    const takes = AXLES.filter((axle) => axles.has(axle)).reduce((sum, axle) => sum + wearMl(sizing[axle], sizing.wearMm[axle]), 0);
    return takes > holds
      ? [{ level: 'mind', place: onPart(part), where: part.name,
          text: `It holds ${figure(holds, 0)} mL between its marks and worn linings take ${figure(takes, 0)} mL: it would run dry before they are renewed.`,
        }]
      : [];
  }); // prettier-ignore
  },
});
