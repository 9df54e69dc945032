import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { meshOf } from '@firm-line/core/shape/obstacles';
import { treeOf } from '@firm-line/core/shape/mesh';
import { gannet } from '../testing/open-gannet';
import type { Asked, Said } from '../worker/calls';
import * as workers from '../worker/workers';
import { Meshes } from './meshes';
import { meshTable, openTables } from './tables';

/** A worker that ends every reading so; null: it dies. */
type Ends =
  | { readonly kind: 'done'; readonly output: unknown }
  | { readonly kind: 'failed'; readonly failure: { name: string; message: string } };
class Answering extends EventTarget {
  ended = false;
  constructor(private readonly ends: Ends | null) {
    super();
  }
  postMessage({ id }: Asked): void {
    const event = this.ends
      ? new MessageEvent<Said>('message', { data: { id, ...this.ends } })
      : new Event('error');
    queueMicrotask(() => this.dispatchEvent(event));
  }
  terminate(): void {
    this.ended = true;
  }
}
const positions = Float32Array.from([0, 0, 0, 900, 0, 0, 0, 40, 10]);
const file = {
  name: 'body.stl',
  arrayBuffer: () => Promise.resolve(new ArrayBuffer(8)),
} as unknown as File;

function meshes(ends: Ends | null) {
  const worker = new Answering(ends);
  jest.spyOn(workers, 'createMeshWorker').mockReturnValue(worker as unknown as Worker);
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
  return { worker, made: TestBed.inject(Meshes) };
}

describe('meshes brought in', () => {
  afterEach(() => jest.restoreAllMocks());

  test('one is read in its worker, kept in the browser and known at once, with its longest side', async () => {
    const { worker, made } = meshes({
      kind: 'done',
      output: { digest: 'body-1', positions, tree: treeOf(positions) },
    });
    expect(await made.import(file)).toEqual({
      digest: 'body-1',
      longest: expect.closeTo(900, 3) as number,
    });
    expect(worker.ended).toBe(true);
    expect(meshOf('body-1')!.triangles).toBe(1);
    expect(await meshTable(openTables()).get('body-1')).toMatchObject({
      name: 'body.stl',
      digest: 'body-1',
    });
    // A plan that names it has nothing more to load.
    const [thing] = gannet().things;
    const shape = { kind: 'mesh', digest: 'body-1', scale: 1, atMm: [0, 0, 0] } as const;
    const known = made.known();
    await made.of({ things: [{ ...thing!, shape }] });
    await made.of({ things: [{ ...thing!, shape: { ...shape, digest: 'elsewhere' } }] });
    expect(made.known()).toBe(known);
  });

  test.each<[string, Ends | null, RegExp]>([
    [
      'refused',
      { kind: 'failed', failure: { name: 'Error', message: 'body.stl: it has no triangles.' } },
      /^body\.stl: it has no triangles\.$/,
    ],
    ['lost with its worker', null, /^Reading body\.stl stopped; try again\.$/],
  ])(
    'one that is %s ends in its sentence, keeps nothing, and ends its worker',
    async (_, answer, sentence) => {
      const before = await meshTable(openTables()).count();
      const { worker, made } = meshes(answer);
      await expect(made.import(file)).rejects.toThrow(sentence);
      expect(worker.ended).toBe(true);
      expect(await meshTable(openTables()).count()).toBe(before);
    },
  );
});
