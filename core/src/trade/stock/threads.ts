import { INCH_MM } from '../../lib/units/index.ts';
/** How a thread is made: which standard gives its form, its sizes and its tolerances. */
export type ThreadFamily = 'metric' | 'unified' | 'bsf' | 'npt' | 'g' | 'r' | 'rc' | 'rp';
export type Gender = 'male' | 'female';

export interface Thread {
  /** As it is asked for at the counter. */
  readonly name: string;
  readonly family: ThreadFamily;
  /** Nominal diameter; for pipe threads that of the gauge plane (R, Rc, Rp, G) or of the pipe (NPT). */
  readonly dMm: number;
  readonly pitchMm: number;
  readonly source: string;
}

const metric = (dMm: number, pitchMm: number): Thread => ({
  name: `M${dMm}x${pitchMm}`,
  family: 'metric',
  dMm,
  pitchMm,
  source: 'ISO 261, ISO 724',
});
const unified = (name: string, dIn: number, tpi: number): Thread => ({
  name,
  family: 'unified',
  dMm: dIn * INCH_MM,
  pitchMm: INCH_MM / tpi,
  source: 'ASME B1.1',
});
/** Whitworth's form and pipe threads. */
const pipe = (
  name: string,
  family: ThreadFamily,
  dMm: number,
  tpi: number,
  source: string,
): Thread => ({
  name,
  family,
  dMm,
  pitchMm: INCH_MM / tpi,
  source,
});
const BSP = [
  ['1/8', 9.728, 28],
  ['1/4', 13.157, 19],
  ['3/8', 16.662, 19],
] as const;

/** Threads of brake and clutch plumbing. */
export const THREADS: readonly Thread[] = [
  metric(6, 1), metric(7, 1), metric(8, 1.25), metric(8, 1), metric(9, 1), metric(10, 1), metric(10, 1.25), metric(10, 1.5), metric(11, 1.5),
  metric(12, 1), metric(12, 1.25), metric(12, 1.5), metric(13, 1.5), metric(14, 1), metric(14, 1.5), metric(16, 1.5), metric(18, 1.5),
  unified('1/4-28 UNF', 1 / 4, 28), unified('5/16-24 UNF', 5 / 16, 24), unified('3/8-24 UNF', 3 / 8, 24), unified('7/16-20 UNF', 7 / 16, 20),
  unified('7/16-24 UNS', 7 / 16, 24), unified('1/2-20 UNF', 1 / 2, 20), unified('9/16-18 UNF', 9 / 16, 18),
  unified('5/8-18 UNF', 5 / 8, 18), unified('3/4-16 UNF', 3 / 4, 16), unified('7/8-14 UNF', 7 / 8, 14), unified('1 1/16-12 UN', 17 / 16, 12),
  pipe('3/8-20 BSF', 'bsf', (3 / 8) * INCH_MM, 20, 'BS 84 (from memory)'),
  ...([['1/16', 0.3125, 27], ['1/8', 0.405, 27], ['1/4', 0.54, 18], ['3/8', 0.675, 18]] as const).map(([size, dIn, tpi]) =>
    pipe(`${size}-${tpi} NPT`, 'npt', dIn * INCH_MM, tpi, 'ASME B1.20.1 (from memory)')),
  ...BSP.map(([size, dMm, tpi]) => pipe(`G ${size}`, 'g', dMm, tpi, 'ISO 228-1 (from memory)')),
  ...(['r', 'rc', 'rp'] as const).flatMap((family) =>
    BSP.map(([size, dMm, tpi]) => pipe(`${family[0]!.toUpperCase()}${family.slice(1)} ${size}`, family, dMm, tpi, 'ISO 7-1 (from memory)'))),
]; // prettier-ignore

const byName = new Map(THREADS.map((thread) => [thread.name, thread]));
export const threadByName = (name: string): Thread | undefined => byName.get(name);

/** R is always outside; Rc and Rp are always inside. */
export const comesAs = ({ family }: Thread, gender: Gender): boolean =>
  family === 'r'
    ? gender === 'male'
    : family === 'rc' || family === 'rp'
      ? gender === 'female'
      : true;
/** Threads that grow along their length. */
export const isTaper = ({ family }: Thread): boolean =>
  family === 'npt' || family === 'r' || family === 'rc';
