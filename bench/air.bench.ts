import { readFileSync } from 'node:fs';
import { GLYCOL_FLUID, simulateBleed } from '../core/src/physics/air/index.ts';
import { airNetworkOf } from '../core/src/stations/fill/index.ts';
import { readPlan } from '../core/src/plan/file/index.ts';
import { viewPlan } from '../core/src/plan/results/index.ts';
import { judgeCurve, readPedal, reportOn, trueVehicle } from '../core/src/stations/prove/index.ts';
import { seeded } from '../core/src/lib/random/index.ts';
import { middleMs } from './lines.ts';

/** A hundredth of a second: a naive simulation needs it to carry a bubble no further than 3 mm at a brisk stroke. */
const NAIVE_S = 0.01;

/** A full bleed of Gannet by school beside steps of one length: 20 times asked; the seeded report under 20 s; a curve of 2,000 readings fitted in a frame. */
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
  const report = reportOn(200, seeded(1));
  const ms = middleMs(1, () => void reportOn(200, seeded(1)));
  console.log(
    `200 seeded vehicles: ${ms.toFixed(0)} ms (20,000 asked); fitted air off by ${report.airRmsMl.toFixed(2)} mL, first cause right in ${(100 * report.firstRight).toFixed(0)} %, cannot tell in ${(100 * report.cannotTell).toFixed(0)} % and rightly so in ${(100 * report.cannotTellRight).toFixed(0)} % of them`,
  );
  const random = seeded(2);
  const vehicle = trueVehicle(random, 'air');
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
