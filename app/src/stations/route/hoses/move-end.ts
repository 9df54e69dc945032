import type { HoseView } from '@firm-line/core/stations/route';
import type { EditCall, Hose, PortView } from '@firm-line/core/plan';
import { scale, type Vec3 } from '@firm-line/core/lib/vec';

/** End A at a place of its own, its thread pointing there: how it is looked at before it is taken. */
export const endAt = ({ hose }: HoseView, atMm: Vec3, direction: Vec3): Partial<Hose> => ({
  ends: { ...hose.ends, a: { ...hose.ends.a, portId: null, through: false, atMm, direction } },
});

/** Whether end A's place may be changed from here: a port that tapes fix is moved by its tapes alone. */
export const endMoves = (port: PortView | undefined): boolean => port?.port.known.how !== 'taped';

/** Puts end A at a place. Where it stands at a port, the port goes there and the tube's end with it. */
export function moveEnd(
  view: HoseView,
  port: PortView | undefined,
  atMm: Vec3,
  direction: Vec3,
): EditCall {
  if (!port)
    return { edit: 'changeHose', with: { id: view.hose.id, patch: endAt(view, atMm, direction) } };
  const { known, id } = port.port;
  const out = view.hose.ends.a.through ? scale(direction, -1) : direction;
  return {
    edit: 'changePort',
    with: { id, patch: { known: { ...known, how: 'typed', atMm }, direction: out } },
  };
}
