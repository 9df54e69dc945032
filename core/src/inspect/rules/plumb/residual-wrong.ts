import { RESIDUAL_MPA } from '../../../physics/hydraulics/index.ts';
import { psi } from './_shared.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** Half way between the two pressures that are made: what is over it is a drum's valve. */
const PARTING_MPA = (RESIDUAL_MPA.disc + RESIDUAL_MPA.drum) / 2;

/** 10 psi on a disc drags and burns; 2 psi does nothing for a drum. Common practice. */
export const residualWrong = defineRule({
  id: 'residual-wrong',
  station: 'plumb',
  about: 'plan',
  reads: ['residuals'],
  judge: (view) =>
    view.residuals.flatMap((of) =>
      of.has.flatMap((valve): Finding[] => {
        const finding = (level: Finding['level'], text: string): Finding[] => [
          { level, place: { kind: 'port', id: valve.portId }, where: valve.where, text },
        ];
        if (valve.residualMPa === null)
          return finding(
            'caution',
            `Residual pressure is not entered for the valve that feeds ${of.part.name}.`,
          );
        const drumValve = valve.residualMPa > PARTING_MPA;
        if (of.kind === 'disc' && drumValve)
          return finding(
            'stop',
            `The residual valve holds ${psi(valve.residualMPa)} on ${of.part.name}, a disc: the brake will drag and overheat. Discs take 2 psi or none.`,
          );
        if (of.kind === 'drum' && !drumValve)
          return finding(
            'caution',
            `The residual valve holds ${psi(valve.residualMPa)} and feeds ${of.part.name}, a drum. Drums take 10 psi.`,
          );
        return [];
      }),
    ),
});
