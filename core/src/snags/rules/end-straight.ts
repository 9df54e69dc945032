import { lengthenEnd, toolingOf, type LineView, type PlanView } from '../../plan/index.ts';
import type { Room } from '../../tube/index.ts';
import { cornerAt, eachEnd, endName, lengthWords, onLine, withCorners, type Rule, type Snag } from '../snag.ts';

/** A mend that makes an end straight long enough, offered only where it helps and spoils no bend. */
function lengthened(view: PlanView, line: LineView, end: 'a' | 'b', straightMm: number): Snag['mend'] {
  const neededMm = toolingOf(line.line.ends[end], view.plan.bench).nutLengthMm + line.bender.shoeMm;
  const moreMm = Math.ceil(neededMm - straightMm);
  const good = lengthenEnd(line.nodesMm, end, moreMm).find((corners) =>
    ['ok', 'flare-first'].includes(withCorners(view, line, corners).card?.room[end].room ?? ''),
  );
  if (!good) return undefined;
  return {
    label: `Make it ${lengthWords(view).bare(moreMm)} longer`,
    call: { edit: 'setCorners', with: { id: line.line.id, cornersMm: good } },
  };
}

/** A rule about ends of lines whose end straight has just this room. */
export const endStraights = (
  room: Room,
  finding: (found: {
    line: LineView;
    end: 'a' | 'b';
    straight: string;
    needed: string;
  }) => Pick<Snag, 'rule' | 'level' | 'station' | 'text'>,
): Rule =>
  eachEnd((line, end, view) => {
    const found = line.card?.room[end];
    if (found?.room !== room) return [];
    const { bare, full } = lengthWords(view);
    const snag = finding({ line, end, straight: full(found.straightMm, 1), needed: bare(found.neededMm) });
    const mend = snag.level === 'stop' ? lengthened(view, line, end, found.straightMm) : undefined;
    return [
      {
        ...snag,
        place: onLine(line, cornerAt(line, end)),
        where: `${line.line.name}, ${endName(end)}`,
        ...(mend ? { mend } : {}),
      },
    ];
  });
