import { sizingRule } from './sizing.ts';

/** No verdict is green while it rests on a guess. */
export const figuresGuessed = sizingRule('figures-guessed', ({ open }) =>
  open.length
    ? [
        {
          level: 'mind',
          where: 'Foot to road',
          text: `${open.length === 1 ? '1 figure is' : `${open.length} figures are`} still a guess: measure them or take them from the parts' sheets.`,
        },
      ]
    : [],
);
