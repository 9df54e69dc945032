import FlatQueue from 'flatqueue';
import type { Adapter, Half } from '../stock/index.ts';
import { sealsTogether } from '../threads/index.ts';

/** Ways that are kept to choose from. */
export const CHAINS = 3;

export const halfKey = (half: Half): string =>
  `${half.gender}|${half.thread}|${half.gender === 'male' ? half.end : half.seat}`;
/** A female in place of a male and the reverse do not meet; of the others most differ in form, which is asked first. */
export const seals = (a: Half, b: Half): boolean =>
  a.gender === 'male'
    ? b.gender === 'female' && sealsTogether(a, b)
    : b.gender === 'male' && sealsTogether(b, a);
/** Sealing faces of a join: a banjo has one on each side of its eye. */
const isBanjo = (half: Half): boolean => half.gender === 'male' && half.end === 'banjo';
export const facesOf = (a: Half, b: Half): number => (isBanjo(a) || isBanjo(b) ? 2 : 1);

export interface Edge {
  readonly part: Adapter;
  /** Its half that seals on what is held, and the one that looks onward, which is the node it leads to. */
  readonly near: Half;
  readonly onward: Half;
  readonly to: number;
  readonly faces: number;
  /** Joints first, then price, in one number. */
  readonly weight: number;
}
/** A joint weighs more than any price of parts in a chain. */
export const JOINT = 1e10;

/**
 * A catalog made ready for searching: every kind of half is a node, and every part leads from what
 * it seals on to its other half. Built once; ports that no part has join as they are asked for.
 */
export class AdapterGraph {
  private readonly nodes = new Map<string, number>();
  private readonly halves: Half[] = [];
  /** Each part by its two ways through, grouped by the node it is entered at. */
  private readonly entries: {
    readonly part: Adapter;
    readonly near: Half;
    readonly onward: Half;
    readonly to: number;
  }[][] = [];
  private readonly out: Edge[][] = [];
  /** For each node those that seal on it, out of so many halves. */
  private readonly sealing: { readonly of: number; readonly nodes: readonly number[] }[] = [];
  /** Best edges into each node, as pairs of node and weight. */
  private into: { readonly from: number[]; readonly weight: number[] }[] | null = null;

  constructor(readonly parts: readonly Adapter[]) {
    for (const part of parts) {
      // Tees would leave a branch open, plugs lead nowhere.
      if (part.halves.length !== 2) continue;
      const [a, b] = part.halves as [Half, Half];
      const [atA, atB] = [this.nodeOf(a), this.nodeOf(b)];
      (this.entries[atA] ??= []).push({ part, near: a, onward: b, to: atB });
      (this.entries[atB] ??= []).push({ part, near: b, onward: a, to: atA });
    }
  }

  nodeOf(half: Half): number {
    const key = halfKey(half);
    const known = this.nodes.get(key);
    if (known !== undefined) return known;
    const node = this.halves.length;
    this.nodes.set(key, node);
    this.halves.push(half);
    return node;
  }

  /** From a half to the onward halves of the parts that seal on it; of parts that lead to the same half the cheapest few, cheapest first. */
  from(node: number): readonly Edge[] {
    const known = this.out[node];
    if (known) return known;
    const half = this.halves[node]!;
    const byTarget = new Map<number, Edge[]>();
    for (const [at, entries] of this.entries.entries()) {
      if (!entries || !seals(half, this.halves[at]!)) continue;
      const faces = facesOf(half, this.halves[at]!);
      for (const { part, near, onward, to } of entries) {
        const edges = byTarget.get(to) ?? [];
        edges.push({ part, near, onward, to, faces, weight: faces * JOINT + part.costMinor });
        byTarget.set(to, edges);
      }
    }
    const found = [...byTarget.values()].flatMap((edges) =>
      edges.sort((a, b) => a.weight - b.weight).slice(0, CHAINS),
    );
    this.out[node] = found;
    return found;
  }

  /**
   * Least weight from the nodes to a half, its last joint included, for all that lie within one joint of
   * the start's own and under `most`; Infinity for the others. Also the limit that this comes to.
   */
  weightsTo(
    goal: Half,
    start: number,
    most: number,
  ): { readonly weights: Float64Array; readonly most: number } {
    const into = this.edgesInto();
    let limit = most;
    const weights = new Float64Array(this.halves.length).fill(Infinity);
    const edge = new FlatQueue();
    for (const node of this.sealingOn(goal)) {
      weights[node] = facesOf(this.halves[node]!, goal) * JOINT;
      edge.push(node, weights[node]);
    }
    while (edge.length) {
      const weightThere = edge.peekValue()!;
      const node = edge.pop()!;
      if (weightThere >= limit) break;
      if (weightThere > weights[node]!) continue;
      if (node === start) limit = Math.min(most, (Math.floor(weightThere / JOINT) + 2) * JOINT);
      const { from, weight } = into[node] ?? NO_EDGES;
      for (let i = 0; i < from.length; i++) {
        const next = weightThere + weight[i]!;
        if (next >= limit || next >= weights[from[i]!]!) continue;
        weights[from[i]!] = next;
        edge.push(from[i]!, next);
      }
    }
    return { weights, most: limit };
  }

  /** Nodes whose half seals on this one. */
  private sealingOn(half: Half): readonly number[] {
    const node = this.nodeOf(half);
    const known = this.sealing[node];
    if (known?.of === this.halves.length) return known.nodes;
    const nodes = [...this.halves.keys()].filter((other) => seals(this.halves[other]!, half));
    this.sealing[node] = { of: this.halves.length, nodes };
    return nodes;
  }

  /** Sealing faces of the last joint of a chain that stands at this node; 0 where it does not seal on the goal. */
  lastFaces(node: number, goal: Half): number {
    const half = this.halves[node]!;
    return seals(half, goal) ? facesOf(half, goal) : 0;
  }

  private edgesInto(): { readonly from: number[]; readonly weight: number[] }[] {
    if (this.into?.length === this.halves.length) return this.into;
    const into = this.halves.map(() => ({ from: [] as number[], weight: [] as number[] }));
    for (const node of this.halves.keys()) {
      let last = -1;
      for (const { to, weight } of this.from(node)) {
        // Edges to one node stand together, the cheapest first.
        if (to === last) continue;
        last = to;
        into[to]!.from.push(node);
        into[to]!.weight.push(weight);
      }
    }
    return (this.into = into);
  }
}
const NO_EDGES: { readonly from: number[]; readonly weight: number[] } = { from: [], weight: [] };
