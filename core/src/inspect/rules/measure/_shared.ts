import { derive } from '../../../lib/derive/index.ts';
import {
  datumsOf,
  type Line,
  type PositionSource,
  type ResolvedPosition,
  type Ref,
} from '../../../plan/index.ts';
import type { PlanView } from '../../../plan/results/index.ts';

export interface Placed {
  readonly place: Ref;
  readonly where: string;
  readonly known: PositionSource;
  readonly fixed: ResolvedPosition;
  readonly used: boolean;
}
/** Every point and port with its place in words. `used` where it is a datum of a tape or an end of a line that is made. */
export const places = derive(
  'places',
  ({
    points,
    ports,
    plan,
  }: Pick<PlanView, 'points' | 'ports'> & {
    readonly plan: { readonly lines: readonly Line[] };
  }) => [points, ports, plan.lines],
  (points, ports, lines): readonly Placed[] => {
    const known = [
      ...[...points.values()].map(({ point }) => point.known),
      ...[...ports.values()].map(({ port }) => port.known),
    ];
    const datums = new Set(known.flatMap(datumsOf));
    const ends = new Set(
      lines
        .filter(({ origin }) => origin !== 'kept')
        .flatMap((line) => [line.ends.a.portId, line.ends.b.portId]),
    );
    return [
      ...[...points.values()].map(({ point, fixed }) => ({
        place: { kind: 'point', id: point.id } as const,
        where: point.name,
        known: point.known,
        fixed,
        used: datums.has(point.id),
      })),
      ...[...ports.values()].map(({ part, port, fixed }) => ({
        place: { kind: 'port', id: port.id } as const,
        where: `${part.name}, ${port.name}`,
        known: port.known,
        fixed,
        used: ends.has(port.id),
      })),
    ];
  },
);
