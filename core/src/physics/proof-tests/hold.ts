export interface HoldReading {
  /** Gauge pressure. */
  readonly pressureMPa: number;
  readonly tempC: number;
}
export interface HoldInput {
  readonly start: HoldReading;
  readonly end: HoldReading;
  /** Recorded; the verdict does not depend on it. */
  readonly minutes: number;
  /** How far the pressure of the fluid shut in rises a kelvin, with the pedal jacked rigidly; 0 under a foot, a weight or a booster. */
  readonly stiffnessMPaPerK: number;
  /** A fall that its instruments can see and that is no more than is allowed. */
  readonly limitMPa: number;
  readonly pressureSigmaMPa?: number;
  readonly stiffnessSigmaMPaPerK?: number;
  readonly tempSigmaC?: number;
}
export interface Hold {
  /** How far it fell, put back to the temperature of the start. */
  readonly fallMPa: number;
  readonly sigmaMPa: number;
  readonly verdict: 'holds' | 'falls' | 'rises' | 'cannot-tell';
  /** What would settle it, where it cannot be told. */
  readonly missing?: string;
}

/**
 * A hydraulic hold: whether the pressure held, temperature allowed for. A fall while the fluid warms is a larger one.
 * Source: linear expansion of fluid shut in; first-order propagation of errors.
 */
export function hold({
  start,
  end,
  stiffnessMPaPerK: k,
  limitMPa,
  pressureSigmaMPa = 0,
  stiffnessSigmaMPaPerK = 0,
  tempSigmaC = 0,
}: HoldInput): Hold {
  const warmedC = end.tempC - start.tempC;
  const fallMPa = start.pressureMPa - end.pressureMPa + k * warmedC;
  const doubts = [
    [2 * pressureSigmaMPa ** 2, 'a finer gauge'],
    [(warmedC * stiffnessSigmaMPaPerK) ** 2, 'the same temperature at the end as at the start'],
    [2 * (k * tempSigmaC) ** 2, 'a longer wait, until the temperature is steady'],
  ] as const;
  const sigmaMPa = Math.sqrt(doubts.reduce((sum, [variance]) => sum + variance, 0));
  const [low, high] = [fallMPa - 2 * sigmaMPa, fallMPa + 2 * sigmaMPa];
  const told = (verdict: Hold['verdict']): Hold => ({ fallMPa, sigmaMPa, verdict });
  if (high < -limitMPa) return told('rises');
  if (high <= limitMPa) return told('holds');
  if (low > limitMPa) return told('falls');
  const [, settles] = doubts.reduce((a, b) => (b[0] > a[0] ? b : a));
  return { ...told('cannot-tell'), missing: `It needs ${settles}.` };
}

/** The least fall that instruments can tell from none at equal temperatures, MPa: 2.5 standard deviations. */
export const seenMPa = (
  pressureSigmaMPa: number,
  stiffnessMPaPerK: number,
  tempSigmaC: number,
): number => 2.5 * Math.SQRT2 * Math.hypot(pressureSigmaMPa, stiffnessMPaPerK * tempSigmaC);
