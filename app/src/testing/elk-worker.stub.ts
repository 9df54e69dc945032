/** Specs of the app run where there are no workers; the drawing is looked at in the browser tests. */
/** Nor are meshes read there. */
export const createMeshWorker = (): Worker => createElkWorker();
export const createElkWorker = (): Worker => ({ postMessage: () => undefined, terminate: () => undefined }) as unknown as Worker;
