import { InputError } from '../../lib/faults/index.ts';
import { nutFitsTube, NUTS, tubeById } from '../../trade/stock/index.ts';
import type { TestBend } from '../../shape/tube/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import type { LineView } from '../layout/line-view.ts';
import { layPlan } from '../layout/laid-plan.ts';
import {
  FRESH_JOINT,
  type Bench,
  type BenchBender,
  type JointWork,
  type Line,
  type LineEnd,
  type LineOrigin,
  type Plan,
} from '../model/index.ts';
import { changeMove } from './moves.ts';
import { changeRecord } from './records.ts';
import {
  followed,
  laidTemplate,
  steppedAside,
  straightened,
  type RailSide,
  type TemplateBend,
} from './reshape.ts';
import { mirrorOf, splitBy, turnedRound } from './split.ts';

const onLine = (plan: Plan, id: string, change: (line: Line) => Line): Plan =>
  changeRecord(plan, 'line', id, change);
const viewOf = (plan: Plan, id: string): LineView => {
  const view = layPlan(plan).lines.find((one) => one.line.id === id);
  if (!view) throw new InputError(id, 'This line is no longer in the plan.');
  return view;
};
/** The view of a line that runs between two places: one with an end nowhere has no moves to change. */
const laidView = (plan: Plan, id: string): LineView => {
  const view = viewOf(plan, id);
  if (!view.nodesMm.length)
    throw new InputError(
      id,
      `${view.line.name} has an open end with no position. Join it to a port, or enter the position.`,
    );
  return view;
};
const setCorners = (
  plan: Plan,
  { id, cornersMm }: { id: string; cornersMm: readonly Vec3[] },
): Plan => onLine(plan, id, (line) => ({ ...line, cornersMm }));

/** Edits of lines: their corners by name, their ends, and the steps of their cards. */
export const LINE_EDITS = {
  setCorners,
  /** Puts a corner in so that it becomes corner `index` (from 0) of the line. */
  insertCorner: (
    plan: Plan,
    { id, index, atMm }: { id: string; index: number; atMm: Vec3 },
  ): Plan =>
    onLine(plan, id, (line) => ({ ...line, cornersMm: line.cornersMm.toSpliced(index, 0, atMm) })),
  removeCorner: (plan: Plan, { id, index }: { id: string; index: number }): Plan =>
    onLine(plan, id, (line) => ({ ...line, cornersMm: line.cornersMm.toSpliced(index, 1) })),
  /** Makes move `index` of a line (to its node index + 1) this vector; see `changeMove` for what gives way. */
  setMove: (
    plan: Plan,
    { id, index, moveMm }: { id: string; index: number; moveMm: Vec3 },
  ): Plan => {
    const { nodesMm } = laidView(plan, id);
    return setCorners(plan, { id, cornersMm: changeMove(nodesMm, index, moveMm).cornersMm });
  },
  /** Takes out the corners between two nodes of a line. */
  straighten: (plan: Plan, { id, from, to }: { id: string; from: number; to: number }): Plan =>
    onLine(plan, id, (line) => ({ ...line, cornersMm: straightened(line.cornersMm, from, to) })),
  /** An offset (`topMm` null) or a saddle in the middle of a move. */
  stepAside: (
    plan: Plan,
    {
      id,
      index,
      riseMm,
      bendDeg,
      topMm,
    }: { id: string; index: number; riseMm: Vec3; bendDeg: number; topMm: number | null },
  ): Plan =>
    setCorners(plan, {
      id,
      cornersMm: steppedAside(laidView(plan, id), index, riseMm, bendDeg, topMm),
    }),
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
    }: {
      id: string;
      from: number;
      to: number;
      thingId: string;
      side: RailSide;
      standoffMm: number;
    },
  ): Plan => {
    const rail = plan.things.find((thing) => thing.id === thingId);
    if (!rail) throw new InputError(thingId, 'This rail is no longer in the plan.');
    return setCorners(plan, {
      id,
      cornersMm: followed(laidView(plan, id), from, to, rail, side, standoffMm),
    });
  },
  /** The same line on the other side of the vehicle, as a new one. */
  mirrorLine: (plan: Plan, { id }: { id: string }): Plan =>
    mirrorOf(plan, laidView(plan, id), layPlan(plan).ports),
  swapEnds: (plan: Plan, { id }: { id: string }): Plan => {
    const { pieces } = viewOf(plan, id);
    return onLine(plan, id, (line) => turnedRound(line, pieces.at(-1)?.endMm ?? 0));
  },
  /** Cuts a line in two by a union, or by a bulkhead through a panel, in the middle of a move. */
  splitLine: (
    plan: Plan,
    { id, index, by }: { id: string; index: number; by: 'union' | 'bulkhead' },
  ): Plan => splitBy(plan, laidView(plan, id), index, by),
  /** Lays a wire template or an old line between the ends of a line. */
  layTemplate: (
    plan: Plan,
    {
      id,
      bends,
      tailMm,
      takeUp,
      origin,
    }: {
      id: string;
      bends: readonly TemplateBend[];
      tailMm: number;
      takeUp: number;
      origin: LineOrigin;
    },
  ): Plan =>
    onLine(plan, id, (line) => ({
      ...line,
      origin,
      cornersMm: laidTemplate(laidView(plan, id), bends, tailMm, takeUp).cornersMm,
    })),
  /** Another tube, with nuts and a bender that go with its size where there are such. */
  setTube: (plan: Plan, { id, tubeId }: { id: string; tubeId: string }): Plan =>
    onLine(plan, id, (line) => withTube(line, plan.bench, tubeId)),

  /** What was done to the joint at an end of a line or of a hose. */
  changeJoint: (
    plan: Plan,
    {
      of,
      id,
      end,
      patch,
    }: { of: 'line' | 'hose'; id: string; end: 'a' | 'b'; patch: Partial<JointWork> },
  ): Plan =>
    of === 'line'
      ? onLine(plan, id, ({ ends, ...line }) => ({
          ...line,
          ends: { ...ends, [end]: { ...ends[end], joint: { ...ends[end].joint, ...patch } } },
        }))
      : changeRecord(plan, 'hose', id, ({ ends, ...hose }) => ({
          ...hose,
          ends: {
            ...ends,
            [end]: { ...ends[end], joint: { ...FRESH_JOINT, ...ends[end].joint, ...patch } },
          },
        })),
  /** What an end is made with: its flare, nut and adapters, how far these hold it off, or the state of its joint. */
  changeEnd: (
    plan: Plan,
    { id, end, patch }: { id: string; end: 'a' | 'b'; patch: Partial<LineEnd> },
  ): Plan =>
    onLine(plan, id, (line) => ({
      ...line,
      ends: { ...line.ends, [end]: { ...line.ends[end], ...patch } },
    })),

  tick: (
    plan: Plan,
    { id, step, digest, at }: { id: string; step: string; digest: string; at: string },
  ): Plan =>
    onLine(plan, id, (line) => ({
      ...line,
      ticks: [...line.ticks.filter((t) => t.step !== step), { step, digest, at }],
    })),
  /**
   * Takes bends that were read as they were made into a bender's test bends. A line that is made stays
   * made: what the bender learns changes the cards of those to come.
   */
  learnBends: (plan: Plan, { id, bends }: { id: string; bends: readonly TestBend[] }): Plan => {
    const learned = changeRecord(plan, 'bender', id, (bender) => ({
      ...bender,
      testBends: [...bender.testBends, ...bends],
    }));
    const now = new Map(layPlan(learned).lines.map((view) => [view.line.id, view.digest]));
    const restamped = layPlan(plan).lines.filter(
      ({ line, digest }) =>
        line.ticks.some(({ step }) => step === 'cap') &&
        line.ticks.every((tick) => tick.digest === digest),
    );
    return restamped.reduce(
      (made, { line }) =>
        onLine(made, line.id, (one) => ({
          ...one,
          ticks: one.ticks.map((tick) => ({ ...tick, digest: now.get(line.id)! })),
          ...(one.readings
            ? {
                readings: one.readings.map((reading) => ({
                  ...reading,
                  digest: now.get(line.id)!,
                })),
              }
            : {}),
        })),
      learned,
    );
  },
  untick: (plan: Plan, { id, step }: { id: string; step: string }): Plan =>
    onLine(plan, id, (line) => ({ ...line, ticks: line.ticks.filter((t) => t.step !== step) })),
} as const;

/** The bender on this bench whose die takes a tube of this diameter. */
export const benderFor = (bench: Bench, odMm: number): BenchBender | undefined =>
  bench.benders.find((b) => Math.abs(b.tubeOdMm - odMm) <= 0.1);

/** A line in another tube; a nut that does not go with its size gives way to one that does, of the same flare where there is one. */
export function withTube(line: Line, bench: Bench, tubeId: string): Line {
  const { odMm } = tubeById(tubeId)!;
  const fitting = NUTS.filter((nut) => nutFitsTube(nut, odMm));
  const end = (now: LineEnd): LineEnd => {
    const nut =
      fitting.find((n) => n.id === now.nutId) ??
      fitting.find((n) => n.flare === now.flare) ??
      fitting[0];
    return nut && nut.id !== now.nutId ? { ...now, nutId: nut.id, flare: nut.flare } : now;
  };
  return {
    ...line,
    tubeId,
    benderId: benderFor(bench, odMm)?.id ?? line.benderId,
    ends: { a: end(line.ends.a), b: end(line.ends.b) },
  };
}
