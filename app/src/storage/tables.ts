import type { MeshData } from '@firm-line/core/shape/mesh';
import { Dexie, type Table } from 'dexie';

/** A mesh as it is kept: its triangles and their tree. */
export interface StoredMesh extends MeshData {
  readonly digest: string;
  readonly name: string;
}

/** A photograph as it is kept: shrunk, without place or maker, and smaller still for lists. */
export interface StoredPhoto {
  readonly digest: string;
  readonly picture: Blob;
  readonly small: Blob;
}

/** What this browser keeps, on the page and in its workers. */
export function openTables(): Dexie {
  const db = new Dexie('firm-line');
  db.version(1).stores({ heads: 'id, changedAt', bodies: 'id' });
  db.version(2).stores({ heads: 'id, changedAt', bodies: 'id', meshes: 'digest' });
  db.version(3).stores({ heads: 'id, changedAt', bodies: 'id', meshes: 'digest', good: 'id' });
  db.version(4).stores({
    heads: 'id, changedAt',
    bodies: 'id',
    meshes: 'digest',
    good: 'id',
    photos: 'digest',
  });
  return db;
}
export const meshTable = (db: Dexie): Table<StoredMesh, string> => db.table('meshes');
