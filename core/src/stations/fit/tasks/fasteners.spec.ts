import { withWanted } from '../../../testing/records.ts';
import { NO_FLOOR, type WantedTorque } from '../../../plan/index.ts';
import { boltThread } from '../../../trade/stock/index.ts';
import { likelyBoltNm, starOrder, torqueOf, type Task } from './index.ts';

describe('bolts and nuts that are no joints', () => {
  test('five go 1, 3, 5, 2, 4; four and six across (common practice)', () => {
    const said = (count: number): string =>
      starOrder(count)
        .map((i) => i + 1)
        .join(' ');
    expect([4, 5, 6].map(said)).toEqual(['1 3 2 4', '1 3 5 2 4', '1 4 2 5 3 6']);
  });
  test('of any count each is drawn up once, and the next lies across or nearly so', () => {
    for (let count = 1; count <= 20; count++) {
      const order = starOrder(count);
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: count }, (_, i) => i));
      for (let i = 0; i + 1 < count; i += count % 2 ? 1 : 2) {
        const apart = Math.abs(order[i + 1]! - order[i]!);
        expect(Math.min(apart, count - apart)).toBe(Math.floor(count / 2));
      }
    }
    expect(starOrder(0)).toEqual([]);
  });

  test('a thread is read as sheets write it, or not at all', () => {
    expect(boltThread('M10')).toEqual({ dMm: 10, pitchMm: 1.5 });
    expect(boltThread(' m12 x 1,25')).toEqual({ dMm: 12, pitchMm: 1.25 });
    // 7/16 in of 25.4 mm; twenty to the inch.
    expect(boltThread('7/16-20')).toEqual({
      dMm: expect.closeTo(11.1125, 6),
      pitchMm: expect.closeTo(1.27, 6),
    });
    for (const text of ['', 'M11', 'M4x3', '7/0-20', '1/2-1', 'wheel nut', 'M999x1'])
      expect(boltThread(text)).toBeNull();
  });

  test('what a bolt mostly takes holds the figures of common tables, and not ten times them', () => {
    const likely = (thread: string, propertyClass: WantedTorque['propertyClass']) =>
      likelyBoltNm({ thread, propertyClass, state: 'dry' })!;
    // Common tables of steel bolts, zinc, dry (from memory): M8 8.8 25 N·m, M10 8.8 49, M12 8.8 85, M10 10.9 72.
    for (const [thread, of, nm] of [
      ['M8', '8.8', 25],
      ['M10', '8.8', 49],
      ['M12', '8.8', 85],
      ['M10', '10.9', 72],
    ] as const) {
      const { least, most } = likely(thread, of);
      expect([least <= nm, nm <= most, nm * 10 > most, nm / 10 < least]).toEqual([
        true,
        true,
        true,
        true,
      ]);
    }
    expect(likelyBoltNm({ thread: 'M10', state: 'dry' })).toBeNull();
    expect(likelyBoltNm({ thread: 'a bolt', propertyClass: '8.8', state: 'dry' })).toBeNull();
  });

  test('its figure and source come from what was set down of it', () => {
    const place = { kind: 'plan', id: 'p' } as const;
    const fastener = { key: 'bolts:fl', what: 'Bracket bolts', count: 2, place, againKm: null };
    const task = { id: 'again:bolts:fl', fastener } satisfies Pick<Task, 'id' | 'fastener'>;
    expect(torqueOf(task, NO_FLOOR)).toMatchObject({
      wantedNm: null,
      source: '',
      likely: null,
      verdict: 'open',
    });
    const floor = withWanted(NO_FLOOR, {
      key: fastener.key,
      nm: 60,
      source: 'sheet',
      state: 'dry',
      fastener: 'new',
    });
    expect(torqueOf(task, floor)).toMatchObject({ key: task.id, wantedNm: 60, source: 'sheet' });
    expect(torqueOf({ id: 'part:fl' }, floor)).toBeNull();
  });
});
