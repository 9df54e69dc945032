import { adapterById, type Adapter } from '../../trade/stock/index.ts';
import type { Bench } from './bench.ts';

/** An adapter of the stock or of the user's own. */
export const adapterOf = (bench: Bench, id: string): Adapter | undefined =>
  adapterById(id) ?? bench.adapters.find((adapter) => adapter.id === id);
