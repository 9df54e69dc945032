import {
  withDone,
  withTight,
  withOpened,
  withoutDone,
  withLook,
  withLater,
  withoutLater,
  withTemporary,
  withClosed,
  withFound,
  withOwn,
} from '../../../testing/records.ts';
import { NO_FLOOR, type Floor } from '../../../plan/index.ts';
import { doneIn } from './index.ts';

const AT = '2026-11-27T10:00:00Z';
const LATER = '2026-11-28T10:00:00Z';
const task = { id: 'run:line-1', kind: 'run', stamp: 'abc' } as const;
const look = { id: 'look:line-1', kind: 'look', stamp: 'abc' } as const;
const joint = { id: 'tighten:line-1:a', kind: 'tighten', stamp: 'abc' } as const;

describe('what is told on the floor', () => {
  test('done twice is done once, with the later day; put off before, it is put off no more', () => {
    const put = withLater(NO_FLOOR, { task: task.id, until: null, why: '' });
    const twice = withDone(withDone(put, task, AT, 'M.', 12), task, LATER, 'K.', null);
    expect(twice.done).toEqual([
      { task: task.id, at: LATER, by: 'K.', minutes: null, stamp: 'abc' },
    ]);
    expect(twice.later).toEqual([]);
    expect(doneIn(twice)(task)).toBe(true);
    expect(doneIn(twice)({ ...task, stamp: 'other' })).toBe(false);
  });

  test('taken back, a joint is neither done nor tight', () => {
    const tight = withTight(NO_FLOOR, joint, 17, AT, 'M.');
    expect(tight.tight).toEqual([{ key: joint.id, nm: 17, at: AT, opened: false }]);
    expect(doneIn(tight)(joint)).toBe(true);
    expect(withoutDone(tight, joint.id)).toEqual(NO_FLOOR);
  });

  test('opened it keeps what the wrench said and counts no more; tightened again it counts', () => {
    const opened = withOpened(withTight(NO_FLOOR, joint, 17, AT), joint.id, LATER);
    expect(opened.tight).toEqual([{ key: joint.id, nm: 17, at: AT, opened: true }]);
    expect(doneIn(opened)(joint)).toBe(false);
    const again = withTight(opened, joint, 18, LATER);
    expect(again.tight).toEqual([{ key: joint.id, nm: 18, at: LATER, opened: false }]);
    expect(doneIn(again)(joint)).toBe(true);
  });

  test('a look that was not good is not done, and one that is good afterwards leaves nothing of it', () => {
    const bad = withLook(NO_FLOOR, look, { good: false, note: 'rubs', at: AT });
    expect([bad.done, bad.looks]).toEqual([
      [],
      [{ task: look.id, good: false, note: 'rubs', at: AT }],
    ]);
    expect(doneIn(bad)(look)).toBe(false);
    const good = withLook(bad, look, { good: true, note: '', at: LATER });
    expect([good.looks, doneIn(good)(look)]).toEqual([[], true]);
    // And the other way: what was good and is not any more.
    expect(doneIn(withLook(good, look, { good: false, note: '', at: LATER }))(look)).toBe(false);
  });

  test('put off twice it has the later word; taken up again it has none', () => {
    const twice = withLater(withLater(NO_FLOOR, { task: task.id, until: '2026-12-01', why: 'a' }), {
      task: task.id,
      until: '2026-12-03',
      why: 'b',
    });
    expect(twice.later).toEqual([{ task: task.id, until: '2026-12-03', why: 'b' }]);
    expect(withoutLater(twice, task.id)).toEqual(NO_FLOOR);
    expect(withoutLater(twice, 'another')).toEqual(twice);
  });

  test('ids are their own, whatever was closed before', () => {
    const held = (floor: Floor, what: string): Floor =>
      withTemporary(floor, { what, by: 'clip', since: '2026-11-27' });
    const two = held(withClosed(held(NO_FLOOR, 'one'), 'held-1', '2026-11-28'), 'two');
    expect(two.temporary.map(({ id, closed }) => [id, closed])).toEqual([
      ['held-1', '2026-11-28'],
      ['held-2', null],
    ]);
    const own = withOwn(withOwn(NO_FLOOR, 'Sweep', null), 'Paint', 'gate-1');
    expect(own.own.map(({ id, gateId }) => [id, gateId])).toEqual([
      ['own-1', null],
      ['own-2', 'gate-1'],
    ]);
    const found = withFound(
      withFound(NO_FLOOR, task.id, 'a hole off', AT),
      task.id,
      'a flat filed',
      AT,
    );
    expect(found.found.map(({ id }) => id)).toEqual(['found-1', 'found-2']);
  });

  test('nothing that is told changes what was told before it', () => {
    const before = withTight(withDone(NO_FLOOR, task, AT), joint, 17, AT);
    const copy = structuredClone(before);
    for (const after of [
      withDone(before, look, AT),
      withOpened(before, joint.id, AT),
      withoutDone(before, task.id),
      withOwn(before, 'x', null),
    ])
      expect(after).not.toBe(before);
    expect(before).toEqual(copy);
    expect(NO_FLOOR.done).toEqual([]);
  });
});
