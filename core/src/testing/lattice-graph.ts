import createGraph from 'ngraph.graph';
import { DIRECTIONS, nodeOf, placeOf, type Problem } from '../shape/pathfinding/index.ts';
import { distance, dot, sub } from '../lib/vec/index.ts';

/** The states, turns and costs of a search for a way as a graph of `ngraph.graph`, to hold the search against. */
export function latticeGraph({ lattice, costs, to }: Problem, straightMm: number) {
  const graph = createGraph();
  const [nx, ny] = [lattice.mm[0].length, lattice.mm[1].length];
  const strides = DIRECTIONS.map((_, d) => [1, nx, nx * ny][d >> 1]! * (d & 1 ? 1 : -1));
  const places = Array.from({ length: lattice.count }, (_, node) => placeOf(lattice, node));
  const goal = nodeOf(lattice, to.at);
  for (let node = 0; node < lattice.count; node++)
    for (let direction = 0; direction < 6; direction++)
      for (let next = 0; next < 6; next++) {
        if ((next ^ direction) === 1) continue;
        const turn = next !== direction;
        if (node === goal) {
          if (turn && next === to.direction)
            graph.addLink(node * 6 + direction, node * 6 + next, costs.bend);
          continue;
        }
        let [at, done, cost] = [node, 0, turn ? costs.bend : 0];
        const wanted = turn ? straightMm : 0;
        do {
          const ahead = at + strides[next]!;
          const [here, there] = [places[at]!, places[ahead]];
          const step = there ? distance(here, there) : 0;
          if (!step || dot(sub(there!, here), DIRECTIONS[next]!) < step - 1e-9) cost = Infinity;
          else cost += step * costs.perMm(at, ahead, next);
          [at, done] = [ahead, done + step];
        } while (done < wanted - 1e-9 && cost < Infinity && at !== goal);
        if (cost < Infinity && !(at === goal && done < wanted - 1e-9 && next !== to.direction))
          graph.addLink(node * 6 + direction, at * 6 + next, cost);
      }
  return { graph, places };
}
