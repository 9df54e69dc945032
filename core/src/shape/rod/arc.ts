/**
 * Functions of a circular arc between two unit tangents, by how far apart these are: y = 1 − cos θ,
 * θ the angle turned. Each comes with its first two slopes along y, exact in pairs, so that Newton's
 * method sees one smooth function. Small angles by series (Taylor), since closed forms cancel there.
 */
export interface ArcTerms {
  /** ½θ²: bending energy times the arc's length. */
  energy: number;
  energy1: number;
  energy2: number;
  /** tan(θ/2)/(θ/2): the arc's chord is half its length times this, along the sum of its tangents. */
  chord: number;
  chord1: number;
  chord2: number;
}

/** Below this y (θ about 0.28) the series' next term is under 1e-9. */
const SERIES = 0.04;

/** The first of these alone, without their slopes: what a trial step is measured by. */
export function arcValues(y: number, out: Pick<ArcTerms, 'energy' | 'chord'>): void {
  if (y < SERIES) {
    // θ² = 2y + y²/3 + 4y³/45 + y⁴/35 + 16y⁵/1575 + 8y⁶/2079 …
    out.energy =
      y * (1 + y * (1 / 6 + y * (2 / 45 + y * (1 / 70 + y * (8 / 1575 + y * (4 / 2079))))));
    // Of 1 + θ²/12 + θ⁴/120 + 17θ⁶/20160 + 31θ⁸/362880 …
    out.chord = 1 + y * (1 / 6 + y * (11 / 180 + y * (191 / 7560 + y * (2497 / 226800))));
    return;
  }
  const sin = Math.sqrt(Math.max(y * (2 - y), 1e-300));
  const angle = Math.atan2(sin, 1 - y);
  out.energy = (angle * angle) / 2;
  out.chord = (2 * sin) / ((2 - y) * angle);
}

/** Fills `out` for a given y in [0, 2): 2 would be a reversal, which no arc makes. */
export function arcTerms(y: number, out: ArcTerms): void {
  arcValues(y, out);
  if (y < SERIES) {
    out.energy1 = 1 + y * (1 / 3 + y * (2 / 15 + y * (2 / 35 + y * (8 / 315 + y * (8 / 693)))));
    out.energy2 = 1 / 3 + y * (4 / 15 + y * (6 / 35 + y * (32 / 315 + y * (40 / 693))));
    out.chord1 = 1 / 6 + y * (11 / 90 + y * (191 / 2520 + y * (2497 / 56700)));
    out.chord2 = 11 / 90 + y * (191 / 1260 + y * (2497 / 18900));
    return;
  }
  const cos = 1 - y;
  const sin = Math.sqrt(Math.max(y * (2 - y), 1e-300));
  const angle = Math.sqrt(2 * out.energy);
  out.energy1 = angle / sin;
  out.energy2 = (1 - (angle * cos) / sin) / (sin * sin);
  // With g = sin/(1 + cos) = tan(θ/2), chord = 2g/θ and dθ/dy = 1/sin.
  const half = sin / (1 + cos);
  const slope = 1 / (1 + cos);
  const dAngle = (2 * slope) / angle - (2 * half) / (angle * angle);
  const d2Angle =
    (2 * slope * half) / angle -
    (4 * slope) / (angle * angle) +
    (4 * half) / (angle * angle * angle);
  out.chord1 = dAngle / sin;
  out.chord2 = (d2Angle - (dAngle * cos) / sin) / (sin * sin);
}
