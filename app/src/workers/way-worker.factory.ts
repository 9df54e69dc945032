export const createWayWorker = (): Worker => new Worker(new URL('./way.worker', import.meta.url), { type: 'module' });
