/** The workers of the app: one file, told by its name what to do. Its address must stand right inside `new Worker`, so that the build finds it. */
const worker = (name: string) => (): Worker =>
  new Worker(new URL('./work.worker', import.meta.url), { type: 'module', name });

export const createAirWorker = worker('air');
export const createCheckWorker = worker('check');
export const createHosesWorker = worker('hoses');
export const createInspectWorker = worker('inspect');
export const createMakingWorker = worker('making');
export const createMeshWorker = worker('mesh');
export const createPackWorker = worker('pack');
export const createPhotoWorker = worker('photo');
export const createSetOutWorker = worker('set-out');
export const createSpaceWorker = worker('space');
export const createWaysWorker = worker('ways');
export const createWorthWorker = worker('worth');
