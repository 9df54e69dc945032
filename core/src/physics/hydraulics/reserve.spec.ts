import { viewPlan } from '../../plan/results/index.ts';
import { demo } from '../../testing/demo-plans.ts';
import { rearLeads, reserveOf, shareFor, usableZ, type SizeInput } from './index.ts';

const gannet = viewPlan(demo('gannet')).size!.empty.input;
const wheatear = viewPlan(demo('wheatear')).size!.empty.input;

describe('a vacuum booster without its supply', () => {
  const booster = { gain: 4, vacuumKPa: 65, diaphragmMm2: 35_000 };
  const input: SizeInput & { booster: typeof booster } = { ...gannet, booster };
  test('loses the atmosphere times its swept volume over its own, each stop', () => {
    // Boyle: p·V + pa·ΔV = p'·V. 35,000 mm² over 20 mm sweep 700 mL; of 5,000 mL, 101.325 · 0.14 = 14.19 kPa a stop.
    const { vacuumKPa } = reserveOf(input, 5000, 20, null);
    expect(vacuumKPa[0]).toBe(65);
    vacuumKPa.slice(1).forEach((now, i) => expect(vacuumKPa[i]! - now).toBeCloseTo(14.1855, 3));
  });
  test('helps in full while its vacuum is what the foot asks, and a tank gives more such stops', () => {
    // Asked: (4 − 1)·F·ratio·efficiency over the diaphragm, by hand from the plan's pedal.
    const { forceN, ratio, efficiency } = gannet.pedal;
    const needsKPa = (3000 * forceN * ratio * efficiency) / booster.diaphragmMm2;
    expect(needsKPa).toBeGreaterThan(65);
    expect(reserveOf(input, 5000, 20, null).stops).toBe(0);
    const easy = { ...input, pedal: { ...gannet.pedal, forceN: (forceN * 30) / needsKPa } };
    // (65 − 30)/14.19 = 2.47: the first, and two more.
    expect(reserveOf(easy, 5000, 20, null).stops).toBe(3);
    expect(reserveOf(easy, 10_000, 20, null).stops).toBe(5);
  });
  test('in the fifth stop stops as one with what vacuum is left, and as none at all when it is used up', () => {
    const left = reserveOf(input, 1000, 20, null);
    expect(left.vacuumKPa[4]).toBe(0);
    expect(left.fifthZ).toBeCloseTo(usableZ({ ...gannet, booster: null }), 9);
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
