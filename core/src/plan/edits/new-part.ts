import type { Vec3 } from '../../lib/vec/index.ts';
import {
  FRESH_PART,
  PART_SPECS,
  type PositionSource,
  type Part,
  type PartKind,
  type Plan,
  type Port,
  type PortRole,
} from '../model/index.ts';
import { freshId } from './fresh-id.ts';

/** A place nobody has measured yet: a guess at the front axle's middle, known to half a metre. */
export const NOWHERE: PositionSource = {
  how: 'guessed',
  atMm: [0, 0, 500],
  sigmaMm: [500, 500, 500],
};

export const newPort = (
  plan: Plan,
  name = 'port',
  role: PortRole = 'inlet',
  direction: Vec3 = [1, 0, 0],
  known: PositionSource = NOWHERE,
): Port => ({ id: freshId(plan, 'port'), name, role, direction, known, fitting: null });

/** A part of a kind with its ports, all at one place. */
export function newPart(plan: Plan, kind: PartKind, known: PositionSource = NOWHERE): Part {
  const spec = PART_SPECS[kind];
  const same = plan.parts.filter((part) => part.kind === kind).length;
  const part: Part = {
    id: freshId(plan, 'part'),
    name: same ? `${spec.name} ${same + 1}` : spec.name,
    kind,
    cavityMl: spec.cavityMl,
    ...FRESH_PART,
    ports: [],
  };
  return spec.ports.reduce<Part>(
    (made, [name, role, direction]) => ({
      ...made,
      ports: [
        ...made.ports,
        newPort({ ...plan, parts: [...plan.parts, made] }, name, role, direction, known),
      ],
    }),
    part,
  );
}
