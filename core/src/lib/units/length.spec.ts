import Qty from 'js-quantities';
import fc from 'fast-check';
import {
  inchSize,
  soldSize,
  formatLength,
  formatLengthUnit,
  formatVolume,
  MM_PER,
  ML_PER_US_FL_OZ,
  parseLength,
} from './index.ts';

const mm = (text: string, system: 'metric' | 'inch' = 'metric'): number | string => {
  const read = parseLength(text, system);
  return read.ok ? read.value : read.message;
};

describe('lengths as people type them', () => {
  test.each([
    ['4 1/2 in', 114.3],
    ['3/16"', 4.7625],
    [`7'6"`, 2286],
    ['7′ 6 1/2″', 2298.7],
    ['25 ft', 7620],
    ['420', 420],
    ['42cm', 420],
    ['42 cm', 420],
    ['1.5 m', 1500],
    ['1,5 m', 1500],
    ['1 m 20 cm', 1200],
    [`7'6`, 2286],
    ['2½"', 63.5],
    ['4-1/2"', 114.3],
    ['-12', -12],
    ['.5 in', 12.7],
  ])('%s', (text, expected) => expect(mm(text)).toBeCloseTo(expected, 9));

  test('a bare number follows the system', () => {
    expect(mm('420', 'inch')).toBe(420 * 25.4);
    expect(mm('420 mm', 'inch')).toBe(420);
  });

  test.each([
    ['', /Enter a length, such as 420, 16 1\/2 in or 1'4"/],
    ['2,850', /2\.850 or 2850/],
    ['4 1/0 in', /zero/],
    ['4 furlongs', /"furlongs" is not a unit/],
    ['12 in 3 ft', /puts in before ft/],
    ['12 in 3 in', /in twice/],
    ['1.5 1/2 in', /decimal and a fraction/],
    ['about 4', /cannot be read/],
    ['4 5', /without its unit/],
    ['200 m', /too long/],
  ])('says what it cannot read: %s', (text, sentence) => expect(mm(text)).toMatch(sentence));

  test('conversions agree with a general units library (js-quantities)', () => {
    for (const [unit, factor] of Object.entries(MM_PER))
      expect(factor).toBeCloseTo(Qty(1, unit === 'in' ? 'in' : unit).to('mm').scalar, 9);
    expect(ML_PER_US_FL_OZ).toBeCloseTo(Qty(1, 'floz').to('ml').scalar, 3);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 3000 }),
        fc.constantFrom('mm', 'cm', 'm', 'in', 'ft'),
        (n, unit) => {
          if (n * MM_PER[unit] > 100_000) return;
          expect(mm(`${n} ${unit}`)).toBeCloseTo(Qty(n, unit).to('mm').scalar, 6);
        },
      ),
    );
  });

  test('what is shown can be typed back, to half a sixty-fourth in inches', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 9000, noNaN: true }), (value) => {
        expect(
          Math.abs((mm(formatLength(value, 'inch'), 'inch') as number) - value),
        ).toBeLessThanOrEqual(25.4 / 64 + 1e-9);
        expect(
          Math.abs((mm(formatLengthUnit(value, 'metric', 1)) as number) - value),
        ).toBeLessThanOrEqual(0.05 + 1e-9);
      }),
    );
  });

  test('shows sizes as a tape has them', () => {
    expect(formatLengthUnit(420, 'inch')).toBe('16 17/32 in');
    expect(formatLength(2850)).toBe('2850');
    expect(formatLength(-0.2)).toBe('0');
    expect(formatVolume(1000)).toBe('1 L');
    expect(formatVolume(29.5735, 'fl oz')).toBe('1 fl oz');
  });
});

// Sizes as they are sold: 7/8 in is 22.225 mm, 3/4 in 19.05, 13/16 in 20.6375, 1 1/8 in 28.575 (1 in = 25.4 mm exactly, NIST SP 811).
test.each([
  [22.225, '7/8 in'],
  [19.05, '3/4 in'],
  [20.6375, '13/16 in'],
  [25.4, '1 in'],
  [28.575, '1 1/8 in'],
  [4.7625, '3/16 in'],
])('%s mm is sold as %s', (mm, words) => expect(inchSize(mm)).toBe(words));
test('a size that is not of inches is sold in mm', () =>
  expect([soldSize(4.7625), soldSize(6)]).toEqual(['3/16 in', '6 mm']));
test.each([22, 127, 20.6, 4.75, 0])('%s mm is no inch size', (mm) =>
  expect(inchSize(mm)).toBeNull(),
);
