import { ATMOSPHERE_MPA } from '../../lib/units/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { balancePointZ, braking, locksFirst, pushN, type Braking } from './balance.ts';
import { BY_AXLE, circuitMl, twinBoreMm, type CircuitShare } from './circuits.ts';
import {
  AXLES,
  boreArea,
  DEFAULT_MU,
  perAxle,
  type Axle,
  type AxleLines,
  type Axles,
  type Brake,
  type SizeInput,
} from './types.ts';

export const CAUSES = ['dead', 'pads', 'hose', 'tube', 'fluid', 'air'] as const;
export type Cause = (typeof CAUSES)[number];
export type TakenMl = Readonly<Record<Exclude<Cause, 'dead'>, number>>;

export interface Size extends Braking {
  readonly locksFirst: Axle | 'together';
  readonly balancePointZ: number | null;
  readonly travelMm: {
    readonly total: number;
    readonly byCause: Readonly<Record<Cause, number>>;
    readonly share: number;
  };
  readonly strokeMm: number;
  readonly bottoms: boolean;
}

/** Fluid that the two brakes of an axle take at a pressure, mL: the gap once, and what gives with pressure. */
function brakeMl(brake: Brake, pMPa: number): number {
  if (brake.kind === 'drum') return (2 * boreArea(brake.cylinderMm) * brake.travelMm) / 1000;
  const areaMm2 = brake.pistonsMm.reduce((sum, d) => sum + boreArea(d), 0);
  return (
    (2 *
      (brake.opposed ? 2 : 1) *
      areaMm2 *
      (brake.clearanceMm + brake.complianceMmPerMPa * pMPa)) /
    1000
  );
}

const boreMl = ({ idMm }: AxleLines, lengthMm: number): number =>
  (boreArea(idMm) * lengthMm) / 1000;

/**
 * Fluid that an axle's lines and brakes take at a pressure, mL by cause. Source: thin-walled closed
 * tube ΔV/V = (p·D/(4·t·E))·(5 − 4ν), bulk modulus, isothermal air.
 */
export function takenMl(
  brake: Brake,
  lines: AxleLines,
  bulkGPa: number,
  airMl: number,
  pMPa: number,
): TakenMl {
  const wallMm = (lines.odMm - lines.idMm) / 2;
  const meanMm = (lines.odMm + lines.idMm) / 2;
  const tubeMl = boreMl(lines, lines.tubeMm);
  const held = tubeMl + boreMl(lines, lines.hoseMm) + (lines.cavityMl ?? 0);
  return {
    pads: brakeMl(brake, pMPa),
    hose: (lines.hoseMm / 1000) * lines.hoseMlPerMPaM * pMPa,
    tube:
      tubeMl * ((pMPa * meanMm) / (4 * wallMm * lines.youngGPa * 1000)) * (5 - 4 * lines.poisson),
    fluid: (held * pMPa) / (bulkGPa * 1000),
    air: airMl * (1 - ATMOSPHERE_MPA / (ATMOSPHERE_MPA + pMPa)),
  };
}

export const sumMl = (taken: TakenMl): number =>
  taken.pads + taken.hose + taken.tube + taken.fluid + taken.air;

/** How far a mL taken by an axle moves the master, mm: for a twin, as the balance bar shares it. */
export function masterMmPerMl({ master }: Pick<SizeInput, 'master'>): Axles<number> {
  return master.kind === 'tandem'
    ? perAxle(() => 1000 / boreArea(master.boreMm))
    : {
        front: (1000 * master.frontShare) / boreArea(master.frontBoreMm),
        rear: (1000 * (1 - master.frontShare)) / boreArea(master.rearBoreMm),
      };
}

function masterBottoms(
  { master }: SizeInput,
  strokeMm: number,
  taken: Axles<TakenMl>,
  circuits: readonly CircuitShare[],
): boolean {
  if (master.kind === 'tandem') return strokeMm > master.strokeMm;
  const ml = perAxle((axle) => sumMl(taken[axle]));
  return circuits.some(
    (one) =>
      master.deadMm + (1000 * circuitMl(one, ml)) / boreArea(twinBoreMm(master, one)) >
      master.strokeMm,
  );
}

/** Refuses lines whose bore is not inside their wall. */
export function checkLines(lines: Axles<AxleLines>): void {
  for (const axle of AXLES) {
    const { idMm, odMm } = lines[axle];
    if (idMm >= odMm)
      throw new InputError(
        `lines.${axle}.idMm`,
        `The bore of ${idMm} mm does not fit a tube of ${odMm} mm.`,
      );
  }
}

/**
 * From the foot to the road: pressures, forces, deceleration, loads and adhesion used by both axles,
 * which locks first, where the pedal's travel goes by cause, and whether anything runs out of stroke.
 * `circuits` says which brakes share a master where two stand on one bar. Throws InputError where a bore
 * does not fit in its tube.
 */
export function size(input: SizeInput, circuits: readonly CircuitShare[] = BY_AXLE): Size {
  checkLines(input.lines);
  const { pedal, master } = input;
  const brakes = braking(input, pushN(pedal, input.booster));
  const taken = perAxle((axle) =>
    takenMl(
      input[axle],
      input.lines[axle],
      input.fluid.bulkGPa,
      input.airMl[axle],
      brakes.pressureMPa[axle],
    ),
  );
  const mmPerMl = masterMmPerMl(input);
  const travelOf = (cause: Exclude<Cause, 'dead'>): number =>
    (taken.front[cause] * mmPerMl.front + taken.rear[cause] * mmPerMl.rear) * pedal.ratio;
  const byCause = {
    dead: master.deadMm * pedal.ratio,
    pads: travelOf('pads'),
    hose: travelOf('hose'),
    tube: travelOf('tube'),
    fluid: travelOf('fluid'),
    air: travelOf('air'),
  };
  const total = CAUSES.reduce((sum, cause) => sum + byCause[cause], 0);
  const strokeMm = total / pedal.ratio;
  return {
    ...brakes,
    locksFirst: locksFirst(input, input.mu ?? DEFAULT_MU),
    balancePointZ: balancePointZ(input),
    travelMm: { total, byCause, share: total / pedal.strokeMm },
    strokeMm,
    bottoms: total > pedal.strokeMm || masterBottoms(input, strokeMm, taken, circuits),
  };
}
