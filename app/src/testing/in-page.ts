/** A worker's work done in the page, for specs that run where there are no workers. */
export class InPage<Request> extends EventTarget {
  constructor(private readonly answer: (request: Request) => unknown) {
    super();
  }
  postMessage(request: Request): void {
    const answered = (): unknown => {
      try {
        return this.answer(request);
      } catch (error) {
        return { kind: 'none', message: (error as Error).message };
      }
    };
    queueMicrotask(() => this.dispatchEvent(new MessageEvent('message', { data: answered() })));
  }
  terminate(): void {}
}
