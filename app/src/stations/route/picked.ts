import { lineSpace, type LineView, type Plan } from '@firm-line/core/plan';
import { addScaled, distance, shareAlong, sub, type Vec3 } from '@firm-line/core/vec';

/** What of the chosen line was tapped: a clip, or a place on a straight that leads to a node. */
export type Picked =
  | { readonly kind: 'clip'; readonly index: number }
  | { readonly kind: 'straight'; readonly toNode: number; readonly at: Vec3; readonly atMm: number };

/** What lies at a share of a piece of the line's drawn points: the corner of a bend, or the straight with the place on it. */
export function pickedAt(plan: Plan, view: LineView, piece: number, share: number): Picked | { readonly kind: 'bend'; readonly node: number } | null {
  const space = lineSpace(plan, view);
  const [from, to] = [space?.points[piece], space?.points[piece + 1]];
  if (!space || !from || !to) return null;
  const at = addScaled(from, sub(to, from), share);
  const before = space.points.slice(1, piece + 1).reduce((sum, p, i) => sum + distance(p, space.points[i]!), 0);
  const atMm = before + distance(from, at);
  const bend = view.pieces.find((one) => one.kind === 'arc' && atMm >= one.startMm && atMm <= one.endMm);
  if (bend?.kind === 'arc') return { kind: 'bend', node: bend.node };
  const off = (i: number): number => {
    const [a, b] = [view.nodesMm[i]!, view.nodesMm[i + 1]!];
    return distance(at, addScaled(a, sub(b, a), shareAlong(at, a, b)));
  };
  const legs = view.nodesMm.slice(1).map((_, i) => i);
  const leg = legs.reduce((best, i) => (off(i) < off(best) ? i : best), 0);
  return { kind: 'straight', toNode: leg + 1, at, atMm };
} // prettier-ignore
