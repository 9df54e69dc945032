import { braking, pushN } from './balance.ts';
import { sumMl, takenMl } from './size.ts';
import { boreArea, GRAVITY_MS2, type Axle, type SizeInput } from './types.ts';

export interface Failure {
  readonly failed: Axle;
  readonly pressureMPa: number;
  readonly forceN: number;
  readonly z: number;
  readonly travelMm: number;
  /** The master or the pedal runs out of stroke before the circuit left is up to pressure. */
  readonly strokesOut: boolean;
}

/** Share of a tandem's stroke that each chamber has to itself. Common practice: halves; the maker's sheet comes first. */
const CHAMBER_SHARE = 0.5;

/**
 * What is left when one circuit has failed. A tandem's dead chamber closes up (half its stroke) and
 * the other takes the whole push; on a balance bar the dead master runs to its end and the other
 * keeps the share of the push that the bar gives it. Source: statics of both; chamber halves are common practice.
 */
export function withFailed(input: SizeInput, failed: Axle): Failure {
  const axle: Axle = failed === 'front' ? 'rear' : 'front';
  const { master, pedal } = input;
  const brakes = braking(input, pushN(pedal, input.booster));
  const pressureMPa = brakes.pressureMPa[axle];
  const ml = sumMl(takenMl(input[axle], input.lines[axle], input.fluid.bulkGPa, input.airMl[axle], pressureMPa));
  const bore = master.kind === 'tandem' ? master.boreMm : axle === 'front' ? master.frontBoreMm : master.rearBoreMm;
  const ownMm = (1000 * ml) / boreArea(bore);
  const share = master.kind === 'tandem' ? 1 : axle === 'front' ? master.frontShare : 1 - master.frontShare;
  const lostMm = master.kind === 'tandem' ? CHAMBER_SHARE * master.strokeMm : (1 - share) * (master.strokeMm - master.deadMm);
  const travelMm = (master.deadMm + share * ownMm + lostMm) * pedal.ratio;
  const roomMm = master.kind === 'tandem' ? (1 - CHAMBER_SHARE) * master.strokeMm : master.strokeMm;
  return {
    failed,
    pressureMPa,
    forceN: brakes.forceN[axle],
    z: brakes.forceN[axle] / (input.vehicle.massKg * GRAVITY_MS2),
    travelMm,
    strokesOut: master.deadMm + ownMm > roomMm || travelMm > pedal.strokeMm,
  };
}
