import { derive } from '../../../lib/derive/index.ts';
import { atLength, hoseView, type HoseView } from '../../../stations/route/index.ts';
import type { Thing } from '../../../shape/obstacles/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** The shortest of the lengths they have that serves all. */
const commonOf = derive(
  'length in common',
  (
    views: readonly HoseView[],
    things: readonly Thing[],
  ): readonly [HoseView, readonly Thing[], ...HoseView[]] => [views[0]!, things, ...views],
  (_first, things, ...views): number | null => {
    const lengths = [...new Set(views.map(({ hose }) => hose.orderMm))].sort((a, b) => a - b);
    return (
      lengths.find((orderMm) => views.every((view) => atLength(view, things, orderMm).ok)) ?? null
    );
  },
);

/** Corners whose hoses differ in length for no reason: one length that serves all makes one spare serve all. Common practice. */
export const hosesUnlike = defineRule({
  id: 'hoses-unlike',
  station: 'route',
  about: 'plan',
  reads: ['obstacles', 'plan.hoses', 'plan.things', 'ports'],
  judge: (view) => {
    const corners = view.plan.hoses.filter(
      (hose) => hose.service === 'pressure' && hose.motion.kind !== 'still',
    );
    return [...new Set(corners.map((hose) => hose.stockId))].flatMap((stockId): Finding[] => {
      const alike = corners.filter((hose) => hose.stockId === stockId);
      const count = new Set(alike.map((hose) => hose.orderMm)).size;
      if (count < 2) return [];
      const views = alike.map((hose) => hoseView(view.plan, hose, view.ports));
      const fits = commonOf(views, view.plan.things);
      if (fits === null) return [];
      const { full } = lengthWords(view);
      return [
        {
          level: 'note',
          place: { kind: 'hose', id: alike[0]!.id },
          where: alike.map((hose) => hose.name).join(', '),
          text: `${count} different lengths, where ${full(fits)} fits all of them. With one length, one spare does for all.`,
          fix: () => ({
            label: `All ${full(fits)}`,
            call: {
              edit: 'equalizeHoseLengths',
              with: { ids: alike.map((hose) => hose.id), orderMm: fits },
            },
          }),
        },
      ];
    });
  },
});
