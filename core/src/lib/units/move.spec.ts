import fc from 'fast-check';
import { formatDirection, formatMove, parseDirection, parseMove } from './move.ts';

const move = (
  text: string,
  fromY = 0,
  system: 'metric' | 'inch' = 'metric',
): readonly number[] | string => {
  const read = parseMove(text, system, fromY);
  return read.ok ? read.value : read.message;
};

describe('moves as a fabricator speaks them', () => {
  test.each([
    ['aft 420, up 60', [420, 0, 60]],
    ['fore 12 down 3', [-12, 0, -3]],
    ['right 225 and aft 90', [90, 225, 0]],
    ['aft 4 1/2 in, left 3/16"', [114.3, -4.7625, 0]],
    ['aft 1,5 m, up 3', [1500, 0, 3]],
    ['Aft 42cm', [420, 0, 0]],
  ])('%s', (text, expected) =>
    (move(text) as number[]).forEach((v, i) => expect(v).toBeCloseTo(expected[i]!, 9)),
  );

  test('in and out go by the side of the vehicle', () => {
    expect(move('in 45, down 20', -400)).toEqual([0, 45, -20]);
    expect(move('out 2 in', 400)).toEqual([0, 50.8, 0]);
    expect(move('in 45')).toMatch(/Use left or right/);
  });

  test.each([
    ['', /Enter a direction and a length, such as aft 420, up 60/],
    ['sideways 40', /"sideways" is not a direction/],
    ['aft', /How far aft/],
    ['aft 40, fore 20', /twice/],
    ['420 aft', /"420" has no direction before it/],
    ['aft -40', /use the opposite direction instead of a minus/],
  ])('says what it cannot read: %s', (text, sentence) => expect(move(text)).toMatch(sentence));

  test('what is shown can be typed back', () => {
    const tenths = fc.integer({ min: -30000, max: 30000 }).map((n) => n / 10);
    fc.assert(
      fc.property(tenths, tenths, tenths, (x, y, z) => {
        const shown = formatMove([x, y, z]);
        if (shown === 'stay') expect([x, y, z].every((v) => v === 0)).toBe(true);
        else expect(move(shown)).toEqual([x, y, z]);
      }),
    );
  });

  test('directions', () => {
    expect(parseDirection('aft')).toEqual({ ok: true, value: [1, 0, 0] });
    expect(formatDirection([0, -1, 0])).toBe('left');
    const slope = parseDirection('right 1, down 1');
    expect(slope.ok && formatDirection(slope.value)).toBe('right 0.71, down 0.71');
    expect(parseDirection('upwards').ok).toBe(false);
  });
});
