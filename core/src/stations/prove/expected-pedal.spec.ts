import { normal, seeded } from '../../lib/random/index.ts';
import { demo } from '../../testing/demo-plans.ts';
import { viewPlan } from '../../plan/results/index.ts';
import { cases } from '../../testing/cases.ts';
import { expectedPedal, judgeCurve } from './index.ts';

const gannet = viewPlan(demo('gannet'));
const [front] = gannet.plan.circuits;
const against = expectedPedal(front!, gannet)!;
const PEDAL = { ratio: 6.2, boreMm: 22.225 };
const ML_PER_MM = ((Math.PI / 4) * PEDAL.boreMm ** 2) / PEDAL.ratio / 1000;
const PRESSURES = [0.05, 0.1, 0.2, 0.4, 0.8, 1.5, 3, 5, 7];

describe('the pedal that is calculated', () => {
  it('is that of Size: free play, gaps and what gives, with no air', () => {
    const { travelMm, pressureMPa } = gannet.size!.empty.size;
    const { expected } = against;
    const p = pressureMPa.front;
    // Size counts neither free play, 1 mm at the pushrod where nobody measured it, nor what settles at first.
    const calculated = expected.t0Mm - PEDAL.ratio * 1 + expected.padMm + expected.flexMmPerMPa * p;
    const settles = 0.3 / ML_PER_MM;
    expect(Math.abs(calculated - settles - travelMm.total)).toBeLessThan(0.02 * travelMm.total);
  });
  it('is none for a clutch, nor before Size is begun', () => {
    expect(expectedPedal(gannet.plan.circuits[2]!, gannet)).toBeNull();
    expect(expectedPedal(front!, viewPlan({ ...gannet.plan, sizing: null }))).toBeNull();
  });
});

// Drum shoes far from their drums take up fluid at low pressure, as a little air does, so Gannet gets fewer verdicts.
describe.each([
  ['wheatear', 0.85],
  ['gannet', 0.8],
] as const)('vehicles like %s, made with what the judge leaves out', (name, told) => {
  const plan = viewPlan(demo(name));
  const held = expectedPedal(plan.plan.circuits[0]!, plan)!;
  const { expected } = held;
  const random = seeded(11);
  const draw = normal(random);
  /** Air squeezed neither slowly nor fast, hoses that stiffen, a gauge that lags, a hand that shakes. */
  const read = (airMl: number) => {
    const t0 = expected.t0Mm + expected.sigma.t0Mm * 0.7 * draw();
    const flex = expected.flexMmPerMPa + expected.sigma.flexMmPerMPa * 0.7 * draw();
    const pad = Math.max(0, expected.padMm + expected.sigma.padMm * 0.7 * draw());
    return PRESSURES.map((p) => ({
      pressureMPa: Math.round(p * (1 - 0.02 * random()) * 100) / 100,
      travelMm:
        t0 +
        flex * p * (1.04 - 0.01 * p) +
        pad * Math.tanh(p / 0.5) +
        (airMl / ML_PER_MM) * (1 - (0.101325 / (0.101325 + p)) ** (1 / 1.15)) +
        0.4 * draw(),
    }));
  };
  const judge = (airMl: number) =>
    judgeCurve({ ...PEDAL, sigmaMm: 0.3, points: read(airMl) }, undefined, held)!;
  const many = cases(100, 400);
  const share = (of: (i: number) => boolean): number =>
    Array.from({ length: many }, (_, i) => of(i)).filter(Boolean).length / many;

  it('sound ones are called so, and hardly ever a fault', () => {
    const verdicts = Array.from({ length: many }, () => judge(0).verdict);
    expect(verdicts.filter((is) => is === 'firm').length / many).toBeGreaterThanOrEqual(told);
    const named = verdicts.filter((is) => is !== 'firm' && is !== 'cannot-tell');
    expect(named.length / many).toBeLessThanOrEqual(0.03);
  });
  it('their air lies within two standard deviations of what is said', () => {
    const within = share((i) => {
      const airMl = (6 * (i + 1)) / many;
      const found = judge(airMl);
      return Math.abs(found.airMl - airMl) <= 2 * found.sigma.airMl;
    });
    expect(within).toBeGreaterThanOrEqual(0.9);
  });
  it('a lot of air is named', () => {
    expect(share(() => judge(5).verdict === 'air')).toBeGreaterThanOrEqual(0.9);
  });
});
