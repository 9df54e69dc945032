import type { LineView, Part, PlanView, PortView } from '../../plan/index.ts';

/** A line's end at a part. */
export interface JoinedEnd {
  readonly line: LineView;
  readonly end: 'a' | 'b';
  readonly at: PortView;
}
const remembered = new WeakMap<PlanView, ReadonlyMap<string, JoinedEnd[]>>();

/** Which ends of lines lie at each part, by part id. */
export function endsByPart(view: PlanView): ReadonlyMap<string, JoinedEnd[]> {
  const before = remembered.get(view);
  if (before) return before;
  const found = new Map<string, JoinedEnd[]>();
  for (const line of view.lines) {
    for (const end of ['a', 'b'] as const) {
      const at = line.ports[end];
      if (at) found.set(at.part.id, [...(found.get(at.part.id) ?? []), { line, end, at }]);
    }
  }
  remembered.set(view, found);
  return found;
}

/** Kinds of part in which fluid ends and does its work. */
export const isWorker = (part: Part): boolean =>
  part.kind === 'caliper' || part.kind === 'wheel-cylinder' || part.kind === 'slave';
/** Kinds of part that fluid passes through. */
export const isJoint = (part: Part): boolean => part.kind === 'tee' || part.kind === 'block' || part.kind === 'bracket';
