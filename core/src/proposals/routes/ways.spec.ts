import { applyEdit, writePlan, type Plan } from '../../plan/index.ts';
import { readPlan } from '../../plan/file/index.ts';
import { viewPlan } from '../../plan/results/index.ts';
import { addMesh, gapTo, obstacleOf, type Thing } from '../../shape/obstacles/index.ts';
import { meshIndex, treeOf } from '../../shape/mesh/index.ts';
import { distance, type Vec3 } from '../../lib/vec/index.ts';
import { inspect } from '../../inspect/index.ts';
import { waysFor } from './index.ts';
import { demo } from '../../testing/demo-plans.ts';

const gannet = (): Plan => demo('gannet');

describe('ways for the lines of the demo', () => {
  test.each(['line-r1', 'line-r2', 'line-c1'])(
    '%s: each can be bent, clipped and written, and its snags are those the rules then find',
    (id) => {
      const plan = gannet();
      const ways = waysFor(plan, id, 40);
      expect(ways.length).toBeGreaterThan(0);
      for (const way of ways) {
        const taken = way.calls.reduce(applyEdit, plan);
        const line = viewPlan(taken).lines.find((v) => v.line.id === id)!;
        expect(line.card).not.toBeNull();
        expect(line.card!.bends).toHaveLength(way.bends);
        const found = inspect(taken).filter((s) => s.place.id === id && s.station === 'route');
        expect(way.snags).toEqual(found);
        expect(readPlan(writePlan(taken))).toEqual(taken);
      }
      const weights = ways.map((way) => way.snags.filter((s) => s.level === 'stop').length);
      expect(weights).toEqual([...weights].sort((a, b) => a - b));
    },
  );

  test('the first for R1 is clear of the tray that it now runs through, and of every stop', () => {
    const [best] = waysFor(gannet(), 'line-r1', 40);
    expect(best!.snags.filter((s) => s.level !== 'note')).toEqual([]);
    expect(best!.why).toMatch(/^\d+ mm, \d+ bends; \d+ clips, most of them on Left rail\.$/);
  });

  test('a mesh across the best way is gone round', () => {
    const plan = gannet();
    const corners = waysFor(plan, 'line-r1', 40)[0]!.cornersMm;
    // A plate of 160 mm by 160 mm, square to the longest straight of the best way and through its middle.
    const straights = corners.slice(1).map((to, i) => ({ from: corners[i]!, to }));
    const { from, to } = straights.reduce((a, b) =>
      distance(b.from, b.to) > distance(a.from, a.to) ? b : a,
    );
    const axis = from.findIndex((v, i) => Math.abs(v - to[i]!) > 1);
    const corner = (a: number, b: number): number[] => {
      const at = from.map((v, i) => (v + to[i]!) / 2);
      at[(axis + 1) % 3]! += a;
      at[(axis + 2) % 3]! += b;
      return at;
    };
    const [p, q, r, s] = [corner(-80, -80), corner(80, -80), corner(80, 80), corner(-80, 80)];
    const positions = Float32Array.from([p, q, r, p, r, s].flat());
    addMesh('plate-across', meshIndex({ positions, tree: treeOf(positions) }));
    const plate = {
      ...{
        id: 'plate',
        name: 'Plate',
        kind: 'mesh',
        nature: 'solid',
        keepMm: 5,
        holds: false,
        surfaceC: null,
        travel: null,
      },
      shape: { kind: 'mesh', digest: 'plate-across', scale: 1, atMm: [0, 0, 0] },
    } as Thing;
    const blocked = { ...plan, things: [...plan.things, plate] };
    const inWay = (cornersMm: readonly Vec3[]): boolean =>
      cornersMm
        .slice(1)
        .some((end, i) => gapTo(obstacleOf(plate), cornersMm[i]!, end, 5 + 4.76 / 2) !== null);
    expect(inWay(corners)).toBe(true);
    const ways = waysFor(blocked, 'line-r1', 40);
    expect(ways.length).toBeGreaterThan(0);
    for (const way of ways) expect(inWay(way.cornersMm)).toBe(false);
  });

  test('progress runs from nothing to all', () => {
    const shares: number[] = [];
    waysFor(gannet(), 'line-r2', 40, { progress: (share) => shares.push(share) });
    expect(shares[0]).toBe(0);
    expect(shares.at(-1)).toBe(1);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
  });

  test('a line with an end at no port is refused in a sentence', () => {
    const plan = applyEdit(gannet(), { edit: 'removePart', with: { id: 'front-tee' } });
    expect(() => waysFor(plan, 'line-f1')).toThrow(/End B of F1 has no port yet/);
    expect(() => waysFor(plan, 'line-x')).toThrow(/no longer in the plan/);
  });
});
