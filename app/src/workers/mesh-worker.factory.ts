export const createMeshWorker = (): Worker => new Worker(new URL('./mesh.worker', import.meta.url), { type: 'module' });
