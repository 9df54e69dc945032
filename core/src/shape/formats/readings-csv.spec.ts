import Qty from 'js-quantities';
import { likelyColumns, PRESSURE_UNITS, readingsOf, readLoggerFile } from './index.ts';

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
