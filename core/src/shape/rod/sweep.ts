import { InputError } from '../../lib/faults/index.ts';
import { distance, unit, type Vec3 } from '../../lib/vec/index.ts';
import type { Settled } from './rod.ts';
import { hoseShape, roughRadius, type Clamp, type Found, type Shape } from './shape.ts';

/** One place of the moving end's travel. */
export interface HoseState {
  readonly name: string;
  readonly endB: Clamp;
}
/** From worst to best. */
export const HOSE_VERDICTS = ['out-of-reach', 'taut', 'kinks', 'ok'] as const;
export type HoseVerdict = (typeof HOSE_VERDICTS)[number];
export interface StateResult {
  readonly name: string;
  readonly minRadiusMm: number | null;
  readonly chordMm: number;
  readonly slackMm: number;
  readonly verdict: HoseVerdict;
  readonly pointsMm: readonly Vec3[];
}
export interface HoseFind {
  readonly stepMm: number;
  readonly maxMm: number;
}
export interface HoseInput {
  /** Free length between the crimps; or `find`. */
  readonly lengthMm?: number;
  readonly find?: HoseFind;
  readonly endA: Clamp;
  readonly states: readonly HoseState[];
  readonly minRadiusMm: number;
}
export interface HoseResult {
  readonly states: readonly StateResult[];
  readonly worst: string | null;
  readonly lengthMm?: number | null;
}

/** A hose this little longer than its chord is pulled on. Common practice. */
export const TAUT = 1.02;
/** Most lengths that are tried. */
const MOST_LENGTHS = 10_000;
/** A rough radius may be off by this share. */
const ROUGH = 0.15;
/** Shapes are looked for all round again after so many lengths: a longer hose may take another one. */
const AFRESH = 20;

/** What a shape says of its state. `shape` is null where the hose does not reach or came to no rest. */
export interface Judged {
  readonly verdict: HoseVerdict;
  readonly chordMm: number;
  readonly shape: Shape | null;
  readonly rods: readonly Settled[];
}

/**
 * How a hose of a free length hangs between two clamps, and what to say of it. `from` and `afresh`:
 * see `hoseShape`. Throws InputError at `path` where no shape came to rest.
 */
export function judge(
  lengthMm: number,
  a: Clamp,
  b: Clamp,
  minRadiusMm: number,
  from: readonly Settled[] = [],
  path = '',
  afresh = false,
): Judged {
  const chordMm = distance(a.pointMm, b.pointMm);
  if (lengthMm <= chordMm) return { verdict: 'out-of-reach', chordMm, shape: null, rods: [] };
  const found: Found | null =
    (from.length ? hoseShape(lengthMm, a, b, from, afresh) : null) ?? hoseShape(lengthMm, a, b);
  if (!found)
    throw new InputError(
      path,
      `No shape of ${lengthMm} mm was found between these ends. Check length and end directions.`,
    );
  const { shape, rods } = found;
  const kinks = shape.minRadiusMm !== null && shape.minRadiusMm < minRadiusMm;
  return {
    verdict: lengthMm < TAUT * chordMm ? 'taut' : kinks ? 'kinks' : 'ok',
    chordMm,
    shape,
    rods,
  };
}

const resultOf = (
  name: string,
  lengthMm: number,
  { verdict, chordMm, shape }: Judged,
): StateResult => ({
  name,
  minRadiusMm: shape?.minRadiusMm ?? null,
  chordMm,
  slackMm: lengthMm - chordMm,
  verdict,
  pointsMm: shape?.pointsMm ?? [],
});

/** The state with the worst verdict; among equals the one with the smallest radius. */
export function worstOf<
  T extends { readonly verdict: HoseVerdict; readonly minRadiusMm: number | null },
>(states: readonly T[]): T | null {
  const rank = (state: T): number => HOSE_VERDICTS.indexOf(state.verdict);
  const radius = (state: T): number => state.minRadiusMm ?? Infinity;
  return states.reduce<T | null>((worst, one) => {
    if (!worst) return one;
    const by = rank(one) - rank(worst);
    return by < 0 || (by === 0 && radius(one) < radius(worst)) ? one : worst;
  }, null);
}

/**
 * The shortest multiple of a step that is `ok` in every state, every multiple tried upwards: a longer
 * hose is not always easier on the bend. Null where none is. Most lengths are told by rough shapes;
 * whatever lies near the limit, and the one that is taken, by exact ones.
 */
export function findLength(
  a: Clamp,
  states: readonly HoseState[],
  minRadiusMm: number,
  { stepMm, maxMm }: HoseFind,
): number | null {
  const least = TAUT * Math.max(...states.map((state) => distance(a.pointMm, state.endB.pointMm)));
  const first = Math.max(1, Math.ceil(least / stepMm - 1e-9));
  const last = Math.floor(maxMm / stepMm + 1e-9);
  const held = states.map((): readonly Settled[] => []);
  // The state that spoke against the last length is asked first.
  const order = states.map((_, i) => i);
  for (let n = first; n <= last; n++) {
    const lengthMm = n * stepMm;
    if ((n - first) % AFRESH === 0) held.fill([]);
    const fails = order.findIndex((i) => {
      const b = states[i]!.endB;
      const rough = held[i]!.length ? roughRadius(lengthMm, a, b, held[i]!) : null;
      if (rough) {
        held[i] = rough.rods;
        if (rough.radiusMm < minRadiusMm * (1 - ROUGH)) return true;
        if (rough.radiusMm > minRadiusMm * (1 + ROUGH)) return false;
      }
      const judged = judge(lengthMm, a, b, minRadiusMm, held[i]!, `states[${i}].endB`);
      held[i] = judged.rods;
      return judged.verdict !== 'ok';
    });
    if (fails > 0) order.unshift(...order.splice(fails, 1));
    if (
      fails < 0 &&
      states.every(({ endB }) => judge(lengthMm, a, endB, minRadiusMm).verdict === 'ok')
    )
      return lengthMm;
  }
  return null;
}

function checked(clamp: Clamp, path: string): void {
  if (!unit(clamp.direction))
    throw new InputError(
      `${path}.direction`,
      'This direction has zero length. Enter the direction in which the hose leaves the end.',
    );
}

/**
 * The shape of a hose in every state of its moving end, with a verdict each and the worst; with `find`
 * the shortest length that is ok in all. Ends are `{pointMm, direction}`, direction out of the fitting
 * into the hose. Throws InputError for ends without a direction, for both or neither of `lengthMm` and
 * `find`, and where no shape came to rest.
 */
export function hose({ lengthMm, find, endA, states, minRadiusMm }: HoseInput): HoseResult {
  if (lengthMm !== undefined && find)
    throw new InputError('find', 'Give lengthMm or find, not both.');
  checked(endA, 'endA');
  for (const [i, state] of states.entries()) checked(state.endB, `states[${i}].endB`);
  const at = (length: number): HoseResult => {
    const results = states.map((state, i) =>
      resultOf(
        state.name,
        length,
        judge(length, endA, state.endB, minRadiusMm, [], `states[${i}].endB`),
      ),
    );
    return { states: results, worst: worstOf(results)?.name ?? null };
  };
  if (lengthMm !== undefined) return at(lengthMm);
  if (!find)
    throw new InputError('lengthMm', 'Give lengthMm, or find with a step and a longest length.');
  if (find.maxMm / find.stepMm > MOST_LENGTHS)
    throw new InputError(
      'find.stepMm',
      `Steps of ${find.stepMm} mm up to ${find.maxMm} mm is more than ${MOST_LENGTHS} lengths. Use longer steps.`,
    );
  const found = findLength(endA, states, minRadiusMm, find);
  return found === null
    ? { lengthMm: null, states: [], worst: null }
    : { lengthMm: found, ...at(found) };
}
