import { defineRule, type Finding } from '../../define-rule.ts';
import { begun } from './_shared.ts';

/** A maker's sheet that gives an order wins over any school. Common practice. */
export const orderNotSheet = defineRule({
  id: 'order-not-sheet',
  station: 'fill',
  about: 'plan',
  reads: ['plan.filling', 'plan.bleeding'],
  judge: (view) => {
    const { bleeding } = view.plan;
    const { makers } = view.plan.filling;
    if (!makers?.source || !bleeding.listed.length) return [];
    const fix = (): Finding['fix'] => () => ({
      label: 'Use the sheet’s order',
      call: { edit: 'changeBleeding', with: { patch: { school: 'as-listed' } } },
    });
    if (bleeding.school !== 'as-listed')
      return [
        {
          level: 'caution',
          text: `${makers.source} gives a bleeding order. Use it instead of the order chosen here.`,
          fix: fix(),
        },
      ];
    const run = begun(view).find(({ work }) => work === 'brake');
    const listed = bleeding.listed.filter((id) => run?.order.includes(id));
    const first = run?.order.slice(0, listed.length) ?? [];
    return run && listed.some((id, i) => first[i] !== id)
      ? [
          {
            level: 'caution',
            text: `The last bleed was started in a different order than ${makers.source} gives. Bleed again in that order.`,
          },
        ]
      : [];
  },
});
