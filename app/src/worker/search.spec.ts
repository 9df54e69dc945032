import type { Asked, Said } from './calls';
import { Search } from './search';

class Played extends EventTarget {
  ended = false;
  asked!: Asked;
  postMessage(asked: Asked): void {
    this.asked = asked;
  }
  terminate(): void {
    this.ended = true;
  }
  /** What it says of what it was asked; heard once the promises have gone round. */
  async say(
    said:
      | Omit<Extract<Said, { kind: 'progress' }>, 'id'>
      | Omit<Extract<Said, { kind: 'done' }>, 'id'>
      | Omit<Extract<Said, { kind: 'failed' }>, 'id'>,
  ): Promise<void> {
    this.dispatchEvent(new MessageEvent('message', { data: { id: this.asked.id, ...said } }));
    await new Promise((done) => setTimeout(done));
  }
}
function search() {
  const workers: Played[] = [];
  const made = new Search<number, string>(() => {
    workers.push(new Played());
    return workers.at(-1)! as unknown as Worker;
  });
  return { made, workers };
}
const PLAN = {};

describe('a search in a worker', () => {
  test('tells how far it is, then what it found, for what was asked alone, and ends its worker', async () => {
    const { made, workers } = search();
    made.look(7, { id: 'a', plan: PLAN });
    expect([made.busy(), workers[0]!.asked.input]).toEqual([true, 7]);
    await workers[0]!.say({ kind: 'progress', share: 0.4 });
    expect(made.share()).toBe(0.4);
    await workers[0]!.say({ kind: 'done', output: 'there' });
    expect([made.busy(), made.share(), workers[0]!.ended]).toEqual([false, 0, true]);
    expect([made.foundFor('a'), made.foundFor('b')]).toEqual(['there', null]);
  });
  test('what is about another thing, or a plan that has changed since, is stale', () => {
    const { made } = search();
    expect(made.isStale({ id: 'a', plan: PLAN })).toBe(false);
    made.look(1, { id: 'a', plan: PLAN });
    expect(made.isStale({ id: 'a', plan: PLAN })).toBe(false);
    expect(made.isStale({ id: 'b', plan: PLAN })).toBe(true);
    expect(made.isStale({ id: 'a', plan: { ...PLAN } })).toBe(true);
    made.cancel();
    expect(made.isStale({ id: 'b', plan: PLAN })).toBe(false);
  });
  test('cancelled it ends at once, and what comes late from it is not heard', async () => {
    const { made, workers } = search();
    made.look(1, { id: 'a', plan: PLAN });
    made.cancel();
    expect([made.busy(), workers[0]!.ended]).toEqual([false, true]);
    await workers[0]!.say({ kind: 'done', output: 'late' });
    expect(made.foundFor('a')).toBeNull();
    made.look(2, { id: 'a', plan: PLAN });
    made.look(3, { id: 'a', plan: PLAN });
    await workers[1]!.say({ kind: 'done', output: 'of the one before' });
    expect([workers[1]!.ended, made.foundFor('a')]).toEqual([true, null]);
  });
  test('what cannot be found and a worker that dies each end in a sentence', async () => {
    const { made, workers } = search();
    made.look(1, { id: 'a', plan: PLAN });
    await workers[0]!.say({
      kind: 'failed',
      failure: { name: 'Error', message: 'No way leads there.' },
    });
    expect([made.message(), made.foundFor('a')]).toEqual(['No way leads there.', null]);
    made.look(1, { id: 'a', plan: PLAN });
    expect(made.message()).toBeNull();
    workers[1]!.dispatchEvent(new Event('error'));
    await new Promise((done) => setTimeout(done));
    expect([made.busy(), made.message()]).toEqual([false, 'The search stopped; try again.']);
  });
});
