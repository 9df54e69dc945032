/** What one end of a line is made with, mm along the tube. */
export interface EndTooling {
  readonly nutLengthMm: number;
  /** Straight that the flaring clamp grips, from the end of the tube as flared. */
  readonly clampMm: number;
  /** Tube that the flare uses up. */
  readonly flareExtraMm: number;
}

/**
 * What the straight at an end leaves room for: `ok`; `flare-first` (no room for the flaring clamp
 * behind the nut once bent); `short` (none for the bender's shoe beside the nut); `trapped` (the nut
 * itself does not fit: it could only sit between two bends).
 */
export type EndClearance = 'ok' | 'flare-first' | 'short' | 'trapped';
export interface EndRoom {
  readonly straightMm: number;
  readonly room: EndClearance;
  /** The straight that the first thing without room would need. */
  readonly neededMm: number;
}

/** Judges one end straight; a line without bends always has room. Source: common practice. */
export function endRoom(
  straightMm: number,
  { nutLengthMm, clampMm }: EndTooling,
  shoeMm: number,
  bent: boolean,
): EndRoom {
  const fits = (neededMm: number): boolean => !bent || straightMm >= neededMm - 1e-9;
  if (!fits(nutLengthMm)) return { straightMm, room: 'trapped', neededMm: nutLengthMm };
  if (!fits(nutLengthMm + shoeMm))
    return { straightMm, room: 'short', neededMm: nutLengthMm + shoeMm };
  const neededMm = nutLengthMm + clampMm;
  return { straightMm, room: fits(neededMm) ? 'ok' : 'flare-first', neededMm };
}
