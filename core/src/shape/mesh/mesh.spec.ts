import fc from 'fast-check';
import type { BufferGeometry } from 'three';
import { Line3, TorusKnotGeometry, Triangle, Vector3 } from 'three';
import { InputError } from '../../lib/faults/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import { meshIndex, treeOf } from './index.ts';
import { MOST_MESH_BYTES, readMesh } from './read/index.ts';

const soup = (geometry: BufferGeometry): Float32Array =>
  new Float32Array(geometry.toNonIndexed().getAttribute('position').array);
const KNOT = soup(new TorusKnotGeometry(100, 30, 60, 8));
const index = meshIndex({ positions: KNOT, tree: treeOf(KNOT) });
const bytes = (text: string): ArrayBuffer =>
  new TextEncoder().encode(text).slice().buffer as ArrayBuffer;

/** The least distance from a point to any triangle, by three's own closest point, one after another. */
function bruteForce(p: Vec3): number {
  const [triangle, near, at] = [new Triangle(), new Vector3(), new Vector3(...p)];
  let least = Infinity;
  for (let i = 0; i < KNOT.length; i += 9) {
    triangle.set(
      new Vector3().fromArray(KNOT, i),
      new Vector3().fromArray(KNOT, i + 3),
      new Vector3().fromArray(KNOT, i + 6),
    );
    least = Math.min(least, triangle.closestPointToPoint(at, near).distanceTo(at));
  }
  return least;
}

describe('distances to a mesh against three’s own triangles', () => {
  const place = fc.tuple(
    ...[0, 1, 2].map(() => fc.integer({ min: -2500, max: 2500 }).map((n) => n / 10)),
  ) as unknown as fc.Arbitrary<Vec3>;

  test('a point', () => {
    fc.assert(
      fc.property(place, (p) => {
        expect(index.nearest(p, p, 1e6)!.distanceMm).toBeCloseTo(bruteForce(p), 3);
      }),
      { numRuns: 40 },
    );
  });

  test('a segment: no further than any point of it, and its two points are so far apart', () => {
    fc.assert(
      fc.property(place, place, (from, to) => {
        const gap = index.nearest(from, to, 1e6)!;
        const line = new Line3(new Vector3(...from), new Vector3(...to));
        for (let k = 0; k <= 6; k++)
          expect(bruteForce(line.at(k / 6, new Vector3()).toArray())).toBeGreaterThanOrEqual(
            gap.distanceMm - 1e-3,
          );
        expect(
          line.at(gap.share, new Vector3()).distanceTo(new Vector3(...gap.onLine)),
        ).toBeLessThan(1e-2);
        if (gap.distanceMm > 0)
          expect(
            Math.abs(Math.hypot(...gap.onLine.map((v, i) => v - gap.onThing[i]!)) - gap.distanceMm),
          ).toBeLessThan(1e-2);
      }),
      { numRuns: 40 },
    );
  });

  test('what is further than asked for is nothing', () => {
    expect(index.nearest([0, 0, 1000], [10, 0, 1000], 50)).toBeNull();
    expect(index.triangles).toBe(KNOT.length / 9);
    expect(index.box.max[2]).toBeGreaterThan(50);
  });
});

const STL =
  'solid a\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 100 0 0\nvertex 0 50 0\nendloop\nendfacet\nendsolid a\n';
const OBJ = 'o a\nv 0 0 0\nv 100 0 0\nv 100 50 0\nv 0 50 0\nf 1 2 3 4\n';

/** A glTF binary of one triangle, one metre ahead (+z), one to the left (+x), one up (+y). */
function glb(positions: readonly number[]): ArrayBuffer {
  const data = new Float32Array(positions);
  const json = JSON.stringify({
    asset: { version: '2.0' },
    scene: 0,
    scenes: [{ nodes: [0] }],
    nodes: [{ mesh: 0 }],
    meshes: [{ primitives: [{ attributes: { POSITION: 0 } }] }],
    buffers: [{ byteLength: data.byteLength }],
    bufferViews: [{ buffer: 0, byteLength: data.byteLength }],
    accessors: [
      {
        bufferView: 0,
        componentType: 5126,
        count: positions.length / 3,
        type: 'VEC3',
        min: [-1, -1, -1],
        max: [1, 1, 1],
      },
    ],
  });
  const text = new TextEncoder().encode(json.padEnd(Math.ceil(json.length / 4) * 4));
  const out = new DataView(new ArrayBuffer(12 + 8 + text.length + 8 + data.byteLength));
  [0x46546c67, 2, out.byteLength, text.length, 0x4e4f534a].forEach((v, i) =>
    out.setUint32(4 * i, v, true),
  );
  new Uint8Array(out.buffer).set(text, 20);
  out.setUint32(20 + text.length, data.byteLength, true);
  out.setUint32(24 + text.length, 0x004e4942, true);
  new Uint8Array(out.buffer).set(new Uint8Array(data.buffer), 28 + text.length);
  return out.buffer;
}

describe('reading a mesh file', () => {
  test('STL and OBJ as they stand, a square as two triangles', async () => {
    expect([...(await readMesh('a.STL', bytes(STL)))]).toEqual([0, 0, 0, 100, 0, 0, 0, 50, 0]);
    const square = await readMesh('a.obj', bytes(OBJ));
    expect(square.length).toBe(18);
    expect(Math.max(...square)).toBe(100);
  });
  test('glTF turned from its axes into those of the vehicle: ahead is fore, its left is left, up is up', async () => {
    const read = await readMesh('a.glb', glb([0, 0, 1, 1, 0, 0, 0, 1, 0]));
    expect([...read].map((v) => v + 0)).toEqual([-1, 0, 0, 0, -1, 0, 0, 0, 1]);
  });

  test.each<[string, string, ArrayBuffer, RegExp]>([
    ['nothing', 'a.glb', new ArrayBuffer(0), /a\.glb: the file is empty/],
    [
      'text named .glb',
      'a.glb',
      bytes('this is a letter to my aunt'),
      /a\.glb: it cannot be read as GLB/,
    ],
    [
      'text named .stl',
      'a.stl',
      bytes('not a solid at all, and shorter than a head'),
      /a\.stl: it (cannot be read|holds no triangle)/,
    ],
    ['text named .obj', 'a.obj', bytes('not a thing'), /a\.obj: it has no triangles/],
    ['another kind', 'a.dwg', bytes('x'), /mesh files must be glb, gltf, stl, obj/],
    [
      'no number',
      'a.glb',
      glb([0, 0, 1, NaN, 0, 0, 0, 1, 0]),
      /a corner of triangle 1 has no position \(not a number\)/,
    ],
    [
      'infinite',
      'a.glb',
      glb([0, 0, 1, Infinity, 0, 0, 0, 1, 0]),
      /a corner of triangle 1 has no position \(not a number\)/,
    ],
    [
      'an STL that says it holds 5 million triangles and does not',
      'a.stl',
      new Uint8Array(200).fill(77).buffer as ArrayBuffer,
      /a\.stl: it/,
    ],
  ])('%s ends in a sentence', async (_, name, data, sentence) => {
    const refused = await readMesh(name, data).then(
      () => null,
      (error: unknown) => error,
    );
    expect(refused).toBeInstanceOf(InputError);
    expect((refused as InputError).message).toMatch(sentence);
  });

  test('five million triangles are too many, and a file of that size is not even opened', async () => {
    // A binary STL of 1.1 million triangles: a head of 84 bytes, 50 a triangle.
    const count = 1_100_000;
    const many = new DataView(new ArrayBuffer(84 + 50 * count));
    many.setUint32(80, count, true);
    await expect(readMesh('a.stl', many.buffer)).rejects.toThrow(
      /1100000 triangles; 1000000 is the limit/,
    );
    const vast = { byteLength: 84 + 50 * 5_000_000 } as ArrayBuffer;
    expect(vast.byteLength).toBeGreaterThan(MOST_MESH_BYTES);
    await expect(readMesh('a.stl', vast)).rejects.toThrow(/250 MB; 120 MB is the limit/);
  });
});
