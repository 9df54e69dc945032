import type { ResolvedPosition, PositionSource, PlanView } from '../../plan/index.ts';
import type { Place } from '../snag.ts';

export interface Placed {
  readonly place: Place;
  readonly where: string;
  readonly known: PositionSource;
  readonly fixed: ResolvedPosition;
  readonly used: boolean;
}
const remembered = new WeakMap<PlanView, Placed[]>();

/** Every point and port with its place in words. `used` where it is a datum of a tape or an end of a line. */
export function places(view: PlanView): Placed[] {
  const before = remembered.get(view);
  if (before) return before;
  const datums = new Set(
    [...view.points.values(), ...[...view.ports.values()].map((p) => ({ point: p.port }))].flatMap(({ point }) =>
      (point.known.tapes ?? []).map((t) => t.from),
    ),
  );
  const ends = new Set(view.plan.lines.flatMap((line) => [line.ends.a.portId, line.ends.b.portId]));
  const all: Placed[] = [
    ...[...view.points.values()].map(({ point, fixed }) => ({
      place: { kind: 'point', id: point.id } as const, where: point.name, known: point.known, fixed, used: datums.has(point.id),
    })),
    ...[...view.ports.values()].map(({ part, port, fixed }) => ({
      place: { kind: 'port', id: port.id } as const, where: `${part.name}, ${port.name}`, known: port.known, fixed, used: ends.has(port.id),
    })),
  ]; // prettier-ignore
  remembered.set(view, all);
  return all;
}
