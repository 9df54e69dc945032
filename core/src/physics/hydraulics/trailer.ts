import { forcePerMPa } from './balance.ts';
import { sumMl, takenMl } from './size.ts';
import { GRAVITY_MS2, type AxleLines, type Brake } from './types.ts';

export interface TrailerInput {
  readonly actuatorMPa: number;
  /** One to three axles, each with the load it carries. */
  readonly axles: readonly {
    readonly brake: Brake;
    readonly loadKg: number;
    readonly tyreRadiusMm: number;
  }[];
  /** All its lines together. */
  readonly lines: AxleLines;
  readonly bulkGPa: number;
  readonly airMl: number;
  /** Grip of the road. */
  readonly mu?: number;
}
export interface TrailerSize {
  readonly axles: readonly {
    readonly wheelTorqueNm: number;
    readonly forceN: number;
    readonly adhesion: number;
  }[];
  /** Deceleration of the mass on its axles by its own brakes, each axle up to the grip of the road. */
  readonly z: number;
  /** Fluid that the actuator must push out for that pressure. */
  readonly takenMl: number;
}

/**
 * From the actuator's pressure to the torque at each wheel, the adhesion each axle uses and the fluid
 * it takes. Source: Pascal, disc and drum torque; volumes as in `size`.
 */
export function trailer({
  actuatorMPa,
  axles,
  lines,
  bulkGPa,
  airMl,
  mu = Infinity,
}: TrailerInput): TrailerSize {
  const found = axles.map(({ brake, loadKg, tyreRadiusMm }) => {
    const forceN = forcePerMPa(brake, tyreRadiusMm) * actuatorMPa;
    return {
      wheelTorqueNm: (forceN / 2) * (tyreRadiusMm / 1000),
      forceN,
      adhesion: forceN / (loadKg * GRAVITY_MS2),
    };
  });
  const massKg = axles.reduce((sum, axle) => sum + axle.loadKg, 0);
  const perAxle = (brake: Brake): number => takenMl(brake, lines, bulkGPa, 0, actuatorMPa).pads;
  const shared = takenMl(axles[0]!.brake, lines, bulkGPa, airMl, actuatorMPa);
  return {
    axles: found,
    z:
      found.reduce(
        (sum, { forceN }, i) => sum + Math.min(forceN, mu * axles[i]!.loadKg * GRAVITY_MS2),
        0,
      ) /
      (massKg * GRAVITY_MS2),
    takenMl: sumMl({ ...shared, pads: axles.reduce((sum, { brake }) => sum + perAxle(brake), 0) }),
  };
}
