import { InputError } from '../../lib/faults/index.ts';

/** A tube, a hose or what stands for one. Places are named; pipes have no direction but their own measure from `from`. */
export interface AirPipe {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly boreMm: number;
  /** Along it from `from`, mm, and the height there, mm; two or more, along growing. */
  readonly profile: readonly (readonly [alongMm: number, heightMm: number])[];
  /** Fluid goes out through it and does not come back: a residual pressure valve stands in it. */
  readonly keeps?: boolean;
  /** Under this pressure nothing passes: a metering valve's hold-off. */
  readonly holdsMPa?: number;
}
export interface AirBleeder {
  readonly id: string;
  readonly at: string;
  /** What its part holds; the part's fluid is counted once, however many bleeders it has. */
  readonly cavityMl: number;
  /** Air that stays over this bleeder whatever is pushed through. */
  readonly trapMl: number;
  readonly heightMm: number;
}
/** A master's outlet with its chamber behind it. */
export interface AirOutlet {
  readonly at: string;
  readonly heightMm: number;
  /** Fluid that one stroke sends, mL. */
  readonly strokeMl: number;
  /** Air in its chamber to begin with: none once it is bench-bled. */
  readonly airMl: number;
  readonly reservoirMl: number;
}
export interface AirNetwork {
  readonly pipes: readonly AirPipe[];
  readonly bleeders: readonly AirBleeder[];
  readonly outlets: readonly AirOutlet[];
}

export const lengthMm = ({ profile }: AirPipe): number => profile.at(-1)![0] - profile[0]![0];
export const pipeMl = (pipe: AirPipe): number =>
  ((Math.PI / 4) * pipe.boreMm ** 2 * lengthMm(pipe)) / 1000;

/** A step along a way: a pipe, and +1 where it is passed from `from` to `to`. */
export interface Leg {
  readonly pipe: number;
  readonly dir: 1 | -1;
}
/** The way from an outlet to a bleeder, with the outlet's index. */
export interface Way {
  readonly outlet: number;
  readonly legs: readonly Leg[];
}

/** Pipes that touch each place, as indices. */
export function touchingOf({ pipes }: AirNetwork): ReadonlyMap<string, readonly number[]> {
  const touching = new Map<string, number[]>();
  pipes.forEach(({ from, to }, i) => {
    for (const end of [from, to]) touching.set(end, [...(touching.get(end) ?? []), i]);
  });
  return touching;
}

/** The way to a bleeder from the outlet that feeds it. Throws InputError where none does. */
export function wayTo(network: AirNetwork, bleederId: string, touching = touchingOf(network)): Way {
  const bleeder = network.bleeders.find(({ id }) => id === bleederId);
  if (!bleeder) throw new InputError('bleeders', `No bleeder is called "${bleederId}".`);
  const outlets = new Map(network.outlets.map(({ at }, i) => [at, i]));
  const queue: { at: string; legs: readonly Leg[] }[] = [{ at: bleeder.at, legs: [] }];
  const seen = new Set([bleeder.at]);
  for (let step = queue.shift(); step; step = queue.shift()) {
    const outlet = outlets.get(step.at);
    if (outlet !== undefined) return { outlet, legs: step.legs };
    for (const pipe of touching.get(step.at) ?? []) {
      const { from, to } = network.pipes[pipe]!;
      const next = from === step.at ? to : from;
      if (seen.has(next)) continue;
      seen.add(next);
      // Found from the bleeder back, so that the way forward passes it the other way round.
      queue.push({ at: next, legs: [{ pipe, dir: next === from ? 1 : -1 }, ...step.legs] });
    }
  }
  throw new InputError('bleeders', `No line brings fluid to ${bleederId}.`);
}
