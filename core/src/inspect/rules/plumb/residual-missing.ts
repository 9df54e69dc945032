import { figure } from '../../../lib/faults/index.ts';
import { RESIDUAL_MPA } from '../../../physics/hydraulics/index.ts';
import { psi } from './_shared.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords, onPart } from '../../rule-kit/places.ts';

/** A brake that wants a residual valve and has none on its way from the master. */
export const residualMissing = defineRule({
  id: 'residual-missing',
  station: 'plumb',
  about: 'plan',
  reads: ['residuals'],
  judge: (view) => {
    const { full } = lengthWords(view);
    const missing = view.residuals.filter((of) => of.wanted?.wantedMPa && !of.has.length);
    // Of drums on one master it is one valve.
    const once = missing.filter(
      (of, i) =>
        of.kind === 'disc' ||
        missing.findIndex((a) => a.kind === 'drum' && a.master === of.master) === i,
    );
    return once.flatMap((of): Finding[] => {
      const names = missing
        .filter(({ kind, master }) => kind === 'drum' && master === of.master)
        .map(({ part }) => part.name);
      const disc = of.kind === 'disc';
      const level = full(of.topMm - (of.levelMm ?? 0));
      return [
        {
          level: disc ? 'caution' : 'note',
          place: onPart(of.part),
          where: disc ? of.part.name : names.join(' and '),
          text: disc
            ? `The fluid in ${of.master.name} stands ${level} below the top of this caliper and drains back. Fit a residual valve of ${psi(RESIDUAL_MPA.disc)} (${figure(RESIDUAL_MPA.disc, 3)} MPa).`
            : `Drums usually need a residual valve of ${psi(RESIDUAL_MPA.drum)} to keep the cups pressed out, and there is none. Cup expanders do without one: check which you have.`,
        },
      ];
    });
  },
});
