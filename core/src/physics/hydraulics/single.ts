import { forcePerMPa, pushN } from './balance.ts';
import { sumMl, takenMl } from './size.ts';
import { boreArea, type AxleLines, type Brake, type Pedal } from './types.ts';

/** One lever or pedal on a master of its own: a motorcycle's front or rear, one wheel of a light aircraft. */
export interface SingleInput {
  readonly lever: Pedal;
  readonly boreMm: number;
  readonly strokeMm: number;
  readonly deadMm: number;
  readonly brake: Brake;
  /** Brakes that it works. */
  readonly wheels: 1 | 2;
  readonly tyreRadiusMm: number;
  /** Standing load on those wheels. */
  readonly loadN: number;
  readonly lines: AxleLines;
  readonly bulkGPa: number;
  readonly airMl: number;
}
export interface SingleSize {
  readonly pressureMPa: number;
  readonly wheelTorqueNm: number;
  /** At the road, all its wheels. */
  readonly forceN: number;
  readonly adhesion: number;
  readonly travelMm: number;
  /** Of the lever's stroke. */
  readonly share: number;
  readonly strokeMm: number;
  readonly bottoms: boolean;
}

/** From a lever to the road through one master. Source: levers, Pascal, disc and drum torque; travel as in `size`. */
export function single(input: SingleInput): SingleSize {
  const { lever, brake, wheels, tyreRadiusMm, lines } = input;
  const pressureMPa = pushN(lever) / boreArea(input.boreMm);
  const forceN = (forcePerMPa(brake, tyreRadiusMm) * pressureMPa * wheels) / 2;
  const taken = takenMl(brake, lines, input.bulkGPa, input.airMl, pressureMPa);
  // Brakes are reckoned as two; lines, hose and air are those there are.
  const ml = sumMl(taken) - (wheels === 1 ? taken.pads / 2 : 0);
  const strokeMm = input.deadMm + (1000 * ml) / boreArea(input.boreMm);
  const travelMm = strokeMm * lever.ratio;
  return {
    pressureMPa,
    wheelTorqueNm: (forceN * tyreRadiusMm) / 1000 / wheels,
    forceN,
    adhesion: forceN / input.loadN,
    travelMm,
    share: travelMm / lever.strokeMm,
    strokeMm,
    bottoms: strokeMm > input.strokeMm || travelMm > lever.strokeMm,
  };
}
