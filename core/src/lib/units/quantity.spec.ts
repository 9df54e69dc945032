import Qty from 'js-quantities';
import { parseQuantity, unitIn } from './quantity.ts';

const read = (text: string, unit: string): number | string => {
  const found = parseQuantity(text, unit);
  return found.ok ? found.value : found.message;
};

describe('forces, pressures, areas, volumes and masses as people say them', () => {
  // js-quantities turns each into our unit on its own.
  test.each<[string, string, string, string]>([
    ['110 lbf', 'N', '110 lbf', 'N'],
    ['110 lb', 'N', '110 lbf', 'N'],
    ['1,000 psi', 'MPa', '1000 psi', 'MPa'],
    ['70 bar', 'MPa', '70 bar', 'MPa'],
    ['20 inHg', 'kPa', '20 inHg', 'kPa'],
    ['2900 PSI', 'MPa', '2900 psi', 'MPa'],
    ['3.1 in²', 'mm²', '3.1 in2', 'mm2'],
    ['4 fl oz', 'mL', '4 floz', 'ml'],
    ['0,5 L', 'mL', '0.5 l', 'ml'],
    ['4,000 lb', 'kg', '4000 lb', 'kg'],
  ])('%s in %s', (text, unit, theirs, theirUnit) => {
    const expected = Qty(theirs).to(theirUnit).scalar;
    expect(read(text, unit) as number).toBeCloseTo(expected, expected > 100 ? 1 : 3);
  });
  // 1 kgf is 9.80665 N. Source: NIST SP 811.
  test('kilograms of force', () => expect(read('40 kgf', 'N')).toBeCloseTo(392.266, 6));
  test('a figure alone is in the unit of its label, with a comma or a point', () => {
    expect([read('7', 'MPa'), read('7,5', 'MPa'), read('7.5', 'MPa'), read('-2', 'N')]).toEqual([
      7, 7.5, 7.5, -2,
    ]);
  });
  test.each([
    ['1,000', 'N', /1,000 may be 1\.000 or 1000\. Enter which/],
    ['12 mm', 'MPa', /"mm" does not fit here. Enter it in MPa, or in kPa/],
    ['12 psi', 'N', /does not fit here/],
    ['hard', 'N', /"hard" is not a number/],
    ['', 'N', /is not a number/],
  ])('"%s" in %s is asked about', (text, unit, sentence) =>
    expect(read(text, unit)).toMatch(sentence),
  );
  test.each([
    ['Foot, N', 'N'],
    ['Diaphragm, mm²', 'mm²'],
    ['Fluid in it, mL', 'mL'],
    ['Residual valve built in at front outlet, MPa', 'MPa'],
    ['Surface, °C', null],
    ['Ratio', null],
    ['x, aft', null],
  ])('the unit of "%s"', (label, unit) => {
    expect(unitIn(label)).toBe(unit);
  });
});
