import { figure, InputError } from '../../lib/faults/index.ts';
import { naturalHz, spanForHz, type Beam } from './beam.ts';
import { evenly } from './even.ts';

export type Stretch = readonly [number, number];
/** What a clipped tube must keep to. */
export interface ClipLimits extends Beam {
  readonly lengthMm: number;
  readonly excitationHz: number;
  /** Times the excitation that every span's natural frequency must reach. */
  readonly margin: number;
  /** Between clips. */
  readonly maxSpanMm: number;
  /** From a fitted end to its clip. */
  readonly endMm: number;
  /** Where no clip can sit; their edges may carry one. */
  readonly forbiddenMm?: readonly Stretch[] | undefined;
}
export interface ClipSpan {
  readonly lengthMm: number;
  /** Null for a span of no length. */
  readonly naturalHz: number | null;
}
export interface Clips {
  readonly positionsMm: readonly number[];
  readonly spans: readonly ClipSpan[];
}

const MOST_CLIPS = 1000;
/** Places this near an edge lie on it, mm: far under what a tape tells, far over the error of the arithmetic. */
const EDGE_MM = 1e-9;
const mm = (value: number): string => `${figure(value, 1)} mm`;

interface Closed {
  readonly from: number;
  readonly to: number;
  /** Index of the one stretch it was given as; null where several run into one another. */
  readonly index: number | null;
}

/** Forbidden stretches merged, in order; one that reaches a fitted end has no edge there. */
function mergeStretches(stretches: readonly Stretch[], lengthMm: number): Closed[] {
  const merged: Closed[] = [];
  const inOrder = stretches
    .map(([from, to], index) => ({ from, to, index }))
    .sort((a, b) => a.from - b.from);
  for (const { from, to, index } of inOrder) {
    if (Math.min(to, lengthMm) - Math.max(from, 0) <= EDGE_MM) continue;
    const next = {
      from: from <= EDGE_MM ? -Infinity : from,
      to: to >= lengthMm - EDGE_MM ? Infinity : to,
      index,
    };
    const last = merged.at(-1);
    if (last && next.from <= last.to) {
      const whole = next.to <= last.to ? last.index : next.from <= last.from ? index : null;
      merged[merged.length - 1] = { from: last.from, to: Math.max(last.to, next.to), index: whole };
    } else merged.push(next);
  }
  return merged;
}

/** The furthest place up to `most` where a clip can sit beyond `past`; null where there is none. */
function furthest(closed: readonly Closed[], past: number, most: number): number | null {
  const within = closed.find(({ from, to }) => most > from + EDGE_MM && most < to - EDGE_MM);
  const at = within ? within.from : most;
  return at > past + EDGE_MM ? at : null;
}

function refuse(closed: readonly Closed[], past: number, most: number, lengthMm: number): never {
  const cause = closed.find(({ from, to }) => from <= most && to >= most);
  const what = past > 0 ? `clip after the one at ${mm(past)}` : 'first clip';
  if (!cause)
    throw new InputError(
      'maxSpanMm',
      `The ${what} would be at ${mm(most)}, where the tube has no room for a clip.`,
    );
  throw new InputError(
    cause.index === null ? 'forbiddenMm' : `forbiddenMm[${cause.index}]`,
    `No clip fits from ${mm(Math.max(cause.from, 0))} to ${mm(Math.min(cause.to, lengthMm))}, and the ${what} must be between ${mm(past)} and ${mm(most)}.`,
  );
}

/** Fewest clips: each as far on as it may be, until one is near enough to the far end. */
function fewest(
  closed: readonly Closed[],
  lengthMm: number,
  spanMm: number,
  endMm: number,
): number {
  let past = 0;
  for (let count = 1; count <= MOST_CLIPS; count++) {
    const most = Math.min(past + (count === 1 ? endMm : spanMm), lengthMm - EDGE_MM);
    const at = furthest(closed, past, most);
    if (at === null) refuse(closed, past, most, lengthMm);
    if (at >= lengthMm - endMm - EDGE_MM) return count;
    past = at;
  }
  throw new InputError(
    'excitationHz',
    `More than ${MOST_CLIPS} clips needed: the span limit is ${mm(spanMm)}.`,
  );
}

const sumOfSquares = (places: readonly number[], lengthMm: number): number =>
  spansOf(places, lengthMm).reduce((sum, span) => sum + span * span, 0);
const spansOf = (places: readonly number[], lengthMm: number): number[] =>
  [...places, lengthMm].map((at, i) => at - (places[i - 1] ?? 0));

/** The best of all ways to put so many clips: where one would sit in a forbidden stretch, both sides of it are tried. */
function best(
  closed: readonly Closed[],
  lengthMm: number,
  spanMm: number,
  endMm: number,
  count: number,
): number[] | null {
  const mostMm = Array.from({ length: count + 1 }, (_, i) =>
    i === 0 || i === count ? endMm : spanMm,
  );
  let [found, least]: [number[] | null, number] = [null, Infinity];
  const search = (lowMm: readonly number[], highMm: readonly number[]): void => {
    const places = evenly({ lengthMm, mostMm, lowMm, highMm });
    if (!places) return;
    const cost = sumOfSquares(places, lengthMm);
    if (cost >= least * (1 - 1e-12)) return;
    for (const [i, at] of places.entries()) {
      const block = closed.find(({ from, to }) => at > from + EDGE_MM && at < to - EDGE_MM);
      if (!block) continue;
      const nearer = at - block.from <= block.to - at;
      const before = (): void => {
        if (block.from > 0) search(lowMm, highMm.with(i, Math.min(highMm[i]!, block.from)));
      };
      const after = (): void => {
        if (block.to < lengthMm) search(lowMm.with(i, Math.max(lowMm[i]!, block.to)), highMm);
      };
      for (const side of nearer ? [before, after] : [after, before]) side();
      return;
    }
    [found, least] = [places, cost];
  };
  search(new Array<number>(count).fill(0), new Array<number>(count).fill(lengthMm));
  return found;
}

/**
 * Where to hold a tube: the fewest clips, and of those the ones with the least sum of squares of all
 * spans, the end spans included. Every span bends as a pinned beam and must ring at `margin` times the
 * excitation or above; a tube no longer than `endMm` needs none.
 * Throws InputError for a plan that cannot be met, naming the stretch.
 */
export function clips(input: ClipLimits): Clips {
  const { lengthMm, excitationHz, margin, maxSpanMm, forbiddenMm = [] } = input;
  for (const [i, [from, to]] of forbiddenMm.entries())
    if (from > to)
      throw new InputError(
        `forbiddenMm[${i}]`,
        `This stretch runs from ${mm(from)} back to ${mm(to)}. Enter the lower figure first.`,
      );
  if (2 * input.wallMm > input.odMm)
    throw new InputError(
      'wallMm',
      `A wall of ${mm(input.wallMm)} does not fit twice into ${mm(input.odMm)}.`,
    );
  const rings = spanForHz(input, margin * excitationHz);
  const [spanMm, endMm] = [Math.min(maxSpanMm, rings), Math.min(input.endMm, rings)];
  const answer = (positionsMm: readonly number[]): Clips => ({
    positionsMm,
    spans: spansOf(positionsMm, lengthMm).map((span) => ({
      lengthMm: span,
      naturalHz: span > 0 ? naturalHz(input, span) : null,
    })),
  });
  if (lengthMm <= input.endMm) return answer([]);
  const closed = mergeStretches(forbiddenMm, lengthMm);
  const places = best(closed, lengthMm, spanMm, endMm, fewest(closed, lengthMm, spanMm, endMm));
  // The greedy count is feasible for the even spacing too: both use the same bounds.
  if (!places)
    throw new Error('Even spacing failed though single clips fit. Report this as a fault.');
  return answer(places);
}
