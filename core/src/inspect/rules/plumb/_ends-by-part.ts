import { derive } from '../../../lib/derive/index.ts';
import type { Circuit, Plan, PortView, Ref } from '../../../plan/index.ts';
import type { PlanView } from '../../../plan/results/index.ts';

/** An end of a line, or of a hose between two ports, at a part. */
export interface JoinedEnd {
  readonly at: PortView;
  readonly far: PortView | null;
  readonly name: string;
  readonly place: Ref;
  readonly circuit: Circuit;
  readonly kind: 'line' | 'hose';
}
/** Which ends of lines and hoses lie at each part, by part id. */
export const endsByPart = derive(
  'ends at parts',
  ({
    plan: { hoses },
    lines,
    ports,
    circuits,
  }: Pick<PlanView, 'lines' | 'ports' | 'circuits'> & { readonly plan: Pick<Plan, 'hoses'> }) => [
    lines,
    hoses,
    ports,
    circuits,
  ],
  (lines, hoses, ports, circuits): ReadonlyMap<string, readonly JoinedEnd[]> => {
    const found = new Map<string, JoinedEnd[]>();
    const joined = [
      ...lines.map(({ line, ports: { a, b } }) => ({ a, b, of: line, kind: 'line' as const })),
      ...hoses.flatMap((hose) => {
        const [a, b] = [ports.get(hose.ends.a.portId ?? ''), ports.get(hose.ends.b.portId ?? '')];
        // One that hangs from a part into the air belongs to that part.
        return a && b ? [{ a, b, of: hose, kind: 'hose' as const }] : [];
      }),
    ];
    for (const { a, b, of, kind } of joined)
      for (const [at, far] of [
        [a, b],
        [b, a],
      ] as const) {
        if (!at) continue;
        const end = {
          at,
          far,
          name: of.name,
          place: { kind, id: of.id },
          circuit: circuits.get(of.circuitId)!,
          kind,
        };
        found.set(at.part.id, [...(found.get(at.part.id) ?? []), end]);
      }
    return found;
  },
);
/** What a rule must read to ask it. */
export const ENDS_READ = ['circuits', 'lines', 'plan.hoses', 'ports'] as const;
