import { defineRule } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** A disc with handed vanes on the wrong side draws air in instead of throwing it out: it runs hot. */
export const discHand = defineRule({
  id: 'disc-hand',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds', 'plan.parts', 'ports'],
  judge: ({ plan, ports }) => {
    return plan.wheelEnds.calipers.flatMap(({ key, disc }) => {
      const part = plan.parts.find(({ id }) => id === key);
      const acrossMm =
        part?.ports.map(({ id }) => ports.get(id)?.fixed.atMm[1]).find((y) => y !== undefined) ?? 0;
      if (!part || disc === null || disc === 'either' || Math.abs(acrossMm) < 1) return [];
      const side = acrossMm < 0 ? 'left' : 'right';
      return side === disc
        ? []
        : [
            {
              level: 'caution' as const,
              place: onPart(part),
              where: part.name,
              text: `The disc’s vanes are made for the ${disc} side, and it is fitted on the ${side}. Swap the discs.`,
            },
          ];
    });
  },
});
