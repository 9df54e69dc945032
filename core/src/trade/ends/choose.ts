import {
  NUTS,
  nutFitsTube,
  type Adapter,
  type FlareForm,
  type Half,
  type TubeNut,
} from '../stock/index.ts';
import { mate, type Mate } from '../threads/index.ts';
import type { AdapterGraph } from './adapter-graph.ts';
import { adapt, joinOf, STOCK, type Chain, type Join } from './adapt.ts';

/** The half that a flared tube with this nut is: a sleeve nut over a 37° flare is the female one. */
export const halfOfNut = ({ thread, flare }: Pick<TubeNut, 'thread' | 'flare'>): Half =>
  flare === 'cone-37'
    ? { gender: 'female', thread, seat: 'flare-37' }
    : { gender: 'male', thread, end: flare };

export interface EndChoice {
  readonly flare: FlareForm;
  readonly nutId: string;
  readonly chain: Chain;
}

const sealsOn = (port: Half, nut: TubeNut): boolean => {
  const join = joinOf(port, halfOfNut(nut));
  return join !== null && mate(join).verdict === 'seals';
};

/**
 * What a tube of this size needs to end at a port: flare and nut that seal on it as they are, else the
 * nut with the fewest joints between. Best first; empty where no chain of up to three joints leads there.
 */
export function endFor(port: Half, tubeOdMm: number, graph: AdapterGraph = STOCK): EndChoice[] {
  const nuts = NUTS.filter((nut) => nutFitsTube(nut, tubeOdMm));
  return nuts
    .flatMap((nut): EndChoice[] => {
      const direct = sealsOn(port, nut);
      const chain = adapt({ from: port, to: halfOfNut(nut), maxJoints: direct ? 1 : 4 }, graph)
        .chains[0];
      return chain ? [{ flare: nut.flare, nutId: nut.id, chain }] : [];
    })
    .sort((a, b) => a.chain.joints - b.chain.joints || a.chain.costMinor - b.chain.costMinor);
}

/** The halves met in order from a port over its adapters to a line's end; each pair is one joint. */
export function jointsOf(
  port: Half,
  adapters: readonly Adapter[],
  end: Half,
): { readonly near: Half; readonly far: Half }[] {
  const joints: { near: Half; far: Half }[] = [];
  let near = port;
  for (const { halves } of adapters) {
    const [a, b] = halves as [Half, Half];
    // The half that seals on what we hold goes on it; where neither does, the one that at least has the other gender.
    const rank = (half: Half): number => {
      const join = joinOf(near, half);
      return join === null ? 0 : mate(join).verdict === 'seals' ? 2 : 1;
    };
    const [on, onward] = rank(b) > rank(a) ? [b, a] : [a, b];
    joints.push({ near, far: on });
    near = onward;
  }
  return [...joints, { near, far: end }];
}

/** Two halves put together, and what comes of it. */
export interface Joint extends Mate {
  readonly near: Half;
  readonly far: Half;
  /** Null where both are male or both female. */
  readonly join: Join | null;
}
export function jointBetween(near: Half, far: Half): Joint {
  const join = joinOf(near, far);
  if (join) return { near, far, join, ...mate(join) };
  const reasons = [`Both are ${near.gender}, so they do not screw together.`];
  return { near, far, join, verdict: 'will-not-start', reasons, overlap: 0, turnsToBind: null };
}
