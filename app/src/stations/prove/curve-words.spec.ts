import { quantitiesIn, shownUnits } from '@firm-line/core/lib/units';
import { judgeCurve } from '@firm-line/core/stations/prove';
import {
  costsAtStop,
  curveLines,
  curveWords,
  heldLines,
  heldWords,
  tooFew,
  wayBackWords,
} from './curve-words';

// π/4·22.225²/6 = 64.66 mm³ a millimetre of pedal.
const PEDAL = { ratio: 6, boreMm: 22.225 };
const ML_PER_MM = 0.06466;
/** Readings of 10 mm of play, 3 mm a MPa of flex, and so much air by Boyle's law. */
const readings = (airMl: number) =>
  [0.05, 0.1, 0.2, 0.4, 0.8, 1.5, 3, 5, 7].map((p) => ({
    pressureMPa: p,
    travelMm: 10 + 3 * p + (airMl / ML_PER_MM) * (1 - 0.101325 / (0.101325 + p)),
  }));
const fitOf = (airMl: number) => judgeCurve({ ...PEDAL, sigmaMm: 0.2, points: readings(airMl) })!;

const METRIC = { quantities: quantitiesIn(shownUnits('metric')), units: 'metric' } as const;
const INCHES = { quantities: quantitiesIn(shownUnits('inch')), units: 'inch' } as const;

describe('what a curve says', () => {
  it('what each cause costs at 7 MPa, beside what the readings were made of', () => {
    const costs = costsAtStop(fitOf(3), PEDAL);
    // By hand: 3 mL / 0.06466 = 46.4 mm, of which Boyle leaves 98.6 % at 7 MPa.
    expect(costs.air).toBeCloseTo(45.7, 0);
    expect(costs.flex).toBeCloseTo(21, 0);
    expect(costs.play).toBeCloseTo(10, 0);
  });
  it('names the air and the circuit, and compares the air with what Size assumes', () => {
    const fit = fitOf(3);
    const words = (plannedMl?: number) =>
      curveWords(fit, costsAtStop(fit, PEDAL), 'Front brakes', plannedMl, METRIC);
    expect(words().title).toBe('Air: 3 mL left in front brakes');
    expect(words().detail).toMatch(
      /adds 46 mm of pedal travel at 7 MPa, flex 21 mm, free play 10 mm ± 1 mm/,
    );
    expect(words().detail).not.toMatch(/Size/);
    expect(words(3).detail).toMatch(/Size assumes 3 mL\.$/);
    expect(words(1).detail).toMatch(/Size assumes 1 mL: the difference is air\.$/);
    // 45.7 mm are 1.80 in, 1 13/16 to the nearest 32nd; 7 MPa are 1015 psi, said to the hundred (NIST SP 811).
    const inches = curveWords(fit, costsAtStop(fit, PEDAL), 'Front brakes', undefined, INCHES);
    expect(inches.detail).toMatch(/adds 1 13\/16 in of pedal travel at 1000 psi/);
  });
  it('says how many readings it has while there are too few', () => {
    expect(tooFew(2, METRIC).title).toBe('2 of 4 readings');
    expect(judgeCurve({ ...PEDAL, sigmaMm: 0.2, points: readings(3).slice(0, 2) })).toBeNull();
  });
  it('draws the readings alone, then what takes the pedal one over the other up to them', () => {
    const points = readings(3);
    expect(curveLines(points, null, PEDAL).map(({ name }) => name)).toEqual(['readings']);
    const lines = curveLines(points, fitOf(3), PEDAL);
    expect(lines.map(({ name }) => name)).toEqual(['free play', 'air', 'flex', 'readings']);
    const at = (name: string, mpa: number): number => {
      const { points: drawn } = lines.find((line) => line.name === name)!;
      const off = (x: number | null): number => Math.abs((x ?? Infinity) - mpa);
      return drawn.reduce((a, b) => (off(b.x) < off(a.x) ? b : a)).y!;
    };
    expect(at('free play', 5)).toBeCloseTo(10, 0);
    expect(at('air', 5) - at('free play', 5)).toBeCloseTo(3 / ML_PER_MM, -1);
    expect(at('flex', 5)).toBeCloseTo(
      points.find(({ pressureMPa }) => pressureMPa === 5)!.travelMm,
      -1,
    );
  });
});

describe('against the pedal that was calculated', () => {
  const AGAINST = {
    expected: {
      t0Mm: 10,
      flexMmPerMPa: 3,
      padMm: 4,
      padMPa: 0.4,
      sigma: { t0Mm: 2, flexMmPerMPa: 0.3, padMm: 2 },
    },
    referenceMPa: 7,
    limitMm: 12,
  };
  const words = (airMl: number) =>
    heldWords(
      judgeCurve({ ...PEDAL, sigmaMm: 0.2, points: readings(airMl) }, undefined, AGAINST)!,
      AGAINST,
      'Front brakes',
      METRIC,
    );
  it('says what is over, how surely, and how much is allowed', () => {
    expect(words(3).title).toMatch(/^Air: [23]\.?\d? mL ± \d?\.?\d+ mL left in front brakes$/);
    expect(words(0).title).toBe('Firm, as calculated');
    expect(words(0).detail).toMatch(
      /^Nothing to mend here. Save the curve. Against the pedal that Size calculates, at 7 MPa: free play [+−]\d+ mm ± \d+ mm, flex .*, air \+0 mm ± .*\. Up to 12 mm more is allowed\.$/,
    );
    expect(words(3).detail).toMatch(/^Bleed this circuit again/);
  });
  it('far firmer than calculated, it is another pedal', () => {
    const soft = { ...AGAINST, expected: { ...AGAINST.expected, flexMmPerMPa: 8 } };
    const held = judgeCurve({ ...PEDAL, sigmaMm: 0.2, points: readings(0) }, undefined, soft)!;
    expect(heldWords(held, soft, 'Front brakes', METRIC).title).toBe(
      'Size calculates another pedal',
    );
  });
  it('draws the calculated pedal in its band, and over it what is too much, by cause', () => {
    const points = readings(3);
    const fit = judgeCurve({ ...PEDAL, sigmaMm: 0.2, points }, undefined, AGAINST)!;
    const lines = heldLines(points, fit, AGAINST);
    const end = (name: string) => lines.find((line) => line.name === name)!.points.at(-1)!;
    expect(lines.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['calculated', 'air', 'readings']),
    );
    // Play at nothing, and play, flex and pads at a hard stop.
    expect(lines.find(({ name }) => name === 'calculated')!.points[0]!.y).toBe(10);
    expect(end('calculated').y).toBeCloseTo(10 + 3 * 8 + 4, 3);
    // Twice the root of 2², (0.3·8)² and 2², by hand.
    expect(end('calculated, and what is not known of it').y - end('calculated').y).toBeCloseTo(
      2 * Math.sqrt(4 + 5.76 + 4),
      3,
    );
    expect(end('air').y - end('calculated').y).toBeGreaterThan(20);
    const back = heldLines([...points, { pressureMPa: 2, travelMm: 40, back: true }], fit, AGAINST);
    expect(back.at(-1)!.name).toBe('on the way back');
  });
  it('says how it comes back and what pumping does, where either was read', () => {
    expect(wayBackWords(null, null, 'metric')).toBe('');
    expect(wayBackWords(4.2, 12, 'metric')).toBe(
      'On the way back the pedal lags by 4 mm. Pumped first, it is 12 mm shorter.',
    );
  });
});
