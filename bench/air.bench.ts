import { readFileSync } from 'node:fs';
import { GLYCOL_FLUID, simulateBleed } from '../core/src/physics/air/index.ts';
import { airNetworkOf } from '../core/src/stations/fill/index.ts';
import { readPlan } from '../core/src/plan/file/index.ts';
import { viewPlan } from '../core/src/plan/results/index.ts';
import {
  builtTo,
  expectedPedal,
  judgeCurve,
  pedalOn,
  readPedal,
  reportOnCurves,
  reportOnFinder,
  trueVehicle,
  type Built,
} from '../core/src/stations/prove/index.ts';
import { seeded } from '../core/src/lib/random/index.ts';
import { middleMs } from './lines.ts';

/** A hundredth of a second: a naive simulation needs it to carry a bubble no further than 3 mm at a brisk stroke. */
const NAIVE_S = 0.01;

/** A share with its goal. */
const met = (name: string, share: number, is: boolean, goal: string): string =>
  `${name} ${(100 * share).toFixed(0)} % (${goal})${is ? '' : ' NOT MET'}`;
/** Vehicles of a model that neither the judge of curves nor the fault finder has: how often each is right, and how far its chances can be trusted. */
function benchVerdicts(): void {
  const built = ['gannet', 'wheatear'].map((name): Built => {
    const { plan, ...view } = viewPlan(
      readPlan(readFileSync(new URL(`../demo/${name}.firmline.json`, import.meta.url), 'utf8')),
    );
    const circuit = plan.circuits[0]!;
    const against = expectedPedal(circuit, { ...view, plan })!;
    return { to: builtTo(pedalOn(circuit, plan), against), against };
  });
  const curves = reportOnCurves(200, built, seeded(1));
  console.log(
    [
      '200 sound and 200 airy vehicles by their curve',
      met('true air within 2σ', curves.airWithin, curves.airWithin >= 0.9, '90 asked'),
      met('sound said to be', curves.soundFirm, curves.soundFirm >= 0.9, '90 asked'),
      met('sound and blamed', curves.soundNamed, curves.soundNamed <= 0.03, '3 at most'),
      `5 mL of air or more named ${(100 * curves.airNamed).toFixed(0)} %`,
    ].join(', '),
  );
  const finder = reportOnFinder(1000, built, seeded(3));
  const sure = finder.claims.find(({ from }) => from === 0.6)!;
  console.log(
    `1,000 vehicles by the fault finder: Brier score ${finder.brier.toFixed(4)}, ${finder.brierOfRates.toFixed(4)} by the rates alone; named rightly ${(100 * finder.namedRight).toFixed(0)} %, sound said to be ${(100 * finder.soundSaid).toFixed(0)} %, sound and blamed ${(100 * finder.soundNamed).toFixed(0)} %, cannot tell ${(100 * finder.cannotTell).toFixed(0)} %`,
  );
  for (const { from, to, claims, right } of finder.claims)
    console.log(
      `  said ${(100 * from).toFixed(0)} to ${(100 * to).toFixed(0)} %: ${claims} times, right ${(100 * right).toFixed(0)} %`,
    );
  console.log(
    met(
      '  of claims at 60 to 80 %, right',
      sure.right,
      sure.right >= 0.6 && sure.right <= 0.8,
      '60 to 80 asked',
    ),
  );
}

/** A full bleed of Gannet by school beside steps of one length: 20 times asked; what curve and fault finder say of vehicles of another model; a curve of 2,000 readings fitted in a frame. */
export function benchAir(): void {
  const plan = readPlan(
    readFileSync(new URL('../demo/gannet.firmline.json', import.meta.url), 'utf8'),
  );
  for (const school of ['farthest-first', 'nearest-first'] as const) {
    const view = viewPlan({ ...plan, bleeding: { ...plan.bleeding, school } });
    const work = view.bleeding.find(({ work }) => work === 'brake')!;
    const network = airNetworkOf(work, view)!;
    const run = { order: work.result!.order.map(({ id }) => id), way: 'two-people' as const };
    const quick = middleMs(25, () => void simulateBleed(network, run));
    const slow = middleMs(1, () => void simulateBleed(network, run, GLYCOL_FLUID, NAIVE_S));
    const [a, b] = [
      simulateBleed(network, run),
      simulateBleed(network, run, GLYCOL_FLUID, NAIVE_S),
    ];
    const same =
      Math.abs(a.leftMl - b.leftMl) < 0.05 &&
      a.corners.every(({ strokes }, i) => Math.abs(strokes - b.corners[i]!.strokes) <= 1);
    console.log(
      `bleed of Gannet, ${school}: ${quick.toFixed(1)} ms, ${(slow / quick).toFixed(0)} times faster than steps of ${NAIVE_S} s (20 asked)${slow / quick < 20 || !same ? ' NOT MET' : ''}; ${same ? 'the same strokes and air' : 'ANOTHER ANSWER'}`,
    );
  }
  benchVerdicts();
  const random = seeded(2);
  const vehicle = trueVehicle(random, ['air']);
  const points = readPedal(
    vehicle,
    Array.from({ length: 2000 }, (_, i) => 0.05 + (7 * i) / 2000),
    random,
  );
  const fit = middleMs(
    7,
    () => void judgeCurve({ ratio: vehicle.ratio, boreMm: vehicle.boreMm, sigmaMm: 0.3, points }),
  );
  console.log(
    `a curve of 2,000 readings fitted: ${fit.toFixed(1)} ms (33 asked, with its redraw)${fit > 33 ? ' NOT MET' : ''}`,
  );
}
