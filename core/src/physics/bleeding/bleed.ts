import { InputError } from '../../lib/faults/index.ts';

export type School = 'farthest-first' | 'nearest-first' | 'as-listed';
export interface Pipe {
  readonly from: string;
  readonly to: string;
  readonly lengthMm: number;
  readonly volumeMl: number;
}
export interface Bleeder {
  readonly id: string;
  readonly at: string;
  readonly cavityMl: number;
}
export interface BleedInput {
  readonly pipes: readonly Pipe[];
  readonly outlets: readonly string[];
  readonly bleeders: readonly Bleeder[];
  readonly school: School;
  /** Order of the maker's sheet, each bleeder's id once; used by 'as-listed' only. */
  readonly listed?: readonly string[];
  /** Reservoir and master, mL. */
  readonly wetMl?: number;
  /** How many times the volume is pushed through. */
  readonly purge?: number;
}
export interface BleedStep {
  readonly id: string;
  readonly pathMm: number;
  readonly pathMl: number;
  readonly flushMl: number;
}
export interface BleedPlan {
  readonly order: readonly BleedStep[];
  readonly fillMl: number;
  readonly buyMl: number;
}

/** Common practice: about three times its volume through each bleeder. */
export const DEFAULT_PURGE = 3;
/** Sums of lengths (mm) and volumes (mL) that differ by less are the same figure, added up in another order. */
const ROUNDING = 1e-9;

/** The least of 250, 500, 1000, 2000, 3000 … mL that holds `needMl`: the bottles that are sold. */
export function bottleMl(needMl: number): number {
  const need = needMl - ROUNDING;
  if (need <= 250) return 250;
  return need <= 500 ? 500 : Math.ceil(need / 1000) * 1000;
}

/** The first pipe that joins two places already joined, as an error: fluid has one way to each bleeder. */
function refuseLoops(pipes: readonly Pipe[]): void {
  const parent = new Map<string, string>();
  const rootOf = (name: string): string => {
    let root = name;
    for (let up = parent.get(root); up !== undefined; up = parent.get(root)) root = up;
    return root;
  };
  for (const [i, pipe] of pipes.entries()) {
    const [a, b] = [rootOf(pipe.from), rootOf(pipe.to)];
    if (a === b)
      throw new InputError(
        `pipes[${i}]`,
        `The pipe from ${pipe.from} to ${pipe.to} closes a loop. Fluid would have two paths.`,
      );
    parent.set(a, b);
  }
}

interface Reach {
  readonly outlet: string;
  /** Indices of the pipes from the outlet. */
  readonly path: readonly number[];
}

/** Which outlets reach each place, and by which pipes: a walk from every outlet over a forest. */
function reaches(pipes: readonly Pipe[], outlets: readonly string[]): Map<string, Reach[]> {
  const touching = new Map<string, number[]>();
  pipes.forEach((pipe, i) => {
    for (const end of [pipe.from, pipe.to]) touching.set(end, [...(touching.get(end) ?? []), i]);
  });
  const found = new Map<string, Reach[]>();
  for (const outlet of outlets) {
    const seen = new Set([outlet]);
    const queue: { at: string; path: readonly number[] }[] = [{ at: outlet, path: [] }];
    for (let step = queue.pop(); step; step = queue.pop()) {
      const { at, path } = step;
      found.set(at, [...(found.get(at) ?? []), { outlet, path }]);
      for (const i of touching.get(at) ?? []) {
        const next = pipes[i]!.from === at ? pipes[i]!.to : pipes[i]!.from;
        if (seen.has(next)) continue;
        seen.add(next);
        queue.push({ at: next, path: [...path, i] });
      }
    }
  }
  return found;
}

function listedRank(
  listed: readonly string[] | undefined,
  bleeders: readonly Bleeder[],
): Map<string, number> {
  if (!listed)
    throw new InputError('listed', 'Order “as listed” needs a list with each bleeder once.');
  const rank = new Map<string, number>();
  for (const [i, id] of listed.entries()) {
    if (!bleeders.some((b) => b.id === id))
      throw new InputError(`listed[${i}]`, `No bleeder is called "${id}".`);
    if (rank.has(id)) throw new InputError(`listed[${i}]`, `"${id}" is listed twice.`);
    rank.set(id, i);
  }
  const missing = bleeders.find((b) => !rank.has(b.id));
  if (missing) throw new InputError('listed', `"${missing.id}" is not in the list.`);
  return rank;
}

const sum = (values: readonly number[]): number =>
  values.reduce((total, value) => total + value, 0);

/**
 * In what order to bleed, how much to push through each bleeder, and how much fluid to buy.
 * A school goes by the length of pipe from the outlet (ties: larger volume first, then as given);
 * pipes have no direction. Throws InputError at a loop, and at a bleeder fed by none or by two outlets.
 * Source: common practice; the maker's sheet wins where there is one.
 */
export function bleed({
  pipes,
  outlets,
  bleeders,
  school,
  listed,
  wetMl = 0,
  purge = DEFAULT_PURGE,
}: BleedInput): BleedPlan {
  refuseLoops(pipes);
  const found = reaches(pipes, outlets);
  const rows = bleeders.map((bleeder, i) => {
    const reach = found.get(bleeder.at) ?? [];
    if (reach.length === 0)
      throw new InputError(
        `bleeders[${i}].at`,
        `No line brings fluid to ${bleeder.id} (at ${bleeder.at}).`,
      );
    if (reach.length > 1)
      throw new InputError(
        `bleeders[${i}].at`,
        `${bleeder.id} is fed from two outlets, ${reach[0]!.outlet} and ${reach[1]!.outlet}.`,
      );
    const path = reach[0]!.path;
    return {
      bleeder,
      path,
      pathMm: sum(path.map((k) => pipes[k]!.lengthMm)),
      pathMl: sum(path.map((k) => pipes[k]!.volumeMl)) + bleeder.cavityMl,
    };
  });
  if (school === 'as-listed') {
    const rank = listedRank(listed, bleeders);
    rows.sort((a, b) => rank.get(a.bleeder.id)! - rank.get(b.bleeder.id)!);
  } else {
    const way = school === 'farthest-first' ? -1 : 1;
    const compare = (a: number, b: number): number => (Math.abs(a - b) < ROUNDING ? 0 : a - b);
    rows.sort((a, b) => way * compare(a.pathMm, b.pathMm) || compare(b.pathMl, a.pathMl));
  }
  const flushed = new Set<number>();
  const order = rows.map(({ bleeder, path, pathMm, pathMl }): BleedStep => {
    const fresh = path.filter((k) => !flushed.has(k));
    fresh.forEach((k) => flushed.add(k));
    return {
      id: bleeder.id,
      pathMm,
      pathMl,
      flushMl: purge * (bleeder.cavityMl + sum(fresh.map((k) => pipes[k]!.volumeMl))),
    };
  });
  const fillMl = sum(pipes.map((p) => p.volumeMl)) + sum(bleeders.map((b) => b.cavityMl)) + wetMl;
  return { order, fillMl, buyMl: bottleMl(fillMl + sum(order.map((step) => step.flushMl))) };
}
