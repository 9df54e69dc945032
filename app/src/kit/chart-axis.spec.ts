import { shownUnits } from '@firm-line/core/lib/units';
import { axisIn } from './chart-axis';

describe('an axis in the units that are shown', () => {
  const inches = (name: string) => axisIn(name, 'inch', shownUnits('inch'));

  it('keeps the units in which figures are stored', () => {
    for (const name of ['pressure, MPa', 'kN', 'pedal, mm', 'minutes'])
      expect(axisIn(name, 'metric', shownUnits('metric'))).toEqual({ title: name, factor: 1 });
  });
  // NIST SP 811: psi 6.894757 kPa, lbf 4.448222 N, in 25.4 mm, ft 0.3048 m.
  it.each([
    ['pressure, MPa', 'pressure, psi', 1000 / 6.894757],
    ['kN', 'lbf', 1000 / 4.448222],
    ['at the lever, N', 'at the lever, lbf', 1 / 4.448222],
    ['pedal, mm', 'pedal, in', 1 / 25.4],
    ['distance, m', 'distance, ft', 1 / 0.3048],
  ])('%s becomes %s', (name, title, factor) => {
    expect(inches(name).title).toBe(title);
    expect(inches(name).factor).toBeCloseTo(factor, 3);
  });
  it('a unit chosen by itself is used under either preset', () => {
    expect(axisIn('MPa', 'metric', shownUnits('metric', { pressure: 'bar' }))).toEqual({
      title: 'bar',
      factor: 10,
    });
  });
  it('leaves what has no unit', () => {
    expect(inches('deceleration z')).toEqual({ title: 'deceleration z', factor: 1 });
  });
});
