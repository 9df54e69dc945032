import { lineSpace, type LineView, type Plan } from '@firm-line/core/plan';
import { addScaled, nearestTo, pathLength, sub, type Vec3 } from '@firm-line/core/lib/vec';

/** What of the chosen line was tapped: a clip, or a place on a straight that leads to a node. */
export type Picked =
  | { readonly kind: 'clip'; readonly index: number }
  | {
      readonly kind: 'straight';
      readonly toNode: number;
      readonly at: Vec3;
      readonly atMm: number;
    };

/** What lies at a share of a piece of the line's drawn points: the corner of a bend, or the straight with the place on it. */
export function pickedAt(
  plan: Plan,
  view: LineView,
  piece: number,
  share: number,
): Picked | { readonly kind: 'bend'; readonly node: number } | null {
  const space = lineSpace(plan, view);
  const [from, to] = [space?.points[piece], space?.points[piece + 1]];
  if (!space || !from || !to) return null;
  const at = addScaled(from, sub(to, from), share);
  const atMm = pathLength([...space.points.slice(0, piece + 1), at]);
  const bend = view.pieces.find(
    (one) => one.kind === 'arc' && atMm >= one.startMm && atMm <= one.endMm,
  );
  if (bend?.kind === 'arc') return { kind: 'bend', node: bend.node };
  return { kind: 'straight', toNode: nearestTo(view.nodesMm, at).leg + 1, at, atMm };
}
