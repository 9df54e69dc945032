export const createElkWorker = (): Worker => new Worker(new URL('./elk.worker', import.meta.url), { type: 'module' });
