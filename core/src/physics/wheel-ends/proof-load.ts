/** Least force at the pad of a pedal that was welded or changed, N; in competition; and for how long. Common practice. */
export const PROOF_LOAD = { leastN: 1350, competitionN: 2000, seconds: 10 } as const;
/** What is read again to this is the same, mm. */
const SET_MM = 0.2;

export interface LoadReadings {
  readonly loadN: number | null;
  readonly seconds: number | null;
  /** Of one mark on it against the frame, before and after. */
  readonly beforeMm: number | null;
  readonly afterMm: number | null;
  /** Looked at after: no crack, nothing moved. */
  readonly sound: boolean | null;
}
export type LoadVerdict = 'open' | 'too-little' | 'too-short' | 'set' | 'cracked' | 'held';
/** How a proof load went: a crack and a set that stays come before all, since they end it whatever the load was. */
export function loadVerdict(
  { loadN, seconds, beforeMm, afterMm, sound }: LoadReadings,
  wantedN: number = PROOF_LOAD.leastN,
): LoadVerdict {
  if (sound === false) return 'cracked';
  if (beforeMm !== null && afterMm !== null && Math.abs(afterMm - beforeMm) > SET_MM + 1e-9)
    return 'set';
  if (loadN === null || seconds === null || beforeMm === null || afterMm === null || sound === null)
    return 'open';
  return loadN < wantedN ? 'too-little' : seconds < PROOF_LOAD.seconds ? 'too-short' : 'held';
}
