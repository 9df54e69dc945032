import { normal } from '../../lib/random/index.ts';
import type { Evidence } from './faults.ts';
import type { Symptom } from './fault-tables.ts';
import { movedMlPerMm, trueTravelMm, type TrueFault, type TrueVehicle } from './true-vehicle.ts';

/** How far an effect shows, over what would be called seen: each effect in its own unit, beside its threshold and the scatter of whoever checks. */
type Shown = readonly [effect: number, threshold: number, scatter: number];

/** What a vehicle does when it is checked: millimetres, seconds and shares, out of how bad its faults are. */
function effects(
  v: TrueVehicle,
  random: () => number,
): Record<Exclude<Symptom, `curve${string}`>, Shown> {
  const by = (name: TrueFault): number => v.bad[name] ?? 0;
  const mmPerMl = 1 / movedMlPerMm(v);
  const soft = trueTravelMm(v, 2) - trueTravelMm({ ...v, airMl: 0 }, 2);
  const knockMm = by('knock') * 45;
  const lowMl = by('weep') * 4;
  const shutIn = by('collapsed') * 2;
  // A port half covered lets go by some play of the rod, and not by other.
  const covered = by('long') * (0.6 + 0.8 * random());
  const lost = 0.5 * random();
  return {
    pumps: [
      0.35 * soft + 0.7 * by('drums') * 50 + 0.8 * knockMm * random() + by('feed') * 25 * random(),
      9,
      3,
    ],
    sinks: [(lowMl + by('cup') * 5 + by('modulator') * 4 + by('feed') * 1.5) * mmPerMl, 5, 2],
    longHot: [by('boiled') * 60 + by('drums') * 12 * random(), 8, 3],
    longAfterDrive: [knockMm + by('drums') * 12 * random(), 10, 4],
    pressureOff: [
      (by('bore') ? 0.2 + 0.2 * by('bore') : 0) +
        0.55 * by('booster') +
        0.4 * by('checkValve') * random() +
        by('cup') * 0.2 * random(),
      0.15,
      0.05,
    ],
    noDrop: [by('booster') + 0.5 * by('checkValve') * random(), 0.3, 0.1],
    noReserve: [by('checkValve') + by('booster'), 0.3, 0.12],
    wet: [lowMl + by('cup') * 0.4 * random(), 0.6, 0.35],
    bubbles: [v.masterAirMl + by('feed') * 2 * random() + by('cup') * 0.4 * random(), 0.6, 0.3],
    fountain: [by('feed') * 20 + by('cup') * 5 * random(), 3.5, 1.5],
    potFell: [(by('air') ? 0.35 : 0.25) * random(), 0.22, 0.02],
    drags: [by('sticking') * 2 + covered + shutIn * random(), 0.55, 0.25],
    dragsHot: [by('sticking') * 2 + 3 * by('long') + shutIn * random(), 0.55, 0.25],
    freesAtBleeder: [shutIn + covered * random(), 0.6, 0.25],
    pistonStill: [by('sticking') * 1.5 + by('collapsed') * random(), 0.65, 0.2],
    pulls: [
      by('collapsed') + by('sticking') + by('pads') * (random() < 0.5 ? 1 : 0.2) + lost * 0.3,
      0.5,
      0.2,
    ],
    weakStop: [
      by('pads') * 1.4 + (by('sticking') + by('collapsed')) * 0.7 * random() + lost * 0.3,
      0.5,
      0.18,
    ],
    drumsLoose: [2 + by('drums') * 40, 8, 3],
    softPlugged: [
      v.masterAirMl * mmPerMl + by('short') * v.ratio * 8 + by('box') * 15 + by('feed') * 10,
      9,
      3,
    ],
    sinksPlugged: [(by('cup') * 5 + by('feed') * random() * 2) * mmPerMl, 5, 2],
    boxMoves: [by('box') * 5 + lost, 1.1, 0.45],
    hoseSwells: [by('hose') * 6 + lost, 1.3, 0.6],
  };
}
/** One in so many checks is written down the wrong way. */
const SLIP = 0.015;

/** What somebody notes of a vehicle, everything checked but the curve. */
export function seen(v: TrueVehicle, random: () => number): Evidence {
  const scatter = normal(random);
  return Object.fromEntries(
    Object.entries(effects(v, random)).map(([symptom, [effect, threshold, by]]) => {
      const is = effect + by * scatter() > threshold;
      return [symptom, random() < SLIP ? !is : is];
    }),
  );
}
