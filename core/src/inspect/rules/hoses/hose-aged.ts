import { defineRule } from '../../define-rule.ts';

const months = (text: string): number => 12 * Number(text.slice(0, 4)) + Number(text.slice(5, 7));

/** A hose past the years it is given, counted to the day the plan was last worked on. Common practice; the maker's sheet comes first. */
export const hoseAged = defineRule({
  id: 'hose-aged',
  station: 'route',
  about: 'hose',
  reads: ['plan.changedAt'],
  judge: ({ hose, stock }, { plan }) => {
    if (!hose.madeOn) return null;
    const years = (months(plan.changedAt) - months(hose.madeOn)) / 12;
    if (years <= stock.lifeYears) return null;
    return {
      level: 'caution',
      text: `Made ${hose.madeOn}: ${Math.floor(years)} years old. ${stock.name} lasts ${stock.lifeYears} years. Replace it, even if it looks good.`,
    };
  },
});
