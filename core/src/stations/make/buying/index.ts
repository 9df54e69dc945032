export { GROUPS, shoppingList, type Group, type Listed, type ListItem, type Use } from './list.ts';
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
