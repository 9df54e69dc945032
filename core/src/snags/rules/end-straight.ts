import { applyEdit, lengthenEnd, toolingOf, viewPlan, type LineView, type PlanView } from '../../plan/index.ts';
import type { Room } from '../../tube/index.ts';
import { cornerAt, ENDS, endName, lengthWords, onLine, type Snag } from '../snag.ts';

/** A mend that makes an end straight long enough, tried on the plan itself and offered only where it helps and spoils no bend. */
function lengthened(view: PlanView, line: LineView, end: 'a' | 'b', straightMm: number): Snag['mend'] {
  const neededMm = toolingOf(line.line.ends[end], view.plan.bench).nutLengthMm + line.bender.shoeMm;
  const moreMm = Math.ceil(neededMm - straightMm);
  for (const cornersMm of lengthenEnd(line.nodesMm, end, moreMm)) {
    const call = { edit: 'setCorners', with: { id: line.line.id, cornersMm } } as const;
    const after = viewPlan(applyEdit(view.plan, call)).lines.find((v) => v.line.id === line.line.id);
    const room = after?.card?.room[end].room;
    if (room === 'ok' || room === 'flare-first') return { label: `Make it ${lengthWords(view).bare(moreMm)} longer`, call };
  }
  return undefined;
}

/** Findings at both ends of every line whose end straight has just this room. */
export function endStraights(
  view: PlanView,
  room: Room,
  finding: (found: {
    line: LineView;
    end: 'a' | 'b';
    straight: string;
    needed: string;
  }) => Pick<Snag, 'rule' | 'level' | 'station' | 'text'>,
): Snag[] {
  const { bare, full } = lengthWords(view);
  return view.lines.flatMap((line) =>
    ENDS.flatMap((end): Snag[] => {
      const found = line.card?.room[end];
      if (found?.room !== room) return [];
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
    }),
  );
}
