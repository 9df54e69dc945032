import {
  freshId,
  type Known,
  type Part,
  type PartKind,
  type Plan,
  type Point,
  type Port,
  type PortRole,
} from '@firm-line/core/plan';
import type { Vec3 } from '@firm-line/core/vec';

/** A place nobody has measured yet: a guess at the front axle's middle, known to half a metre. */
const NOWHERE: Known = { how: 'guessed', atMm: [0, 0, 500], sigmaMm: [500, 500, 500] };

const PORTS: Record<PartKind, readonly (readonly [name: string, role: PortRole, direction: Vec3])[]> = {
  master: [['outlet', 'outlet', [0, 1, 0]]],
  tee: [['inlet', 'inlet', [-1, 0, 0]], ['left', 'outlet', [0, -1, 0]], ['right', 'outlet', [0, 1, 0]]],
  block: [['inlet', 'inlet', [-1, 0, 0]], ['outlet', 'outlet', [1, 0, 0]]],
  caliper: [['hose end at bracket', 'inlet', [0, 1, 0]], ['bleeder', 'bleeder', [0, 0, 1]]],
  'wheel-cylinder': [['inlet', 'inlet', [0, 1, 0]], ['bleeder', 'bleeder', [0, 0, 1]]],
  slave: [['inlet', 'inlet', [0, -1, 0]], ['bleeder', 'bleeder', [0, 0, 1]]],
  bracket: [['near side', 'inlet', [-1, 0, 0]], ['far side', 'outlet', [1, 0, 0]]],
  other: [['port', 'inlet', [1, 0, 0]]],
}; // prettier-ignore
export const KIND_NAMES: Record<PartKind, string> = {
  master: 'Master cylinder', tee: 'Tee', block: 'Block or valve', caliper: 'Caliper', 'wheel-cylinder': 'Wheel cylinder', slave: 'Clutch slave', bracket: 'Bracket', other: 'Other part',
}; // prettier-ignore
/** Fluid a part of this kind holds until the user says otherwise, mL. Common practice; the maker's sheet comes first. */
const CAVITY_ML: Record<PartKind, number> = { master: 180, tee: 1, block: 2, caliper: 25, 'wheel-cylinder': 6, slave: 10, bracket: 0, other: 0 }; // prettier-ignore

export const newPoint = (plan: Plan): Point => ({
  id: freshId(plan, 'point'),
  name: `Point ${plan.points.length + 1}`,
  known: NOWHERE,
});

export const newPort = (plan: Plan, name = 'port', role: PortRole = 'inlet', direction: Vec3 = [1, 0, 0]): Port => ({
  id: freshId(plan, 'port'),
  name,
  role,
  direction,
  known: NOWHERE,
});

/** A part of a kind with the ports that such a part has. */
export function newPart(plan: Plan, kind: PartKind): Part {
  const same = plan.parts.filter((part) => part.kind === kind).length;
  const part: Part = {
    id: freshId(plan, 'part'),
    name: same ? `${KIND_NAMES[kind]} ${same + 1}` : KIND_NAMES[kind],
    kind,
    cavityMl: CAVITY_ML[kind],
    ports: [],
  };
  return PORTS[kind].reduce<Part>(
    (made, [name, role, direction]) => ({
      ...made,
      ports: [...made.ports, newPort({ ...plan, parts: [...plan.parts, made] }, name, role, direction)],
    }),
    part,
  );
}
