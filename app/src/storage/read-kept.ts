import type { Plan } from '@firm-line/core/plan';
import type { PlanHead, StoredPlan } from './stored-plan';

const done = <T>(request: IDBRequest<T>): Promise<T> =>
  new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error ?? new Error('The browser said no more.'));
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

/** A plan as it is kept, read without the library that keeps it: the first screen does not wait for that. */
export async function readKept(id: string): Promise<StoredPlan | undefined> {
  const db = await openKept();
  if (!db) return undefined;
  try {
    const reading = db.transaction(['heads', 'bodies']);
    const [head, plan] = (await Promise.all([
      done(reading.objectStore('heads').get(id)),
      done(reading.objectStore('bodies').get(id)),
    ])) as [PlanHead | undefined, Plan | undefined];
    return head && plan && { ...head, plan };
  } finally {
    db.close();
  }
}
