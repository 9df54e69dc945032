export interface StoppingInput {
  readonly fromKmh: number;
  readonly distanceM: number;
  readonly compareKmh?: number;
}
export interface StoppingTest {
  readonly meanDecelMs2: number;
  readonly g: number;
  /** The distance scaled by the square of the speed; rough over more than a few km/h. */
  readonly distanceAtCompareM: number;
}
const G_MS2 = 9.80665;
const COMPARE_KMH = 100;
/** Scaled over more than this a distance is rough, km/h. Source: SAE J299 (from memory), 2 mph. */
export const ROUGH_KMH = 3.2;

/** A stop from a speed in a distance: v²/2d. Source: kinematics; standard gravity 9.80665 m/s². */
export function stoppingDistance({
  fromKmh,
  distanceM,
  compareKmh = COMPARE_KMH,
}: StoppingInput): StoppingTest {
  const v = fromKmh / 3.6;
  const meanDecelMs2 = (v * v) / (2 * distanceM);
  return {
    meanDecelMs2,
    g: meanDecelMs2 / G_MS2,
    distanceAtCompareM: distanceM * (compareKmh / fromKmh) ** 2,
  };
}
/** Mean and scatter (one standard deviation) of several stops from one speed. */
export function scatterOf(distancesM: readonly number[]): {
  readonly meanM: number;
  readonly sigmaM: number | null;
} {
  const meanM = distancesM.reduce((sum, d) => sum + d, 0) / distancesM.length;
  return {
    meanM,
    sigmaM:
      distancesM.length < 2
        ? null
        : Math.sqrt(
            distancesM.reduce((sum, d) => sum + (d - meanM) ** 2, 0) / (distancesM.length - 1),
          ),
  };
}
