/** One bend made to learn what a bender gives: what was dialled and what the tube kept. */
export interface TestBend {
  readonly dialDeg: number;
  readonly gotDeg: number;
}

/** A user's own bender with the die for one tube size. */
export interface Bender {
  /** Center-line radius of the die. */
  readonly dieRadiusMm: number;
  /** From the die's reference mark to the tangent point on the clamped side, toward the bend. */
  readonly referenceMm: number;
  /** Which part of the tube the clamp holds: the one toward end A or the one toward end B. */
  readonly clampSide: 'a' | 'b';
  /** Least straight between two bends. */
  readonly leastFeedMm: number;
  /** Straight that the shoe or clamp needs beyond the first and after the last bend. */
  readonly shoeMm: number;
  readonly testBends: readonly TestBend[];
}

/** Springback as a line: dialled = offsetDeg + slope · got. */
export interface Springback {
  readonly offsetDeg: number;
  readonly slope: number;
}

/**
 * The least-squares line of dialled against got through a user's test bends. With bends to one
 * angle only, the line through that angle and zero; with none, no springback.
 * Source: ordinary least squares; springback grows about linearly with the angle (common practice).
 */
export function springback(testBends: readonly TestBend[]): Springback {
  const n = testBends.length;
  if (n === 0) return { offsetDeg: 0, slope: 1 };
  const mean = (pick: (t: TestBend) => number): number =>
    testBends.reduce((sum, t) => sum + pick(t), 0) / n;
  const [dial, got] = [mean((t) => t.dialDeg), mean((t) => t.gotDeg)];
  const spread = testBends.reduce((sum, t) => sum + (t.gotDeg - got) ** 2, 0);
  if (spread < 1e-6) return { offsetDeg: 0, slope: dial / got };
  const slope =
    testBends.reduce((sum, t) => sum + (t.gotDeg - got) * (t.dialDeg - dial), 0) / spread;
  return { offsetDeg: dial - slope * got, slope };
}

/** A bend whose angle is known to some sigma, degrees. */
export interface SeenBend extends TestBend {
  readonly sigmaDeg: number;
}
/** Springback with how sure it is: one sigma of what to dial for an angle. */
export interface SeenSpringback extends Springback {
  readonly sigmaAt: (gotDeg: number) => number;
}
/** A test bend is read with a protractor to about this, one sigma. Common practice. */
const PROTRACTOR_DEG = 0.5;

/**
 * Springback from test bends and from bends that were read as they were made, each weighed by its own
 * sigma: the line through them, or through them and zero where they are all to one angle.
 * Source: weighted least squares.
 */
export function seenSpringback(
  testBends: readonly TestBend[],
  seen: readonly SeenBend[],
): SeenSpringback {
  const all = [...testBends.map((bend) => ({ ...bend, sigmaDeg: PROTRACTOR_DEG })), ...seen];
  const sum = (of: (bend: SeenBend) => number): number =>
    all.reduce((total, bend) => total + of(bend) / bend.sigmaDeg ** 2, 0);
  const weight = sum(() => 1);
  if (!weight) return { offsetDeg: 0, slope: 1, sigmaAt: () => Infinity };
  const [got, dial] = [sum((bend) => bend.gotDeg) / weight, sum((bend) => bend.dialDeg) / weight];
  const spread = sum((bend) => (bend.gotDeg - got) ** 2);
  // Less than ten degrees between them tells no slope.
  if (spread / weight < 25)
    return { offsetDeg: 0, slope: dial / got, sigmaAt: (at) => at / got / Math.sqrt(weight) };
  const slope = sum((bend) => (bend.gotDeg - got) * (bend.dialDeg - dial)) / spread;
  return {
    offsetDeg: dial - slope * got,
    slope,
    sigmaAt: (at) => Math.sqrt(1 / weight + (at - got) ** 2 / spread),
  };
}

/** What to dial to keep `gotDeg`. */
export const dialFor = (line: Springback, gotDeg: number): number =>
  line.offsetDeg + line.slope * gotDeg;

/**
 * The center-line radius a bend keeps. Springback opens the bend and keeps the arc, so
 * formed radius = die radius · dialled ÷ got. Source: arc = R·θ before and after.
 */
export const formedRadiusMm = (bender: Bender, gotDeg: number): number =>
  (bender.dieRadiusMm * dialFor(springback(bender.testBends), gotDeg)) / gotDeg;
