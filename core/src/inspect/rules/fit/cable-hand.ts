import { defineRule, type Finding } from '../../define-rule.ts';

const SIDE = /\b(left|right)\b/i;

/** A cable bent for one side pulls at an angle on the other. Common practice. */
export const cableHand = defineRule({
  id: 'cable-hand',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds'],
  judge: ({ plan }): Finding[] => {
    const { cables } = plan.wheelEnds;
    return cables.flatMap(({ id, name, hand }, i): Finding[] => {
      if (hand === 'either') return [];
      const at = { place: { kind: 'cable' as const, id }, where: name };
      const side = SIDE.exec(name)?.[1]!.toLowerCase();
      if (side && side !== hand)
        return [
          {
            level: 'caution',
            ...at,
            text: `This cable is made for the ${hand} side, and its name says ${side}.`,
          },
        ];
      const twin = cables.slice(0, i).find((one) => one.hand === hand);
      return twin
        ? [
            {
              level: 'caution',
              ...at,
              text: `Made for the ${hand} side, and so is ${twin.name}. One of them is the wrong one.`,
            },
          ]
        : [];
    });
  },
});
