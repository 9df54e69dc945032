export const createPlanWorker = (): Worker => new Worker(new URL('./plan.worker', import.meta.url), { type: 'module' });
