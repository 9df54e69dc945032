import { withEntry, withoutEntry } from '../../../testing/records.ts';
import { NO_LOG, type LogEntry, type Photo } from '../../../plan/index.ts';
import { aboutKey, beforeAndNow, byDayFound, nextBag, photosOf } from './index.ts';

const photo = (digest: string): Photo => ({ digest, widthPx: 10, heightPx: 10, bytes: 1 });
const entry = (at: string, patch: Partial<Omit<LogEntry, 'id'>> = {}): Omit<LogEntry, 'id'> => ({
  at,
  by: 'MK',
  text: 'Hose chafed',
  reading: '',
  about: { kind: 'line', id: 'r1' },
  when: 'now',
  photos: [],
  ...patch,
});
const log = [
  entry('2026-11-26T08:00:00Z', { when: 'before', photos: [photo('a')] }),
  entry('2026-11-27T09:00:00Z', { text: 'Cleaned', photos: [photo('b'), photo('c')] }),
  entry('2026-11-27T10:00:00Z', { about: { kind: 'plan', id: 'p' }, reading: '12.4 V' }),
].reduce(withEntry, NO_LOG);
const name = ({ id }: { id: string }): string => (id === 'r1' ? 'R1, rear left' : 'the vehicle');
const found = (words: string, about = ''): string[][] =>
  byDayFound(log.entries, { words, about }, name).map(({ entries }) => entries.map(({ id }) => id));

describe('the log', () => {
  test('is shown by day, the newest first', () => {
    expect(byDayFound(log.entries, { words: '', about: '' }, name).map(({ day }) => day)).toEqual([
      '2026-11-27',
      '2026-11-26',
    ]);
    expect(found('')).toEqual([['entry-3', 'entry-2'], ['entry-1']]);
  });
  test('is found by words, all of them, begun or whole, in text, reading, place and day', () => {
    expect(found('chaf rear')).toEqual([['entry-1']]);
    expect(found('12.4')).toEqual([['entry-3']]);
    expect(found('11-26 MK')).toEqual([['entry-1']]);
    expect(found('chafed nowhere')).toEqual([]);
    expect(found('', 'line:r1')).toEqual([['entry-2'], ['entry-1']]);
  });
  test('bags are numbered on, whatever was taken out before, and found by their number', () => {
    const bagged = withEntry(
      withEntry(log, entry('2026-11-28', { bag: 1 })),
      entry('2026-11-28', { bag: 2 }),
    );
    expect([
      nextBag(log.entries),
      nextBag(bagged.entries),
      nextBag(withoutEntry(bagged, 'entry-4').entries),
    ]).toEqual([1, 3, 3]);
    expect(
      byDayFound(bagged.entries, { words: 'bag 2', about: '' }, name)[0]!.entries.map(
        ({ id }) => id,
      ),
    ).toEqual(['entry-5']);
  });
  test('before beside now: the last of each at a place', () => {
    expect(beforeAndNow(log.entries, aboutKey({ kind: 'line', id: 'r1' }))).toEqual({
      before: photo('a'),
      now: photo('c'),
    });
    expect(beforeAndNow(log.entries.slice(1), 'line:r1')).toBeNull();
  });
  test('needs each photograph once; an entry removed leaves the others', () => {
    expect(
      photosOf({
        ...log,
        sheets: [
          {
            id: 's',
            name: 'S',
            kind: 'kit',
            state: 'have',
            edition: '',
            readBy: '',
            askedOn: null,
            dueOn: null,
            photos: [photo('a'), photo('d')],
          },
        ],
      }).map(({ digest }) => digest),
    ).toEqual(['a', 'b', 'c', 'd']);
    const less = withoutEntry(log, 'entry-2');
    expect(withEntry(less, entry('2026-11-28')).entries.map(({ id }) => id)).toEqual([
      'entry-1',
      'entry-3',
      'entry-2',
    ]);
  });
});
