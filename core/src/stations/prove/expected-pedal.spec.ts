import { seeded } from '../../lib/random/index.ts';
import { demo } from '../../testing/demo-plans.ts';
import { defaultsFor, sketchOut } from '../../proposals/set-out/index.ts';
import { viewPlan } from '../../plan/results/index.ts';
import { cases } from '../../testing/cases.ts';
import { builtTo, expectedPedal, pedalOn, reportOnCurves, type Built } from './index.ts';

const gannet = viewPlan(demo('gannet'));
const [front] = gannet.plan.circuits;
const against = expectedPedal(front!, gannet)!;
const PEDAL = { ratio: 6.2, boreMm: 22.225 };
const ML_PER_MM = ((Math.PI / 4) * PEDAL.boreMm ** 2) / PEDAL.ratio / 1000;

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
  it('starts where the free play was felt, and knows that better', () => {
    const { plan } = gannet;
    const felt = viewPlan({
      ...plan,
      wheelEnds: { ...plan.wheelEnds, play: { ...plan.wheelEnds.play, coldMm: 9 } },
    });
    const { expected } = expectedPedal(front!, felt)!;
    // 1 mm at a pushrod of ratio 6.2, where nobody measured it.
    expect(expected.t0Mm - against.expected.t0Mm).toBeCloseTo(9 - 6.2, 6);
    expect(expected.sigma.t0Mm).toBeLessThan(against.expected.sigma.t0Mm);
  });
  it('of a lever on a master of its own is that lever’s, not the foot’s', () => {
    const bike = viewPlan(
      sketchOut(
        { answers: defaultsFor('motorcycle'), said: [], name: 'New', units: 'metric' },
        { id: 'p', now: '2026-01-01T00:00:00.000Z' },
      ),
    );
    const lever = bike.plan.singles[0]!;
    const circuit = bike.plan.circuits.find(({ id }) => id === lever.circuitId)!;
    const held = expectedPedal(circuit, bike)!;
    const size = bike.works.singles[0]!;
    const { expected } = held;
    const p = held.referenceMPa;
    // The lever of Size has air in it and no free play; both are taken off by hand: 1 mm of play, 0.15 mL that settles.
    const airMl = lever.airMl * (1 - 0.101325 / (0.101325 + size.pressureMPa));
    const mmPerMl = (lever.lever.ratio * 1000) / ((Math.PI / 4) * lever.boreMm ** 2);
    const dry = expected.t0Mm + expected.padMm + expected.flexMmPerMPa * size.pressureMPa;
    expect(p).toBe(Math.min(7, size.pressureMPa));
    expect(dry - lever.lever.ratio - 0.15 * mmPerMl + airMl * mmPerMl).toBeCloseTo(
      size.travelMm,
      0,
    );
    expect(pedalOn(circuit, bike.plan)).toEqual({
      ratio: lever.lever.ratio,
      boreMm: lever.boreMm,
    });
  });
});

/** Two calculated pedals: one with drums far from their shoes, one with discs alone. */
const BUILT = (['gannet', 'wheatear'] as const).map((name): [string, Built] => {
  const { plan, ...view } = viewPlan(demo(name));
  const circuit = plan.circuits[0]!;
  const held = expectedPedal(circuit, { ...view, plan })!;
  return [name, { to: builtTo(pedalOn(circuit, plan), held), against: held }];
});
describe.each(BUILT)('vehicles built like %s, of a model that the judge has not', (_, built) => {
  const report = reportOnCurves(cases(60, 400), [built], seeded(1));
  it('sound ones are called so, and hardly ever a fault', () => {
    expect(report.soundFirm).toBeGreaterThanOrEqual(0.9);
    expect(report.soundNamed).toBeLessThanOrEqual(0.03);
  });
  it('their air lies within two standard deviations of what is said, and a lot of it is named', () => {
    expect(report.airWithin).toBeGreaterThanOrEqual(0.9);
    expect(report.airNamed).toBeGreaterThanOrEqual(0.9);
  });
});
