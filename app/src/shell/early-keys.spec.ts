import type { DestroyRef } from '@angular/core';
import { earlyKeys } from './early-keys';
import type { Acts } from './keys';

const ACTS = {} as Acts;
const destroy = () => {
  const ends: (() => void)[] = [];
  const ref = {
    destroyed: false,
    onDestroy: (end: () => void) => (ends.push(end), () => undefined),
  };
  return {
    ref: ref as unknown as DestroyRef,
    end: () => ((ref.destroyed = true), ends.forEach((one) => one())),
  };
};
const press = (key: string, target: EventTarget = window): boolean =>
  target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));

describe('keys that come later', () => {
  test('the first that is pressed brings them, and is pressed again then, once; what is typed in a field is not', async () => {
    const heard: string[] = [];
    let asked = 0;
    const { ref, end } = destroy();
    const field = document.body.appendChild(document.createElement('input'));
    earlyKeys(ACTS, ref, async () => {
      asked++;
      return { listen: () => addEventListener('keydown', ({ key }) => heard.push(key)) };
    });
    press('s');
    press('x', field);
    press('u');
    expect(heard).toEqual([]);
    await new Promise((done) => setTimeout(done));
    expect([heard, asked]).toEqual([['s', 'u'], 1]);
    press('/');
    expect(heard).toEqual(['s', 'u', '/']);
    end();
  });
  test('a page that is left before they come listens to nothing', async () => {
    const { ref, end } = destroy();
    let listens = 0;
    const load = earlyKeys(ACTS, ref, async () => ({ listen: () => void listens++ }));
    load();
    end();
    await new Promise((done) => setTimeout(done));
    expect(listens).toBe(0);
  });
});
