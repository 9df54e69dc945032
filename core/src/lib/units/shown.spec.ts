import { quantitiesIn, shownFigure, shownUnitOf, shownUnits } from './index.ts';

// Factors: NIST SP 811: psi 6.894757 kPa, lbf 4.448222 N, lbf·ft 1.355818 N·m, mile 1.609344 km, ft 0.3048 m, US fl oz 29.57353 mL.
describe('units by kind', () => {
  it('a preset, and one kind chosen beside it', () => {
    expect(shownUnits('metric')).toEqual({
      pressure: 'MPa',
      torque: 'N·m',
      force: 'N',
      speed: 'km/h',
      distance: 'm',
      volume: 'mL',
    });
    expect(shownUnits('inch', { pressure: 'bar' })).toMatchObject({
      pressure: 'bar',
      force: 'lbf',
    });
    expect(shownUnitOf('MPa', shownUnits('inch'))).toBe('psi');
    expect(shownUnitOf('kg', shownUnits('inch'))).toBe('kg');
  });

  it('a figure says no more in another unit than in its own', () => {
    expect(shownFigure(7.2, 'MPa', 'MPa')).toBe('7.2');
    expect(shownFigure(7.2, 'MPa', 'bar')).toBe('72');
    expect(shownFigure(7.2, 'MPa', 'psi')).toBe('1040');
    expect(shownFigure(1.4, 'mL', 'fl oz')).toBe('0.05');
  });

  it('sentences take their words from the kind', () => {
    const [metric, inch] = [quantitiesIn(shownUnits('metric')), quantitiesIn(shownUnits('inch'))];
    expect([metric.pressure(7.24), metric.force(500), metric.speed(100)]).toEqual([
      '7.2 MPa',
      '500 N',
      '100 km/h',
    ]);
    expect([inch.force(500), inch.speed(100), inch.distance(40, 0), inch.torque(61)]).toEqual([
      '112 lbf',
      '62 mph',
      '131 ft',
      '45 lbf·ft',
    ]);
    expect(quantitiesIn(shownUnits('metric', { force: 'kgf' })).force(500)).toBe('51 kgf');
  });
});
