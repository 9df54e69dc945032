import { INCH_MM } from '../../lib/units/index.ts';
import { isTaper, type Gender, type Thread } from '../stock/index.ts';

/** Diameters of a thread's basic profile, mm. */
export interface Basic {
  readonly majorMm: number;
  readonly pitchDiameterMm: number;
  readonly minorMm: number;
}

/** Pitch diameter of NPT at the pipe's end (E0) and at the hand-tight plane (E1), inches. Source: ASME B1.20.1 (from memory). */
const NPT_E_IN: Readonly<Record<string, readonly [e0: number, e1: number]>> = {
  '1/16-27 NPT': [0.27118, 0.28118],
  '1/8-27 NPT': [0.36351, 0.3736],
  '1/4-18 NPT': [0.47739, 0.49163],
  '3/8-18 NPT': [0.61201, 0.62701],
};
/** Height of an NPT thread, in pitches. Source: ASME B1.20.1 (from memory). */
const NPT_HEIGHT = 0.8;
/** Gauge length and useful length of R threads, mm. Source: ISO 7-1 (from memory). */
const R_LENGTH_MM: Readonly<Record<string, readonly [gauge: number, useful: number]>> = {
  '1/8': [4, 6.5],
  '1/4': [6, 9.7],
  '3/8': [6.4, 10.1],
};
/** Tolerances of G, mm: major of the male downward, minor and pitch diameter of the female upward. Source: ISO 228-1 (from memory). */
const G_TOLERANCE_MM: Readonly<
  Record<string, readonly [major: number, minor: number, pitchDiameter: number]>
> = {
  '1/8': [0.214, 0.282, 0.107],
  '1/4': [0.25, 0.445, 0.125],
  '3/8': [0.25, 0.445, 0.125],
};
/** Tolerance of the diameters of Rp, mm either way. Source: ISO 7-1 (from memory). */
const RP_TOLERANCE_MM: Readonly<Record<string, number>> = {
  '1/8': 0.071,
  '1/4': 0.104,
  '3/8': 0.104,
};
/** All tapers of pipe threads: 1 in 16 of diameter. */
export const TAPER = 1 / 16;

const sizeOf = ({ name }: Thread): string => name.split(' ')[1]!;
const is55 = ({ family }: Thread): boolean =>
  family === 'bsf' || family === 'g' || family === 'r' || family === 'rc' || family === 'rp';

/** Depths of the 60° profile in pitches: H = √3/2, d − d2 = 2·3/8·H, d − D1 = 2·5/8·H. Source: ISO 68-1. */
const H_60 = Math.sqrt(3) / 2;
const DEPTH_60 = 0.75 * H_60;
const MINOR_60 = 1.25 * H_60;

/**
 * Basic sizes. Source: ISO 68-1 and ASME B1.1 (60°: d2 = d − 0.649519·P, D1 = d − 1.082532·P), ISO 228-1
 * and ISO 7-1 (55°: h = 0.640327·P). NPT is taken by the same form on its pitch diameter at E1.
 */
export function basicOf(thread: Thread): Basic {
  const { dMm, pitchMm } = thread;
  if (is55(thread)) {
    const height = 0.640327 * pitchMm;
    return { majorMm: dMm, pitchDiameterMm: dMm - height, minorMm: dMm - 2 * height };
  }
  const majorMm =
    thread.family === 'npt' ? NPT_E_IN[thread.name]![1] * INCH_MM + DEPTH_60 * pitchMm : dMm;
  return {
    majorMm,
    pitchDiameterMm: majorMm - DEPTH_60 * pitchMm,
    minorMm: majorMm - MINOR_60 * pitchMm,
  };
}

/** Preferred numbers that ISO 965-1 rounds its tolerances to. Source: ISO 3, series R40. */
const R40 = [
  100, 106, 112, 118, 125, 132, 140, 150, 160, 170, 180, 190, 200, 212, 224, 236, 250, 265, 280,
  300, 315, 335, 355, 375, 400,
];
const preferred = (um: number): number =>
  R40.reduce(
    (best, value) =>
      Math.abs(Math.log(value / um)) < Math.abs(Math.log(best / um)) ? value : best,
    R40[0]!,
  );

/** Least and most diameter that the tolerance allows a thread's crests, mm: the major of a male, the minor of a female. */
export interface Band {
  readonly leastMm: number;
  readonly mostMm: number;
}

/** 6g and 6H. Source: ISO 965-1 (formulas from memory), rounded to R40. */
function metricBand({ pitchMm: P }: Thread, gender: Gender, { majorMm, minorMm }: Basic): Band {
  if (gender === 'female')
    return { leastMm: minorMm, mostMm: minorMm + preferred(230 * P ** 0.7) / 1000 };
  const mostMm = majorMm - (15 + 11 * P) / 1000;
  return { leastMm: mostMm - preferred(180 * P ** (2 / 3) - 3.15 / Math.sqrt(P)) / 1000, mostMm };
}

/** 2A and 2B. Source: ASME B1.1 (formulas from memory), in inches. */
function unifiedBand({ dMm, pitchMm }: Thread, gender: Gender, { minorMm }: Basic): Band {
  const [d, P] = [dMm / INCH_MM, pitchMm / INCH_MM];
  if (gender === 'female')
    return { leastMm: minorMm, mostMm: minorMm + (0.25 * P - 0.4 * P * P) * INCH_MM };
  const allowance = 0.3 * (0.0015 * Math.cbrt(d) + 0.0015 * Math.sqrt(d) + 0.015 * P ** (2 / 3));
  const mostMm = dMm - allowance * INCH_MM;
  return { leastMm: mostMm - 0.06 * P ** (2 / 3) * INCH_MM, mostMm };
}

/** Medium fit. Source: BS 84 (formulas from memory), in inches: T = 0.002·∛d + 0.003·√d + 0.005·√P, engaged over one diameter. */
function bsfBand({ dMm, pitchMm }: Thread, gender: Gender, { minorMm }: Basic): Band {
  const [d, P] = [dMm / INCH_MM, pitchMm / INCH_MM];
  if (gender === 'female')
    return { leastMm: minorMm, mostMm: minorMm + (0.2 * P + 0.007) * INCH_MM };
  const tolerance =
    0.002 * Math.cbrt(d) + 0.003 * Math.sqrt(d) + 0.005 * Math.sqrt(P) + 0.01 * Math.sqrt(P);
  return { leastMm: dMm - tolerance * INCH_MM, mostMm: dMm };
}

/** What a vernier may read over the crests of a sound thread; for a taper from its small end to its large end. */
export function bandOf(thread: Thread, gender: Gender): Band {
  const basic = basicOf(thread);
  const { dMm, pitchMm } = thread;
  if (thread.family === 'metric') return metricBand(thread, gender, basic);
  if (thread.family === 'unified') return unifiedBand(thread, gender, basic);
  if (thread.family === 'bsf') return bsfBand(thread, gender, basic);
  if (thread.family === 'npt') {
    const [e0, e1] = NPT_E_IN[thread.name]!.map((inch) => inch * INCH_MM) as [number, number];
    const height = NPT_HEIGHT * pitchMm;
    return gender === 'male'
      ? { leastMm: e0 + height, mostMm: dMm }
      : { leastMm: e0 - height, mostMm: e1 - height };
  }
  const size = sizeOf(thread);
  if (thread.family === 'g') {
    const [major, minor] = G_TOLERANCE_MM[size]!;
    return gender === 'male'
      ? { leastMm: dMm - major, mostMm: dMm }
      : { leastMm: basic.minorMm, mostMm: basic.minorMm + minor };
  }
  if (thread.family === 'rp')
    return {
      leastMm: basic.minorMm - RP_TOLERANCE_MM[size]!,
      mostMm: basic.minorMm + RP_TOLERANCE_MM[size]!,
    };
  const [gauge, useful] = R_LENGTH_MM[size]!;
  return thread.family === 'r'
    ? { leastMm: dMm - gauge * TAPER, mostMm: dMm + (useful - gauge) * TAPER }
    : { leastMm: basic.minorMm - useful * TAPER, mostMm: basic.minorMm };
}

/** How far a taper reaches before and behind its gauge plane, and how much a parallel bore may be over its basic size, mm. */
export function taperReach(thread: Thread): {
  readonly beforeMm: number;
  readonly behindMm: number;
} {
  if (thread.family === 'npt') {
    const [e0, e1] = NPT_E_IN[thread.name]!.map((inch) => inch * INCH_MM) as [number, number];
    const beforeMm = (e1 - e0) / TAPER;
    // Wrench make-up is three turns. Source: ASME B1.20.1 (from memory).
    return { beforeMm, behindMm: 3 * thread.pitchMm };
  }
  if (!isTaper(thread)) return { beforeMm: 0, behindMm: 0 };
  const [gauge, useful] = R_LENGTH_MM[sizeOf(thread)]!;
  return { beforeMm: gauge, behindMm: useful - gauge };
}
/** Most that the pitch diameter of a parallel female lies over its basic size, mm; 0 where its own standard keeps it. */
export const overBasicMm = (thread: Thread): number =>
  thread.family === 'rp'
    ? RP_TOLERANCE_MM[sizeOf(thread)]!
    : thread.family === 'g'
      ? G_TOLERANCE_MM[sizeOf(thread)]![2]
      : 0;
