import { AdapterGraph, halfOfNut, jointBetween, jointsOf, STOCK, type Joint } from '../ends/index.ts';
import { ADAPTERS, adapterById, nutById, type Adapter } from '../stock/index.ts';
import type { PortView } from './line-view.ts';
import type { Bench, LineEnd } from './types.ts';

/** One joint of a line's end, counted from the port. */
export type JointView = Joint;

/** An adapter of the stock or of the user's own. */
export const adapterOf = (bench: Bench, id: string): Adapter | undefined =>
  adapterById(id) ?? bench.adapters.find((adapter) => adapter.id === id);

const graphs = new WeakMap<readonly Adapter[], AdapterGraph>();
/** The stock's adapters with the user's own, ready for searching. */
export function adaptersOf({ adapters }: Bench): AdapterGraph {
  if (!adapters.length) return STOCK;
  if (!graphs.has(adapters)) graphs.set(adapters, new AdapterGraph([...ADAPTERS, ...adapters]));
  return graphs.get(adapters)!;
}

/** Every joint from a port over its adapters to the nut; null where there is no port or its thread is not known. */
export function jointViews(at: PortView | null, end: LineEnd, bench: Bench): JointView[] | null {
  if (!at?.port.fitting) return null;
  const adapters = end.adapters.map((id) => adapterOf(bench, id)!);
  return jointsOf(at.port.fitting.half, adapters, halfOfNut(nutById(end.nutId)!)).map(({ near, far }) => jointBetween(near, far));
}
