import { aStar } from 'ngraph.path';
import {
  gapTo,
  obstacleOf,
  THING_SPECS,
  type Shape,
  type Thing,
  type ThingKind,
} from '../obstacles/index.ts';
import { dot, sub, unit, type Vec3 } from '../../lib/vec/index.ts';
import { latticeGraph } from '../../testing/lattice-graph.ts';
import {
  cheapest,
  DIRECTIONS,
  findWays,
  makeLattice,
  nodeOf,
  placeOf,
  problemOf,
  shareNear,
  type Problem,
  type WayInput,
} from './index.ts';

const thing = (id: string, kind: ThingKind, shape: Shape): Thing => {
  const { nature, keepMm, holds } = THING_SPECS[kind];
  return { id, name: id, kind, shape, nature, keepMm, holds, surfaceC: null, travel: null };
};
const rail: Shape = {
  kind: 'bar',
  section: 'box',
  pathMm: [
    [0, -400, 400],
    [2000, -400, 400],
  ],
  widthMm: 80,
  heightMm: 100,
  wallMm: 4,
  opens: 'right',
};
const wall: Shape = { kind: 'block', minMm: [900, -360, 0], maxMm: [1000, 600, 1200] };
const input = (things: readonly Thing[], patch: Partial<WayInput> = {}): WayInput => ({
  a: { atMm: [100, -300, 450], direction: [1, 0, 0], leadMm: 60 },
  b: { atMm: [1900, 100, 450], direction: [-1, 0, 0], leadMm: 60 },
  odMm: 4.7625,
  straightMm: 45,
  pitchMm: 50,
  obstacles: things.map(obstacleOf),
  reachMm: 100,
  wide: false,
  mountedOn: new Set(),
  ...patch,
});
const nodes = (of: WayInput, corners: readonly Vec3[]): Vec3[] => [
  of.a.atMm,
  ...corners,
  of.b.atMm,
];

/** What every way must hold: out of both ports, room between its bends, clear of everything, square to the vehicle. */
function validateWay(of: WayInput, corners: readonly Vec3[]): void {
  const all = nodes(of, corners);
  const moves = all.slice(1).map((at, i) => sub(at, all[i]!));
  expect(dot(unit(moves[0]!)!, of.a.direction)).toBeCloseTo(1, 6);
  expect(dot(unit(moves.at(-1)!)!, of.b.direction)).toBeCloseTo(-1, 6);
  for (const move of moves)
    expect(DIRECTIONS.some((d) => dot(d, unit(move)!) > 1 - 1e-9)).toBe(true);
  for (const move of moves.slice(1, -1))
    expect(Math.hypot(...move)).toBeGreaterThanOrEqual(of.straightMm - 1e-6);
  for (const obstacle of of.obstacles)
    for (let i = 1; i < all.length; i++)
      expect([
        obstacle.thing.id,
        gapTo(obstacle, all[i - 1]!, all[i]!, of.odMm / 2 + obstacle.thing.keepMm - 0.01),
      ]).toEqual([obstacle.thing.id, null]);
}

describe('a way found', () => {
  test('with nothing in the way it is as short as square moves can be, with two bends', () => {
    const [way] = findWays(input([]), 1);
    expect(way!.lengthMm).toBeCloseTo(1800 + 400, 6);
    expect(way!.bends).toBe(2);
    validateWay(input([]), way!.cornersMm);
  });

  test('a wall is gone round by what is left open, and the tank keeps its distance', () => {
    const of = input([thing('wall', 'tank', wall), thing('rail', 'rail', rail)]);
    const ways = findWays(of);
    expect(ways.length).toBeGreaterThan(0);
    for (const way of ways) validateWay(of, way.cornersMm);
  });

  test('a port walled in has no way, and says so by finding none', () => {
    const box = (minMm: Vec3, maxMm: Vec3, id: string): Thing =>
      thing(id, 'tank', { kind: 'block', minMm, maxMm });
    const shut = [
      box([0, -400, 300], [400, -330, 600], 'left'),
      box([0, -270, 300], [400, -200, 600], 'right'),
      box([0, -400, 300], [400, -200, 400], 'under'),
      box([0, -400, 500], [400, -200, 600], 'over'),
      box([300, -400, 300], [400, -200, 600], 'ahead'),
    ];
    expect(findWays(input(shut))).toEqual([]);
  });

  test('up to three that differ: each under half its length within 60 mm of another', () => {
    const of = input([thing('rail', 'rail', rail)]);
    const ways = findWays(of);
    expect(ways.length).toBeGreaterThan(1);
    for (const [i, one] of ways.entries())
      for (const other of ways.slice(0, i))
        expect(shareNear(nodes(of, one.cornersMm), nodes(of, other.cornersMm), 60)).toBeLessThan(
          0.5,
        );
  });

  test('corners lie on round figures or on coordinates of the ports and of the frame', () => {
    const of = input([thing('wall', 'tank', wall), thing('rail', 'rail', rail)]);
    const good = [100 + 60, 1900 - 60, -300, 100, 450];
    for (const { cornersMm } of findWays(of))
      for (const at of cornersMm)
        for (const v of at)
          expect(good.includes(v) || Math.abs(v / 5 - Math.round(v / 5)) < 1e-9).toBe(true);
  });

  test('it runs along the rail rather than through the air', () => {
    const long = {
      a: { atMm: [100, -330, 400], direction: [1, 0, 0], leadMm: 60 },
      b: { atMm: [1900, -330, 400], direction: [-1, 0, 0], leadMm: 60 },
    } as const;
    const [way] = findWays(
      input(
        [
          thing('rail', 'rail', rail),
          thing('block', 'tank', {
            kind: 'block',
            minMm: [800, -352, 300],
            maxMm: [1200, -290, 500],
          }),
        ],
        long,
      ),
      1,
    );
    const off = way!.cornersMm.map(([, y, z]) =>
      Math.max(Math.abs(y + 400) - 40, Math.abs(z - 400) - 50),
    );
    // Within the reach of a clip, and less than half a pitch more.
    expect(Math.max(...off)).toBeLessThan(125);
  });

  test('a mm counts as one where a clip sits on the rail, as more where it wants a bracket, most in the air', () => {
    const { lattice, costs } = problemOf(input([thing('rail', 'rail', rail)]));
    const [stepsX, stepsY] = [1, lattice.mm[0].length];
    /** What a mm along x costs, the nearer the rail's face the first. */
    const perMm = Array.from({ length: lattice.count }, (_, node) => node)
      .filter((node) => {
        const [x, , z] = placeOf(lattice, node);
        return (
          Math.abs(x - 1000) < 30 && Math.abs(z - 400) < 26 && placeOf(lattice, node)[1] > -354
        );
      })
      .filter((node, i, all) => i === 0 || (node - all[0]!) % stepsY === 0)
      .map((node) =>
        costs.perMm(
          node,
          node + stepsX,
          DIRECTIONS.findIndex(([x]) => x === 1),
        ),
      )
      .filter((cost) => cost < Infinity);
    expect([...new Set(perMm.map((cost) => cost.toFixed(2)))]).toEqual(['1.00', '1.30', '2.20']);
  });

  test('a lattice too fine for the room is refused with both figures', () => {
    expect(() => findWays(input([], { pitchMm: 2 }))).toThrow(
      /A grid of 2 mm has 379038891 points between these ports/,
    );
  });
});

/** What ngraph.path finds over the same lattice, turns and costs. */
function theirs(problem: Problem, straightMm: number): number {
  const { graph } = latticeGraph(problem, straightMm);
  const state = ({ at, direction }: Problem['from']): number =>
    nodeOf(problem.lattice, at) * 6 + direction;
  const finder = aStar(graph, { oriented: true, distance: (_a, _b, link) => link.data as number });
  const path = finder.find(state(problem.from), state(problem.to)).reverse();
  return path
    .slice(1)
    .reduce((sum, node, i) => sum + (graph.getLink(path[i]!.id, node.id)!.data as number), 0);
}

describe('the search', () => {
  test.each([
    [[]],
    [[thing('wall', 'tank', wall)]],
    [[thing('wall', 'tank', wall), thing('rail', 'rail', rail)]],
  ])('costs no more than ngraph.path finds over the same lattice and costs (%#)', (things) => {
    const of = input(things, { pitchMm: 130 });
    const problem = problemOf(of);
    const found = cheapest(problem.lattice, problem.from, problem.to, problem.costs, of.straightMm);
    expect(found!.cost).toBeCloseTo(theirs(problem, of.straightMm), 6);
  });

  test('a lattice has its round figures, and the places it must go through', () => {
    const lattice = makeLattice([0, 0, 0], [200, 100, 100], 50, [[73, 11, 50]], [[], [60], []]);
    expect([...lattice.mm[0]]).toEqual([0, 73, 100, 150, 200].filter((v) => v !== 50));
    expect([...lattice.mm[1]]).toEqual([11, 60, 100]);
    expect(placeOf(lattice, nodeOf(lattice, [73, 11, 50]))).toEqual([73, 11, 50]);
    expect(() => nodeOf(lattice, [74, 11, 50])).toThrow(/no node/);
  });
});
