import { listView, type ListRow, type ListView } from '../../../stations/make/buying/index.ts';
import type { Reading } from '../../define-rule.ts';

/** What of a plan its list rests on. */
export const LIST_READS = [
  'lines',
  'ports',
  'bleeding',
  'plan.parts',
  'plan.buying',
  'plan.making',
  'plan.hoses',
  'plan.things',
  'plan.clipSettings',
  'plan.bleeding',
  'plan.bench',
  'plan.filling',
  'plan.wheelEnds',
  'plan.floor',
] as const;
/** The list, where anything of it was said. */
export const listOf = (view: Reading<(typeof LIST_READS)[number]>): ListView | null =>
  view.plan.buying.orders.length ? listView(view) : null;
export const amountOf = ({ item }: ListRow, n: number): string =>
  item.unit === 'm' ? `${n.toFixed(1)} m` : item.unit === 'mL' ? `${Math.round(n)} mL` : `${n}`;
