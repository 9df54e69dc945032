import { aStar } from 'ngraph.path';
import { ExtendedTriangle } from 'three-mesh-bvh';
import { Line3, PlaneGeometry, Vector3 } from 'three';
import { clips, type ClipLimits } from '../core/src/shape/clips/index.ts';
import { meshIndex, treeOf } from '../core/src/shape/mesh/index.ts';
import { lineSpace } from '../core/src/plan/index.ts';
import { viewPlan } from '../core/src/plan/results/index.ts';
import { obstaclesOf } from '../core/src/shape/obstacles/index.ts';
import {
  cheapest,
  nodeOf,
  problemOf,
  type Problem,
  type WayInput,
} from '../core/src/shape/pathfinding/index.ts';
import type { Vec3 } from '../core/src/lib/vec/index.ts';
import { latticeGraph } from '../core/src/testing/lattice-graph.ts';
import { bigPlan, gannet, middleMs } from './lines.ts';
import { seeded } from '../core/src/lib/random/index.ts';

const STRAIGHT_MM = 45;

function wayInput(pitchMm: number): WayInput {
  const plan = gannet();
  const line = viewPlan(plan).lines.find((view) => view.line.id === 'line-r1')!;
  const end = (at: 'a' | 'b') => ({
    atMm: line.nodesMm.at(at === 'a' ? 0 : -1)!,
    direction: line.ports[at]!.port.direction,
    leadMm: 60,
  });
  return {
    a: end('a'),
    b: end('b'),
    odMm: line.tube.odMm,
    straightMm: STRAIGHT_MM,
    pitchMm,
    obstacles: obstaclesOf(plan),
    reachMm: plan.clipSettings.reachMm,
    wide: false,
    mountedOn: new Set(),
  };
}
const run = ({ lattice, from, to, costs }: Problem) =>
  cheapest(lattice, from, to, costs, STRAIGHT_MM);

/** Finding a way beside the library's A* over the same lattice, costs and estimate; and ours alone on a finer one. */
export function benchWays(): void {
  const problem = problemOf(wayInput(40));
  const first = performance.now();
  const ours = run(problem)!;
  const coldMs = performance.now() - first;
  const { graph, places } = latticeGraph(problem, STRAIGHT_MM);
  const left = (state: number): number => {
    const place = places[Math.floor(state / 6)]!;
    const axis = (state % 6) >> 1;
    const off = place.map((v, i) => Math.abs(v - problem.to.at[i]!));
    return (
      off.reduce((sum, v) => sum + v, 0) +
      problem.costs.bend * off.filter((v, i) => v > 1e-9 && i !== axis).length
    );
  };
  const finder = aStar(graph, {
    oriented: true,
    distance: (_a, _b, link) => link.data as number,
    heuristic: (a) => left(a.id as number),
  });
  const [from, to] = [
    nodeOf(problem.lattice, problem.from.at) * 6 + problem.from.direction,
    nodeOf(problem.lattice, problem.to.at) * 6 + problem.to.direction,
  ];
  const theirCost = (): number => {
    const path = finder.find(from, to).reverse();
    return path
      .slice(1)
      .reduce((sum, node, i) => sum + (graph.getLink(path[i]!.id, node.id)!.data as number), 0);
  };
  const cost = theirCost();
  // Both are compiled before they are timed.
  for (let i = 0; i < 10; i++) {
    run(problem);
    finder.find(from, to);
  }
  const [oursMs, theirsMs] = [
    middleMs(15, () => void run(problem)),
    middleMs(15, () => void finder.find(from, to)),
  ];
  const ratio = theirsMs / oursMs;
  console.log(
    `a way for R1 at 40 mm: ${oursMs.toFixed(0)} ms over known costs (${coldMs.toFixed(0)} ms with every clearance measured), ${ratio.toFixed(1)} times as fast as ngraph.path’s A* (5 asked)${ratio < 5 ? ' NOT MET' : ''}; ${ours.looked} states looked at; cost ${ours.cost.toFixed(1)} against ${cost.toFixed(1)}${ours.cost > cost + 1e-6 ? ' NOT MET' : ''}`,
  );
  const before = process.memoryUsage().rss;
  let most = before;
  const start = performance.now();
  const fine = problemOf(wayInput(20));
  const found = run(fine)!;
  most = Math.max(most, process.memoryUsage().rss);
  const fineMs = performance.now() - start;
  const mb = (most - before) / 1e6;
  console.log(
    `a way for R1 at 20 mm: ${(fineMs / 1000).toFixed(2)} s (1.5 asked)${fineMs > 1500 ? ' NOT MET' : ''} over ${fine.lattice.count} places, ${found.looked} states looked at, ${mb.toFixed(0)} MB more than before (400 asked)`,
  );
}

/** A bumpy sheet of 200,000 triangles under the vehicle. */
export function bumpySheet(): Float32Array {
  const sheet = new PlaneGeometry(3600, 1600, 400, 250).toNonIndexed();
  const at = sheet.getAttribute('position').array as Float32Array;
  for (let i = 0; i < at.length; i += 3) {
    at[i]! += 1500;
    at[i + 2] = 380 + 60 * Math.sin(at[i]! / 90) * Math.cos(at[i + 1]! / 70);
  }
  return at;
}

/** Clearance of 60 lines to a mesh of 200,000 triangles, beside every triangle asked in turn. */
export function benchClearance(): void {
  const positions = bumpySheet();
  const index = meshIndex({ positions, tree: treeOf(positions) });
  const plan = bigPlan(60);
  const lines = viewPlan(plan).lines.map((line) => lineSpace(plan, line)!.points);
  const ours = (points: readonly Vec3[]): number =>
    points
      .slice(1)
      .reduce(
        (least, to, i) =>
          Math.min(least, index.nearest(points[i]!, to, least)?.distanceMm ?? Infinity),
        1e6,
      );
  const triangle = new ExtendedTriangle();
  const segment = new Line3();
  const theirs = (points: readonly Vec3[]): number => {
    let least = 1e6;
    for (let i = 1; i < points.length; i++) {
      segment.start.set(...points[i - 1]!);
      segment.end.set(...points[i]!);
      for (let k = 0; k < positions.length; k += 9) {
        for (const [n, corner] of [triangle.a, triangle.b, triangle.c].entries())
          corner.fromArray(positions, k + 3 * n);
        triangle.needsUpdate = true;
        least = Math.min(least, triangle.closestPointToSegment(segment, scratch, other));
      }
    }
    return least;
  };
  const oursMs = middleMs(3, () => lines.forEach(ours));
  const one = lines[1]!;
  const start = performance.now();
  const known = theirs(one);
  const bruteMs = (performance.now() - start) * lines.length;
  const differ = Math.abs(known - ours(one));
  console.log(
    `clearance of 60 lines to ${positions.length / 9} triangles: ${oursMs.toFixed(1)} ms, ${(bruteMs / oursMs).toFixed(0)} times as fast as every triangle in turn (measured on one line of them); least distance differs by ${differ.toExponential(1)} mm`,
  );
}
const [scratch, other] = [new Vector3(), new Vector3()];

const TUBE = {
  odMm: 4.7625,
  wallMm: 0.7112,
  youngGPa: 207,
  densityKgM3: 7850,
  fluidKgM3: 1060,
  excitationHz: 0,
  margin: 1,
};

/** Fewest clips on places 10 mm apart, by going through all of them. */
function exhaustive({ lengthMm, maxSpanMm, endMm, forbiddenMm = [] }: ClipLimits): number {
  const places = Array.from({ length: lengthMm / 10 - 1 }, (_, i) => (i + 1) * 10).filter(
    (at) => !forbiddenMm.some(([from, to]) => at > from && at < to),
  );
  let reached = places.filter((at) => at <= endMm);
  for (let count = 1; reached.length; count++) {
    if (reached.some((at) => lengthMm - at <= endMm)) return count;
    reached = places.filter((to) => reached.some((at) => to > at && to - at <= maxSpanMm));
  }
  return 0;
}

/** Clips beside an exhaustive search on short lines, and on six meters of tube. */
export function benchClips(): void {
  const next = seeded(5);
  const tens = (most: number): number => 10 * (1 + Math.floor(next() * (most / 10)));
  const tasks = Array.from({ length: 200 }, (): ClipLimits => {
    const lengthMm = 400 + tens(1200);
    const forbiddenMm = [1, 2, 3]
      .map(() => tens(lengthMm))
      .map((from) => [from, from + tens(80)] as const);
    return { ...TUBE, lengthMm, maxSpanMm: 200 + tens(200), endMm: 100 + tens(100), forbiddenMm };
  });
  const answered = tasks.flatMap((task) => {
    try {
      return [{ task, count: clips(task).positionsMm.length }];
    } catch {
      return [];
    }
  });
  // Places 10 mm apart may miss what lies between, so they never need fewer.
  const more = answered.filter(({ task, count }) => count > (exhaustive(task) || Infinity)).length;
  const same = answered.filter(({ task, count }) => count === exhaustive(task)).length;
  const [oursMs, allMs] = [
    middleMs(5, () => answered.forEach(({ task }) => clips(task))),
    middleMs(5, () => answered.forEach(({ task }) => exhaustive(task))),
  ];
  const long: ClipLimits = {
    ...TUBE,
    lengthMm: 6000,
    maxSpanMm: 300,
    endMm: 100,
    forbiddenMm: Array.from(
      { length: 14 },
      (_, i) => [200 + 400 * i, 260 + 400 * i + (i % 5) * 20] as const,
    ),
  };
  const longMs = middleMs(9, () => void clips(long));
  console.log(
    `clips: as few as an exhaustive search in ${same} of ${answered.length} short lines, more in ${more}${more ? ' NOT MET' : ''}; ${((1000 * oursMs) / answered.length).toFixed(0)} µs a line and evened out, ${(allMs / oursMs).toFixed(1)} times as fast; 6 m with 14 forbidden stretches ${longMs.toFixed(1)} ms, ${clips(long).positionsMm.length} clips`,
  );
}
