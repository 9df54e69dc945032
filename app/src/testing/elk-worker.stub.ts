/** Specs of the app run where there are no workers; the drawing is looked at in the browser tests. */
export const createElkWorker = (): Worker => ({ postMessage: () => undefined, terminate: () => undefined }) as unknown as Worker;
