import { figure } from '../../fault/index.ts';
import { RESIDUAL_MPA } from '../../hydraulics/index.ts';
import { lengthWords, type Rule, type Snag } from '../snag.ts';
import { psi } from './pressure-words.ts';

/** A brake that wants a residual valve and has none on its way from the master. */
export const residualMissing: Rule = (view) => {
  const { full } = lengthWords(view);
  return view.residuals.flatMap((of): Snag[] => {
    if (!of.wanted?.wantedMPa || of.has.length) return [];
    const disc = of.kind === 'disc';
    const level = full(of.topMm - (of.levelMm ?? 0));
    return [
      {
        rule: 'residual-missing',
        level: disc ? 'mind' : 'note',
        station: 'plumb',
        place: { kind: 'port', id: of.part.ports[0]!.id },
        where: of.part.name,
        text: disc
          ? `The fluid in ${of.master.name} stands ${level} below its top and drains back: it wants a residual valve of ${psi(RESIDUAL_MPA.disc)} (${figure(RESIDUAL_MPA.disc, 3)} MPa).`
          : `Drums mostly take a residual valve of ${psi(RESIDUAL_MPA.drum)} to keep their cups pressed out; none is on the way. Does the maker's sheet do without?`,
      },
    ];
  });
};
