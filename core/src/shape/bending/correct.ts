import { figure, InputError } from '../../lib/faults/index.ts';
import { bendTable, cornersOf, type Bend } from '../tube/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import { bestRest, bestRoll, goalOf, homeWith, missSigmaMm, type Goal, type Home } from './home.ts';
import { madeBends } from './made.ts';
import type { Clr, MadeBend, Reading } from './shape.ts';

export interface CorrectInput {
  readonly nodesMm: readonly Vec3[];
  /** One center-line radius, kept whatever the angle, or one for each bend. */
  readonly clrMm: Clr;
  readonly odMm: number;
  readonly cutMm: number;
  /** One for each bend made so far, from A. */
  readonly readings: readonly Reading[];
  readonly sigmaMm?: number;
  /** How long the tube was at each reading, where that was not `cutMm`: an end was flared since. */
  readonly cutsMm?: readonly number[];
  readonly reachMm?: number;
}
export interface FoundBend extends MadeBend {
  readonly markOffMm: number;
  readonly rotateOffDeg: number;
  readonly bendOffDeg: number;
}
export interface RestBend extends MadeBend {
  readonly node: number;
}
/** `on`: what is left may stay as planned; `mended`: with the new rest B meets its port; `cannot`: it does not. */
export type CorrectVerdict = 'on' | 'mended' | 'cannot';
export interface Correction {
  readonly made: readonly FoundBend[];
  readonly rest: readonly RestBend[];
  readonly rollDeg: number;
  readonly missMm: number;
  readonly angleOffDeg: number;
  readonly trimMm: number;
  readonly unmendedMissMm: number;
  readonly unmendedAngleDeg: number;
  readonly verdict: CorrectVerdict;
}
/** With the last bend still in the die. */
export interface Guidance extends Correction {
  /** One sigma of the angle of each bend made, degrees. */
  readonly bendSigmaDeg: readonly number[];
  /** By how much that bend is to be taken further, degrees. */
  readonly furtherDeg: number;
  /** One sigma of where B comes to lie, by what the readings leave unsure. */
  readonly missSigmaMm: number;
}

const SIGMA_MM = 0.5;
const REACH_MM = 2;
/** The last straight may lean this far from what was planned. */
const MOST_LEAN_DEG = 3;
/** So much too short is still long enough. */
const SHORT_MM = 0.5;
/** Cut this much shorter than the line it is another tube. */
const MOST_SHORT_MM = 20;

/** Within (-180, 180]. */
const turned = (deg: number): number => {
  const rest = ((deg % 360) + 360) % 360;
  return rest > 180 ? rest - 360 : rest;
};

function check({ cutMm, odMm, readings }: CorrectInput, developedMm: number, bends: number): void {
  if (!bends) throw new InputError('nodesMm', 'This line has no bends to correct.');
  if (cutMm < developedMm - MOST_SHORT_MM)
    throw new InputError(
      'cutMm',
      `Cut to ${figure(cutMm)} mm the tube is ${figure(developedMm - cutMm)} mm shorter than this line.`,
    );
  if (readings.length > bends)
    throw new InputError(
      `readings[${bends}]`,
      `There are ${bends} bends and ${readings.length} readings. Enter one for each bend made.`,
    );
  const most: Reading = { endToBendMm: cutMm + odMm / 2, heightMm: cutMm, tipToTipMm: cutMm };
  for (const [i, reading] of readings.entries())
    for (const field of ['endToBendMm', 'heightMm', 'tipToTipMm'] as const)
      if (reading[field] > most[field] + 1e-9)
        throw new InputError(
          `readings[${i}].${field}`,
          `${figure(reading[field])} mm cannot be measured on a tube of ${figure(cutMm)} mm.`,
        );
}

/** Radii of bends as radii of the inner nodes. */
function atNodes(nodesMm: readonly Vec3[], clrMm: Clr): Clr {
  if (typeof clrMm === 'number') return clrMm;
  const bends = new Map(cornersOf(nodesMm).map(({ node }, i) => [node, clrMm[i]!]));
  return nodesMm.slice(1, -1).map((_, i) => bends.get(i + 1) ?? 1);
}

interface Judged {
  readonly correction: Correction;
  readonly furtherDeg: number;
  readonly goal: Goal;
  readonly covariance: () => number[][];
}
function judge(input: CorrectInput, aimed: readonly MadeBend[] | null, further: boolean): Judged {
  const {
    nodesMm,
    clrMm,
    cutMm,
    odMm,
    readings,
    sigmaMm = SIGMA_MM,
    reachMm = REACH_MM,
    cutsMm,
  } = input;
  const { bends: planned, developedMm } = bendTable({ nodesMm, clrMm: atNodes(nodesMm, clrMm) });
  check(input, developedMm, planned.length);
  const done = readings.length;
  const found = madeBends(aimed ?? planned.slice(0, done), {
    clrMm,
    odMm,
    cutMm,
    readings,
    sigmaMm,
    ...(cutsMm ? { cutsMm } : {}),
  });
  const left = planned.slice(done);
  const goal = goalOf(nodesMm, planned, clrMm, cutMm);
  const plainRoll = bestRoll([...found.bends, ...left], goal);
  const unmended = homeWith([...found.bends, ...left], plainRoll, goal);
  const { rest, rollDeg, furtherDeg } = bestRest(found.bends, left, goal, further, plainRoll);
  const taken = found.bends.map((bend, k) =>
    k === done - 1 ? { ...bend, bendDeg: bend.bendDeg + furtherDeg } : bend,
  );
  const best = homeWith([...taken, ...rest], rollDeg, goal);
  const isHome = ({ missMm, angleDeg, trimMm }: Home): boolean =>
    missMm <= reachMm && angleDeg <= MOST_LEAN_DEG && trimMm >= -SHORT_MM;
  const offOf = (bend: MadeBend, plan: Bend): FoundBend => ({
    ...bend,
    rotateDeg: turned(bend.rotateDeg),
    markOffMm: bend.markMm - plan.markMm,
    rotateOffDeg: turned(bend.rotateDeg - plan.rotateDeg),
    bendOffDeg: bend.bendDeg - plan.bendDeg,
  });
  const correction: Correction = {
    made: found.bends.map((bend, k) => offOf(bend, planned[k]!)),
    rest: rest.map((bend, k) => ({
      node: left[k]!.node,
      ...bend,
      rotateDeg: turned(bend.rotateDeg),
    })),
    rollDeg: turned(rollDeg),
    missMm: best.missMm,
    angleOffDeg: best.angleDeg,
    trimMm: best.trimMm,
    unmendedMissMm: unmended.missMm,
    unmendedAngleDeg: unmended.angleDeg,
    verdict: isHome(unmended) ? 'on' : isHome(best) ? 'mended' : 'cannot',
  };
  return { correction, furtherDeg, goal, covariance: found.covariance };
}

/**
 * What the tape said after each bend of a tube that is bent from A, and what that does to the bends
 * that are left: the most probable bends made, the bends left that bring B home with the smallest
 * changes, and whether the plan may stand, can be mended or not. Lengths mm, angles degrees.
 * Throws InputError at `nodesMm`, `cutMm`, `readings[i]`.
 * Source: maximum a posteriori estimate with independent normal slips; least squares.
 */
export const correct = (input: CorrectInput): Correction => judge(input, null, false).correction;

/**
 * The same at the bench, the last bend still in the die: it may be taken further, never back. `aimed`
 * is what each bend made was meant to be when it was made. Says too how sure it is of where B comes to lie.
 */
export function guide(input: CorrectInput, aimed: readonly MadeBend[]): Guidance {
  const { correction, furtherDeg, goal, covariance } = judge(input, aimed, true);
  const unsure = covariance();
  return {
    ...correction,
    furtherDeg,
    // Mark and angle of the first bend, then mark, turn and angle of each.
    bendSigmaDeg: correction.made.map((_, k) => Math.sqrt(unsure[3 * k + 1]![3 * k + 1]!)),
    missSigmaMm: missSigmaMm(correction.made, correction.rest, correction.rollDeg, goal, unsure),
  };
}
