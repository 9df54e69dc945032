import fc from 'fast-check';
import { demo } from '../../testing/demo-plans.ts';
import { distance, sub, unit, type Vec3 } from '../../lib/vec/index.ts';
import { applyEdit, layPlan, lineFollowed } from '../index.ts';

const SQUARE: readonly Vec3[] = [
  [0, 0, 0],
  [60, 0, 0],
  [60, 300, 0],
  [500, 300, 0],
  [500, 300, 200],
  [560, 300, 200],
];
const around = (nodes: readonly Vec3[], a: Vec3 | null, b: Vec3 | null = null): readonly Vec3[] => {
  const first = nodes[0]!.map((v, i) => v + (a?.[i] ?? 0)) as unknown as Vec3;
  const last = nodes.at(-1)!.map((v, i) => v + (b?.[i] ?? 0)) as unknown as Vec3;
  return [first, ...lineFollowed(nodes, a, b), last];
};
const legs = (nodes: readonly Vec3[]): Vec3[] =>
  nodes.slice(1).map((node, i) => unit(sub(node, nodes[i]!))!);

describe('a line goes along with its port', () => {
  test('a move along a straight is taken up by the first one that runs that way, by hand', () => {
    // 20 along y: the straight from x 60 is 280 long in place of 300, nothing after it moves.
    expect(around(SQUARE, [0, 20, 0])).toEqual([
      [0, 20, 0],
      [60, 20, 0],
      [60, 300, 0],
      [500, 300, 0],
      [500, 300, 200],
      [560, 300, 200],
    ]);
    // 15 along x: the straight out of the port goes along as long as it was.
    expect(around(SQUARE, [15, 0, 0])).toEqual([
      [15, 0, 0],
      [75, 0, 0],
      [75, 300, 0],
      [500, 300, 0],
      [500, 300, 200],
      [560, 300, 200],
    ]);
    // At the other end, the same from there.
    expect(around(SQUARE, null, [0, 0, 30])).toEqual([
      [0, 0, 0],
      [60, 0, 0],
      [60, 300, 0],
      [500, 300, 0],
      [500, 300, 230],
      [560, 300, 230],
    ]);
  });
  test('a square line stays square, whichever way its port moves', () => {
    const by = fc.tuple(
      fc.integer({ min: -40, max: 40 }),
      fc.integer({ min: -40, max: 40 }),
      fc.integer({ min: -40, max: 40 }),
    );
    fc.assert(
      fc.property(by, fc.boolean(), (d, atA) => {
        const before = legs(SQUARE);
        legs(around(SQUARE, atA ? d : null, atA ? null : d)).forEach((leg, i) =>
          expect(distance(leg, before[i]!)).toBeLessThan(1e-9),
        );
      }),
      { seed: 3 },
    );
  });
  test('a place that is measured takes its lines along, in one edit, and the straights at both ends keep their way', () => {
    const plan = demo('gannet');
    const id = 'port-rt-left';
    const { fixed } = layPlan(plan).ports.get(id)!;
    const atMm = [fixed.atMm[0] + 12, fixed.atMm[1] - 9, fixed.atMm[2] + 14] as const;
    const after = applyEdit(plan, {
      edit: 'setKnown',
      with: { target: { kind: 'port', id }, known: { how: 'typed', atMm, sigmaMm: [2, 2, 2] } },
    });
    const line = (of: typeof plan) =>
      layPlan(of).lines.find(({ line }) => line.ends.a.portId === id || line.ends.b.portId === id)!;
    const [was, is] = [line(plan), line(after)];
    expect(is.card).not.toBeNull();
    for (const at of [0, -1])
      expect(distance(legs(was.nodesMm).at(at)!, legs(is.nodesMm).at(at)!)).toBeLessThan(5e-3);
    expect(after.lines.filter((one, i) => one !== plan.lines[i]).map(({ id }) => id)).toEqual([
      is.line.id,
    ]);
  });
});
