import { InputError } from '@firm-line/core/lib/faults';
import { PlanFileError } from '@firm-line/core/plan';
import { answer, Calls, WorkerStopped, type Asked, type Said } from './calls';

const jobs = {
  twice: (n: number): number => 2 * n,
  slow: () => new Promise<string>(() => undefined),
  steps: (n: number, progress: (share: number) => void): string => {
    for (let i = 1; i <= n; i++) progress(i / n);
    return 'there';
  },
  refuse: (what: 'input' | 'plan' | 'other'): never => {
    if (what === 'input') throw new InputError('pedal.ratio', '0 is too little.');
    if (what === 'plan')
      throw new PlanFileError([{ path: 'lines[0]', message: 'This field is missing.' }]);
    throw new TypeError('beyond all telling');
  },
};
class InPage extends EventTarget {
  ended = false;
  postMessage(asked: Asked): void {
    void answer(jobs, asked, (said: Said) =>
      queueMicrotask(() => this.dispatchEvent(new MessageEvent('message', { data: said }))),
    );
  }
  terminate(): void {
    this.ended = true;
  }
}
function calls() {
  const workers: InPage[] = [];
  const made = new Calls<typeof jobs>(() => {
    workers.push(new InPage());
    return workers.at(-1)! as unknown as Worker;
  }, 'The work');
  return { made, workers };
}

describe('calls to a worker', () => {
  test('answers come back to who asked, with how far it is on the way', async () => {
    const { made, workers } = calls();
    const shares: number[] = [];
    const all = [
      made.call('twice', 3),
      made.call('steps', 4, { progress: (share) => shares.push(share) }),
      made.call('twice', 21),
    ];
    expect(await Promise.all(all)).toEqual([6, 'there', 42]);
    expect(shares).toEqual([0.25, 0.5, 0.75, 1]);
    expect(workers).toHaveLength(1);
  });

  test('errors keep their type and their place', async () => {
    const { made } = calls();
    await expect(made.call('refuse', 'input')).rejects.toMatchObject({
      path: 'pedal.ratio',
      message: '0 is too little.',
    });
    await expect(made.call('refuse', 'input')).rejects.toBeInstanceOf(InputError);
    await expect(made.call('refuse', 'plan')).rejects.toBeInstanceOf(PlanFileError);
    await expect(made.call('refuse', 'plan')).rejects.toMatchObject({
      faults: [{ path: 'lines[0]' }],
    });
    await expect(made.call('refuse', 'other')).rejects.toThrow('beyond all telling');
  });

  test('one that dies rejects all that waits, and the next call starts another', async () => {
    const { made, workers } = calls();
    const [one, two] = [made.call('slow', undefined), made.call('slow', undefined)];
    workers[0]!.dispatchEvent(new Event('error'));
    await expect(one).rejects.toBeInstanceOf(WorkerStopped);
    await expect(two).rejects.toThrow('The work stopped; try again.');
    expect(await made.call('twice', 4)).toBe(8);
    expect([workers.length, workers[0]!.ended, made.alive]).toEqual([2, true, true]);
  });

  test('cancelled or out of time it is ended, unless something else still waits for it', async () => {
    const { made, workers } = calls();
    const stop = new AbortController();
    const alone = made.call('slow', undefined, { signal: stop.signal });
    stop.abort();
    await expect(alone).rejects.toThrow('Cancelled.');
    expect(workers[0]!.ended).toBe(true);
    const late = made.call('slow', undefined, { withinMs: 20 });
    const other = made.call('slow', undefined);
    await expect(late).rejects.toThrow('The work took over 0 seconds and was ended.');
    expect(workers[1]!.ended).toBe(false);
    made.end();
    await expect(other).rejects.toThrow('Cancelled.');
    await expect(made.call('twice', 1, { signal: stop.signal })).rejects.toThrow('Cancelled.');
  });
});
