import fc from 'fast-check';
import type Graph from 'graphology';
import { MultiUndirectedGraph } from 'graphology';
import { connectedComponents } from 'graphology-components';
import {
  components,
  ductsAt,
  loopIn,
  networkOf,
  reach,
  underPressure,
  wayOf,
  type Duct,
} from './index.ts';

const tube = (from: string, to: string, supplies = false): Duct => ({
  id: `${from}${to}`,
  kind: 'tube',
  from,
  to,
  supplies,
});
const port = fc.integer({ min: 0, max: 30 }).map((n) => `p${n}`);
const ducts = fc
  .array(fc.tuple(port, port, fc.boolean()), { maxLength: 40 })
  .map((list) =>
    list.map(([from, to, supplies], i) => ({ ...tube(from, to, supplies), id: `d${i}` })),
  );
const ports = Array.from({ length: 31 }, (_, i) => `p${i}`);

/** The same network in a library of the registry. */
function graphOf(list: readonly Duct[]): Graph {
  const graph = new MultiUndirectedGraph({ allowSelfLoops: true });
  for (const name of ports) graph.addNode(name);
  for (const { from, to } of list) graph.addEdge(from, to);
  return graph;
}

describe('a network, against graphology', () => {
  test('what is joined, with and without what only supplies', () => {
    fc.assert(
      fc.property(ducts, (list) => {
        const network = networkOf(ports, list);
        for (const through of [undefined, underPressure]) {
          const group = components(network, through);
          const ours = ports.map((name) => group[network.index.get(name)!]!);
          const theirs = connectedComponents(graphOf(through ? list.filter(through) : list));
          expect(new Set(ours).size).toBe(theirs.length);
          for (const joined of theirs)
            expect(new Set(joined.map((name) => ours[ports.indexOf(name)])).size).toBe(1);
        }
      }),
    );
  });
  test('what is reached is what is joined, by ways of which each step is a duct', () => {
    fc.assert(
      fc.property(ducts, port, (list, from) => {
        const network = networkOf(ports, list);
        const reached = reach(network, [from], underPressure);
        const own = connectedComponents(graphOf(list.filter(underPressure))).find((joined) =>
          joined.includes(from),
        )!;
        expect([...reached.keys()].sort()).toEqual([...own].sort());
        for (const step of reached.values()) {
          const way = wayOf(step);
          expect([way[0]!.port, way.at(-1)!.port]).toEqual([from, step.port]);
          way
            .slice(1)
            .forEach(({ port: to, duct }, i) =>
              expect([duct!.from, duct!.to].sort()).toEqual([way[i]!.port, to].sort()),
            );
        }
      }),
    );
  });
  // A graph without a loop has as many edges as nodes less components.
  test('a loop is found where there are more ducts than a tree has', () => {
    let loops = 0;
    fc.assert(
      fc.property(ducts, (list) => {
        const few = list.slice(0, 20);
        const isTree = few.length === ports.length - connectedComponents(graphOf(few)).length;
        expect(loopIn(networkOf(ports, few)) === null).toBe(isTree);
        if (!isTree) loops++;
      }),
      // The same networks each time: how many of them have loops is looked at too.
      { seed: 3, numRuns: 200 },
    );
    expect(loops).toBeGreaterThan(10);
  });
});

describe('small networks', () => {
  test('no ports, a port alone, a port that only a duct names', () => {
    expect(components(networkOf([], []))).toHaveLength(0);
    expect(reach(networkOf(['a'], []), ['a', 'nobody']).size).toBe(1);
    expect(ductsAt(networkOf(['a'], [tube('a', 'b')]), 'b')).toEqual([tube('a', 'b')]);
    expect(ductsAt(networkOf(['a'], []), 'nobody')).toEqual([]);
  });
  test('a duct from a port to itself stands there and joins nothing else', () => {
    const network = networkOf(['a', 'b'], [tube('a', 'a')]);
    expect([...components(network)]).toEqual([0, 1]);
    expect(loopIn(network)!.id).toBe('aa');
  });
  test('the way with the fewest ducts is the one that is told', () => {
    const network = networkOf([], [tube('m', 'x'), tube('x', 'y'), tube('y', 'c'), tube('x', 'c')]);
    expect(wayOf(reach(network, ['m']).get('c')!).map(({ port: at }) => at)).toEqual([
      'm',
      'x',
      'c',
    ]);
  });
});
