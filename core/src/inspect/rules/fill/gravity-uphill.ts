import { feedsOf } from '../../../plan/network/index.ts';
import { levelOf } from '../../../plan/results/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';
import { severity } from '../../rule-kit/severity.ts';

/** Less fall than this runs too slowly to bleed by, mm; without any nothing runs. Common practice. */
const FALL_MM = 50;

/** Gravity moves fluid downhill alone: with the reservoir below a bleeder nothing runs, or air goes in. Common practice. */
export const gravityUphill = defineRule({
  id: 'gravity-uphill',
  station: 'fill',
  about: 'plan',
  reads: ['bleeding', 'network', 'plan.filling', 'plan.parts', 'ports'],
  judge: (view) => {
    const { bleeding, network, plan, ports } = view;
    if (plan.filling.method !== 'gravity') return [];
    const { full } = lengthWords(view);
    const feeds = feedsOf(network, plan.parts);
    return bleeding.flatMap(({ net }) =>
      (net?.bleeders ?? []).flatMap(({ portId }): Finding[] => {
        const bleeder = ports.get(portId)!;
        const levelsMm = feeds
          .filter(({ reached }) => reached.has(portId))
          .flatMap(({ master }) => levelOf(master, network, plan.parts) ?? []);
        if (!levelsMm.length) return [];
        const fallMm = Math.max(...levelsMm) - bleeder.fixed.atMm[2];
        const is = severity(fallMm, FALL_MM, bleeder.fixed.sigmaMm[2], { slight: 0, grave: 0 });
        if (!is) return [];
        return [
          {
            level: is.level,
            place: { kind: 'port', id: portId },
            where: bleeder.part.name,
            text:
              is.level === 'stop'
                ? `Gravity cannot bleed it: the reservoir is ${full(-fallMm)} below this bleeder. Choose another method, or raise the reservoir.`
                : `The reservoir is only ${full(fallMm)} above this bleeder, so by gravity hardly anything flows. Choose another method, or raise the reservoir.`,
          },
        ];
      }),
    );
  },
});
