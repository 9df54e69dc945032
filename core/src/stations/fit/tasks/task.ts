import type { JointEnd } from '../../join/index.ts';
import { byDay, isIn } from '../gates/index.ts';
import { fnv32, type Gate, type Ref } from '../../../plan/index.ts';
import type { Vec3 } from '../../../lib/vec/index.ts';
import type { Fastener } from './fasteners.ts';

export type TaskKind =
  | 'safety'
  | 'strip'
  | 'clean'
  | 'bracket'
  | 'paint'
  | 'part'
  | 'plug'
  | 'run'
  | 'hose'
  | 'join'
  | 'look'
  | 'tighten'
  | 'label'
  | 'fill'
  | 'drive'
  | 'own';
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
  /** Keys of the shopping list that have to be here and right. */
  readonly wants: readonly string[];
  readonly minutes: number;
  readonly people: number;
  readonly tools: readonly string[];
  /** Of what it is done to: done work counts while this stays. */
  readonly stamp: string;
  /** The first gate that closes over it. */
  readonly gate: Gate | null;
  /** Recorded at another station: done with nothing told on the floor. */
  readonly isKnown?: boolean;
  /** Of a joint that is tightened: which. */
  readonly joint?: JointEnd;
  /** Of bolts and nuts that are tightened: which. */
  readonly fastener?: Fastener;
}

/** Tightened again once it was driven: the key of the joint or fastener follows. */
export const AGAIN = 'again:';
/** Whether a task is for after the signature: the first drive, and what is tightened again behind it. */
export const isAfterSigning = (id: string): boolean => id === 'drive' || id.startsWith(AGAIN);

/** How long such work takes, minutes, where nobody has timed it. Common practice. */
const MINUTES: Record<TaskKind, number> = {
  safety: 10,
  strip: 15,
  clean: 10,
  bracket: 10,
  paint: 15,
  part: 25,
  plug: 5,
  run: 20,
  hose: 15,
  join: 5,
  look: 3,
  tighten: 5,
  label: 10,
  fill: 60,
  drive: 60,
  own: 15,
};

/** What all work on a plan stands on: what is done before it, and what closes over it, the first first. */
export interface TaskContext {
  readonly before: readonly string[];
  readonly gates: readonly Gate[];
}
export const taskContext = (before: readonly string[], gates: readonly Gate[]): TaskContext => ({
  before,
  gates: [...gates].sort(byDay),
});

type Said = Pick<Task, 'id' | 'kind' | 'name' | 'how' | 'place'> & Partial<Task>;
/** A task with what was not said of it, behind the first gate that any of its places lies in. */
export function taskOf(
  said: Said,
  { gates }: TaskContext,
  at: readonly (Vec3 | undefined)[] = [],
): Task {
  const gate = said.gate ?? gates.find((one) => at.some(isIn(one))) ?? null;
  return {
    needs: [],
    wants: [],
    minutes: MINUTES[said.kind],
    people: 1,
    tools: [],
    stamp: '',
    ...said,
    waits: said.waits ?? (gate?.closed ? `${gate.name} is closed` : null),
    gate,
  };
}

/** Of what a task is done to: figures to a tenth, so that what is laid out anew the same stays the same. */
export const stampOf = (...of: unknown[]): string =>
  fnv32([
    JSON.stringify(of, (_, v: unknown) => (typeof v === 'number' ? Math.round(v * 10) / 10 : v)),
  ]);
