import { MultiUndirectedGraph } from 'graphology';
import { connectedComponents } from 'graphology-components';
import { components } from '../core/src/physics/flow-graph/index.ts';
import { applyEdit, layPlan, type Plan } from '../core/src/plan/index.ts';
import { planNetwork } from '../core/src/plan/network/index.ts';
import { bigPlan, middleMs } from './lines.ts';

const LINES = 300;
const GOALS = { buildMs: 5, updateMs: 1 };
/** The same plan with nothing of it known yet. */
const unknown = (plan: Plan): Plan => structuredClone(plan);
const judged = (ms: number, most: number): string =>
  `${ms.toFixed(2)} ms (${most} asked${ms > most ? ', NOT MET' : ''})`;

/** The network of a large plan built from nothing, brought up to date after an edit, and asked what is joined, beside a graph library. */
export function benchNetwork(): void {
  const plan = bigPlan(LINES);
  const rounds = 15;
  const fresh = Array.from({ length: rounds }, () => unknown(plan));
  const built = planNetwork;
  let i = 0;
  for (const one of fresh.slice(0, 5)) built(unknown(one));
  const buildMs = middleMs(rounds, () => void built(fresh[i++]!));
  let now = plan;
  layPlan(now);
  const edits = Array.from({ length: rounds }, (_, k) => {
    const { id, cornersMm } = now.lines[k]!;
    return {
      edit: 'setCorners',
      with: { id, cornersMm: cornersMm.map(([x, y, z]) => [x, y + 1, z] as const) },
    } as const;
  });
  const after = edits.map((edit) => (now = applyEdit(now, edit)));
  i = 0;
  built(plan);
  const updateMs = middleMs(rounds, () => void built(after[i++]!));
  // A port that moves has its part's passages made anew.
  const part = now.parts[0]!;
  const moved = Array.from({ length: rounds }, (_, k) =>
    applyEdit(now, {
      edit: 'changePort',
      with: { id: part.ports[0]!.id, patch: { name: `port ${k}` } },
    }),
  );
  i = 0;
  const portMs = middleMs(rounds, () => void built(moved[i++]!));
  const network = built(now);
  const graphOf = () => {
    const graph = new MultiUndirectedGraph();
    for (const port of network.ports) graph.addNode(port);
    for (const { from, to } of network.ducts) graph.addEdge(from, to);
    return graph;
  };
  for (let k = 0; k < 10; k++) connectedComponents(graphOf());
  const theirBuildMs = middleMs(rounds, () => void graphOf());
  const graph = graphOf();
  const theirMs = middleMs(rounds, () => void connectedComponents(graph));
  const oursMs = middleMs(rounds, () => void components(network));
  console.log(
    `network of ${LINES} lines, ${network.ports.length} ports, ${network.ducts.length} ducts: built in ${judged(buildMs, GOALS.buildMs)}, graphology ${theirBuildMs.toFixed(2)} ms; ` +
      `a corner moved ${judged(updateMs, GOALS.updateMs)}, a port changed ${portMs.toFixed(2)} ms; what is joined ${oursMs.toFixed(2)} ms, graphology ${theirMs.toFixed(2)} ms, ${(theirMs / oursMs).toFixed(0)} times`,
  );
}
