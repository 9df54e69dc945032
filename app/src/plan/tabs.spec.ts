import { Tabs } from './tabs';

/** Channels and locks of a browser, as far as tabs use them. */
function browser() {
  const channels: EventTarget[] = [];
  const holders = new Map<string, Promise<unknown>>();
  const killed = new Map<string, () => void>();
  class Channel extends EventTarget {
    constructor() {
      super();
      channels.push(this);
    }
    postMessage(data: unknown): void {
      for (const other of channels) if (other !== this) other.dispatchEvent(new MessageEvent('message', { data }));
    }
  }
  const request = async (name: string, hold: () => unknown): Promise<void> => {
    const before = holders.get(name);
    if (!before) {
      holders.set(name, new Promise<void>((free) => killed.set(name, free)));
      return void hold();
    }
    await before;
    hold();
  };
  Object.assign(globalThis, { BroadcastChannel: Channel });
  Object.defineProperty(navigator, 'locks', { configurable: true, value: { request } });
  return { kill: (name: string): void => killed.get(name)!() };
}

describe('tabs on one plan', () => {
  test('notice each other, hear what is saved, and part when one goes to another plan', () => {
    browser();
    const [one, two] = [new Tabs(), new Tabs()];
    const heard: number[] = [];
    one.savedElsewhere$.subscribe((revision) => heard.push(revision));
    one.hold('p');
    expect(one.others().size).toBe(0);
    two.hold('p');
    expect([one.others().size, two.others().size]).toEqual([1, 1]);
    two.saved('p', 4);
    two.saved('other', 5);
    expect(heard).toEqual([4]);
    two.hold('q');
    expect([one.others().size, two.others().size]).toEqual([0, 0]);
  });
  test('one that is killed says no goodbye and is noticed all the same', async () => {
    const { kill } = browser();
    const [one, two] = [new Tabs(), new Tabs()];
    one.hold('p');
    two.hold('p');
    const [name] = [...one.others()];
    expect(name).toBeDefined();
    kill(name!);
    await new Promise((done) => setTimeout(done));
    expect(one.others().size).toBe(0);
    expect(two.others().size).toBe(1);
  });
});
