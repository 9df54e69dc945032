import { AdapterGraph, halfOfNut, jointBetween, jointsOf, STOCK, type Joint } from '../ends/index.ts';
import { adapterOf, type Bench, type LineView } from '../plan/index.ts';
import { ADAPTERS, type Adapter } from '../stock/index.ts';

/** One joint of a line's end, counted from the port. */
export type JointView = Joint;

const graphs = new WeakMap<readonly Adapter[], AdapterGraph>();
/** The stock's adapters with the user's own, ready for searching. */
export function adaptersOf({ adapters }: Bench): AdapterGraph {
  if (!adapters.length) return STOCK;
  if (!graphs.has(adapters)) graphs.set(adapters, new AdapterGraph([...ADAPTERS, ...adapters]));
  return graphs.get(adapters)!;
}

type Joints = Readonly<Record<'a' | 'b', readonly JointView[] | null>>;
const remembered = new WeakMap<LineView, Joints>();

/** Every joint from an end's port over its adapters to the nut; null where there is no port or its thread is not known. */
export function jointsAt(view: LineView, end: 'a' | 'b'): readonly JointView[] | null {
  if (!remembered.has(view)) remembered.set(view, { a: build(view, 'a'), b: build(view, 'b') });
  return remembered.get(view)![end];
}

function build({ ports, line, nuts, bench }: LineView, end: 'a' | 'b'): JointView[] | null {
  const fitting = ports[end]?.port.fitting;
  if (!fitting) return null;
  const adapters = line.ends[end].adapters.map((id) => adapterOf(bench, id)!);
  return jointsOf(fitting.half, adapters, halfOfNut(nuts[end])).map(({ near, far }) => jointBetween(near, far));
}
