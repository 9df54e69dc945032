/** The workers of the app. The address of each must stand right inside its `new Worker`, so that the build finds it. */
export const createCheckWorker = (): Worker =>
  new Worker(new URL('./check.worker', import.meta.url), { type: 'module' });
export const createInspectWorker = (): Worker =>
  new Worker(new URL('./inspect.worker', import.meta.url), { type: 'module' });
export const createWaysWorker = (): Worker =>
  new Worker(new URL('./ways.worker', import.meta.url), { type: 'module' });
export const createHosesWorker = (): Worker =>
  new Worker(new URL('./hoses.worker', import.meta.url), { type: 'module' });
export const createSpaceWorker = (): Worker =>
  new Worker(new URL('./space.worker', import.meta.url), { type: 'module' });
export const createMeshWorker = (): Worker =>
  new Worker(new URL('./mesh.worker', import.meta.url), { type: 'module' });
export const createElkWorker = (): Worker =>
  new Worker(new URL('./elk.worker', import.meta.url), { type: 'module' });
export const createSetOutWorker = (): Worker =>
  new Worker(new URL('./set-out.worker', import.meta.url), { type: 'module' });
export const createWorthWorker = (): Worker =>
  new Worker(new URL('./worth.worker', import.meta.url), { type: 'module' });
export const createMakingWorker = (): Worker =>
  new Worker(new URL('./making.worker', import.meta.url), { type: 'module' });
export const createPhotoWorker = (): Worker =>
  new Worker(new URL('./photo.worker', import.meta.url), { type: 'module' });
export const createAirWorker = (): Worker =>
  new Worker(new URL('./air.worker', import.meta.url), { type: 'module' });
export const createPackWorker = (): Worker =>
  new Worker(new URL('./pack.worker', import.meta.url), { type: 'module' });
