import { figure } from '../../../lib/faults/index.ts';
import { RESIDUAL_MPA } from '../../../physics/hydraulics/index.ts';
import { psi } from './_shared.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords, listed, onPart } from '../../rule-kit/places.ts';

/** A brake that wants a residual valve and has none on its way from the master. */
export const residualMissing = defineRule({
  id: 'residual-missing',
  station: 'plumb',
  about: 'plan',
  reads: ['residuals'],
  judge: (view) => {
    const { full } = lengthWords(view);
    const missing = view.residuals.filter((of) => of.wanted?.wantedMPa && !of.has.length);
    // Of brakes of one kind on one master it is one valve.
    const firsts = missing.filter(
      (of, i) => missing.findIndex((a) => a.kind === of.kind && a.master === of.master) === i,
    );
    return firsts.map(({ part, kind, master, levelMm }): Finding => {
      const own = missing.filter((of) => of.kind === kind && of.master === master);
      const below = full(Math.max(...own.map(({ topMm }) => topMm)) - (levelMm ?? 0));
      const calipers = own.length === 1 ? 'this caliper' : 'these calipers';
      return {
        level: kind === 'disc' ? 'caution' : 'note',
        place: onPart(part),
        where: listed(own.map(({ part: { name } }) => name)),
        text:
          kind === 'disc'
            ? `The fluid in ${master.name} stands ${below} below the top of ${calipers} and drains back. Fit a residual valve of ${psi(RESIDUAL_MPA.disc)} (${figure(RESIDUAL_MPA.disc, 3)} MPa).`
            : `Drums usually need a residual valve of ${psi(RESIDUAL_MPA.drum)} to keep the cups pressed out, and there is none. Cup expanders do without one: check which you have.`,
      };
    });
  },
});
