import { derive } from '../../lib/derive/index.ts';
import { residualFor, type Residual } from '../../physics/hydraulics/index.ts';
import { wayOf, type Network } from '../../physics/flow-graph/index.ts';
import { feedsOf, reservoirsOf } from '../network/index.ts';
import type { PortView } from '../layout/line-view.ts';
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
  readonly has: readonly {
    readonly where: string;
    readonly portId: string;
    readonly residualMPa: number | null;
  }[];
}

/** The level of the fluid that a master draws from: its own reservoir's, or that of one joined to its feed. */
export function levelOf(master: Part, network: Network, parts: readonly Part[]): number | null {
  if (master.figures.levelMm !== undefined) return master.figures.levelMm;
  return (
    reservoirsOf(network, parts, master).find(({ figures }) => figures.levelMm !== undefined)
      ?.figures.levelMm ?? null
  );
}

/** For every caliper and wheel cylinder that a master feeds. */
export const residualViews = derive(
  'residual pressure',
  (parts: readonly Part[], ports: ReadonlyMap<string, PortView>, network: Network) => [
    parts,
    ports,
    network,
  ],
  (parts, ports, network) =>
    parts.flatMap((part): ResidualView[] => {
      if (part.kind !== 'caliper' && part.kind !== 'wheel-cylinder') return [];
      const feed = feedsOf(network, parts).find(({ reached }) =>
        part.ports.some(({ id }) => reached.has(id)),
      );
      if (feed?.master.kind !== 'master') return [];
      const { master, outlet, reached } = feed;
      const way = wayOf(
        part.ports.map(({ id }) => reached.get(id)).find((step) => step !== undefined)!,
      );
      const kind = part.kind === 'caliper' ? 'disc' : 'drum';
      // Its bleeder is its top; an inlet may be the bracket where its hose begins.
      const bleeders = part.ports.filter((port) => port.role === 'bleeder');
      const topMm = Math.max(
        ...(bleeders.length ? bleeders : part.ports).map(
          (port) => ports.get(port.id)!.fixed.atMm[2],
        ),
      );
      const levelMm = levelOf(master, network, parts);
      const builtIn = outlet.residualMPa;
      const has = builtIn
        ? [
            {
              where: `${master.name}, ${outlet.name}`,
              portId: outlet.id,
              residualMPa: builtIn as number | null,
            },
          ]
        : [];
      for (const { port: id } of way) {
        const { part: at, port } = ports.get(id) ?? {};
        if (at?.kind === 'residual-valve' && !has.some((valve) => valve.where === at.name))
          has.push({
            where: at.name,
            portId: port!.id,
            residualMPa: at.figures.residualMPa ?? null,
          });
      }
      const wanted =
        kind === 'drum'
          ? residualFor('drum', 0, 0, part.facts?.cupExpanders)
          : levelMm === null
            ? null
            : residualFor('disc', levelMm, topMm);
      return [{ part, kind, master, topMm, levelMm, wanted, has }];
    }),
);
