import { sizingRule } from './_shared.ts';

/** An electric booster that has not been told of the calipers it now feeds meters for others. Common practice; the maker's sheet decides. */
export const boosterCoding = sizingRule('booster-coding', ({ boosterBy }) => {
  if (boosterBy?.kind !== 'electric' || boosterBy.coding === 'done' || boosterBy.coding === 'none')
    return [];
  const needed = boosterBy.coding === 'needed';
  return [
    {
      level: needed ? 'mind' : 'note',
      where: 'Booster',
      text: needed
        ? 'Its control is still to be told of these calipers: it meters for others until then. Have it coded before the first drive.'
        : "Whether its control must be told of other calipers is not known: ask its maker, or whoever has the maker's tool.",
    },
  ];
});
