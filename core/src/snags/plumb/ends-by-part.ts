import { derive } from '../../derive/index.ts';
import type { LineView, PortView } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';

/** A line's end at a part. */
export interface JoinedEnd {
  readonly line: LineView;
  readonly end: 'a' | 'b';
  readonly at: PortView;
}
/** Which ends of lines lie at each part, by part id. */
export const endsByPart = derive(
  'ends at parts',
  ({ lines }: Pick<PlanView, 'lines'>) => [lines],
  (lines): ReadonlyMap<string, readonly JoinedEnd[]> => {
    const found = new Map<string, JoinedEnd[]>();
    for (const line of lines) {
      for (const end of ['a', 'b'] as const) {
        const at = line.ports[end];
        if (at) found.set(at.part.id, [...(found.get(at.part.id) ?? []), { line, end, at }]);
      }
    }
    return found;
  },
);
