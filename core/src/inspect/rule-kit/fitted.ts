import type { Floor, Line } from '../../plan/index.ts';

/** Lines that are still to be made and fitted: once a line lies on the vehicle, where its ends are was seen. */
export function unfitted(lines: readonly Line[], floor: Floor): readonly Line[] {
  const done = new Set(floor.done.map(({ task }) => task));
  return lines.filter(({ id, origin }) => origin !== 'kept' && !done.has(`run:${id}`));
}
