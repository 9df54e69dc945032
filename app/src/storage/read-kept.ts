import type { Plan } from '@firm-line/core/plan';
import type { PlanHead, StoredPlan } from './stored-plan';
import type { StoredMesh } from './tables';

const done = <T>(request: IDBRequest<T>): Promise<T> =>
  new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error ?? new Error('The browser gave no reason.'));
  });

/** What the browser keeps, just as it is; null where it keeps nothing yet. Nothing is made or brought up to date. */
async function openKept(): Promise<IDBDatabase | null> {
  const request = indexedDB.open('firm-line');
  let isNew = false;
  request.onupgradeneeded = () => {
    isNew = true;
    request.transaction!.abort();
  };
  return done(request).catch((error: unknown) => {
    if (isNew) return null;
    throw error;
  });
}

/** Reads what is kept without the library that keeps it: the first screen does not wait for that, and no worker has a second copy of it. */
async function reading<T>(stores: string[], read: (of: IDBTransaction) => Promise<T>) {
  const db = await openKept();
  if (!db) return undefined;
  try {
    // A browser that was here long ago has not yet all that is kept today.
    const isThere = stores.every((name) => db.objectStoreNames.contains(name));
    return isThere ? await read(db.transaction(stores)) : undefined;
  } finally {
    db.close();
  }
}

/** A plan as it is kept; nothing where there is none of that id. */
export const readKept = (id: string): Promise<StoredPlan | undefined> =>
  reading(['heads', 'bodies'], async (kept) => {
    const [head, plan] = (await Promise.all([
      done(kept.objectStore('heads').get(id)),
      done(kept.objectStore('bodies').get(id)),
    ])) as [PlanHead | undefined, Plan | undefined];
    return head && plan && { ...head, plan };
  });

/** The heads of all plans, the one changed first before the others. */
export const readHeads = async (): Promise<PlanHead[]> =>
  (await reading(['heads'], (kept) =>
    done(kept.objectStore('heads').index('changedAt').getAll() as IDBRequest<PlanHead[]>),
  )) ?? [];

/** Meshes by their digests, as far as they are kept. */
export const readMeshes = async (digests: readonly string[]): Promise<StoredMesh[]> => {
  const found = await reading(['meshes'], (kept) =>
    Promise.all(
      digests.map((digest) =>
        done(kept.objectStore('meshes').get(digest) as IDBRequest<StoredMesh | undefined>),
      ),
    ),
  );
  return (found ?? []).filter((mesh) => mesh !== undefined);
};
