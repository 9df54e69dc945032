import Qty from 'js-quantities';
import {
  likelyColumns,
  likelySlowing,
  PRESSURE_UNITS,
  readingsOf,
  readLoggerFile,
  slowingOf,
} from './index.ts';

describe('a logger’s file', () => {
  it('finds its columns and units by their names, in any order and with any separator', () => {
    const file = readLoggerFile('time;pedal_mm;line pressure psi\n0;12,5;100\n1;13;200\n');
    const choice = likelyColumns(file);
    expect(choice).toEqual({ pressure: 2, travel: 1, pressureUnit: 'psi', travelUnit: 'mm' });
    const { points, bad } = readingsOf(file, choice);
    expect(bad).toEqual([]);
    expect(points[0]).toEqual({
      pressureMPa: expect.closeTo(0.6894757, 6) as number,
      travelMm: 12.5,
    });
  });
  it('names bad rows by their line and keeps the rest', () => {
    const file = readLoggerFile('p (MPa),travel (in)\n0.1,0.5\nfault,1\n0.5,\n\n999,1\n1.0,1.5');
    const { points, bad } = readingsOf(file, likelyColumns(file));
    expect(bad.map(({ line, why }) => [line, why.split(' ')[0]])).toEqual([
      [3, '"fault"'],
      [4, '""'],
      [6, '999.00'],
    ]);
    expect(points.map(({ travelMm }) => travelMm)).toEqual([12.7, expect.closeTo(38.1, 9)]);
  });
  it('knows its units as a library does (js-quantities)', () => {
    for (const [unit, factor] of Object.entries(PRESSURE_UNITS))
      expect(new Qty(`1 ${unit}`).to('MPa').scalar).toBeCloseTo(factor, 8);
  });
  it('is refused where it is no table', () => {
    expect(() => readLoggerFile('nothing at all')).toThrow('Not a table of readings');
  });
});

describe('the log of a stop', () => {
  // 1 g is 9.80665 m/s², 1 mph 0.44704 m/s (NIST SP 811).
  it.each([
    ['time s;decel g', '0;0\n0,1;0,5\n', 'decelMs2', [0, 4.903325]],
    ['t_ms,speed mph', '0,60\n100,58\n', 'speedMs', [26.8224, 25.92832]],
    ['time,longitudinal accel m/s2', '0,0\n0.1,-6\n', 'decelMs2', [0, 6]],
    ['time,speed km/h', '0,36\n0.1,18\n', 'speedMs', [10, 5]],
  ] as const)('%s', (head, body, of, values) => {
    const file = readLoggerFile(`${head}\n${body}`);
    const { samples, bad } = slowingOf(file, likelySlowing(file));
    expect(bad).toEqual([]);
    expect(samples.map((one) => one.timeS)).toEqual([0, 0.1]);
    samples.forEach((one, i) => expect(one[of]).toBeCloseTo(values[i]!, 6));
  });
  it('rows that are none are named by line', () => {
    const file = readLoggerFile('time s,decel g\n0,0\nx,1\n0.1,?\n0,0.2\n0.2,0.3\n');
    const { samples, bad } = slowingOf(file, likelySlowing(file));
    expect(samples).toHaveLength(2);
    expect(bad).toEqual([
      { line: 3, why: '"x" is not a time' },
      { line: 4, why: '"?" is not a deceleration' },
      { line: 5, why: '0.000 s is not after 0.000 s' },
    ]);
  });
});
