import { derive } from '../../derive/index.ts';
import { residualFor, type Residual } from '../../hydraulics/index.ts';
import type { LineView, PortView } from '../derived/line-view.ts';
import { makesPressure } from '../model/index.ts';
import type { Part } from '../model/index.ts';

/** Of a caliper or wheel cylinder fed from a master: the residual pressure it wants and the valves it has on the way. */
export interface ResidualView {
  readonly part: Part;
  readonly kind: 'disc' | 'drum';
  readonly master: Part;
  readonly topMm: number;
  /** Height of the fluid in the master's reservoir at its lowest mark; null where it is not known. */
  readonly levelMm: number | null;
  /** Null where it hangs on a level that is not known. */
  readonly wanted: Residual | null;
  readonly has: readonly { readonly where: string; readonly portId: string; readonly residualMPa: number | null }[];
}

interface Step {
  readonly at: PortView;
  readonly before: Step | null;
}

/** The way of pressure back from a part to the master that feeds it, in one circuit; the master's outlet first. */
function wayBack(from: Part, lines: readonly LineView[]): Step | null {
  const first = lines.find((v) => v.ports.a?.part === from || v.ports.b?.part === from);
  if (!first) return null;
  const own = lines.filter((v) => v.line.circuitId === first.line.circuitId);
  const seen = new Set([from]);
  let edge: { part: Part; step: Step | null }[] = [{ part: from, step: null }];
  while (edge.length) {
    const next: typeof edge = [];
    for (const { part, step } of edge) {
      for (const { ports } of own) {
        for (const [near, far] of [[ports.a, ports.b], [ports.b, ports.a]]) {
          if (near?.part !== part || !far || seen.has(far.part)) continue;
          seen.add(far.part);
          const to: Step = { at: far, before: { at: near, before: step } };
          if (makesPressure(far.part)) return to;
          next.push({ part: far.part, step: to });
        }
      }
    }
    edge = next;
  }
  return null;
} // prettier-ignore

/** The level of the fluid that a master draws from: its own reservoir's, or that of one joined to its feed. */
function levelOf(master: Part, lines: readonly LineView[]): number | null {
  if (master.figures.levelMm !== undefined) return master.figures.levelMm;
  const reservoirs = lines.flatMap(({ ports: { a, b } }) =>
    a?.part === master ? [b?.part] : b?.part === master ? [a?.part] : [],
  );
  return reservoirs.find((part) => part?.kind === 'reservoir')?.figures.levelMm ?? null;
}

/** For every caliper and wheel cylinder that a master feeds. */
export const residualViews = derive(
  'residual pressure',
  (parts: readonly Part[], ports: ReadonlyMap<string, PortView>, lines: readonly LineView[]) => [parts, ports, lines],
  (parts, ports, lines) =>
    parts.flatMap((part): ResidualView[] => {
      if (part.kind !== 'caliper' && part.kind !== 'wheel-cylinder') return [];
      const way = wayBack(part, lines);
      if (way?.at.part.kind !== 'master') return [];
      const master = way.at.part;
      const kind = part.kind === 'caliper' ? 'disc' : 'drum';
      // Its bleeder is its top; an inlet may be the bracket where its hose begins.
      const bleeders = part.ports.filter((port) => port.role === 'bleeder');
      const topMm = Math.max(...(bleeders.length ? bleeders : part.ports).map((port) => ports.get(port.id)!.fixed.atMm[2]));
      const levelMm = levelOf(master, lines);
      const builtIn = way.at.port.residualMPa;
      const has = builtIn
        ? [{ where: `${master.name}, ${way.at.port.name}`, portId: way.at.port.id, residualMPa: builtIn as number | null }]
        : [];
      for (let step: Step | null = way; step; step = step.before) {
        const { part: at, port } = step.at;
        if (at.kind === 'residual-valve' && !has.some((valve) => valve.where === at.name))
          has.push({ where: at.name, portId: port.id, residualMPa: at.figures.residualMPa ?? null });
      }
      const wanted = kind === 'drum' ? residualFor('drum', 0, 0) : levelMm === null ? null : residualFor('disc', levelMm, topMm);
      return [{ part, kind, master, topMm, levelMm, wanted, has }];
    }),
);
