export { shoppingList, type Listed } from './list.ts';
export { GROUPS, type Group, type ListItem, type Use } from './gathered.ts';
export {
  compared,
  listView,
  priceRows,
  received,
  sellerWords,
  type ListRow,
  type ListView,
} from './orders.ts';
export { kitFindings, kitLacks, type KitFinding } from './kits.ts';
