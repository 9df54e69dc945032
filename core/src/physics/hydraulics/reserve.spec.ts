import { viewPlan } from '../../plan/results/index.ts';
import { demo } from '../../testing/demo-plans.ts';
import {
  APPLICATIONS,
  pushN,
  rearLeads,
  reserveOf,
  runOutN,
  shareFor,
  size,
  usableZ,
  type SizeInput,
} from './index.ts';

const gannet = viewPlan(demo('gannet')).size!.empty.input;
const wheatear = viewPlan(demo('wheatear')).size!.empty.input;

describe('a vacuum booster without its supply', () => {
  const booster = { gain: 4, vacuumKPa: 65, diaphragmMm2: 35_000 };
  const input: SizeInput & { booster: typeof booster } = { ...gannet, booster };
  test('loses the atmosphere times its swept volume over its own, each stop', () => {
    // Boyle: p·V + pa·ΔV = p'·V. 35,000 mm² over 20 mm sweep 700 mL; of 5,000 mL, 101.325 · 0.14 = 14.19 kPa a stop.
    const { vacuumKPa } = reserveOf(input, 5000, 20, 4, null);
    expect(vacuumKPa[0]).toBe(65);
    expect(vacuumKPa).toHaveLength(5);
    vacuumKPa.slice(1).forEach((now, i) => expect(vacuumKPa[i]! - now).toBeCloseTo(14.1855, 3));
  });
  test('helps in full while its vacuum, squeezed by the stroke, is what the foot asks', () => {
    // Asked: (4 − 1)·F·ratio·efficiency over the diaphragm, by hand from the plan's pedal.
    const { forceN, ratio, efficiency } = gannet.pedal;
    const needsKPa = (3000 * forceN * ratio * efficiency) / booster.diaphragmMm2;
    expect(needsKPa).toBeGreaterThan(65);
    expect(reserveOf(input, 5000, 20, 4, null).stops).toBe(0);
    const easy = { ...input, pedal: { ...gannet.pedal, forceN: (forceN * 30) / needsKPa } };
    // 700 mL swept of 5,000: 36.33 kPa left are squeezed to 42.24, so 59.08 are vacuum; then 14.19 · 5000/4300 = 16.5 less
    // each: 59.1, 42.6, 26.1 of the 30 that are asked. Twice the tank: 62.3, 54.7, 47.1, 39.4, 31.8, 24.2.
    expect(reserveOf(easy, 5000, 20, 4, null).stops).toBe(2);
    expect(reserveOf(easy, 10_000, 20, 4, null).stops).toBe(5);
  });
  test('after four or eight full ones stops as one with what vacuum is left, and as none at all when it is used up', () => {
    const left = reserveOf(input, 1000, 20, 4, null);
    expect(left.vacuumKPa[4]).toBe(0);
    expect(left.nextZ).toBeCloseTo(usableZ({ ...gannet, booster: null }), 9);
    const easy = { ...input, pedal: { ...gannet.pedal, forceN: 60 } };
    expect(reserveOf(easy, 20_000, 20, 8, null).nextZ).toBeLessThanOrEqual(
      reserveOf(easy, 20_000, 20, 4, null).nextZ,
    );
    // UN R13 annex 7 part B and C, UN R13-H annex 4 (from memory).
    expect(APPLICATIONS).toEqual({ vacuum: 4, pump: 8, hydraulic: 8 });
  });
});

describe('a balance bar', () => {
  const vehicles = [wheatear.vehicle];
  const at = (frontShare: number): SizeInput => ({
    ...wheatear,
    master: { ...wheatear.master, frontShare } as SizeInput['master'],
  });
  test('is turned just so far that the rear stays behind: a little less, and it leads with its tenth in hand removed', () => {
    const share = shareFor(wheatear, vehicles)!;
    expect(share).toBeGreaterThan(0.3);
    expect(rearLeads(at(share))).toBeNull();
    // Without the tenth: pads that grip 10 % more behind.
    const grippy = (frontShare: number): SizeInput => {
      const given = at(frontShare);
      return {
        ...given,
        rear:
          given.rear.kind === 'disc'
            ? { ...given.rear, padMu: given.rear.padMu / 0.9 }
            : given.rear,
      };
    };
    expect(rearLeads(grippy(share + 1e-6))).toBeNull();
    expect(rearLeads(grippy(share - 0.002))).not.toBeNull();
  });
  test('there is none of on a tandem', () => {
    expect(shareFor(gannet, [gannet.vehicle])).toBeNull();
  });
});

describe('jump-in and run-out of a booster', () => {
  const pedal = { forceN: 100, ratio: 4, efficiency: 0.9, strokeMm: 150 };
  const booster = { gain: 4, vacuumKPa: 65, diaphragmMm2: 30_000 };
  // By hand: 65 kPa on 30,000 mm² is 1,950 N; (4 − 1)·4·0.9 = 10.8 N of help for each N of foot: 180.6 N.
  test('its help ends where the vacuum is used up, sooner by its jump-in', () => {
    expect(runOutN(pedal, booster)).toBeCloseTo(1950 / 10.8, 6);
    expect(runOutN(pedal, { ...booster, jumpInN: 300 })).toBeCloseTo(1650 / 10.8, 6);
    expect(runOutN(pedal, { ...booster, gain: 1 })).toBeNull();
    // From there on a newton of foot is worth its lever alone, 3.6 N.
    const push = (forceN: number): number => pushN({ ...pedal, forceN }, booster);
    expect(push(180) - push(170)).toBeCloseTo(10 * 4 * 3.6, 6);
    expect(push(300) - push(290)).toBeCloseTo(36, 6);
  });
  test('jump-in comes at once, and not to a foot that does not push', () => {
    const jumpy = { ...booster, jumpInN: 300 };
    expect(pushN({ ...pedal, forceN: 0 }, jumpy)).toBe(0);
    expect(pushN(pedal, jumpy) - pushN(pedal, booster)).toBeCloseTo(300, 9);
    expect(pushN({ ...pedal, forceN: 1000 }, jumpy)).toBe(
      pushN({ ...pedal, forceN: 1000 }, booster),
    );
  });
  test('the air on its vacuum side is squeezed by the planned stroke: more of it by a small chamber', () => {
    const plan = demo('gannet');
    const at = (chamberMl: number | null): SizeInput =>
      viewPlan({
        ...plan,
        sizing: {
          ...plan.sizing!,
          booster,
          boosterBy: chamberMl === null ? null : { kind: 'vacuum', chamberMl },
        },
      }).size!.empty.input;
    expect(at(null).booster!.vacuumKPa).toBe(65);
    const now = at(2500);
    // Boyle: (101.325 − 65)·2500 = p·(2500 − 30·stroke), the stroke that this very help makes.
    const sweptMl = 30 * size(now).strokeMm;
    expect(101.325 - now.booster!.vacuumKPa).toBeCloseTo((36.325 * 2500) / (2500 - sweptMl), 1);
    expect(now.booster!.vacuumKPa).toBeLessThan(at(10_000).booster!.vacuumKPa);
  });
});
