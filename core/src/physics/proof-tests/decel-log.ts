import { InputError } from '../../lib/faults/index.ts';

const G_MS2 = 9.80665;
/** One row of a logger: when, and what the vehicle did; a decelerometer gives the one, a wheel or satellite speed the other. */
export interface DecelSample {
  readonly timeS: number;
  readonly decelMs2?: number;
  readonly speedMs?: number;
}
export interface DecelLogInput {
  readonly samples: readonly DecelSample[];
  /** How far the body dips under a deceleration of 1 g, degrees; a decelerometer on it reads gravity besides. 0: it is not corrected for. */
  readonly pitchDegPerG?: number;
}
export interface DecelLog {
  readonly fromKmh: number;
  readonly distanceM: number;
  readonly seconds: number;
  /** Mean fully developed deceleration, between 0.8 and 0.1 of the speed at first. */
  readonly mfddMs2: number;
  readonly mostMs2: number;
  /** What a decelerometer read before the brakes came on, taken off: its zero and the slope of the road. */
  readonly zeroMs2: number;
}

/** Below this nobody brakes, m/s². */
const BRAKES_MS2 = 0.6;
/** From here on it rises, m/s². */
const RISES_MS2 = 0.05;
/** Below this a vehicle stands, m/s. */
const STANDS_MS = 0.15;
/** As many rows are needed while it brakes. */
const LEAST_ROWS = 8;

/** What the vehicle does where its body's dip is taken out of what a decelerometer on it reads. Source: a·cos θ + g·sin θ. */
function level(readMs2: number, pitchDegPerG: number): number {
  let a = readMs2;
  for (let i = 0; i < 20; i++) {
    const dip = ((pitchDegPerG * a) / G_MS2) * (Math.PI / 180);
    a = (readMs2 - G_MS2 * Math.sin(dip)) / Math.cos(dip);
  }
  return a;
}
const middle = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** Time, speed and deceleration from the first to the last moment of braking. */
interface Trace {
  readonly timeS: number[];
  readonly speedMs: number[];
  readonly decelMs2: number[];
  readonly zeroMs2: number;
}
const tooFew = (): never => {
  throw new InputError(
    'samples',
    `No stop in this log: at least ${LEAST_ROWS} rows are needed from braking to standing still.`,
  );
};

/** The stop in the log of a decelerometer: added up backwards from standing still. */
function fromDecel(samples: readonly DecelSample[], pitchDegPerG: number): Trace {
  const raw = samples.map(({ decelMs2 }) => decelMs2!);
  // The zero is what it read before: until the first row that is surely braking.
  const surely = raw.findIndex((a) => a > 3 * BRAKES_MS2);
  const before = raw.slice(0, Math.max(0, surely)).filter((a) => Math.abs(a) < BRAKES_MS2);
  const zeroMs2 = before.length >= 3 ? middle(before) : 0;
  const decel = raw.map((a) => level(a - zeroMs2, pitchDegPerG));
  const first = decel.findIndex((a) => a > BRAKES_MS2);
  const last = decel.findLastIndex((a) => a > BRAKES_MS2);
  if (first < 0 || last - first + 1 < LEAST_ROWS) return tooFew();
  // Back to where it began to rise.
  let from = first;
  while (from > 0 && decel[from]! > RISES_MS2 && decel[from - 1]! < decel[from]!) from--;
  const to = Math.min(decel.length - 1, last + 1);
  const timeS = samples.slice(from, to + 1).map(({ timeS: at }) => at);
  const decelMs2 = decel.slice(from, to + 1);
  const speedMs = timeS.map(() => 0);
  for (let i = timeS.length - 2; i >= 0; i--)
    speedMs[i] =
      speedMs[i + 1]! + ((decelMs2[i]! + decelMs2[i + 1]!) / 2) * (timeS[i + 1]! - timeS[i]!);
  return { timeS, speedMs, decelMs2, zeroMs2 };
}
/** The stop in a log of speed: from where it last ran at its full speed until it stands. */
function fromSpeed(samples: readonly DecelSample[]): Trace {
  const speed = samples.map(({ speedMs }) => speedMs!);
  const most = Math.max(...speed);
  let first = speed.findLastIndex((v) => v >= 0.99 * most);
  while (first > 0 && speed[first - 1]! > speed[first]!) first--;
  const after = speed.findIndex((v, i) => i > first && v <= STANDS_MS);
  const last = after < 0 ? speed.length - 1 : after;
  if (last - first + 1 < LEAST_ROWS || speed[last]! > 0.1 * most) return tooFew();
  const timeS = samples.slice(first, last + 1).map(({ timeS: at }) => at);
  const speedMs = speed.slice(first, last + 1);
  return {
    timeS,
    speedMs,
    decelMs2: speedMs.map((v, i) =>
      i ? (speedMs[i - 1]! - v) / Math.max(1e-6, timeS[i]! - timeS[i - 1]!) : 0,
    ),
    zeroMs2: 0,
  };
}
/** Where along the stop its speed has fallen to a share of the first, m. */
function distanceAt(speedMs: readonly number[], alongM: readonly number[], share: number): number {
  const to = share * speedMs[0]!;
  const i = speedMs.findIndex((v) => v <= to);
  const [a, b] = [speedMs[i - 1]!, speedMs[i]!];
  const part = a > b ? (a - to) / (a - b) : 1;
  return alongM[i - 1]! + part * (alongM[i]! - alongM[i - 1]!);
}

/**
 * A stop out of a logger: speed at first, distance, and mean fully developed deceleration. Throws InputError where the
 * log holds no stop, or its times do not rise. Source: UN R13-H annex 3, dm = (0.8² − 0.1²)·v² / (25.92·(s(0.1v) − s(0.8v))) (from memory).
 */
export function decelLog({ samples, pitchDegPerG = 0 }: DecelLogInput): DecelLog {
  const back = samples.findIndex(({ timeS }, i) => i > 0 && timeS <= samples[i - 1]!.timeS);
  if (back > 0) throw new InputError(`samples[${back}].timeS`, 'Times must rise from row to row.');
  const bySpeed = samples.every(({ speedMs }) => speedMs !== undefined);
  const { timeS, speedMs, decelMs2, zeroMs2 } = bySpeed
    ? fromSpeed(samples)
    : fromDecel(samples, pitchDegPerG);
  const alongM = [0];
  for (let i = 1; i < timeS.length; i++)
    alongM.push(
      alongM[i - 1]! + ((speedMs[i - 1]! + speedMs[i]!) / 2) * (timeS[i]! - timeS[i - 1]!),
    );
  const fromKmh = speedMs[0]! * 3.6;
  return {
    fromKmh,
    distanceM: alongM.at(-1)!,
    seconds: timeS.at(-1)! - timeS[0]!,
    mfddMs2:
      ((0.8 ** 2 - 0.1 ** 2) * fromKmh ** 2) /
      (25.92 * (distanceAt(speedMs, alongM, 0.1) - distanceAt(speedMs, alongM, 0.8))),
    mostMs2: Math.max(...decelMs2),
    zeroMs2,
  };
}
