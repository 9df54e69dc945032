import { defineRule, type Finding } from '../../define-rule.ts';

/** No verdict is green while it rests on a guess. */
export const figuresGuessed = defineRule({
  id: 'figures-guessed',
  station: 'size',
  about: 'plan',
  reads: ['plan.clutch', 'plan.parking', 'plan.singles', 'plan.sizing', 'plan.trailer'],
  judge: ({ plan }) => {
    const sheets = [
      ['Foot to road', plan.sizing],
      ['Trailer', plan.trailer],
      ...plan.singles.map((single) => [single.name, single] as const),
      ['Clutch', plan.clutch],
      ['Parking brake', plan.parking],
    ] as const;
    const open = sheets.filter(([, sheet]) => sheet?.open.length);
    const names = open.map(([where, sheet]) => `${where} ${sheet!.open.length}`);
    if (open.length > 1)
      return {
        level: 'caution',
        place: { kind: 'plan', id: plan.id },
        where: 'Figures in Size',
        text: `Still estimated: ${names.join(', ')}. Measure, or take from the parts’ sheets.`,
      };
    return open.map(([where, sheet]): Finding => {
      const count = sheet!.open.length;
      return {
        level: 'caution',
        place: { kind: 'plan', id: plan.id },
        where,
        text: `${count === 1 ? '1 figure is' : `${count} figures are`} still estimated. Measure, or take from the parts’ sheets.`,
      };
    });
  },
});
