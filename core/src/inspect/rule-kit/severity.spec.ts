import { gradeOf, severity } from './severity.ts';

const HOT = { slight: 2, grave: 10 };

describe('how grave a shortfall is', () => {
  // 149 of 150 mm and 6 mm from an exhaust are the two ends that a fabricator would tell apart.
  test.each<[number, number, ReturnType<typeof severity>]>([
    [150, 1, null],
    [149, 1, { level: 'note', grade: 'just inside' }],
    [149, 20, { level: 'caution', grade: 'too close' }],
    [147.9, 1, { level: 'caution', grade: 'too close' }],
    [60, 1, { level: 'caution', grade: 'too close' }],
    [10, 1, { level: 'stop', grade: 'will touch' }],
    [0, 50, { level: 'stop', grade: 'will touch' }],
  ])('%d mm known within %d mm, of 150', (value, sigma, is) => {
    expect(severity(value, 150, sigma, HOT)).toEqual(is);
  });
  test('what is known to fall short has a grade, by however little', () => {
    expect(gradeOf(150 - 1e-9, 150, 1, HOT).level).toBe('note');
    expect(gradeOf(0, 0, 1, { slight: 2, grave: 0 }).level).toBe('stop');
  });
  test('it never falls as the figure does', () => {
    const ranks = { note: 1, caution: 2, stop: 3 } as const;
    const rank = (value: number): number => {
      const is = severity(value, 150, 1, HOT);
      return is ? ranks[is.level] : 0;
    };
    for (let value = 151; value >= 0; value--)
      expect(rank(value - 1)).toBeGreaterThanOrEqual(rank(value));
  });
});
