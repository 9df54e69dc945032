import type { Thing } from '../../shape/obstacles/index.ts';
import type { UnitSystem } from '../../lib/units/index.ts';
import { BENCH, defaultBench, type Bench } from './bench.ts';
import { BLEEDING, DEFAULT_BLEEDING, type Bleeding } from './bleeding.ts';
import { CIRCUIT, type Circuit } from './circuit.ts';
import { id, list, name, nullable, oneOf, optional, record, text, time } from './field.ts';
import { figureAt } from './figures.ts';
import { FRAME_CHECK, type FrameCheck } from './frame-check.ts';
import { PEDAL_BOX, type PedalBox } from './pedal-box.ts';
import { GATE, type Gate } from './gate.ts';
import { DEFAULT_CLIP_SETTINGS, CLIP_SETTINGS, type ClipSettings } from './clip-settings.ts';
import { BUYING, type Buying } from './buying.ts';
import { CORNERS, type Corners } from './wheel-ends.ts';
import { LOG, type Log } from './log.ts';
import { MAKING, type Making } from './making.ts';
import { FILLING, type Filling } from './filling.ts';
import { FLOOR, type Floor } from './floor.ts';
import { HOSE, type Hose } from './hose.ts';
import { LINE, type Line } from './line.ts';
import { PART, type Part } from './part.ts';
import { POINT, type Point } from './point.ts';
import type { Port } from './port.ts';
import {
  CLUTCH,
  PARKING,
  SINGLE,
  TRAILER,
  type ClutchSheet,
  type ParkingSheet,
  type SingleSheet,
  type TrailerSheet,
} from './sheets.ts';
import { PROVING, type Proving } from './proving.ts';
import { SIZING, type Sizing } from './sizing.ts';
import { THING } from './thing.ts';

export const PLAN_FORMAT = 'firmline-plan';
export const PLAN_VERSION = 6;

export interface Plan {
  readonly format: typeof PLAN_FORMAT;
  readonly version: typeof PLAN_VERSION;
  readonly id: string;
  readonly name: string;
  readonly notes: string;
  readonly createdAt: string;
  readonly changedAt: string;
  readonly units: UnitSystem;
  readonly points: readonly Point[];
  readonly parts: readonly Part[];
  readonly circuits: readonly Circuit[];
  readonly lines: readonly Line[];
  readonly hoses: readonly Hose[];
  /** Frame, running gear and whatever a line must keep from or may be held by. */
  readonly things: readonly Thing[];
  readonly gates: readonly Gate[];
  readonly holding: ClipSettings;
  readonly bench: Bench;
  readonly bleeding: Bleeding;
  /** From foot to road; null until it is begun. */
  readonly sizing: Sizing | null;
  readonly trailer: TrailerSheet | null;
  readonly singles: readonly SingleSheet[];
  readonly clutch: ClutchSheet | null;
  readonly parking: ParkingSheet | null;
  /** Whether the frame is square and flat; not there until it is looked at. */
  readonly frame?: FrameCheck | null;
  readonly pedals?: PedalBox | null;
  /** Tube at hand and as sold, brackets. */
  readonly making?: Making | null;
  /** How each thing of the list stands, and what was added to it. */
  readonly buying?: Buying | null;
  /** What was told on the floor: done, tight, put off, held for now. */
  readonly floor?: Floor | null;
  /** Calipers, wheels, hubs, cables, wires and loads as they were measured. */
  readonly corners?: Corners | null;
  /** What was seen and read, with photographs, and the makers' sheets. */
  readonly log?: Log | null;
  /** Fluid: how it goes in, what was looked at before, what was done. */
  readonly filling?: Filling | null;
  /** What proves that it holds, grips and stops. */
  readonly proving?: Proving | null;
  /** What comes off the vehicle before anything new goes on. */
  readonly comesOff?: readonly string[];
}

/** Where the records with an id of their own stand in a plan; ports stand in their parts. */
export const COLLECTIONS = {
  point: 'points',
  part: 'parts',
  circuit: 'circuits',
  line: 'lines',
  hose: 'hoses',
  thing: 'things',
  gate: 'gates',
  bender: 'bench.benders',
  adapter: 'bench.adapters',
} as const;
export type CollectionKind = keyof typeof COLLECTIONS;
/** Kinds of record that others may refer to. */
export type RecordKind = CollectionKind | 'port';
type At<T, P extends string> = P extends `${infer K}.${infer R}`
  ? At<T[K & keyof T], R>
  : T[P & keyof T];
/** The record of a collection. */
export type RecordOf<K extends CollectionKind> =
  At<Plan, (typeof COLLECTIONS)[K]> extends readonly (infer R)[]
    ? R & { readonly id: string }
    : never;

/** A place in a plan: a record by its kind and id, with a node where it is a line's; or the plan as a whole. */
export interface Ref {
  readonly kind: RecordKind | 'plan';
  readonly id: string;
  readonly node?: number;
}
/** Something with a place of its own: a point or a port of a part. */
export interface Target {
  readonly kind: 'point' | 'port';
  readonly id: string;
}

/** Most records of one kind; far over any vehicle, so that a hostile file ends in a sentence. */
const MOST_RECORDS = 5000;

/**
 * What a plan holds. A list of records with an id is a collection: fresh ids, references, what is let go
 * when something is deleted, finding and the reader's schema all follow from what stands here.
 */
export const PLAN = record<Plan>()({
  format: oneOf([PLAN_FORMAT]),
  version: { type: 'oneOf', of: [PLAN_VERSION] },
  id,
  name,
  notes: text,
  createdAt: time,
  changedAt: time,
  units: oneOf(['metric', 'inch']),
  points: list(POINT, MOST_RECORDS),
  parts: list(PART, MOST_RECORDS),
  circuits: list(CIRCUIT, MOST_RECORDS),
  lines: list(LINE, MOST_RECORDS),
  hoses: list(HOSE, 500),
  things: list(THING, MOST_RECORDS),
  gates: list(GATE, 200),
  holding: CLIP_SETTINGS,
  bench: BENCH,
  bleeding: BLEEDING,
  sizing: nullable(SIZING),
  trailer: nullable(TRAILER),
  singles: list(SINGLE, 4),
  clutch: nullable(CLUTCH),
  parking: nullable(PARKING),
  frame: optional(nullable(FRAME_CHECK)),
  pedals: optional(nullable(PEDAL_BOX)),
  making: optional(nullable(MAKING)),
  buying: optional(nullable(BUYING)),
  floor: optional(nullable(FLOOR)),
  corners: optional(nullable(CORNERS)),
  log: optional(nullable(LOG)),
  filling: optional(nullable(FILLING)),
  proving: optional(nullable(PROVING)),
  comesOff: optional(list(name, 200)),
});

export const allPorts = (plan: Pick<Plan, 'parts'>): { part: Part; port: Port }[] =>
  plan.parts.flatMap((part) => part.ports.map((port) => ({ part, port })));

/** An empty plan with one brake circuit and one clutch circuit. `id` and `now` (ISO time) come from the caller. */
export const emptyPlan = (
  id: string,
  name: string,
  now: string,
  units: UnitSystem = 'metric',
  bench: Bench = defaultBench(),
): Plan => ({
  format: PLAN_FORMAT,
  version: PLAN_VERSION,
  id,
  name,
  notes: '',
  createdAt: now,
  changedAt: now,
  units,
  points: [],
  parts: [],
  circuits: [
    { id: 'circuit-1', name: 'Front brakes', work: 'brake', ink: 'fluid', axle: 'front' },
    { id: 'circuit-2', name: 'Rear brakes', work: 'brake', ink: 'copper', axle: 'rear' },
    { id: 'circuit-3', name: 'Clutch', work: 'clutch', ink: 'slate', axle: null },
  ],
  lines: [],
  hoses: [],
  things: [],
  gates: [],
  holding: DEFAULT_CLIP_SETTINGS,
  bench,
  bleeding: DEFAULT_BLEEDING,
  sizing: null,
  trailer: null,
  singles: [],
  clutch: null,
  parking: null,
});

/** A record of the plan by its kind and id. */
export const recordAt = <K extends CollectionKind>(
  plan: Plan,
  kind: K,
  id: string,
): RecordOf<K> | undefined =>
  (figureAt(plan, COLLECTIONS[kind]) as readonly RecordOf<K>[]).find((record) => record.id === id);
