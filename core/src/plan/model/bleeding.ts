import type { School } from '../../physics/bleeding/index.ts';
import { number, once, oneOf, record, ref } from './field.ts';

export interface Bleeding {
  readonly school: School;
  /** Bleeder ports in the order of the maker's sheet. */
  readonly listed: readonly string[];
  readonly purge: number;
  readonly fluidId: string;
}
export const BLEEDING = record<Bleeding>()({
  school: oneOf(['farthest-first', 'nearest-first', 'as-listed']),
  listed: once(ref('port'), 5000),
  purge: number(0, 1000),
  fluidId: ref('fluid'),
});
export const DEFAULT_BLEEDING: Bleeding = {
  school: 'farthest-first',
  listed: [],
  purge: 3,
  fluidId: 'dot-4',
};
