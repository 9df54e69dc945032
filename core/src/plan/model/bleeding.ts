import type { School } from '../../physics/bleeding/index.ts';
import { choice, number, once, record, ref, told } from './field.ts';

export interface Bleeding {
  readonly school: School;
  /** Bleeder ports in the order of the maker's sheet. */
  readonly listed: readonly string[];
  readonly purge: number;
}
export const BLEEDING = record<Bleeding>()({
  school: told(
    'Order',
    choice({
      'farthest-first': 'Farthest first',
      'nearest-first': 'Nearest first',
      'as-listed': 'Maker’s order',
    }),
  ),
  listed: told('Maker’s order', once(ref('port'), 5000)),
  purge: told('Flush volume, × line volume', number(0, 1000), { usual: [1, 20] }),
});
export const DEFAULT_BLEEDING: Bleeding = {
  school: 'farthest-first',
  listed: [],
  purge: 3,
};
