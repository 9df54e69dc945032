import { decelLog, type DecelSample } from './index.ts';

const G = 9.80665;
/** Rows every so many seconds of what is given over time. */
const rows = (toS: number, of: (t: number) => Omit<DecelSample, 'timeS'>): DecelSample[] =>
  Array.from({ length: Math.round(toS / 0.01) + 1 }, (_, i) => ({
    timeS: i * 0.01,
    ...of(i * 0.01),
  }));
/** A decelerometer: a second of nothing, then steady braking at 7 m/s² from 72 km/h until it stands. */
const STOP_S = 20 / 7;
const steady = (t: number): number => (t >= 1 && t <= 1 + STOP_S ? 7 : 0);

describe('the log of a stop', () => {
  // Kinematics: 72 km/h is 20 m/s; v²/2a = 28.57 m in 2.857 s.
  it.each([
    ['a decelerometer', rows(5, (t) => ({ decelMs2: steady(t) }))],
    ['a speed logger', rows(5, (t) => ({ speedMs: Math.max(0, 20 - 7 * Math.max(0, t - 1)) }))],
    ['one with a zero that is off', rows(5, (t) => ({ decelMs2: steady(t) + 0.3 }))],
  ])('of %s comes to speed, distance and mean deceleration by hand', (_, samples) => {
    const log = decelLog({ samples });
    expect(Math.abs(log.fromKmh - 72)).toBeLessThan(0.5);
    expect(Math.abs(log.distanceM - 400 / 14)).toBeLessThan(0.4);
    expect(log.mfddMs2).toBeCloseTo(7, 1);
  });
  it('brakes that build up count in the distance and not in the mean of the fully developed', () => {
    // Rising over 0.5 s to 8 m/s², from 25 m/s: 25·0.5 − 8·0.5²/6 = 12.167 m; then 23 m/s at 8 m/s²: 33.06 m.
    const built = (t: number): number => Math.min(8, Math.max(0, (t - 1) * 16));
    const standsS = 1.5 + 23 / 8;
    const log = decelLog({
      samples: rows(6, (t) => ({ decelMs2: t <= standsS ? built(t) : 0 })),
    });
    expect(Math.abs(log.distanceM - 45.23)).toBeLessThan(0.6);
    expect(log.mfddMs2).toBeCloseTo(8, 1);
    // A mean over all of it is less: v²/2d.
    expect(25 ** 2 / (2 * log.distanceM)).toBeLessThan(7.1);
  });
  it('a body that dips reads gravity besides, and is put back', () => {
    // 1.5° at 1 g: at 7 m/s² the dip is 1.07°, so it reads 7·cos + g·sin = 7.182.
    const dip = (((1.5 * 7) / G) * Math.PI) / 180;
    const read = 7 * Math.cos(dip) + G * Math.sin(dip);
    expect(read).toBeCloseTo(7.182, 3);
    const samples = rows(5, (t) => ({ decelMs2: steady(t) ? read : 0 }));
    expect(decelLog({ samples }).mfddMs2).toBeGreaterThan(7.1);
    expect(decelLog({ samples, pitchDegPerG: 1.5 }).mfddMs2).toBeCloseTo(7, 1);
  });
  it('says what is wrong with a log that holds no stop', () => {
    const still = rows(3, () => ({ decelMs2: 0.1 }));
    expect(() => decelLog({ samples: still })).toThrow('No stop in this log');
    const slower = rows(3, (t) => ({ speedMs: 20 - 2 * t }));
    expect(() => decelLog({ samples: slower })).toThrow('No stop in this log');
    const [a, b] = still;
    expect(() => decelLog({ samples: [b!, a!] })).toThrow('Times must rise');
  });
});
