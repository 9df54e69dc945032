import type { Ref } from '../../../plan/index.ts';
import type { Half } from '../../../trade/stock/index.ts';

export const GROUPS = [
  'Parts',
  'Tube',
  'Nuts and sleeves',
  'Hoses',
  'Adapters',
  'Bought lines',
  'Wheels',
  'Washers and sealant',
  'Clips and screws',
  'Caps',
  'Fluid',
  'Tools',
  'Your own',
] as const;
export type Group = (typeof GROUPS)[number];
/** Where a thing of the list goes. */
export interface Use {
  readonly text: string;
  readonly place: Ref;
}
/** One thing of the list, as it follows from the plan. */
export interface ListItem {
  /** Tells it from the others, whatever else of the plan changes. */
  readonly key: string;
  readonly group: Group;
  readonly name: string;
  /** Pieces; of tube meters, of fluid millilitres. */
  readonly count: number;
  readonly unit: 'piece' | 'm' | 'mL';
  readonly uses: readonly Use[];
  /** Its own threaded end, where it has one that can be measured when it comes. */
  readonly half?: Half;
  /** What to say to a seller beside its name. */
  readonly words?: string;
}

/** Gathers things by what they are: the same thing wanted in two places is one line with both. */
export class Gathered {
  readonly #items = new Map<string, ListItem>();
  add(
    item: Omit<ListItem, 'count' | 'uses' | 'unit'> & { readonly unit?: ListItem['unit'] },
    count: number,
    ...uses: Use[]
  ): void {
    const now = this.#items.get(item.key);
    this.#items.set(item.key, {
      unit: 'piece',
      ...item,
      count: (now?.count ?? 0) + count,
      uses: [...(now?.uses ?? []), ...uses],
    });
  }
  get items(): ListItem[] {
    return [...this.#items.values()].sort(
      (a, b) => GROUPS.indexOf(a.group) - GROUPS.indexOf(b.group) || a.name.localeCompare(b.name),
    );
  }
}
