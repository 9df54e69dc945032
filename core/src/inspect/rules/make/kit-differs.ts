import { kitFindings } from '../../../stations/make/buying/index.ts';
import { defineRule } from '../../define-rule.ts';

/** A kit that does not fit one corner is not ordered. */
export const kitDiffers = defineRule({
  id: 'kit-differs',
  station: 'make',
  about: 'plan',
  reads: ['plan.buying'],
  judge: ({ plan }) =>
    plan.buying.kits.flatMap((kit) => {
      const found = kitFindings(kit);
      const open = found.filter(({ kind }) => kind === 'open').length;
      return [
        ...found
          .filter(({ kind }) => kind === 'differs')
          .map(({ text }) => ({
            level: 'stop' as const,
            where: kit.name,
            text: `Do not order it yet. ${text}`,
          })),
        ...(open
          ? [
              {
                level: 'note' as const,
                where: kit.name,
                text: `${open === 1 ? 'One figure is' : `${open} figures are`} not measured yet. Measure before you order.`,
              },
            ]
          : []),
      ];
    }),
});
