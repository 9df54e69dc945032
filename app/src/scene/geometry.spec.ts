import { type Shape, type Thing } from '@firm-line/core/shape/obstacles';
import { newThing } from '@firm-line/core/shape/obstacles/fresh';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { Vector3, type BufferGeometry } from 'three';
import { thingsGeometry } from './thing-geometry';
import { tubesGeometry } from './tube-geometry';
import { piecesOf } from './wide-lines';

/** Triangles of a geometry, by their corners. */
function triangles(geometry: BufferGeometry): Vector3[][] {
  const at = geometry.getAttribute('position');
  const corner = (i: number): Vector3 =>
    new Vector3().fromBufferAttribute(at as never, geometry.index ? geometry.index.getX(i) : i);
  const count = geometry.index?.count ?? at.count;
  return Array.from({ length: count / 3 }, (_, t) => [0, 1, 2].map((k) => corner(3 * t + k)));
}
/** Volume by the divergence theorem: positive only where every face looks outward. */
const volume = (geometry: BufferGeometry): number =>
  triangles(geometry).reduce((sum, [a, b, c]) => sum + a!.dot(b!.clone().cross(c!)) / 6, 0);
const area = (geometry: BufferGeometry): number =>
  triangles(geometry).reduce(
    (sum, [a, b, c]) => sum + b!.clone().sub(a!).cross(c!.clone().sub(a!)).length() / 2,
    0,
  );
const thing = (shape: Shape): Thing => ({ ...newThing('thing-1', 'Thing', 'member'), shape });

describe('tubes as triangles', () => {
  const path: Vec3[] = [
    [0, 0, 0],
    [300, 0, 0],
    [300, 200, 0],
    [300, 200, 150],
  ];
  test('every corner of a ring lies a radius off the center line, its normal straight out', () => {
    const made = tubesGeometry([{ points: path, radiusMm: 5 }]);
    const [at, out] = [made.getAttribute('position'), made.getAttribute('normal')];
    expect(at.count).toBe(4 * 8);
    for (let i = 0; i < at.count; i++) {
      const normal = new Vector3().fromBufferAttribute(out as never, i);
      const off = new Vector3()
        .fromBufferAttribute(at as never, i)
        .sub(new Vector3(...path[Math.floor(i / 8)]!));
      expect(normal.length()).toBeCloseTo(1, 5);
      expect(off.distanceTo(normal.multiplyScalar(5))).toBeLessThan(1e-4);
    }
  });
  // A regular octagon in a circle of radius r has sides of 2·r·sin 22.5°.
  test('a straight one has the surface of its eight flats, all of them looking outward', () => {
    const made = tubesGeometry([
      {
        points: [
          [0, 0, 0],
          [0, 0, 400],
        ],
        radiusMm: 5,
      },
    ]);
    expect(area(made)).toBeCloseTo(8 * 2 * 5 * Math.sin(Math.PI / 8) * 400, 0);
    for (const [a, b, c] of triangles(made)) {
      const outward = b!.clone().sub(a!).cross(c!.clone().sub(a!));
      expect(outward.dot(a!.clone().setZ(0))).toBeGreaterThan(0);
    }
  });
  test('several go into one geometry and are not joined; a single point or none draws nothing', () => {
    const two = tubesGeometry([
      { points: path, radiusMm: 5 },
      { points: path.map(([x, y, z]) => [x, y, z + 500] as const), radiusMm: 3 },
    ]);
    expect(two.index!.count).toBe(2 * tubesGeometry([{ points: path, radiusMm: 5 }]).index!.count);
    for (const corners of triangles(two))
      expect(new Set(corners.map(({ z }) => z > 300)).size).toBe(1);
    expect(tubesGeometry([{ points: [[1, 2, 3]], radiusMm: 5 }]).index!.count).toBe(0);
    expect(tubesGeometry([]).index!.count).toBe(0);
  });
  test('a path that turns straight back is still drawn with figures', () => {
    const made = tubesGeometry([
      {
        points: [
          [0, 0, 0],
          [100, 0, 0],
          [0, 0, 0],
        ],
        radiusMm: 5,
      },
    ]);
    expect([...made.getAttribute('position').array].every(Number.isFinite)).toBe(true);
  });
});

describe('obstacles as triangles', () => {
  // Volumes by hand, mm³.
  test.each<[string, Shape, number, number]>([
    [
      'a block',
      { kind: 'block', minMm: [0, -100, 50], maxMm: [400, 100, 80] },
      400 * 200 * 30,
      1e-6,
    ],
    [
      'a box rail',
      {
        kind: 'bar',
        section: 'box',
        widthMm: 50,
        heightMm: 100,
        wallMm: 3,
        opens: 'left',
        pathMm: [
          [0, -400, 500],
          [2000, -400, 500],
        ],
      },
      2000 * 50 * 100,
      1e-6,
    ],
    [
      'a round tube of a frame',
      {
        kind: 'bar',
        section: 'round',
        widthMm: 40,
        heightMm: 40,
        wallMm: 2,
        opens: 'left',
        pathMm: [
          [0, 0, 0],
          [1000, 0, 0],
        ],
      },
      Math.PI * 400 * 1000 + (4 / 3) * Math.PI * 8000,
      0.04,
    ],
    [
      'a wheel',
      { kind: 'wheel', centreMm: [0, -700, 320], axis: [0, 1, 0], radiusMm: 320, widthMm: 200 },
      Math.PI * 320 * 320 * 200,
      0.01,
    ],
  ])('%s has the volume that it has', (_, shape, wanted, within) => {
    const made = thingsGeometry([thing(shape)])!;
    expect(Math.abs(volume(made.faces) / wanted - 1)).toBeLessThanOrEqual(Math.max(within, 1e-6));
    expect(made.edges.getAttribute('position').count % 2).toBe(0);
  });
  test('a channel is its web and two flanges, open to the side that is said', () => {
    const rail = (opens: 'left' | 'right') =>
      thingsGeometry([
        thing({
          kind: 'bar',
          section: 'channel',
          widthMm: 60,
          heightMm: 120,
          wallMm: 5,
          opens,
          pathMm: [
            [0, 0, 0],
            [1000, 0, 0],
          ],
        }),
      ])!.faces;
    expect(volume(rail('left'))).toBeCloseTo(1000 * (5 * 120 + 2 * 60 * 5), -2);
    // The web of one that opens to the left stands at its right.
    const webAt = (opens: 'left' | 'right'): number => {
      const middle = triangles(rail(opens))
        .flat()
        .filter(({ z }) => Math.abs(Math.abs(z) - 60) < 1e-6);
      return middle.reduce((sum, { y }) => sum + y, 0) / middle.length;
    };
    expect(webAt('left')).toBeGreaterThan(0);
    expect(webAt('right')).toBeCloseTo(-webAt('left'), 6);
  });
  test('nothing to show is null, and so is a mesh that is not read yet', () => {
    expect(thingsGeometry([])).toBeNull();
    expect(
      thingsGeometry([thing({ kind: 'mesh', digest: 'none', atMm: [0, 0, 0], scale: 1 } as Shape)]),
    ).toBeNull();
  });
});

test('a wide line has both ends of each of its pieces, and no piece from one line to the next', () => {
  const [a, b, c, d]: Vec3[] = [
    [0, 0, 0],
    [1, 0, 0],
    [1, 2, 0],
    [9, 9, 9],
  ];
  expect([...piecesOf([[a!, b!, c!], [d!], [], [d!, a!]])]).toEqual(
    [a, b, b, c, d, a].flatMap((place) => [...place!]),
  );
});
