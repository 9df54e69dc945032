import { InputError } from '../../lib/faults/index.ts';
import { comesAs, isTaper, THREADS, type Gender, type Thread } from '../stock/index.ts';
import { bandOf } from './sizes.ts';

export interface ThreadInput {
  readonly gender: Gender;
  /** Over the crests: outside of a male, bore of a female; of a taper at its large end. */
  readonly diameterMm: number;
  readonly pitchMm?: number;
  /** Threads an inch, in place of the pitch. */
  readonly tpi?: number;
  readonly taper?: boolean;
  readonly diameterSigmaMm?: number;
  readonly pitchSigmaMm?: number;
}
export interface ThreadCandidate {
  readonly thread: string;
  readonly confidence: number;
  readonly alikes: readonly string[];
}
export interface ThreadFound {
  readonly candidates: readonly ThreadCandidate[];
  /** The closest thread where none fits. */
  readonly nearest?: string;
}

/** One standard deviation of a vernier and of a pitch gauge in the hand. Common practice. */
const DIAMETER_SIGMA_MM = 0.05;
const PITCH_SIGMA_MM = 0.02;
/** A thread further off than this many of its own sigmas is out. */
const MOST_SIGMAS = 4;
const LEAST_CONFIDENCE = 0.001;
/** What looks alike in the hand. Common practice. */
const ALIKE_DIAMETER_MM = 0.7;
const ALIKE_PITCH_MM = 0.1;

/** Threads that a hand takes for this one, of the same gender. */
export const alikesOf = (thread: Thread, gender: Gender): string[] =>
  THREADS.filter(
    (other) =>
      other !== thread &&
      comesAs(other, gender) &&
      Math.abs(other.dMm - thread.dMm) <= ALIKE_DIAMETER_MM &&
      Math.abs(other.pitchMm - thread.pitchMm) <= ALIKE_PITCH_MM,
  ).map((other) => other.name);

/**
 * Which threads the readings fit, best first, each with its share of all the weight: the product of
 * two normal densities, of diameter about the middle of the tolerance band (its width as a uniform
 * spread) and of pitch about the thread's own. Throws InputError where both pitch and tpi are given.
 */
export function identify(input: ThreadInput): ThreadFound {
  const {
    gender,
    diameterMm,
    tpi,
    taper,
    diameterSigmaMm = DIAMETER_SIGMA_MM,
    pitchSigmaMm = PITCH_SIGMA_MM,
  } = input;
  if (tpi !== undefined && input.pitchMm !== undefined)
    throw new InputError('tpi', 'Give the pitch or the threads per inch, not both.');
  const pitchMm = tpi === undefined ? input.pitchMm : 25.4 / tpi;
  const scored = THREADS.filter(
    (thread) => comesAs(thread, gender) && (taper === undefined || isTaper(thread) === taper),
  ).map((thread) => {
    const { leastMm, mostMm } = bandOf(thread, gender);
    const sigmaMm = Math.sqrt(diameterSigmaMm ** 2 + (mostMm - leastMm) ** 2 / 12);
    const offD = (diameterMm - (leastMm + mostMm) / 2) / sigmaMm;
    const offP = pitchMm === undefined ? 0 : (pitchMm - thread.pitchMm) / pitchSigmaMm;
    return { thread, offD, offP, weight: Math.exp(-0.5 * (offD * offD + offP * offP)) / sigmaMm };
  });
  const fitting = scored.filter(
    ({ offD, offP }) => Math.abs(offD) <= MOST_SIGMAS && Math.abs(offP) <= MOST_SIGMAS,
  );
  const total = fitting.reduce((sum, { weight }) => sum + weight, 0);
  if (!fitting.length) {
    const nearest = scored.reduce((best, one) =>
      Math.hypot(one.offD, one.offP) < Math.hypot(best.offD, best.offP) ? one : best,
    );
    return { candidates: [], nearest: nearest.thread.name };
  }
  return {
    candidates: fitting
      .map(({ thread, weight }) => ({
        thread: thread.name,
        confidence: weight / total,
        alikes: alikesOf(thread, gender),
      }))
      .filter(({ confidence }) => confidence >= LEAST_CONFIDENCE)
      .sort((a, b) => b.confidence - a.confidence),
  };
}
