/** Four readings of a caliper and a wheel, both from the hub's face and its axis, and what stands on its studs, mm. */
export interface WheelReadings {
  /** Highest place of the caliper, from the axis. */
  readonly caliperRadiusMm: number;
  /** How far the caliper stands out past the hub's face. */
  readonly caliperOutMm: number;
  /** Inside of the wheel's barrel over the caliper, from the axis. */
  readonly barrelRadiusMm: number;
  /** From the wheel's own face in to the back of its spokes. */
  readonly spokesMm: number;
}
export interface Studs {
  readonly count: number;
  /** Of its thread, outside. */
  readonly dMm: number;
  readonly pitchMm: number;
  /** Out of the hub's face. */
  readonly lengthMm: number;
  /** Of the wheel where the nut sits. */
  readonly flangeMm: number;
  /** How the nut sits in the wheel. */
  readonly seat?: (typeof NUT_SEATS)[number];
}
export const NUT_SEATS = ['cone', 'ball', 'flat'] as const;

/** Air between a caliper and a wheel. Common practice: the maker's sheet may ask for more. */
export const WHEEL_GAP_MM = 3;
/** Thread in a steel wheel nut, in diameters. Common practice. */
export const THREAD_IN_DIAMETERS = 1;

export interface WheelFitted {
  readonly barrelMm: number;
  readonly spokesMm: number;
  /** The thinnest spacer that gives the spokes their air; nought where none is wanted. */
  readonly spacerMm: number;
  /** Over the barrel no spacer helps. */
  readonly fits: boolean;
}
/** Whether a wheel goes over a caliper with a spacer, and the spacer it wants. */
export function wheelOver(
  { caliperRadiusMm, caliperOutMm, barrelRadiusMm, spokesMm }: WheelReadings,
  spacerMm: number,
): WheelFitted {
  const barrel = barrelRadiusMm - caliperRadiusMm;
  const spokes = spokesMm + spacerMm - caliperOutMm;
  return {
    barrelMm: barrel,
    spokesMm: spokes,
    spacerMm: Math.max(0, WHEEL_GAP_MM + caliperOutMm - spokesMm),
    fits: barrel >= WHEEL_GAP_MM && spokes >= WHEEL_GAP_MM,
  };
}

/** What of a stud's thread is left for its nut behind a spacer: mm, turns, and whether that holds. */
export function threadLeft(
  { dMm, pitchMm, lengthMm, flangeMm }: Studs,
  spacerMm: number,
): {
  readonly leftMm: number;
  readonly turns: number;
  readonly needMm: number;
  readonly holds: boolean;
} {
  const leftMm = lengthMm - flangeMm - spacerMm;
  const needMm = THREAD_IN_DIAMETERS * dMm;
  return { leftMm, turns: leftMm / pitchMm, needMm, holds: leftMm >= needMm - 1e-9 };
}
