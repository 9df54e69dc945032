import { RESIDUAL_MPA } from '../../../physics/hydraulics/index.ts';
import { byValve, psi } from './_shared.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** Half way between the two pressures that are made: what is over it is a drum's valve. */
const PARTING_MPA = (RESIDUAL_MPA.disc + RESIDUAL_MPA.drum) / 2;
/** 10 psi on a disc drags and burns; 2 psi does nothing for a drum. Common practice. */
export const residualWrong = defineRule({
  id: 'residual-wrong',
  station: 'plumb',
  about: 'plan',
  reads: ['residuals'],
  judge: ({ residuals }) => {
    const isDrums = (mpa: number): boolean => mpa > PARTING_MPA;
    const wrong = byValve(
      residuals,
      ({ kind }, { residualMPa }) =>
        residualMPa === null || (kind === 'disc') === isDrums(residualMPa),
    );
    return wrong.map(({ valve, kind, names }): Finding => {
      const at = { place: { kind: 'port', id: valve.portId }, where: valve.where } as const;
      if (valve.residualMPa === null)
        return {
          ...at,
          level: 'caution',
          text: `Residual pressure is not entered for the valve that feeds ${names}.`,
        };
      return kind === 'disc'
        ? {
            ...at,
            level: 'stop',
            text: `The residual valve holds ${psi(valve.residualMPa)} on ${names}. Discs take 2 psi or none: with more they drag and overheat.`,
          }
        : {
            ...at,
            level: 'caution',
            text: `The residual valve holds ${psi(valve.residualMPa)} on ${names}. Drums take 10 psi.`,
          };
    });
  },
});
