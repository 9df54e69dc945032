import { gasEnergyJ, hold, leakdown, scatterOf, seenMPa, stoppingDistance } from './index.ts';
import { seeded } from '../../lib/random/index.ts';

describe('an air test', () => {
  const input = {
    volumeMl: 60,
    start: { pressureMPa: 0.62, tempC: 18 },
    end: { pressureMPa: 0.61, tempC: 21 },
    minutes: 30,
  };
  it('meets the gas law by hand', () => {
    // 0.721325 MPa at 291.15 K and 0.711325 at 294.15: at 18 °C the end would read 0.704070, 0.017255 lower.
    // Free air: 60/0.101325·293.15/30·(0.721325/291.15 − 0.711325/294.15) = 0.3429 mL a minute.
    const { lossMlPerMin, dropAtStartTempMPa, verdict } = leakdown(input);
    expect([lossMlPerMin, dropAtStartTempMPa]).toEqual([
      expect.closeTo(0.34292119, 7),
      expect.closeTo(0.017254717, 8),
    ]);
    expect(verdict).toBe('leaks');
  });
  it('a fall that the cold alone explains is no leak, and a rise that the warmth does not is said', () => {
    // p/T stays: 0.721325·(283.15/291.15) − 0.101325.
    const cold = { pressureMPa: (0.721325 * 283.15) / 291.15 - 0.101325, tempC: 10 };
    const still = leakdown({ ...input, end: cold });
    expect(still.lossMlPerMin).toBeCloseTo(0, 9);
    expect([still.verdict, still.warming]).toEqual(['tight', false]);
    expect(leakdown({ ...input, end: { pressureMPa: 0.64, tempC: 18 } })).toMatchObject({
      verdict: 'tight',
      warming: true,
    });
  });
  it('bands by the limit', () => {
    const at = (pressureMPa: number): string =>
      leakdown({ ...input, end: { pressureMPa, tempC: 18 } }).verdict;
    // 60·293.15/(0.101325·30·291.15) = 19.876 mL a minute for each MPa: 0.1 is 5.03 kPa.
    expect([at(0.6175), at(0.6174), at(0.61498), at(0.6149)]).toEqual([
      'tight',
      'watch',
      'watch',
      'leaks',
    ]);
  });
  it('two sigma that reach the limit cannot tell, and how long it would take follows', () => {
    const unsure = leakdown({
      ...input,
      end: { pressureMPa: 0.617, tempC: 18 },
      pressureSigmaMPa: 0.003,
      tempSigmaC: 0.5,
    });
    // Both readings: 19.876·291.15·√(2·(0.003/291.15)² + (0.5·0.7213/291.15²)² + (0.5·0.7183/291.15²)²).
    const sigma =
      19.876 *
      291.15 *
      Math.sqrt(
        2 * (0.003 / 291.15) ** 2 +
          ((0.5 * 0.721325) / 291.15 ** 2) ** 2 +
          ((0.5 * 0.718325) / 291.15 ** 2) ** 2,
      );
    expect(unsure.lossSigmaMlPerMin).toBeCloseTo(sigma, 4);
    expect(unsure.verdict).toBe('cannot-tell');
    expect(
      leakdown({
        ...input,
        end: { pressureMPa: 0.617, tempC: 18 },
        minutes: unsure.minutesNeeded!,
        pressureSigmaMPa: 0.003,
        tempSigmaC: 0.5,
      }).lossSigmaMlPerMin! * 2,
    ).toBeCloseTo(0.05, 6);
    expect(leakdown({ ...input, pressureSigmaMPa: 0.0001, tempSigmaC: 0.01 }).verdict).toBe(
      'leaks',
    );
  });
});

describe('a stop', () => {
  it('meets kinematics by hand', () => {
    // 96.6 km/h = 26.833 m/s; 26.833²/82 = 8.7808; 41·(100/96.6)² = 43.937.
    expect(stoppingDistance({ fromKmh: 96.6, distanceM: 41 })).toEqual({
      meanDecelMs2: expect.closeTo(8.78083, 4) as number,
      g: expect.closeTo(0.895395, 5) as number,
      distanceAtCompareM: expect.closeTo(43.93692, 4) as number,
    });
  });
  it('the rule of a car, 70 m from 100 km/h, is 5.51 m/s² (FMVSS 135 / UN R13-H, from memory)', () => {
    expect(stoppingDistance({ fromKmh: 100, distanceM: 70 }).meanDecelMs2).toBeCloseTo(5.511, 3);
  });
  it('scatter by hand: 40, 42, 44 are 42 give or take 2', () => {
    expect(scatterOf([40, 42, 44])).toEqual({ meanM: 42, sigmaM: 2 });
    expect(scatterOf([40])).toEqual({ meanM: 40, sigmaM: null });
  });
});

describe('gas under pressure', () => {
  // Worked by hand from E = p·V/(γ − 1)·(1 − (pa/p)^((γ−1)/γ)): 1 L at 1.5 MPa gauge 2.2 kJ, 10 mL at 0.6 MPa 7.4 J.
  it.each([
    [1.5, 1000, 2150, 60],
    [0.6, 10, 7.4, 0.1],
    [0, 1000, 0, 1e-9],
  ])('%d MPa in %d mL', (mpa, ml, joules, within) => {
    expect(Math.abs(gasEnergyJ(mpa, ml) - joules)).toBeLessThanOrEqual(within);
  });
});

describe('a hydraulic hold', () => {
  const input = {
    start: { pressureMPa: 9, tempC: 19 },
    end: { pressureMPa: 8.7, tempC: 22 },
    minutes: 5,
    stiffnessMPaPerK: 0.35,
    limitMPa: 0.2,
    pressureSigmaMPa: 0.03,
    stiffnessSigmaMPaPerK: 0.08,
    tempSigmaC: 0.2,
  };
  it('a fall while it warms is a larger one: worked by hand', () => {
    // 9 − 8.7 + 0.35·3 = 1.35; √(2·0.03² + (3·0.08)² + 2·(0.35·0.2)²) = √(0.0018 + 0.0576 + 0.0098) = 0.26306.
    expect(hold(input)).toEqual({
      fallMPa: expect.closeTo(1.35, 9),
      sigmaMPa: expect.closeTo(0.26306, 5),
      verdict: 'falls',
    });
  });
  it.each([
    ['under a foot, where no temperature counts', { stiffnessMPaPerK: 0, limitMPa: 0.8 }, 'holds'],
    [
      'warming explains the rise',
      { end: { pressureMPa: 10.05, tempC: 22 }, limitMPa: 0.6 },
      'holds',
    ],
    ['more than warming does', { end: { pressureMPa: 11.5, tempC: 22 } }, 'rises'],
    ['as unsure as it fell', { end: { pressureMPa: 9.8, tempC: 22 } }, 'cannot-tell'],
  ])('%s', (_, patch, verdict) => {
    expect(hold({ ...input, ...patch }).verdict).toBe(verdict);
  });
  it('says what would settle it', () => {
    const unsure = (patch: object): string | undefined =>
      hold({ ...input, end: { pressureMPa: 9.8, tempC: 22 }, ...patch }).missing;
    expect(unsure({})).toMatch(/the same temperature/);
    expect(unsure({ stiffnessSigmaMPaPerK: 0, pressureSigmaMPa: 0.3 })).toMatch(/finer gauge/);
    expect(unsure({ stiffnessSigmaMPaPerK: 0, tempSigmaC: 1 })).toMatch(/longer wait/);
  });
  it('gauges that read no fall at all scatter within what they can see 98.8 times of 100', () => {
    // 2.5 standard deviations of a normal distribution, two-sided (tables).
    const random = seeded(7);
    const normal = (): number =>
      Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const seen = seenMPa(0.05, 0.3, 0.1);
    const runs = Array.from({ length: 4000 }, () =>
      Math.abs(0.05 * (normal() - normal()) + 0.3 * 0.1 * (normal() - normal())),
    );
    expect(runs.filter((fall) => fall <= seen).length / runs.length).toBeCloseTo(0.988, 2);
  });
});
