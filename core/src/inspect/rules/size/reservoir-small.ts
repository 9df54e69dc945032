import { AXLES, wearMl } from '../../../physics/hydraulics/index.ts';
import { makesPressure } from '../../../plan/index.ts';
import { reservoirsOf } from '../../../plan/network/index.ts';
import { endsByPart, ENDS_READ } from '../plumb/_ends-by-part.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart, quantityWords } from '../../rule-kit/places.ts';

/** Between its marks a reservoir must hold what new linings take until they are worn out; judged where both are known. */
export const reservoirSmall = defineRule({
  id: 'reservoir-small',
  station: 'size',
  about: 'plan',
  reads: ['network', 'plan.parts', 'plan.sizing', ...ENDS_READ],
  judge: (view) => {
    const { sizing, parts } = view.plan;
    if (!sizing) return [];
    const { volume } = quantityWords(view);
    const draws = parts
      .filter(makesPressure)
      .map((master) => ({ master, from: reservoirsOf(view.network, parts, master) }));
    return parts.flatMap((part): Finding[] => {
      const holds = part.figures.reservoirMl;
      if (holds === undefined) return [];
      // A master with a bottle of its own draws from that; others share what feeds them.
      const masters =
        part.kind === 'reservoir'
          ? draws.filter(({ from }) => from.includes(part)).map(({ master }) => master)
          : [part];
      const ends = masters
        .flatMap((master) => endsByPart(view).get(master.id) ?? [])
        .filter(({ at }) => at.port.role === 'outlet');
      const axles = new Set(ends.map(({ circuit }) => circuit.axle));
      const takes = AXLES.filter((axle) => axles.has(axle)).reduce(
        (sum, axle) => sum + wearMl(sizing[axle], sizing.wearMm[axle]),
        0,
      );
      return takes > holds
        ? [
            {
              level: 'caution',
              place: onPart(part),
              where: part.name,
              text: `The reservoir holds ${volume(holds)} between its marks, and pad and lining wear takes ${volume(takes)}. It would run dry before the linings are replaced.`,
            },
          ]
        : [];
    });
  },
});
