import { byValve, psi } from './_shared.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** A disc whose fluid stands above it keeps its pads without a valve; one there makes it drag a little. */
export const residualNeedless = defineRule({
  id: 'residual-needless',
  station: 'plumb',
  about: 'plan',
  reads: ['residuals'],
  judge: ({ residuals }) =>
    byValve(residuals, ({ wanted }) => wanted?.wantedMPa === 0).map(
      ({ valve, names }): Finding => ({
        level: 'caution',
        place: { kind: 'port', id: valve.portId },
        where: valve.where,
        text: `The fluid stands above ${names}, so fluid cannot drain back. The residual valve${valve.residualMPa === null ? '' : ` of ${psi(valve.residualMPa)}`} only makes the pads drag: remove it.`,
      }),
    ),
});
