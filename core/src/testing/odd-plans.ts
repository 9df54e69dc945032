import { emptyPlan, type Plan } from '../plan/index.ts';
import { LAYOUTS } from '../proposals/layouts/index.ts';
import { demo } from './demo-plans.ts';

const empty = emptyPlan('p', 'P', '2026-01-01T00:00:00.000Z');
// Its ports are taped from points.
const onePart: Plan = {
  ...empty,
  points: demo('gannet').points,
  parts: demo('gannet').parts.slice(0, 1),
};
/** A plan with all ports of its parts deleted: its lines lead nowhere. */
export const bare = (plan: Plan): Plan => ({
  ...plan,
  parts: plan.parts.map((part) => ({ ...part, ports: [] })),
  lines: plan.lines.map((line) => ({
    ...line,
    ends: { a: { ...line.ends.a, portId: null }, b: { ...line.ends.b, portId: null } },
  })),
  hoses: [],
  bleeding: { ...plan.bleeding, listed: [] },
});
/** A plan whose lines all have an open end. */
export const opened = (plan: Plan): Plan => ({
  ...plan,
  lines: plan.lines.map((line) => ({
    ...line,
    ends: { ...line.ends, b: { ...line.ends.b, portId: null } },
  })),
});

/** Plans as a stranger makes them: begun, half made, with things taken out; each sound. */
export const ODD_PLANS: readonly (readonly [string, Plan])[] = [
  ['an empty plan', empty],
  ['points only', { ...empty, points: demo('gannet').points }],
  ['one part and no line', onePart],
  ['a part with its ports deleted', bare(onePart)],
  ...LAYOUTS.map((layout): [string, Plan] => [layout.name, layout.draw(empty)]),
];
