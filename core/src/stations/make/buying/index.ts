export { shoppingList, type Listed } from './list.ts';
export { GROUPS, type Group, type ListItem, type Use } from './gathered.ts';
export {
  compared,
  kitFindings,
  kitLacks,
  listView,
  priceRows,
  received,
  sellerWords,
  type KitFinding,
  type ListRow,
  type ListView,
} from './orders.ts';
