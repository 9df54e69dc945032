export const createSpaceWorker = (): Worker => new Worker(new URL('./space.worker', import.meta.url), { type: 'module' });
