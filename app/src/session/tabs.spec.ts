import { Tabs } from './tabs';

type Hold = (lock: object | null) => unknown;
interface Wanting {
  readonly hold: Hold;
  readonly done: () => void;
  readonly failed: (error: Error) => void;
}
/** Channels and locks of a browser, as far as tabs use them: exclusive locks, queued, stolen, aborted, asked for. */
function browser() {
  const channels: EventTarget[] = [];
  class Channel extends EventTarget {
    constructor() {
      super();
      channels.push(this);
    }
    postMessage(data: unknown): void {
      for (const other of channels)
        if (other !== this) other.dispatchEvent(new MessageEvent('message', { data }));
    }
  }
  const held = new Map<string, Wanting>();
  const queues = new Map<string, Wanting[]>();
  const next = (name: string): void => {
    const one = queues.get(name)?.shift();
    if (one) take(name, one);
  };
  const take = (name: string, one: Wanting): void => {
    held.set(name, one);
    void Promise.resolve(one.hold({ name })).then(() => {
      if (held.get(name) !== one) return;
      held.delete(name);
      one.done();
      next(name);
    });
  };
  const request = (name: string, options: LockOptions | Hold, maybe?: Hold): Promise<void> => {
    const hold = (maybe ?? options) as Hold;
    const { ifAvailable, steal, signal } = maybe ? (options as LockOptions) : ({} as LockOptions);
    return new Promise((done, failed) => {
      const one = { hold, done, failed };
      const owner = held.get(name);
      if (steal && owner) {
        held.delete(name);
        owner.failed(new Error('stolen'));
      }
      if (!held.has(name)) return take(name, one);
      if (ifAvailable) return void Promise.resolve(hold(null)).then(() => done());
      queues.set(name, [...(queues.get(name) ?? []), one]);
      signal?.addEventListener('abort', () => {
        queues.set(
          name,
          (queues.get(name) ?? []).filter((other) => other !== one),
        );
        failed(new Error('aborted'));
      });
    });
  };
  const query = () => Promise.resolve({ held: [...held.keys()].map((name) => ({ name })) });
  Object.assign(globalThis, { BroadcastChannel: Channel });
  Object.defineProperty(navigator, 'locks', { configurable: true, value: { request, query } });
  /** The tab with this lock is killed: it lets go of all that it holds. */
  const kill = (name: string): void => {
    held.delete(name);
    next(name);
  };
  return { kill, held };
}
const soon = (ms = 0): Promise<void> => new Promise((done) => setTimeout(done, ms));

describe('tabs on one plan', () => {
  test('the first writes, the other follows, hears what is saved, and writes once the first has gone', async () => {
    browser();
    const [one, two] = [new Tabs(), new Tabs()];
    const heard: unknown[] = [];
    two.heard$.subscribe((what) => heard.push(what));
    expect([await one.hold('p'), await two.hold('p')]).toEqual(['writer', 'follower']);
    expect([one.others().size, two.others().size]).toEqual([1, 1]);
    one.saved('p', 4);
    one.saved('other', 5);
    one.tell('p', { kind: 'deleted' });
    expect(heard).toEqual([
      expect.objectContaining({ kind: 'saved', revision: 4 }),
      { kind: 'deleted' },
    ]);
    const read = jest.fn(() => Promise.resolve());
    two.beforeWriting = read;
    await one.hold('q');
    await soon();
    expect([two.role(), read.mock.calls.length, one.others().size, two.others().size]).toEqual([
      'writer',
      1,
      0,
      0,
    ]);
  });

  test('one that follows takes over: the writer keeps what it has first, then follows', async () => {
    browser();
    const [one, two, three] = [new Tabs(), new Tabs(), new Tabs()];
    await one.hold('p');
    await two.hold('p');
    await three.hold('p');
    const order: string[] = [];
    one.beforeGiving = async () => (await soon(20), order.push('kept'));
    three.beforeWriting = () => Promise.resolve(order.push('read'));
    three.takeOver();
    await soon(60);
    expect(order).toEqual(['kept', 'read']);
    expect([one.role(), two.role(), three.role()]).toEqual(['follower', 'follower', 'writer']);
    three.leave();
    await soon(600);
    expect([one.role(), two.role()].sort()).toEqual(['follower', 'writer']);
  });

  test('a writer that does not answer is taken for dead, and no longer writes when it comes to', async () => {
    jest.useFakeTimers();
    browser();
    const [one, two] = [new Tabs(), new Tabs()];
    await one.hold('p');
    await two.hold('p');
    one.beforeGiving = () => new Promise(() => undefined);
    two.takeOver();
    await jest.advanceTimersByTimeAsync(3500);
    expect([one.role(), two.role()]).toEqual(['follower', 'writer']);
    jest.useRealTimers();
  });

  test('one that is killed says no goodbye and is noticed all the same', async () => {
    const { kill } = browser();
    const [one, two] = [new Tabs(), new Tabs()];
    await one.hold('p');
    await two.hold('p');
    const [name] = [...one.others()];
    kill(name!);
    await soon();
    expect([one.others().size, two.others().size]).toEqual([0, 1]);
    expect(await one.isWritten('p')).toBe(true);
    expect(await one.isWritten('q')).toBe(false);
  });

  test('without locks every tab writes', async () => {
    browser();
    Object.defineProperty(navigator, 'locks', { configurable: true, value: undefined });
    const [one, two] = [new Tabs(), new Tabs()];
    expect([await one.hold('p'), await two.hold('p')]).toEqual(['writer', 'writer']);
  });
});
