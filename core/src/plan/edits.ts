import { InputError } from '../fault/index.ts';
import type { Thing } from '../frame/index.ts';
import { nutFitsTube, NUTS, tubeById } from '../stock/index.ts';
import type { Vec3 } from '../vec/index.ts';
import { changeMove } from './moves.ts';
import {
  allPorts,
  type Bench,
  type BenchBender,
  type Bleeding,
  type Gate,
  type Holding,
  type Hose,
  type Known,
  type Line,
  type LineEnd,
  type LineOrigin,
  type Part,
  type Plan,
  type Point,
  type Port,
  type Target,
} from './types.ts';
import { figureAt, withAt, withFigure, type Sheet } from './figures.ts';
import { followed, laidTemplate, steppedAside, straightened, type RailSide, type TemplateBend } from './reshape.ts';
import { mirrorOf, splitBy, turnedRound } from './split.ts';
import type { LineView } from './line-view.ts';
import { viewPlan } from './view.ts';

/** A sheet of figures by its place in the plan, with what it becomes. */
type Sheets = { [K in 'sizing' | 'trailer' | 'singles' | 'clutch' | 'parking']: { sheet: K; to: Plan[K] } }[
  'sizing' | 'trailer' | 'singles' | 'clutch' | 'parking'];
type Patch<T extends { id: string }> = Partial<Omit<T, 'id'>>;

const patched = <T extends { id: string }>(list: readonly T[], id: string, change: (item: T) => T): readonly T[] => {
  if (!list.some((item) => item.id === id)) throw new InputError(id, 'This is no longer in the plan.');
  return list.map((item) => (item.id === id ? change(item) : item));
};
const without = <T extends { id: string }>(list: readonly T[], id: string): readonly T[] => list.filter((item) => item.id !== id);
const onLine = (plan: Plan, id: string, change: (line: Line) => Line): Plan => ({
  ...plan,
  lines: patched(plan.lines, id, change),
});
const onPart = (plan: Plan, id: string, change: (part: Part) => Part): Plan => ({
  ...plan,
  parts: patched(plan.parts, id, change),
});
const viewOf = (plan: Plan, id: string): LineView => {
  const view = viewPlan(plan).lines.find((one) => one.line.id === id);
  if (!view) throw new InputError(id, 'This line is no longer in the plan.');
  return view;
};
const partOf = (plan: Plan, portId: string): Part => {
  const found = allPorts(plan).find(({ port }) => port.id === portId);
  if (!found) throw new InputError(portId, 'This port is no longer in the plan.');
  return found.part;
};

/** Lines let go of ports that are gone, the maker's order of bleeders that are gone. */
function letGo(plan: Plan, gone: ReadonlySet<string>): Plan {
  const freed = (line: Line, end: 'a' | 'b'): Line =>
    gone.has(line.ends[end].portId ?? '')
      ? { ...line, ends: { ...line.ends, [end]: { ...line.ends[end], portId: null } } }
      : line;
  const unscrewed = (hose: Hose, end: 'a' | 'b'): Hose =>
    gone.has(hose.ends[end].portId ?? '')
      ? { ...hose, ends: { ...hose.ends, [end]: { ...hose.ends[end], portId: null } } }
      : hose;
  return {
    ...plan,
    lines: plan.lines.map((line) => freed(freed(line, 'a'), 'b')),
    hoses: plan.hoses.map((hose) => unscrewed(unscrewed(hose, 'a'), 'b')),
    bleeding: { ...plan.bleeding, listed: plan.bleeding.listed.filter((id) => !gone.has(id)) },
  };
}

/** Every edit of a plan by its name: plan and figures in, plan out. An edit that cannot be made throws InputError and changes nothing. */
export const EDITS = {
  rename: (plan: Plan, { name }: { name: string }): Plan => ({ ...plan, name }),
  setUnits: (plan: Plan, { units }: { units: Plan['units'] }): Plan => ({ ...plan, units }),

  addPoint: (plan: Plan, { point }: { point: Point }): Plan => ({ ...plan, points: [...plan.points, point] }),
  changePoint: (plan: Plan, { id, patch }: { id: string; patch: Patch<Point> }): Plan => ({
    ...plan,
    points: patched(plan.points, id, (p) => ({ ...p, ...patch })),
  }),
  removePoint: (plan: Plan, { id }: { id: string }): Plan => {
    const readers = [...plan.points, ...plan.parts.flatMap((part) => part.ports)].filter((place) =>
      place.known.tapes?.some((tape) => tape.from === id),
    );
    const name = plan.points.find((p) => p.id === id)?.name ?? id;
    if (readers.length)
      throw new InputError(id, `${name} is a datum of ${readers.map((r) => r.name).join(', ')}: take those tapes away first.`);
    return { ...plan, points: without(plan.points, id) };
  },

  addPart: (plan: Plan, { part }: { part: Part }): Plan => ({ ...plan, parts: [...plan.parts, part] }),
  changePart: (plan: Plan, { id, patch }: { id: string; patch: Patch<Part> }): Plan =>
    onPart(plan, id, (part) => ({ ...part, ...patch })),
  removePart: (plan: Plan, { id }: { id: string }): Plan => {
    const part = plan.parts.find((p) => p.id === id);
    return letGo({ ...plan, parts: without(plan.parts, id) }, new Set(part?.ports.map((port) => port.id)));
  },
  addPort: (plan: Plan, { partId, port }: { partId: string; port: Port }): Plan =>
    onPart(plan, partId, (part) => ({ ...part, ports: [...part.ports, port] })),
  changePort: (plan: Plan, { id, patch }: { id: string; patch: Patch<Port> }): Plan => {
    const changed = onPart(plan, partOf(plan, id).id, (part) => ({
      ...part,
      ports: patched(part.ports, id, (port) => ({ ...port, ...patch })),
    }));
    return patch.role && patch.role !== 'bleeder'
      ? { ...changed, bleeding: { ...changed.bleeding, listed: changed.bleeding.listed.filter((p) => p !== id) } }
      : changed;
  },
  removePort: (plan: Plan, { id }: { id: string }): Plan =>
    letGo(
      onPart(plan, partOf(plan, id).id, (part) => ({ ...part, ports: without(part.ports, id) })),
      new Set([id]),
    ),
  /** Parts, lines and circuits of a layout on top of what is there. */
  addLayout: (plan: Plan, { parts, circuits, lines }: Pick<Plan, 'parts' | 'circuits' | 'lines'>): Plan => ({
    ...plan,
    parts: [...plan.parts, ...parts],
    circuits: [...plan.circuits, ...circuits],
    lines: [...plan.lines, ...lines],
  }),
  /** How a point or port is known; an id that is no longer there is an error. */
  setKnown: (plan: Plan, { target, known }: { target: Target; known: Known }): Plan => {
    const next =
      target.kind === 'point'
        ? EDITS.changePoint(plan, { id: target.id, patch: { known } })
        : EDITS.changePort(plan, { id: target.id, patch: { known } });
    return next;
  },

  addLine: (plan: Plan, { line }: { line: Line }): Plan => ({ ...plan, lines: [...plan.lines, line] }),
  changeLine: (plan: Plan, { id, patch }: { id: string; patch: Patch<Line> }): Plan =>
    onLine(plan, id, (line) => ({ ...line, ...patch })),
  removeLine: (plan: Plan, { id }: { id: string }): Plan => ({ ...plan, lines: without(plan.lines, id) }),
  setCorners: (plan: Plan, { id, cornersMm }: { id: string; cornersMm: readonly Vec3[] }): Plan =>
    onLine(plan, id, (line) => ({ ...line, cornersMm })),
  /** Puts a corner in so that it becomes corner `index` (from 0) of the line. */
  insertCorner: (plan: Plan, { id, index, atMm }: { id: string; index: number; atMm: Vec3 }): Plan =>
    onLine(plan, id, (line) => ({ ...line, cornersMm: line.cornersMm.toSpliced(index, 0, atMm) })),
  removeCorner: (plan: Plan, { id, index }: { id: string; index: number }): Plan =>
    onLine(plan, id, (line) => ({ ...line, cornersMm: line.cornersMm.toSpliced(index, 1) })),
  /** Makes move `index` of a line (to its node index + 1) this vector; see `changeMove` for what gives way. */
  setMove: (plan: Plan, { id, index, moveMm }: { id: string; index: number; moveMm: Vec3 }): Plan => {
    const nodesMm = viewPlan(plan).lines.find((view) => view.line.id === id)!.nodesMm;
    return EDITS.setCorners(plan, { id, cornersMm: changeMove(nodesMm, index, moveMm).cornersMm });
  },
  /** Takes out the corners between two nodes of a line. */
  straighten: (plan: Plan, { id, from, to }: { id: string; from: number; to: number }): Plan =>
    onLine(plan, id, (line) => ({ ...line, cornersMm: straightened(line.cornersMm, from, to) })),
  /** An offset (`topMm` null) or a saddle in the middle of a move. */
  stepAside: (
    plan: Plan,
    { id, index, riseMm, bendDeg, topMm }: { id: string; index: number; riseMm: Vec3; bendDeg: number; topMm: number | null },
  ): Plan => EDITS.setCorners(plan, { id, cornersMm: steppedAside(viewOf(plan, id), index, riseMm, bendDeg, topMm) }),
  /** Lets a line follow a rail at a standoff between two of its nodes. */
  followRail: (
    plan: Plan,
    {
      id,
      from,
      to,
      thingId,
      side,
      standoffMm,
    }: { id: string; from: number; to: number; thingId: string; side: RailSide; standoffMm: number },
  ): Plan => {
    const rail = plan.things.find((thing) => thing.id === thingId);
    if (!rail) throw new InputError(thingId, 'This rail is no longer in the plan.');
    return EDITS.setCorners(plan, { id, cornersMm: followed(viewOf(plan, id), from, to, rail, side, standoffMm) });
  },
  /** The same line on the other side of the vehicle, as a new one. */
  mirrorLine: (plan: Plan, { id }: { id: string }): Plan => mirrorOf(plan, viewOf(plan, id), viewPlan(plan).ports),
  swapEnds: (plan: Plan, { id }: { id: string }): Plan => {
    const { pieces } = viewOf(plan, id);
    return onLine(plan, id, (line) => turnedRound(line, pieces.at(-1)?.endMm ?? 0));
  },
  /** Cuts a line in two by a union, or by a bulkhead through a panel, in the middle of a move. */
  splitLine: (plan: Plan, { id, index, by }: { id: string; index: number; by: 'union' | 'bulkhead' }): Plan =>
    splitBy(plan, viewOf(plan, id), index, by),
  /** Lays a wire template or an old line between the ends of a line. */
  layTemplate: (
    plan: Plan,
    {
      id,
      bends,
      tailMm,
      takeUp,
      origin,
    }: { id: string; bends: readonly TemplateBend[]; tailMm: number; takeUp: number; origin: LineOrigin },
  ): Plan =>
    onLine(plan, id, (line) => ({ ...line, origin, cornersMm: laidTemplate(viewOf(plan, id), bends, tailMm, takeUp).cornersMm })),
  /** Another tube, with nuts and a bender that go with its size where there are such. */
  setTube: (plan: Plan, { id, tubeId }: { id: string; tubeId: string }): Plan =>
    onLine(plan, id, (line) => withTube(line, plan.bench, tubeId)),

  /** What an end is made with: its flare, nut and adapters, how far these hold it off, or the state of its joint. */
  changeEnd: (plan: Plan, { id, end, patch }: { id: string; end: 'a' | 'b'; patch: Partial<LineEnd> }): Plan =>
    onLine(plan, id, (line) => ({ ...line, ends: { ...line.ends, [end]: { ...line.ends[end], ...patch } } })),

  addHose: (plan: Plan, { hose }: { hose: Hose }): Plan => ({ ...plan, hoses: [...plan.hoses, hose] }),
  changeHose: (plan: Plan, { id, patch }: { id: string; patch: Patch<Hose> }): Plan => ({
    ...plan,
    hoses: patched(plan.hoses, id, (h) => ({ ...h, ...patch })),
  }),
  removeHose: (plan: Plan, { id }: { id: string }): Plan => ({ ...plan, hoses: without(plan.hoses, id) }),
  /** One ordered length for several hoses. */
  alikeHoses: (plan: Plan, { ids, orderMm }: { ids: readonly string[]; orderMm: number }): Plan => ({
    ...plan,
    hoses: plan.hoses.map((hose) => (ids.includes(hose.id) ? { ...hose, orderMm } : hose)),
  }),

  addThing: (plan: Plan, { thing }: { thing: Thing }): Plan => ({ ...plan, things: [...plan.things, thing] }),
  changeThing: (plan: Plan, { id, patch }: { id: string; patch: Patch<Thing> }): Plan => ({
    ...plan,
    things: patched(plan.things, id, (t) => ({ ...t, ...patch })),
  }),
  removeThing: (plan: Plan, { id }: { id: string }): Plan => ({ ...plan, things: without(plan.things, id) }),
  addGate: (plan: Plan, { gate }: { gate: Gate }): Plan => ({ ...plan, gates: [...plan.gates, gate] }),
  changeGate: (plan: Plan, { id, patch }: { id: string; patch: Patch<Gate> }): Plan => ({
    ...plan,
    gates: patched(plan.gates, id, (g) => ({ ...g, ...patch })),
  }),
  removeGate: (plan: Plan, { id }: { id: string }): Plan => ({ ...plan, gates: without(plan.gates, id) }),
  /** What shakes lines and how far apart their clips may be. */
  changeHolding: (plan: Plan, { patch }: { patch: Partial<Holding> }): Plan => ({
    ...plan,
    holding: { ...plan.holding, ...patch },
  }),

  tick: (plan: Plan, { id, step, digest, at }: { id: string; step: string; digest: string; at: string }): Plan =>
    onLine(plan, id, (line) => ({ ...line, ticks: [...line.ticks.filter((t) => t.step !== step), { step, digest, at }] })),
  untick: (plan: Plan, { id, step }: { id: string; step: string }): Plan =>
    onLine(plan, id, (line) => ({ ...line, ticks: line.ticks.filter((t) => t.step !== step) })),

  changeBench: (plan: Plan, { patch }: { patch: Partial<Bench> }): Plan => ({ ...plan, bench: { ...plan.bench, ...patch } }),
  changeBender: (plan: Plan, { id, patch }: { id: string; patch: Patch<BenchBender> }): Plan => ({
    ...plan,
    bench: { ...plan.bench, benders: patched(plan.bench.benders, id, (b) => ({ ...b, ...patch })) },
  }),
  changeBleeding: (plan: Plan, { patch }: { patch: Partial<Bleeding> }): Plan => ({
    ...plan,
    bleeding: { ...plan.bleeding, ...patch },
  }),
  /** Begins a sheet of figures, puts another in its place, or (null) takes it away. */
  setSheet: (plan: Plan, { sheet, to }: Sheets): Plan => ({ ...plan, [sheet]: to }),
  /** One figure or part of a sheet (`sizing`, or `singles.0`) by its path; it is no guess any more, unless `open` says which of it is. */
  setFigure: (
    plan: Plan,
    { of, path, to, open = [] }: { of: string; path: string; to: unknown; open?: readonly string[] },
  ): Plan => {
    const sheet = figureAt(plan, of) as Sheet | null | undefined;
    if (!sheet) throw new InputError(of, 'These figures are not begun yet.');
    const changed = withFigure(sheet, path, to);
    return withAt(plan, of.split('.'), { ...changed, open: [...changed.open, ...open] });
  },
} as const;

/** The bender on this bench whose die takes a tube of this diameter. */
export const benderFor = (bench: Bench, odMm: number): BenchBender | undefined =>
  bench.benders.find((b) => Math.abs(b.tubeOdMm - odMm) <= 0.1);

/** A line in another tube; a nut that does not go with its size gives way to one that does, of the same flare where there is one. */
export function withTube(line: Line, bench: Bench, tubeId: string): Line {
  const { odMm } = tubeById(tubeId)!;
  const fitting = NUTS.filter((nut) => nutFitsTube(nut, odMm));
  const end = (now: LineEnd): LineEnd => {
    const nut = fitting.find((n) => n.id === now.nutId) ?? fitting.find((n) => n.flare === now.flare) ?? fitting[0];
    return nut && nut.id !== now.nutId ? { ...now, nutId: nut.id, flare: nut.flare } : now;
  };
  return {
    ...line,
    tubeId,
    benderId: benderFor(bench, odMm)?.id ?? line.benderId,
    ends: { a: end(line.ends.a), b: end(line.ends.b) },
  };
}

export type EditName = keyof typeof EDITS;
/** An edit as data: its name and figures, so that a snag can carry its mend and a log can keep it. */
export type EditCall = { [K in EditName]: { readonly edit: K; readonly with: Parameters<(typeof EDITS)[K]>[1] } }[EditName];

export const applyEdit = (plan: Plan, call: EditCall): Plan =>
  (EDITS[call.edit] as (plan: Plan, figures: unknown) => Plan)(plan, call.with);
