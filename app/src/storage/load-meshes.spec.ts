import { meshOf } from '@firm-line/core/shape/obstacles';
import { treeOf } from '@firm-line/core/shape/mesh';
import { gannet } from '../testing/open-gannet';
import { loadMeshes, meshesIn } from './load-meshes';
import { meshTable, openTables } from './tables';

describe('meshes that this browser keeps', () => {
  const positions = Float32Array.from([0, 0, 0, 100, 0, 0, 0, 50, 0]);

  test('are made known by their digest, each once; those it does not keep stay unknown', async () => {
    const kept = meshTable(openTables());
    await kept.put({ digest: 'kept-1', name: 'a.stl', positions, tree: treeOf(positions) });
    expect(await loadMeshes(['elsewhere'])).toBe(false);
    expect(meshOf('kept-1')).toBeUndefined();
    expect(await loadMeshes(['kept-1', 'elsewhere', 'kept-1'])).toBe(true);
    expect(meshOf('kept-1')!.nearest([10, 10, 30], [10, 10, 60], 100)!.distanceMm).toBeCloseTo(
      30,
      6,
    );
    expect(meshOf('elsewhere')).toBeUndefined();
    expect(await loadMeshes(['kept-1'])).toBe(false);
  });

  test('a plan names those among its things', () => {
    const [thing] = gannet().things;
    const mesh = {
      ...thing!,
      shape: { kind: 'mesh', digest: 'd', scale: 1, atMm: [0, 0, 0] },
    } as const;
    expect(meshesIn({ things: [thing!, mesh] })).toEqual(['d']);
  });
});
