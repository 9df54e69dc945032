/* eslint-disable no-restricted-globals -- the platform's own reading is what it is checked against */
import { daysBetween, secondsOf, yearsAfter } from './index.ts';
import { seeded } from '../random/index.ts';

describe('moments', () => {
  it('are those of the platform’s own reading of ISO 8601', () => {
    const random = seeded(3);
    for (let i = 0; i < 500; i++) {
      const iso = new Date((random() * 2 - 0.5) * 4e12).toISOString();
      expect(secondsOf(iso)).toBeCloseTo(Date.parse(iso) / 1000, 3);
    }
    for (const iso of [
      '2026-02-28',
      '2024-02-29T23:59Z',
      '2026-03-02T09:00:00+01:00',
      '2026-03-02T09:00:00.250-0530',
    ])
      expect(secondsOf(iso)).toBeCloseTo(Date.parse(iso.replace('-0530', '-05:30')) / 1000, 3);
    expect(secondsOf('yesterday')).toBeNaN();
  });
  it('come again in later years, as `Date` counts them', () => {
    for (const [day, years] of [
      ['2026-03-02', 2],
      ['2028-02-29', 1],
      ['2028-02-29', 4],
    ] as const) {
      const date = new Date(`${day}T00:00:00Z`);
      date.setUTCFullYear(date.getUTCFullYear() + years);
      expect(yearsAfter(day, years)).toBe(date.toISOString().slice(0, 10));
    }
  });
  it('are days apart over leap years and summer time', () => {
    expect(daysBetween('2024-02-28', '2024-03-01')).toBe(2);
    expect(daysBetween('2026-03-28T23:00:00Z', '2026-03-29T01:00:00Z')).toBe(1);
  });
});
