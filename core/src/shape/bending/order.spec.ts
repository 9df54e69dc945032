import {
  Box3,
  CapsuleGeometry,
  CylinderGeometry,
  Matrix4,
  Quaternion,
  Triangle,
  Vector3,
  type BufferGeometry,
} from 'three';
import { cases } from '../../testing/cases.ts';
import { seeded } from '../../lib/random/index.ts';
import { bendTable, centerLine, polyline } from '../tube/index.ts';
import { distance, type Vec3 } from '../../lib/vec/index.ts';
import {
  apartMm,
  bendOrder,
  inTheWay,
  offMm,
  pose,
  sequenceOf,
  touches,
  usualSolids,
  type OrderInput,
  type Rod,
  type Solid,
} from './index.ts';

const vector = (v: Vec3): Vector3 => new Vector3(...v);
/** The triangles of a shape along y, laid from one point to another. */
function triangles(shape: BufferGeometry, from: Vec3, to: Vec3): Triangle[] {
  const [a, b] = [vector(from), vector(to)];
  const turn = new Quaternion().setFromUnitVectors(
    new Vector3(0, 1, 0),
    b.clone().sub(a).normalize(),
  );
  const made = shape
    .toNonIndexed()
    .applyMatrix4(
      new Matrix4().compose(a.clone().add(b).multiplyScalar(0.5), turn, new Vector3(1, 1, 1)),
    );
  const at = made.getAttribute('position');
  const point = (i: number): Vector3 => new Vector3().fromBufferAttribute(at, i);
  return Array.from(
    { length: at.count / 3 },
    (_, i) => new Triangle(point(3 * i), point(3 * i + 1), point(3 * i + 2)),
  );
}
const draw = seeded(5);
const between = (low: number, high: number): number => low + draw() * (high - low);
const anywhere = (most: number): Vec3 => [
  between(-most, most),
  between(-most, most),
  between(-most, most),
];
const rod = (): Rod => ({ from: anywhere(80), to: anywhere(80), radiusMm: between(2, 9) });
const capsule = ({ from, to, radiusMm }: Rod): Triangle[] =>
  triangles(new CapsuleGeometry(radiusMm, distance(from, to), 12, 32), from, to);

describe('a tube against the bench', () => {
  test('a rod touches a box where its triangles meet it (Box3.intersectsTriangle of three)', () => {
    let [met, doubtful] = [0, 0];
    for (let i = 0; i < cases(400, 4000); i++) {
      const [a, b] = [anywhere(60), anywhere(60)];
      const [minMm, maxMm] = [
        a.map((v, k) => Math.min(v, b[k]!)),
        a.map((v, k) => Math.max(v, b[k]!)),
      ] as unknown as [Vec3, Vec3];
      const solid: Solid = { kind: 'box', name: 'box', minMm, maxMm };
      const one = rod();
      const box = new Box3(vector(minMm), vector(maxMm));
      // Inside the box wholly no triangle of its skin need meet the box's own, so its middle is looked at too.
      const theirs =
        capsule(one).some((triangle) => box.intersectsTriangle(triangle)) ||
        box.containsPoint(vector(one.from));
      // A capsule of triangles is a little thinner than the rod.
      const sure =
        touches({ ...one, radiusMm: one.radiusMm - 0.3 }, solid) ===
        touches({ ...one, radiusMm: one.radiusMm + 0.3 }, solid);
      if (!sure) doubtful++;
      else expect([i, touches(one, solid)]).toEqual([i, theirs]);
      if (theirs) met++;
    }
    expect(met).toBeGreaterThan(60);
    expect(doubtful).toBeLessThan(40);
  });

  test('how far a point lies off an upright cylinder is the distance to its triangles (Triangle.closestPointToPoint of three)', () => {
    const skin = triangles(new CylinderGeometry(20, 20, 30, 128), [5, 7, -15], [5, 7, 15]);
    const solid: Solid = {
      kind: 'cylinder',
      name: 'die',
      footMm: [5, 7, -15],
      radiusMm: 20,
      heightMm: 30,
    };
    for (let i = 0; i < 150; i++) {
      const at = anywhere(60);
      const off = offMm(at, solid);
      if (!off) continue;
      const theirs = Math.min(
        ...skin.map((t) => t.closestPointToPoint(vector(at), new Vector3()).distanceTo(vector(at))),
      );
      expect(Math.abs(off - theirs)).toBeLessThan(0.05);
    }
  });

  test('how far two stretches pass is the least between points walked along both', () => {
    for (let i = 0; i < 100; i++) {
      const [a, b] = [rod(), rod()];
      let least = Infinity;
      const on = ({ from, to }: Rod, t: number): Vec3 =>
        from.map((v, k) => v + (to[k]! - v) * t) as unknown as Vec3;
      for (let s = 0; s <= 60; s++)
        for (let t = 0; t <= 60; t++)
          least = Math.min(least, distance(on(a, s / 60), on(b, t / 60)));
      expect(apartMm(a, b)).toBeLessThanOrEqual(least + 1e-9);
      expect(apartMm(a, b)).toBeGreaterThan(least - 3);
    }
  });
});

const NODES: Vec3[] = [
  [0, 0, 0],
  [200, 0, 0],
  [200, 150, 0],
  [200, 150, 120],
  [420, 150, 160],
];
const tubeOf = (nodesMm: readonly Vec3[]) => {
  const table = bendTable({ nodesMm, clrMm: 15 });
  return { bends: table.bends, cutMm: table.developedMm, odMm: 4.7625, slid: [] };
};
const order = (nodesMm: readonly Vec3[], more: Partial<OrderInput> = {}): OrderInput => ({
  tube: tubeOf(nodesMm),
  dieRadiusMm: 15,
  clampSide: 'a',
  bench: { solids: [], lever: { lengthMm: 10, wideMm: 1, highMm: 1 } },
  ...more,
});

describe('which way round and in what order', () => {
  test.each(['a', 'b'] as const)(
    'clamped on the side of %s, a tube bent all round has the shape of its nodes',
    (clamped) => {
      const tube = tubeOf(NODES);
      for (let k = 0; k < 3; k++) {
        const rods = pose(tube, k, clamped, tube.bends[k]!.bendDeg, new Set([0, 1, 2]));
        const ends = [
          ...new Set(
            rods
              .flatMap(({ from, to }) => [from, to])
              .map((at) => at.map((v) => v.toFixed(6)).join()),
          ),
        ].map((t) => t.split(',').map(Number) as unknown as Vec3);
        // Every straight's ends are among them: all distances between them agree, and so does the hand.
        const line = polyline(
          centerLine(NODES, () => 15),
          15,
        );
        const far = (points: readonly Vec3[]): number =>
          Math.max(...points.flatMap((p) => points.map((q) => distance(p, q))));
        expect(far(ends)).toBeCloseTo(far(line), 3);
        const length = rods.reduce((sum, { from, to }) => sum + distance(from, to), 0);
        expect(length).toBeCloseTo(
          line.slice(1).reduce((sum, p, i) => sum + distance(p, line[i]!), 0),
          1,
        );
        // The bend itself turns from x towards y.
        const bent = rods.filter(({ side, own }) => side === 'free' && own).at(-1)!;
        const angle =
          (Math.atan2(bent.to[1] - bent.from[1], bent.to[0] - bent.from[0]) * 180) / Math.PI;
        expect(angle).toBeCloseTo(tube.bends[k]!.bendDeg, 6);
        expect(bent.to[2]).toBeCloseTo(0, 6);
      }
    },
  );

  test('the orders: from A, from B, from a middle bend to B and then back to A, the clamp on what is made', () => {
    expect(sequenceOf('a', 3, 'a').map(({ bend, clamped }) => `${bend}${clamped}`)).toEqual([
      '0a',
      '1a',
      '2a',
    ]);
    expect(sequenceOf('b', 3, 'a').map(({ bend, clamped }) => `${bend}${clamped}`)).toEqual([
      '2b',
      '1b',
      '0b',
    ]);
    expect(sequenceOf(1, 3, 'a').map(({ bend, clamped }) => `${bend}${clamped}`)).toEqual([
      '1a',
      '2a',
      '0b',
    ]);
  });

  test('with nothing about it every order is free: the first is taken', () => {
    expect(bendOrder(order(NODES))).toEqual({
      start: 'a',
      sequence: sequenceOf('a', 3, 'a'),
      hits: [],
      tried: [],
    });
  });

  test('a post where the made end would stand turns the order round, and is named', () => {
    // The first bend made stands end A up at right angles, 100 behind the second: a post is there, whichever way it lies.
    const nodes: Vec3[] = [
      [0, 0, 0],
      [60, 0, 0],
      [60, 100, 0],
      [60, 100, 300],
    ];
    const post: Solid = {
      kind: 'box',
      name: 'the post',
      minMm: [-80, -70, -70],
      maxMm: [-70, 70, 70],
    };
    const out = bendOrder(
      order(nodes, { bench: { solids: [post], lever: { lengthMm: 10, wideMm: 1, highMm: 1 } } }),
    );
    expect(
      inTheWay(
        order(nodes, { bench: { solids: [post], lever: { lengthMm: 10, wideMm: 1, highMm: 1 } } }),
        1,
        'a',
        new Set([0]),
      ),
    ).toBe('the post');
    expect(out.hits).toEqual([]);
    expect([out.start, ...out.sequence.map(({ clamped }) => clamped)]).not.toEqual(['a', 'a', 'a']);
  });

  test('walls on all sides leave no order: the bend that wants another way is named, with what is in its way', () => {
    const walls = ([-1, 1] as const).map((side): Solid => ({
      kind: 'box',
      name: 'a wall',
      minMm: [-400, -400, side < 0 ? -60 : 20],
      maxMm: [400, 400, side < 0 ? -20 : 60],
    }));
    const out = bendOrder(
      order(NODES, { bench: { solids: walls, lever: { lengthMm: 10, wideMm: 1, highMm: 1 } } }),
    );
    // One bend can always be made flat; the turned ones stand up between the walls.
    expect(out.hits.length).toBeGreaterThan(0);
    expect(out.hits.every(({ what }) => what === 'a wall')).toBe(true);
    expect(out.tried.map(({ start }) => start)).toEqual(['a', 'b', 1]);
    // With room above, the same tube is free.
    expect(
      bendOrder(
        order(NODES, { bench: { solids: [], lever: { lengthMm: 10, wideMm: 1, highMm: 1 } } }),
      ).hits,
    ).toEqual([]);
  });

  test('not bent yet, a tube lies straight through the die: its mark there, or the end of the bend where B is bent first', () => {
    const tube = tubeOf(NODES);
    const { markMm, arcMm } = tube.bends[1]!;
    for (const [clamped, atMm] of [
      ['a', markMm],
      ['b', markMm + arcMm],
    ] as const) {
      const rods = pose({ ...tube, slid: [] }, 1, clamped, 0, new Set());
      const ends = rods.flatMap(({ from, to }) => [from, to]);
      for (const [, y, z] of ends) expect(Math.hypot(y, z)).toBeLessThan(1e-9);
      const xs = ends.map(([x]) => x);
      const reach = [atMm, tube.cutMm - atMm];
      expect(Math.min(...xs)).toBeCloseTo(-reach[clamped === 'a' ? 0 : 1]!, 6);
      expect(Math.max(...xs)).toBeCloseTo(reach[clamped === 'a' ? 1 : 0]!, 6);
    }
  });

  test('a tube that turns back into itself is told, and a nut is thicker than its tube', () => {
    const coil: Vec3[] = [
      [0, 0, 0],
      [100, 0, 0],
      [100, 34, 0],
      [60, 34, 0],
      [60, -40, 0],
    ];
    expect(bendOrder(order(coil)).hits.map(({ what }) => what)).toContain('the tube itself');
    const tube = tubeOf(NODES);
    const nut = { fromMm: 0, toMm: 16, radiusMm: 14 };
    const made = new Set([0, 1]);
    const { from, to } = pose({ ...tube, slid: [nut] }, 2, 'a', 0, made).find(({ slid }) => slid)!;
    // A pin 9 mm beside the middle of the nut: inside it, but clear of the tube.
    const [middle, along] = [
      from.map((v, i) => (v + to[i]!) / 2),
      from.map((v, i) => (to[i]! - v) / 16),
    ];
    const aside = [along[1]!, -along[0]!, 0].map((v) => v / Math.hypot(along[0]!, along[1]!));
    const pin = [0, 1, 2].map(
      (i) => middle[i]! + 9 * (Number.isFinite(aside[i]) ? aside[i]! : i === 0 ? 1 : 0),
    );
    const bench = {
      solids: [
        {
          kind: 'box',
          name: 'a pin',
          minMm: pin.map((v) => v - 1),
          maxMm: pin.map((v) => v + 1),
        } as unknown as Solid,
      ],
      lever: { lengthMm: 1, wideMm: 1, highMm: 1 },
    };
    expect(inTheWay(order(NODES, { bench }), 2, 'a', made)).toBeNull();
    expect(inTheWay(order(NODES, { bench, tube: { ...tube, slid: [nut] } }), 2, 'a', made)).toBe(
      'the parts slid on hit a pin',
    );
  });

  test.each(['hand', 'fixed', 'vice'] as const)(
    'a plain tube of two flat bends is free in standard %s bender',
    (standing) => {
      const flat: Vec3[] = [
        [0, 0, 0],
        [200, 0, 0],
        [200, 200, 0],
        [400, 200, 0],
      ];
      expect(bendOrder(order(flat, { bench: usualSolids(standing, 15) })).hits).toEqual([]);
    },
  );
});
