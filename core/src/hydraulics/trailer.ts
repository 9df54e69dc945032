import { forcePerMPa } from './balance.ts';
import { GRAVITY_MS2, type Brake } from './types.ts';

export interface TrailerInput {
  readonly actuatorMPa: number;
  /** One to three axles, each with the load it carries. */
  readonly axles: readonly { readonly brake: Brake; readonly loadKg: number; readonly tyreRadiusMm: number }[];
  /** Mass of the trailer, that on the drawbar left out. */
  readonly massKg: number;
}
export interface TrailerSize {
  readonly axles: readonly { readonly wheelTorqueNm: number; readonly forceN: number; readonly adhesion: number }[];
  readonly z: number;
}

/** From the actuator's pressure to the torque at each wheel and the adhesion each axle uses. Source: Pascal, disc and drum torque. */
export function trailer({ actuatorMPa, axles, massKg }: TrailerInput): TrailerSize {
  const found = axles.map(({ brake, loadKg, tyreRadiusMm }) => {
    const forceN = forcePerMPa(brake, tyreRadiusMm) * actuatorMPa;
    return { wheelTorqueNm: (forceN / 2) * (tyreRadiusMm / 1000), forceN, adhesion: forceN / (loadKg * GRAVITY_MS2) };
  });
  return { axles: found, z: found.reduce((sum, axle) => sum + axle.forceN, 0) / (massKg * GRAVITY_MS2) };
}
