/** Waits until the browser has nothing better to do, two seconds at most; some browsers do not say and are asked no more than a moment. */
export const idle = (): Promise<void> =>
  new Promise((done) => {
    if (typeof requestIdleCallback === 'function')
      requestIdleCallback(() => done(), { timeout: 2000 });
    else setTimeout(done, 50);
  });
