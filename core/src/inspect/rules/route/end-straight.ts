import { lengthenEnd, toolingOf, type LineView } from '../../../plan/index.ts';
import type { EndClearance } from '../../../shape/tube/index.ts';
import { defineRule, type Finding, type Fix, type Rule, type Station } from '../../define-rule.ts';
import { lengthWords, withCorners, type Bent } from '../../rule-kit/places.ts';

/** Makes an end straight long enough, offered only where it helps and spoils no bend. */
function lengthened(
  view: Bent,
  line: LineView,
  end: 'a' | 'b',
  straightMm: number,
  words: (mm: number) => string,
): Fix | null {
  const neededMm = toolingOf(line.line.ends[end], view.plan.bench).nutLengthMm + line.bender.shoeMm;
  const moreMm = Math.ceil(neededMm - straightMm);
  const cornersMm = lengthenEnd(line.nodesMm, end, moreMm).find((corners) =>
    ['ok', 'flare-first'].includes(withCorners(view, line, corners).card?.room[end].room ?? ''),
  );
  return cornersMm
    ? {
        label: `Make it ${words(moreMm)} longer`,
        call: { edit: 'setCorners', with: { id: line.line.id, cornersMm } },
      }
    : null;
}

interface Short {
  readonly line: LineView;
  readonly end: 'a' | 'b';
  readonly straight: string;
  readonly needed: string;
}
/** A rule about ends of lines whose end straight has just this room. */
export const endStraights = (
  id: string,
  station: Station,
  levelOf: (straightMm: number, neededMm: number) => Finding['level'],
  room: EndClearance,
  say: (found: Short) => string,
): Rule =>
  defineRule({
    id,
    station,
    about: 'end',
    reads: ['plan.bench', 'ports'],
    judge: (line, end, view) => {
      const found = line.card?.room[end];
      if (found?.room !== room) return null;
      const { bare, full } = lengthWords(view);
      const level = levelOf(found.straightMm, found.neededMm);
      const text = say({
        line,
        end,
        straight: full(found.straightMm, 1),
        needed: bare(found.neededMm),
      });
      return {
        level,
        text,
        ...(level !== 'note'
          ? { fix: () => lengthened(view, line, end, found.straightMm, bare) }
          : {}),
      };
    },
  });
