import { sizingRule } from './_shared.ts';

/** An electric booster that has not been told of the calipers it now feeds meters for others. Common practice; the maker's sheet decides. */
export const boosterCoding = sizingRule('booster-coding', ({ boosterBy }) => {
  if (boosterBy?.kind !== 'electric' || boosterBy.coding === 'done' || boosterBy.coding === 'none')
    return [];
  const needed = boosterBy.coding === 'needed';
  return [
    {
      level: needed ? 'caution' : 'note',
      where: 'Booster',
      text: needed
        ? 'The booster’s control unit is not coded for these calipers yet. Have it coded before the first drive.'
        : 'It is not known whether the booster’s control unit must be coded for other calipers. Ask the maker, or someone with the maker’s tool.',
    },
  ];
});
