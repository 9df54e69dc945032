import { InputError } from '../../lib/faults/index.ts';
import {
  applyEdits,
  emptyPlan,
  type Bench,
  type EditCall,
  type Plan,
  type Point,
  freshFluid,
  reservoirParts,
} from '../../plan/index.ts';
import { viewPlan } from '../../plan/results/index.ts';
import { atLength, hoseView, ORDER_STEP_MM, shortestOf } from '../../stations/route/index.ts';
import { clipped, waysFor } from '../routes/index.ts';
import type { UnitSystem } from '../../lib/units/index.ts';
import { tenths, type Vec3 } from '../../lib/vec/index.ts';
import type { Answers, Ask } from './answers.ts';
import { checkAnswers } from './check-answers.ts';
import { dimensionsOf, FRAME_ASKS, type Dimensions } from './dimensions.ts';
import { keptBut } from './job.ts';
import { buildCircuits } from './circuits.ts';
import { sheetsOf } from './sheets.ts';
import { thingsOf } from './things.ts';

/** What was said, and which of it the user himself. */
export interface SetOut {
  readonly answers: Answers;
  readonly said: readonly Ask[];
  readonly name: string;
  readonly units: UnitSystem;
  /** What it is made on; the ordinary bench where it is not given. */
  readonly bench?: Bench;
}
export interface Fresh {
  readonly id: string;
  /** ISO time. */
  readonly now: string;
}

/** A place on the frame where its figures were said, and where they are guesses, 1σ, mm. */
const SAID_MM = 3;
const GUESS_MM = 25;

/** Datums on the frame, named by place: enough of them, and off one plane, to tape everything else from. */
function datumsOf(
  { answers, rail, axlesMm, bulkheadMm }: Dimensions,
  said: ReadonlySet<Ask>,
): Point[] {
  const how = FRAME_ASKS.every((one) => said.has(one)) ? 'typed' : 'guessed';
  const s = how === 'typed' ? SAID_MM : GUESS_MM;
  const isTrailer = answers.vehicle === 'trailer';
  const [front, rear] = isTrailer ? [rail.fromMm + 50, axlesMm.at(-1)!] : [0, axlesMm.at(-1)!];
  const on = answers.section === 'round' ? 'tube' : 'rail';
  const along: readonly (readonly [string, number])[] = [
    ['front', front],
    ['middle', Math.round((front + rear) / 2)],
    ['rear', rear],
  ];
  const places: (readonly [string, Vec3])[] = along.flatMap(([name, x]) => [
    [`${name}, left ${on}`, [x, -rail.acrossMm, rail.topAt(x)]] as const,
    [`${name}, right ${on}`, [x, rail.acrossMm, rail.topAt(x)]] as const,
  ]);
  // One off the plane of the others, so that tapes from below need no side.
  places.push(
    isTrailer
      ? ['coupling, top', [0, 0, rail.topAt(front) + 60]]
      : ['above, middle', [bulkheadMm, 0, rail.topAt(bulkheadMm) + 500]],
  );
  return places.map(([name, atMm], i) => ({
    id: `point-${i + 1}`,
    name: `${'ABCDEFGHJ'[i]!}, ${name}`,
    known: { how, atMm: tenths(atMm), sigmaMm: [s, s, s] },
  }));
}

/**
 * The vehicle and its plumbing as they were said, every line straight across from port to port: what can be drawn at
 * once. Throws InputError, at its answer, where answers do not go together.
 */
export function sketchOut({ answers, said, name, units, bench }: SetOut, { id, now }: Fresh): Plan {
  checkAnswers(answers);
  const d = dimensionsOf(answers);
  const own = new Set(said);
  const empty = emptyPlan(id, name, now, units, bench);
  const base: Plan = { ...empty, things: thingsOf(d), points: datumsOf(d, own) };
  const plan = keptBut(buildCircuits(base, d), answers.job);
  const { fluid, tube } = answers;
  return {
    ...plan,
    ...sheetsOf(d, own, plan),
    lines: plan.lines.map((line) => ({ ...line, tubeId: tube })),
    filling: {
      ...plan.filling,
      fluids: reservoirParts(plan.parts).map(({ id: part }) => freshFluid(part, fluid)),
    },
  };
}

/** Told while lines are led: how far it has come, 0 to 1. Throwing there ends it. */
export type Progress = (share: number) => void;

/** A hose in the shortest length that serves through its travel, and one step more; as it is where none does. */
function fitted(plan: Plan, hoseId: string): Plan {
  const hose = plan.hoses.find(({ id }) => id === hoseId)!;
  const { ports } = viewPlan(plan);
  const shortestMm = shortestOf(hoseView(plan, hose, ports), plan.things);
  if (shortestMm === null) return plan;
  // A step more where that serves too, so that a place measured a little further off does not end it.
  const view = hoseView(plan, { ...hose, orderMm: shortestMm }, ports);
  const orderMm = atLength(view, plan.things, shortestMm + ORDER_STEP_MM).ok
    ? shortestMm + ORDER_STEP_MM
    : shortestMm;
  return applyEdits(plan, [{ edit: 'changeHose', with: { id: hoseId, patch: { orderMm } } }]);
}

/** Lines led one after another along what holds them and clipped, hoses in lengths that serve. A line for which no way is found stays straight across, which its snags say. */
export function leadAll(plan: Plan, progress: Progress = () => undefined): Plan {
  const all = plan.lines.length + plan.hoses.length;
  let done = 0;
  let now = plan;
  for (const { id } of plan.hoses) {
    now = fitted(now, id);
    progress(++done / all);
  }
  for (const { id } of plan.lines) {
    // Hoses are no matter to where a tube is led, and dear to look at each time.
    now = applyEdits(now, wayOf({ ...now, hoses: [] }, id));
    progress(++done / all);
  }
  return now;
}
function wayOf(plan: Plan, lineId: string): readonly EditCall[] {
  try {
    const [way] = waysFor(plan, lineId);
    if (way) return way.calls;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
  }
  // Between ports that look at one another it runs straight, and is clipped as it is.
  return [clipped(plan, lineId)];
}

/** A whole plan of what was said. */
export const setOut = (asked: SetOut, fresh: Fresh, progress?: Progress): Plan =>
  leadAll(sketchOut(asked, fresh), progress);

/** What a plan that was set out comes to, in figures. */
export interface SetOutSums {
  readonly parts: number;
  readonly lines: number;
  readonly hoses: number;
  readonly tubeMm: number;
  readonly clips: number;
  readonly guesses: number;
}
export function sumsOf(plan: Plan): SetOutSums {
  const { lines, points, ports } = viewPlan(plan);
  return {
    parts: plan.parts.length,
    lines: plan.lines.length,
    hoses: plan.hoses.length,
    tubeMm: lines.reduce((sum, { card }) => sum + (card?.cutMm ?? 0), 0),
    clips: plan.lines.reduce((sum, { clipsMm }) => sum + clipsMm.length, 0),
    guesses: [...points.values(), ...ports.values()].filter(({ fixed }) => fixed.guess).length,
  };
}
