import { InputError, type Fault } from '@firm-line/core/lib/faults';
import { PlanFileError } from '@firm-line/core/plan';

/** What a job may say while it works: how far it is, 0 to 1. */
export type Progress = (share: number) => void;
/** Work done beside the page: named functions of one input. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export type Jobs = Readonly<Record<string, (input: any, progress: Progress) => unknown>>;
type InputOf<J> = J extends (input: infer I, ...rest: never[]) => unknown ? I : never;
type OutputOf<J> = J extends (...args: never[]) => infer O ? Awaited<O> : never;

export interface Asked {
  readonly id: number;
  readonly job: string;
  readonly input: unknown;
}
/** An error as it crosses to the page. */
interface Failure {
  readonly name: string;
  readonly message: string;
  readonly path?: string;
  readonly faults?: readonly Fault[];
}
export type Said =
  | { readonly id: number; readonly kind: 'progress'; readonly share: number }
  | { readonly id: number; readonly kind: 'done'; readonly output: unknown }
  | { readonly id: number; readonly kind: 'failed'; readonly failure: Failure };

/** The worker that was asked is no more: it died, was ended, or took too long. */
export class WorkerStopped extends Error {
  override readonly name = 'WorkerStopped';
}

const failureOf = (error: unknown): Failure => {
  const { name, message } = error as Error;
  if (error instanceof PlanFileError) return { name, message, faults: error.faults };
  return error instanceof InputError ? { name, message, path: error.path } : { name, message };
};
/** The error that a failure was: those that the screens tell apart keep their type. */
const errorOf = ({ name, message, path, faults }: Failure): Error =>
  faults
    ? new PlanFileError(faults)
    : path !== undefined && name === 'InputError'
      ? new InputError(path, message)
      : new Error(message);

/** Does one job and says how it ended. */
export async function answer(
  jobs: Jobs,
  { id, job, input }: Asked,
  say: (said: Said, transfer?: Transferable[]) => void,
): Promise<void> {
  try {
    const output = await jobs[job]!(input, (share) => say({ id, kind: 'progress', share }));
    say({ id, kind: 'done', output });
  } catch (error) {
    say({ id, kind: 'failed', failure: failureOf(error) });
  }
}

/** Lets a worker do these jobs, once their code is here; where that cannot be had, each is told as failed. */
export function serve(loading: Promise<Jobs>): void {
  addEventListener('message', ({ data }: MessageEvent<Asked>) => {
    const say = (said: Said): void => postMessage(said);
    void loading.then(
      (jobs) => answer(jobs, data, say),
      (error: unknown) => say({ id: data.id, kind: 'failed', failure: failureOf(error) }),
    );
  });
}

export interface CallOptions {
  readonly progress?: Progress;
  /** Ends the call: where nothing else waits for the worker, it is ended with it. */
  readonly signal?: AbortSignal;
  readonly withinMs?: number;
  readonly transfer?: Transferable[];
}
interface Waiting {
  done(output: unknown): void;
  readonly failed: (error: Error) => void;
  readonly progress: Progress | undefined;
}

/** Calls to one worker: it is started when it is first asked; one that dies rejects what waits, and the next call starts another. */
export class Calls<J extends Jobs> {
  private worker: Worker | null = null;
  private nextId = 1;
  private readonly waiting = new Map<number, Waiting>();
  constructor(
    private readonly create: () => Worker,
    /** What it does, in the sentence that is said when it stops. */
    private readonly work: string,
  ) {}

  /** Whether a worker is at hand that may hold something from before. */
  get alive(): boolean {
    return this.worker !== null;
  }

  call<K extends keyof J & string>(
    job: K,
    input: InputOf<J[K]>,
    options: CallOptions = {},
  ): Promise<OutputOf<J[K]>> {
    const { progress, signal, withinMs, transfer = [] } = options;
    return new Promise((done, failed) => {
      if (signal?.aborted) return failed(new WorkerStopped('Cancelled.'));
      const id = this.nextId++;
      const clear: (() => void)[] = [];
      const ended =
        <T>(then: (value: T) => void) =>
        (value: T): void => {
          clear.forEach((one) => one());
          then(value);
        };
      this.waiting.set(id, { done: ended(done), failed: ended(failed), progress });
      const leave = (sentence: string): void => this.leave(id, sentence);
      const cancel = (): void => leave('Cancelled.');
      signal?.addEventListener('abort', cancel, { once: true });
      clear.push(() => signal?.removeEventListener('abort', cancel));
      if (withinMs !== undefined) {
        const timer = setTimeout(
          () =>
            leave(`${this.work} took over ${Math.round(withinMs / 1000)} seconds and was ended.`),
          withinMs,
        );
        clear.push(() => clearTimeout(timer));
      }
      this.worker ??= this.start();
      this.worker.postMessage({ id, job, input } satisfies Asked, transfer);
    });
  }

  /** Ends the worker; what waits for it is rejected. */
  end(sentence = 'Cancelled.'): void {
    this.worker?.terminate();
    this.worker = null;
    const waiting = [...this.waiting.values()];
    this.waiting.clear();
    for (const { failed } of waiting) failed(new WorkerStopped(sentence));
  }

  private leave(id: number, sentence: string): void {
    const one = this.waiting.get(id);
    if (!one) return;
    if (this.waiting.size === 1) return this.end(sentence);
    this.waiting.delete(id);
    one.failed(new WorkerStopped(sentence));
  }
  private start(): Worker {
    const worker = this.create();
    worker.addEventListener('message', ({ data }: MessageEvent<Said>) => {
      const one = this.waiting.get(data.id);
      if (!one || worker !== this.worker) return;
      if (data.kind === 'progress') return one.progress?.(data.share);
      this.waiting.delete(data.id);
      if (data.kind === 'done') one.done(data.output);
      else one.failed(errorOf(data.failure));
    });
    const died = (): void =>
      worker === this.worker ? this.end(`${this.work} stopped; try again.`) : undefined;
    worker.addEventListener('error', died);
    worker.addEventListener('messageerror', died);
    return worker;
  }
}
