import type { Thing } from '../../shape/obstacles/index.ts';
import { UNIT_KINDS, type ShownUnits, type UnitSystem } from '../../lib/units/index.ts';
import { BENCH, defaultBench, type Bench } from './bench.ts';
import { BLEEDING, DEFAULT_BLEEDING, type Bleeding } from './bleeding.ts';
import { CIRCUIT, type Circuit } from './circuit.ts';
import { id, list, name, note, nullable, oneOf, optional, record, time, told } from './field.ts';
import type { About, AnyField, RecordShape } from './field-types.ts';
import { figureAt } from './figures.ts';
import { FRAME_CHECK, type FrameCheck } from './frame-check.ts';
import { PEDAL_BOX, type PedalBox } from './pedal-box.ts';
import { GATE, type Gate } from './gate.ts';
import { DEFAULT_CLIP_SETTINGS, CLIP_SETTINGS, type ClipSettings } from './clip-settings.ts';
import { NO_BUYING, BUYING, type Buying } from './buying.ts';
import { NO_WHEEL_ENDS, WHEEL_ENDS, type WheelEnds } from './wheel-ends.ts';
import { NO_LOG, LOG, type Log } from './log.ts';
import { NO_MAKING, MAKING, type Making } from './making.ts';
import { NO_FILLING, FILLING, type Filling } from './filling.ts';
import { NO_FLOOR, FLOOR, type Floor } from './floor.ts';
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
import { NO_PROVING, PROVING, type Proving } from './proving.ts';
import { SIZING, type Sizing } from './sizing.ts';
import { THING } from './thing.ts';
import { type CollectionKind, COLLECTIONS } from './record-kind.ts';

export const PLAN_FORMAT = 'firmline-plan';
export const PLAN_VERSION = 8;

export interface Plan {
  readonly format: typeof PLAN_FORMAT;
  readonly version: typeof PLAN_VERSION;
  readonly id: string;
  readonly name: string;
  readonly notes: string;
  readonly createdAt: string;
  readonly changedAt: string;
  readonly units: UnitSystem;
  /** Units chosen by themselves, beside those of the preset. */
  readonly ownUnits?: Partial<ShownUnits>;
  readonly points: readonly Point[];
  readonly parts: readonly Part[];
  readonly circuits: readonly Circuit[];
  readonly lines: readonly Line[];
  readonly hoses: readonly Hose[];
  /** Frame, running gear and whatever a line must keep from or may be held by. */
  readonly things: readonly Thing[];
  readonly gates: readonly Gate[];
  readonly clipSettings: ClipSettings;
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
  readonly making: Making;
  /** How each thing of the list stands, and what was added to it. */
  readonly buying: Buying;
  /** What was told on the floor: done, tight, put off, held for now. */
  readonly floor: Floor;
  /** Calipers, wheels, hubs, cables, wires and loads as they were measured. */
  readonly wheelEnds: WheelEnds;
  /** What was seen and read, with photographs, and the makers' sheets. */
  readonly log: Log;
  /** Fluid: how it goes in, what was looked at before, what was done. */
  readonly filling: Filling;
  /** What proves that it holds, grips and stops. */
  readonly proving: Proving;
  /** What comes off the vehicle before anything new goes on. */
  readonly comesOff?: readonly string[];
}
type At<T, P extends string> = P extends `${infer K}.${infer R}`
  ? At<T[K & keyof T], R>
  : T[P & keyof T];
/** The record of a collection. */
export type RecordOf<K extends CollectionKind> =
  At<Plan, (typeof COLLECTIONS)[K]> extends readonly (infer R)[] ? R : never;

/** Kinds whose records have no id: a field of their own tells them apart. */
export type KeyedKind = {
  [K in CollectionKind]: RecordOf<K> extends { readonly id: string } ? never : K;
}[CollectionKind];

/** Most records of one kind; far over any vehicle, so that a hostile file ends in a sentence. */
const MOST_RECORDS = 5000;

const OWN_UNITS = record<Partial<ShownUnits>>()({
  pressure: told(UNIT_KINDS.pressure.name, optional(oneOf(UNIT_KINDS.pressure.units))),
  torque: told(UNIT_KINDS.torque.name, optional(oneOf(UNIT_KINDS.torque.units))),
  force: told(UNIT_KINDS.force.name, optional(oneOf(UNIT_KINDS.force.units))),
  speed: told(UNIT_KINDS.speed.name, optional(oneOf(UNIT_KINDS.speed.units))),
  distance: told(UNIT_KINDS.distance.name, optional(oneOf(UNIT_KINDS.distance.units))),
  volume: told(UNIT_KINDS.volume.name, optional(oneOf(UNIT_KINDS.volume.units))),
});

/**
 * What a plan holds. A list of records with an id is a collection: fresh ids, references, what is let go
 * when something is deleted, finding and the reader's schema all follow from what stands here.
 */
export const PLAN = record<Plan>()({
  format: told('Format', oneOf([PLAN_FORMAT])),
  version: told('Version', { type: 'oneOf', of: [PLAN_VERSION] }),
  id,
  name,
  notes: told('Notes', note),
  createdAt: told('Created', time),
  changedAt: told('Changed', time),
  units: told('Units', oneOf(['metric', 'inch'])),
  ownUnits: told('Units chosen by themselves', optional(OWN_UNITS)),
  points: told('Points', list(POINT, MOST_RECORDS)),
  parts: told('Parts', list(PART, MOST_RECORDS)),
  circuits: told('Circuits', list(CIRCUIT, MOST_RECORDS)),
  lines: told('Lines', list(LINE, MOST_RECORDS)),
  hoses: told('Hoses', list(HOSE, 500)),
  things: told('Things on the vehicle', list(THING, MOST_RECORDS)),
  gates: told('Gates', list(GATE, 200)),
  clipSettings: told('Clips', CLIP_SETTINGS),
  bench: told('Bench', BENCH),
  bleeding: told('Bleeding', BLEEDING),
  sizing: told('From foot to road', nullable(SIZING)),
  trailer: told('Trailer', nullable(TRAILER)),
  singles: told('Single levers', list(SINGLE, 4)),
  clutch: told('Clutch', nullable(CLUTCH)),
  parking: told('Parking brake', nullable(PARKING)),
  frame: told('Frame check', optional(nullable(FRAME_CHECK))),
  pedals: told('Pedal box', optional(nullable(PEDAL_BOX))),
  making: told('Stock and brackets', MAKING),
  buying: told('Shopping list', BUYING),
  floor: told('Work record', FLOOR),
  wheelEnds: told('Wheel ends', WHEEL_ENDS),
  log: told('Log', LOG),
  filling: told('Filling', FILLING),
  proving: told('Tests', PROVING),
  comesOff: told('Parts that come off', optional(list(name, 200))),
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
  clipSettings: DEFAULT_CLIP_SETTINGS,
  bench,
  bleeding: DEFAULT_BLEEDING,
  sizing: null,
  trailer: null,
  singles: [],
  clutch: null,
  parking: null,
  making: NO_MAKING,
  buying: NO_BUYING,
  floor: NO_FLOOR,
  wheelEnds: NO_WHEEL_ENDS,
  log: NO_LOG,
  filling: NO_FILLING,
  proving: NO_PROVING,
});

/** What is known of the records of a kind. */
export const aboutKind = (kind: CollectionKind): About => {
  const [outer, inner] = COLLECTIONS[kind].split('.');
  const fields = PLAN.fields as Readonly<Record<string, AnyField>>;
  const field = fields[outer!]!;
  const list = inner && field.type === 'record' ? field.fields[inner]! : field;
  return (list as { readonly of: RecordShape }).of.about!;
};
/** The field that tells records of a kind apart. */
export const keyOf = (kind: CollectionKind): string => aboutKind(kind).key ?? 'id';

/** A record of the plan by its kind and its id, or by the field that is its key. */
export const recordAt = <K extends CollectionKind>(
  plan: Plan,
  kind: K,
  id: string,
): RecordOf<K> | undefined =>
  (figureAt(plan, COLLECTIONS[kind]) as readonly RecordOf<K>[]).find(
    (record) => (record as Readonly<Record<string, unknown>>)[keyOf(kind)] === id,
  );
