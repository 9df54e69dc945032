import { derive } from '../derive/index.ts';
import { listView, type ListRow } from '../buying/index.ts';
import { firstEnd, turningOf } from '../ends/index.ts';
import { jointEnds, type JointEnd } from '../joints/index.ts';
import { byDay, isIn } from '../gates/index.ts';
import { isMade } from '../making/index.ts';
import {
  digestOf,
  isJoint,
  lineSpace,
  NO_FLOOR,
  type Floor,
  type Gate,
  type LineView,
  type Part,
  type Plan,
  type Ref,
} from '../plan/index.ts';
import type { PlanView } from '../plan/results/index.ts';
import type { Vec3 } from '../vec/index.ts';

export type TaskKind = 'safety' | 'strip' | 'bracket' | 'part' | 'run' | 'hose' | 'join' | 'look' | 'tighten' | 'fill' | 'own';
/** One piece of work on the floor, as it follows from the plan. */
export interface Task {
  readonly id: string;
  readonly kind: TaskKind;
  readonly name: string;
  /** How it is done and what is good, in a line or two. */
  readonly how: string;
  readonly place: Ref;
  /** Tasks that come before it. */
  readonly needs: readonly string[];
  /** Why it cannot begin whatever else is done: a part that is not here, a line not made, a gate that is closed. */
  readonly waits: string | null;
  readonly minutes: number;
  readonly people: number;
  readonly tools: readonly string[];
  /** Of what it is done to: done work counts while this stays. */
  readonly stamp: string;
  /** The first gate that closes over it. */
  readonly gate: Gate | null;
  /** Of a joint that is tightened: which. */
  readonly joint?: JointEnd;
}

/** How long such work takes, minutes, where nobody has timed it. Common practice. */
const MINUTES: Record<TaskKind, number> = { safety: 10, strip: 15, bracket: 10, part: 25, run: 20, hose: 15, join: 5, look: 3, tighten: 5, fill: 60, own: 15 }; // prettier-ignore

/** What comes before anything is taken off. Common practice; local rules and the maker's sheet come first. */
const SAFETY: readonly (readonly [id: string, name: string, how: string])[] = [
  ['stands', 'On stands, by the frame', 'Wheel nuts cracked on the ground, wheels chocked, lifted and let down on stands under the frame; rock it before you go under.'],
  ['springs', 'Springs and torsion bars let off', 'Take the load off a spring or torsion bar by its maker’s sheet before anything that holds it is undone.'],
  ['dust', 'Old lining dust kept down', 'Never blown: wet it, wipe it into a bag, gloves and mask on.'],
  ['battery', 'Battery off', 'Before any welding; high voltage is isolated by a qualified person alone.'],
]; // prettier-ignore

/** Fits a part: those that stay on the vehicle and those that only join lines in the air are not bolted on. */
const isFitted = (part: Part): boolean => !part.kept;

class Work {
  readonly tasks: Task[] = [];
  readonly #gates: readonly Gate[];
  constructor(gates: readonly Gate[]) {
    this.#gates = [...gates].sort(byDay);
  }
  add(task: Pick<Task, 'id' | 'kind' | 'name' | 'how' | 'place'> & Partial<Task>, at: readonly (Vec3 | undefined)[] = []): void {
    const gate = this.#gates.find((one) => at.some(isIn(one))) ?? null;
    const closed = gate?.closed ? `${gate.name} is closed over it` : null;
    this.tasks.push({
      needs: [],
      minutes: MINUTES[task.kind],
      people: 1,
      tools: [],
      stamp: '',
      ...task,
      waits: task.waits ?? closed,
      gate,
    });
  }
}

/** A thing that is ordered, wrong or missing stands in the way; one of which nothing was said does not. */
function notHere(rows: ReadonlyMap<string, ListRow>, key: string): string | null {
  const row = rows.get(key);
  if (!row || row.toBuy <= 0) return null;
  const { state, due } = row.order;
  if (state === 'ordered') return `${row.item.name} is ordered${due ? `, due ${due}` : ''}`;
  if (state === 'wrong' || state === 'missing' || state === 'sent-back')
    return `${row.item.name} ${state === 'missing' ? 'is missing' : 'came wrong'}`;
  return null;
}

const stampOf = (...of: unknown[]): string =>
  digestOf([JSON.stringify(of, (_, v: unknown) => (typeof v === 'number' ? Math.round(v * 10) / 10 : v))]);

function partTasks(view: PlanView, work: Work, rows: ReadonlyMap<string, ListRow>, before: readonly string[]): void {
  for (const part of view.plan.parts.filter(isFitted)) {
    const at = part.ports.map((port) => view.ports.get(port.id)?.fixed.atMm);
    const place: Ref = part.ports[0] ? { kind: 'port', id: part.ports[0].id } : { kind: 'part', id: part.id };
    const stamp = stampOf(at, part.kind);
    const isBleeding = part.ports.some(({ role }) => role === 'bleeder');
    const how = part.kind === 'master' ? 'Bench bled or not, its ports capped until lines come; free play of the pushrod looked at.' : isBleeding ? 'On its own side, the bleeder on top; faces clean, pins greased as the sheet says.' : isJoint(part) ? 'Fixed where it is drawn, ports capped until the tubes come.' : 'Loose first; ports capped.'; // prettier-ignore
    work.add(
      {
        stamp,
        id: `part:${part.id}`,
        kind: 'part',
        name: `Fit ${part.name}`,
        how,
        place,
        needs: before,
        waits: notHere(rows, `part:${part.id}`),
      },
      at,
    );
    if (isBleeding)
      work.add({ id: `look:part:${part.id}`, kind: 'look', name: `${part.name}: right side, bleeder on top, wheel turns free`, how: 'Good: the bleeder is the highest place of its cavity, and nothing rubs through a whole turn.', place, needs: [`part:${part.id}`], stamp }, at); // prettier-ignore
  }
}

function lineTasks(
  view: PlanView,
  joined: readonly JointEnd[],
  line: LineView,
  work: Work,
  rows: ReadonlyMap<string, ListRow>,
  before: readonly string[],
): void {
  const { line: { id, name, ends, origin }, ports, nodesMm, nuts } = line; // prettier-ignore
  if (origin === 'kept') return;
  const place: Ref = { kind: 'line', id };
  const space = lineSpace(view.plan, line);
  const points = space?.points ?? nodesMm;
  const clips = space?.clips ?? [];
  const stamp = stampOf(nodesMm, line.line.clipsMm, line.line.tubeId, ends.a.portId, ends.b.portId, ends.a.nutId, ends.b.nutId);
  const welded = clips.some(({ bracket }) => bracket);
  if (clips.length)
    work.add({ stamp, id: `bracket:${id}`, kind: 'bracket', name: `${name}: ${clips.length} ${clips.length === 1 ? 'clip' : 'clips'}${welded ? ' and brackets' : ''} placed`, how: 'Holes drilled and bare steel painted, brackets welded before any fluid; clips left open.', place, needs: before, minutes: 5 * clips.length, tools: welded ? ['welder'] : [] }, clips.map(({ pointMm }) => pointMm)); // prettier-ignore
  const partNeeds = (['a', 'b'] as const).flatMap((end) =>
    ports[end] && isFitted(ports[end].part) ? [`part:${ports[end].part.id}`] : [],
  );
  const late = origin === 'bought' ? notHere(rows, `line:${id}`) : isMade(line) ? null : `${name} is not made`;
  work.add({ stamp, id: `run:${id}`, kind: 'run', name: `Run ${name} loosely`, how: 'Caps on, eased in without bending it anew; clips closed but not pulled down.', place, needs: [...before, ...(clips.length ? [`bracket:${id}`] : []), ...partNeeds], waits: late }, points); // prettier-ignore
  const turn = (end: 'a' | 'b') => {
    const half = ports[end]?.port.fitting?.half;
    return half ? turningOf(half) : 'fixed';
  };
  const { first } = firstEnd(turn('a'), turn('b'));
  const order = first === 'b' ? (['b', 'a'] as const) : (['a', 'b'] as const);
  const joins = order.filter((end) => joined.some((one) => one.end === end));
  for (const [i, end] of joins.entries()) {
    const at = nodesMm.at(end === 'a' ? 0 : -1);
    const missing = notHere(rows, `nut:${nuts[end].id}`) ?? ends[end].adapters.map((one) => notHere(rows, `adapter:${one}`)).find(Boolean) ?? null; // prettier-ignore
    work.add({ stamp, id: `join:${id}:${end}`, kind: 'join', name: `${name}, end ${end.toUpperCase()}: started by hand`, how: `All the way by hand first: what does not go by hand is crossed or of another thread.${i === 0 && joins.length > 1 ? ' This end first.' : ''}`, place: { ...place, node: end === 'a' ? 0 : nodesMm.length - 1 }, needs: [`run:${id}`, ...(i ? [`join:${id}:${joins[0]}`] : [])], waits: missing, tools: [nuts[end].wrench] }, [at]); // prettier-ignore
  }
  work.add({ stamp, id: `look:line:${id}`, kind: 'look', name: `${name}: finger gaps, nothing in the way of a tool`, how: 'Good: a finger goes round it wherever it is not clipped, 20 mm from what moves, more from what is hot; the next bolt can still be turned.', place, needs: [`run:${id}`, ...joins.map((end) => `join:${id}:${end}`)] }, points); // prettier-ignore
  for (const joint of joined) {
    const end = joint.end;
    work.add({ stamp, id: `tighten:${id}:${end}`, kind: 'tighten', name: `${name}, end ${end.toUpperCase()}: tighten`, how: 'Hold the part, not the tube; once, with a flare wrench; mark it.', place: joint.place, needs: [`look:line:${id}`], tools: [nuts[end].wrench], joint }, [nodesMm.at(end === 'a' ? 0 : -1)]); // prettier-ignore
  }
  work.add({ stamp, id: `look:wiggle:${id}`, kind: 'look', name: `${name}: wiggle and tug`, how: 'Good: nothing moves in its clips, nothing ticks, no nut turns by hand.', place, needs: joined.map(({ end }) => `tighten:${id}:${end}`), waits: null }, points); // prettier-ignore
}

function hoseTasks(
  view: PlanView,
  jointsAt: ReadonlyMap<string, readonly JointEnd[]>,
  work: Work,
  rows: ReadonlyMap<string, ListRow>,
  before: readonly string[],
): void {
  for (const hose of view.plan.hoses) {
    const place: Ref = { kind: 'hose', id: hose.id };
    const stamp = stampOf(
      hose.stockId,
      hose.orderMm,
      hose.ends.a.portId,
      hose.ends.b.portId,
      hose.ends.a.fittingId,
      hose.ends.b.fittingId,
    );
    const at = (['a', 'b'] as const).map((end) => view.ports.get(hose.ends[end].portId ?? '')?.fixed.atMm ?? hose.ends[end].atMm);
    const parts = (['a', 'b'] as const).flatMap((end) => {
      const part = view.ports.get(hose.ends[end].portId ?? '')?.part;
      return part && isFitted(part) ? [`part:${part.id}`] : [];
    });
    work.add({ stamp, id: `hose:${hose.id}`, kind: 'hose', name: `Fit ${hose.name}`, how: 'Both ends free before it is turned: the fixed end first, the swivel or banjo last, no twist in its stripe; washers new.', place, needs: [...before, ...parts], waits: notHere(rows, `hose:${hose.id}`) }, at); // prettier-ignore
    const joints = jointsAt.get(hose.id) ?? [];
    work.add({ stamp, id: `look:hose:${hose.id}`, kind: 'look', name: `${hose.name}: through lock, droop and bump`, how: 'Good: it bends in its soft middle, stays clear of wheel, spring and exhaust by two fingers, is never taut, and has no twist.', place, needs: [`hose:${hose.id}`], people: 2 }, at); // prettier-ignore
    for (const joint of joints)
      work.add({ stamp, id: `tighten:${hose.id}:${joint.end}`, kind: 'tighten', name: `${joint.name}: tighten`, how: 'The hose held still while it is tightened; once; mark it.', place: joint.place, needs: [`look:hose:${hose.id}`], joint }, [at[joint.end === 'a' ? 0 : 1]]); // prettier-ignore
  }
}

/** All work on the floor: what comes off, what goes on, loose first, then looked at, then tight, and only then fluid. */
export const tasksOf = derive(
  'tasks of the floor',
  (view: PlanView) => [view],
  (view): readonly Task[] => {
    const { plan, lines } = view;
    const rows = new Map((plan.buying?.orders.length ? listView(view).rows : []).map((row) => [row.item.key, row]));
    const work = new Work(plan.gates);
    const whole: Ref = { kind: 'plan', id: plan.id };
    const comesOff = plan.comesOff ?? [];
    if (lines.length || plan.hoses.length || comesOff.length)
      for (const [id, name, how] of SAFETY) work.add({ id: `safety:${id}`, kind: 'safety', name, how, place: whole });
    const safe = work.tasks.map(({ id }) => id);
    for (const name of comesOff)
      work.add({ id: `strip:${name}`, kind: 'strip', name: `Off: ${name}`, how: 'Paint covered, the open line plugged at once, a caliper hung by wire and never by its hose, lamps off while a switch is unhooked.', place: whole, needs: safe }); // prettier-ignore
    const bare = comesOff.length ? comesOff.map((name) => `strip:${name}`) : safe;
    const jointsAt = new Map<string, JointEnd[]>();
    for (const end of jointEnds(view)) jointsAt.set(end.id, [...(jointsAt.get(end.id) ?? []), end]);
    partTasks(view, work, rows, bare);
    for (const line of lines)
      lineTasks(
        view,
        (jointsAt.get(line.line.id) ?? []).filter(({ at }) => at),
        line,
        work,
        rows,
        bare,
      );
    hoseTasks(view, jointsAt, work, rows, bare);
    for (const own of plan.floor?.own ?? []) {
      const gate = plan.gates.find(({ id }) => id === own.gateId) ?? null;
      work.add({ id: `own:${own.id}`, kind: 'own', name: own.name, how: 'A task of your own.', place: whole, needs: own.needs, minutes: own.minutes, people: own.people }); // prettier-ignore
      work.tasks[work.tasks.length - 1] = {
        ...work.tasks.at(-1)!,
        gate,
        waits: gate?.closed ? `${gate.name} is closed over it` : null,
      };
    }
    const closing = work.tasks.filter(
      ({ kind }) => kind === 'tighten' || kind === 'look' || kind === 'bracket' || kind === 'own',
    );
    if (lines.length)
      work.add({ id: 'fill', kind: 'fill', name: 'Fluid goes in', how: 'Only when every joint is tight and looked at, and all welding and painting is done. The master is never let run dry.', place: whole, needs: closing.map(({ id }) => id), people: 1 }); // prettier-ignore
    const ids = new Set(work.tasks.map(({ id }) => id));
    return work.tasks.map((task) => ({ ...task, needs: [...new Set(task.needs)].filter((id) => ids.has(id)) }));
  },
);

export type TaskState = 'done' | 'now' | 'later' | 'waits';
export interface TaskView {
  readonly task: Task;
  readonly state: TaskState;
  /** Why it waits, in one line; else empty. */
  readonly why: string;
  readonly minutes: number;
}
export const floorOf = (plan: Pick<Plan, 'floor'>): Floor => plan.floor ?? NO_FLOOR;

/** Whether a task is done: told so; tight, where a wrench said so and nothing was opened since; good, where it is a look. */
export function doneIn(floor: Floor): (task: Pick<Task, 'id' | 'kind' | 'stamp'>) => boolean {
  const told = new Map(floor.done.map(({ task, stamp }) => [task, stamp]));
  const opened = new Set(floor.tight.filter((one) => one.opened).map(({ key }) => key));
  const bad = new Map(floor.looks.map((look) => [look.task, look.good]));
  return ({ id, kind, stamp }) => told.get(id) === stamp && !opened.has(id) && !(kind === 'look' && bad.get(id) === false);
}

/** How long work of each kind took so far: the median of what was timed, else common practice. */
function minutesOf(tasks: readonly Task[], floor: Floor): (task: Task) => number {
  const kindOf = new Map(tasks.map(({ id, kind }) => [id, kind]));
  const timed = new Map<TaskKind, number[]>();
  for (const { task, minutes } of floor.done) {
    const kind = kindOf.get(task);
    if (kind && minutes !== null) timed.set(kind, [...(timed.get(kind) ?? []), minutes]);
  }
  return ({ kind, minutes }) => {
    const own = (timed.get(kind) ?? []).toSorted((a, b) => a - b);
    return kind !== 'own' && kind !== 'bracket' && own.length >= 3 ? own[own.length >> 1]! : minutes;
  };
}

/** Every task with how it stands: done, possible now, put off, or waiting and for what. */
export const floorView = derive(
  'floor',
  (view: PlanView) => [tasksOf(view), floorOf(view.plan)],
  (tasks, floor): readonly TaskView[] => {
    const isDone = doneIn(floor);
    const byId = new Map(tasks.map((task) => [task.id, task]));
    const later = new Map(floor.later.map((one) => [one.task, one]));
    const minutes = minutesOf(tasks, floor);
    return tasks.map((task): TaskView => {
      const view = { task, minutes: minutes(task) };
      if (isDone(task)) return { ...view, state: 'done', why: '' };
      if (task.waits) return { ...view, state: 'waits', why: task.waits };
      const open = task.needs.filter((id) => !isDone(byId.get(id)!));
      if (open.length)
        return {
          ...view,
          state: 'waits',
          why: `After: ${byId.get(open[0]!)!.name}${open.length > 1 ? `, and ${open.length - 1} more` : ''}`,
        };
      const off = later.get(task.id);
      return off
        ? {
            ...view,
            state: 'later',
            why: `Left for later${off.until ? `, until ${off.until}` : ''}${off.why ? `: ${off.why}` : ''}`,
          }
        : { ...view, state: 'now', why: '' };
    });
  },
);

/** Work that was done to something that is otherwise now, or gone. */
export function undone(tasks: readonly Task[], floor: Floor): { readonly task: Task; readonly at: string }[] {
  const told = new Map(floor.done.map((one) => [one.task, one]));
  return tasks.flatMap((task) => {
    const done = told.get(task.id);
    return done && done.stamp !== task.stamp ? [{ task, at: done.at }] : [];
  });
}
