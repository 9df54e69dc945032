import type { LineView, PlanView, PortView } from '../../plan/index.ts';

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
