import type { Arrangement, BoxToPlace } from './drawn.ts';

/** Brakes nearer to each other than this along the vehicle are on one axle, mm. */
const ONE_AXLE_MM = 400;

export type Edge = readonly [from: string, to: string];

/** The axles that brakes are on, front first: the ids of each. */
function axlesOf(boxes: readonly BoxToPlace[]): string[][] {
  const brakes = boxes.filter(({ corner }) => corner).sort((a, b) => a.aftMm - b.aftMm);
  const axles: string[][] = [];
  let lastMm = -Infinity;
  for (const { id, aftMm } of brakes) {
    if (aftMm - lastMm > ONE_AXLE_MM) axles.push([]);
    axles.at(-1)!.push(id);
    lastMm = aftMm;
  }
  return axles;
}

/** Edges without those that close a ring: what is left runs one way. */
function withoutRings(ids: readonly string[], edges: readonly Edge[]): Edge[] {
  const state = new Map<string, 'open' | 'done'>();
  const kept: Edge[] = [];
  const visit = (id: string): void => {
    state.set(id, 'open');
    for (const edge of edges) {
      if (edge[0] !== id || state.get(edge[1]) === 'open') continue;
      kept.push(edge);
      if (!state.has(edge[1])) visit(edge[1]);
    }
    state.set(id, 'done');
  };
  const entered = new Set(edges.map(([, to]) => to));
  for (const id of [...ids.filter((one) => !entered.has(one)), ...ids])
    if (!state.has(id)) visit(id);
  return kept;
}

/**
 * The rank of each box, from 0: as far along as the pressure has come. By the vehicle, an axle's brakes share
 * a rank behind those of the axle before it. What feeds others stands close before the first that it feeds.
 */
export function ranksOf(
  boxes: readonly BoxToPlace[],
  edges: readonly Edge[],
  by: Arrangement,
): ReadonlyMap<string, number> {
  const ids = boxes.map(({ id }) => id);
  const axles = by === 'vehicle' ? axlesOf(boxes) : [];
  const axleOf = new Map(axles.flatMap((axle, i) => axle.map((id) => [id, i] as const)));
  const onOneAxle = ([from, to]: Edge): boolean =>
    axleOf.has(from) && axleOf.get(from) === axleOf.get(to);
  const forward = withoutRings(ids, edges).filter((edge) => !onOneAxle(edge));
  const ranks = new Map(ids.map((id) => [id, 0]));
  const atLeast = (id: string, rank: number): boolean => {
    if (ranks.get(id)! >= rank) return false;
    ranks.set(id, rank);
    return true;
  };
  // A ring through two axles could push on for ever: no chain is longer than there are boxes.
  for (let round = 0; round < ids.length + axles.length; round++) {
    let moved = false;
    for (const [from, to] of forward) moved = atLeast(to, ranks.get(from)! + 1) || moved;
    let behind = -1;
    for (const axle of axles) {
      const rank = Math.max(behind + 1, ...axle.map((id) => ranks.get(id)!));
      for (const id of axle) moved = atLeast(id, rank) || moved;
      behind = rank;
    }
    if (!moved) break;
  }
  const entered = new Set(forward.map(([, to]) => to));
  const later = [...ids].sort((a, b) => ranks.get(b)! - ranks.get(a)!);
  for (const id of later) {
    if (axleOf.has(id) || !entered.has(id)) continue;
    const next = forward.filter(([from]) => from === id).map(([, to]) => ranks.get(to)!);
    if (next.length) ranks.set(id, Math.max(ranks.get(id)!, Math.min(...next) - 1));
  }
  return ranks;
}
