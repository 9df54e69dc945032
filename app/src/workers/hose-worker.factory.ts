export const createHoseWorker = (): Worker => new Worker(new URL('./hose.worker', import.meta.url), { type: 'module' });
