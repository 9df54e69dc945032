import { derive } from '../../lib/derive/index.ts';
import {
  AdapterGraph,
  halfOfNut,
  jointBetween,
  jointsOf,
  STOCK,
  type Joint,
} from '../../trade/ends/index.ts';
import { adapterOf, type Bench, type LineView } from '../../plan/index.ts';
import { ADAPTERS, type Adapter } from '../../trade/stock/index.ts';

/** One joint of a line's end, counted from the port. */
export type JointView = Joint;

const graphWith = derive(
  'graph of adapters',
  (adapters: readonly Adapter[]) => [adapters],
  (adapters) => new AdapterGraph([...ADAPTERS, ...adapters]),
);
/** The stock's adapters with the user's own, ready for searching. */
export const adaptersOf = ({ adapters }: Bench): AdapterGraph =>
  adapters.length ? graphWith(adapters) : STOCK;

/** Every joint from an end's port over its adapters to the nut; null where there is no port or its thread is not known. */
export const jointsAt = derive(
  'joints of an end',
  (view: LineView, end: 'a' | 'b') => [view, end],
  ({ ports, line, nuts, bench }, end): readonly JointView[] | null => {
    const fitting = ports[end]?.port.fitting;
    if (!fitting) return null;
    const adapters = line.ends[end].adapters.map((id) => adapterOf(bench, id)!);
    return jointsOf(fitting.half, adapters, halfOfNut(nuts[end])).map(({ near, far }) =>
      jointBetween(near, far),
    );
  },
  2,
);
