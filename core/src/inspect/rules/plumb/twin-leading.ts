import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';
import { placeOf, PURPOSE_READS } from './_purpose.ts';

/**
 * Two leading shoes lead in one direction alone: on the other side, or backwards, both trail and brake with a third of
 * the force or so. Common practice.
 */
export const twinLeading = defineRule({
  id: 'twin-leading',
  station: 'plumb',
  about: 'plan',
  reads: PURPOSE_READS,
  judge: (view) => {
    const drums = view.plan.parts.filter(({ leadingOn }) => leadingOn);
    const swapped = drums.filter((drum) => {
      const { side } = placeOf(view, drum);
      return side !== null && side !== drum.leadingOn;
    });
    const inReverse = drums
      .filter((drum) => !swapped.includes(drum))
      .map(({ name }) => name)
      .join(', ');
    return [
      ...swapped.map((drum): Finding => ({
        level: 'stop',
        place: onPart(drum),
        where: drum.name,
        text: `Its twin leading shoes are made for the ${drum.leadingOn}. On this side both trail, and it brakes with about a third of the force. Swap left and right.`,
      })),
      ...(inReverse
        ? [
            {
              level: 'note',
              where: inReverse,
              text: 'Twin leading shoes brake weakly in reverse, and hold weakly on a slope when facing uphill. Do not count on them to park.',
            } as const,
          ]
        : []),
    ];
  },
});
