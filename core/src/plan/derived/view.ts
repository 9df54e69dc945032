import { bleedViews, type BleedView } from './bleed-view.ts';
import { fixAll, type ResolvedPosition } from './position.ts';
import { lineView, type LineView, type PortView } from './line-view.ts';
import { residualViews, type ResidualView } from './residual-view.ts';
import { sizeView, type SizeView } from './size-view.ts';
import { allPorts, type Circuit, type Plan, type Point } from '../model/index.ts';
import { sheetResults, type SheetResults } from './sheet-results.ts';

export interface PointView {
  readonly point: Point;
  readonly fixed: ResolvedPosition;
}
/** A plan with all that follows from it; nothing here is ever stored. */
export interface PlanView {
  readonly plan: Plan;
  readonly points: ReadonlyMap<string, PointView>;
  readonly ports: ReadonlyMap<string, PortView>;
  readonly lines: readonly LineView[];
  readonly circuits: ReadonlyMap<string, Circuit>;
  readonly bleeding: readonly BleedView[];
  readonly size: SizeView | null;
  readonly works: SheetResults;
  readonly residuals: readonly ResidualView[];
}

const remembered = new WeakMap<Plan, PlanView>();

/** The working model of a valid plan, computed once for each state of it. */
export function viewPlan(plan: Plan): PlanView {
  const before = remembered.get(plan);
  if (before) return before;
  const fixed = fixAll(plan);
  const points = new Map(plan.points.map((point) => [point.id, { point, fixed: fixed.get(point.id)! }]));
  const ports = new Map(allPorts(plan).map(({ part, port }) => [port.id, { part, port, fixed: fixed.get(port.id)! }]));
  const lines = plan.lines.map((line) => lineView(line, plan.bench, ports));
  const circuits = new Map(plan.circuits.map((circuit) => [circuit.id, circuit]));
  const view = {
    plan, points, ports, lines, circuits,
    bleeding: bleedViews(plan, lines, ports),
    size: sizeView(plan, lines),
    works: sheetResults(plan, lines),
    residuals: residualViews(plan.parts, ports, lines),
  }; // prettier-ignore
  remembered.set(plan, view);
  return view;
}
