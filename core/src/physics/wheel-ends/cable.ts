/** A parking brake's cable: its outer from stop to stop, the way it has to go, and the inner's ends. */
export interface CableReadings {
  /** From stop to stop along the way it will lie. */
  readonly wayMm: number;
  /** Its outer, between its own stops. */
  readonly outerMm: number;
  /** Inner past the outer at both ends together, pulled straight. */
  readonly freeMm: number;
  /** What the lever's hook and the shoe's lever need of it together, slack. */
  readonly needMm: number;
  /** What its adjuster can take up. */
  readonly adjustMm: number;
}
/** Outer that is longer than its way by more than this hangs, mm. Common practice. */
export const CABLE_OVER_MM = 20;

export type CableFault = 'outer-short' | 'outer-long' | 'inner-short' | 'inner-long';
/** By how much a cable is too long or too short, and the first fault: what is too short cannot be fitted, what is too long hangs or cannot be taken up. */
export function cableFit({ wayMm, outerMm, freeMm, needMm, adjustMm }: CableReadings): {
  readonly outerOverMm: number;
  readonly innerOverMm: number;
  readonly fault: CableFault | null;
} {
  const outerOverMm = outerMm - wayMm;
  // An outer that is longer than its way takes nothing of the inner: both are measured past its stops.
  const innerOverMm = freeMm - needMm;
  const fault =
    outerOverMm < 0
      ? 'outer-short'
      : outerOverMm > CABLE_OVER_MM
        ? 'outer-long'
        : innerOverMm < 0
          ? 'inner-short'
          : innerOverMm > adjustMm
            ? 'inner-long'
            : null;
  return { outerOverMm, innerOverMm, fault };
}
