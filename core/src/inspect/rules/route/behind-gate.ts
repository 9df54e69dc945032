import { defineRule, type Finding } from '../../define-rule.ts';
import { ENDS, cornerAt, endName, onLine } from '../../rule-kit/places.ts';

/** A joint that something closed now hides, and that nobody has set down as done. */
export const behindGate = defineRule({
  id: 'behind-gate',
  station: 'route',
  about: 'plan',
  reads: ['lines', 'plan.gates'],
  judge: (view) =>
    view.plan.gates
      .filter((gate) => gate.closed)
      .flatMap((gate) =>
        view.lines.flatMap((line) =>
          ENDS.flatMap((end): Finding[] => {
            const at = line.nodesMm.at(end === 'a' ? 0 : -1);
            const inside = at?.every((v, i) => v >= gate.minMm[i]! && v <= gate.maxMm[i]!);
            if (!inside || line.line.ends[end].joint.torqueNm !== null) return [];
            return [
              {
                level: 'caution',
                place: onLine(line, cornerAt(line, end)),
                where: `${line.line.name}, ${endName(end)}`,
                text: `${gate.name} is closed over this joint, and no torque is recorded. Open it and check.`,
              },
            ];
          }),
        ),
      ),
});
