import type { Axle } from '../hydraulics/index.ts';
import type { School } from '../bleed/index.ts';
import type { Thing } from '../frame/index.ts';
import type { Motion } from '../hose/index.ts';
import type { Adapter, FlareForm, FluidFamily, Half, TubeMaterial } from '../stock/index.ts';
import type { Side, Tape } from '../survey/index.ts';
import type { Bender } from '../tube/index.ts';
import type { UnitSystem } from '../units/index.ts';
import type { Vec3 } from '../vec/index.ts';
import type { PartFigures } from './part-figures.ts';
import type { ClutchSheet, ParkingSheet, SingleSheet, TrailerSheet } from './sheets.ts';
import type { Sizing } from './sizing.ts';

export const PLAN_FORMAT = 'firmline-plan';
export const PLAN_VERSION = 6;

/**
 * Where something is and how that is known. `atMm` with `sigmaMm` (one standard deviation per axis)
 * is what was guessed, typed or read off a part's sheet; for 'taped' it is what was held before and
 * counts until the tapes fix the point.
 */
export interface Known {
  readonly how: 'guessed' | 'typed' | 'sheet' | 'taped';
  readonly atMm: Vec3;
  readonly sigmaMm: Vec3;
  /** Tapes by id of the point they were read from. */
  readonly tapes?: readonly Tape[];
  readonly side?: Side;
}

/** A named place on the vehicle. Any point may serve as a datum for tapes. */
export interface Point {
  readonly id: string;
  readonly name: string;
  readonly known: Known;
}

/** Which half of a joint a port is, and how that is known. */
export interface Fitting {
  readonly half: Half;
  readonly how: 'measured' | 'sheet' | 'trusted';
  /** What vernier and pitch gauge said, where it was measured. */
  readonly readings: { readonly diameterMm: number; readonly pitchMm: number | null } | null;
}

export const PORT_ROLES = ['outlet', 'inlet', 'feed', 'bleeder', 'spare'] as const;
export type PortRole = (typeof PORT_ROLES)[number];
export interface Port {
  readonly id: string;
  readonly name: string;
  readonly role: PortRole;
  /** Out of the port: the way a tube leaves it. */
  readonly direction: Vec3;
  readonly known: Known;
  /** Of a master's outlet: the residual valve built into it. */
  readonly residualMPa?: number;
  /** Thread and seat; null while nobody has looked. */
  readonly fitting: Fitting | null;
}

export const PART_KINDS = [
  'master', 'reservoir', 'tee', 'block', 'proportioning-valve', 'residual-valve', 'combination-valve', 'modulator', 'handbrake-cylinder',
  'parking-valve', 'pressure-switch', 'dry-break', 'caliper', 'wheel-cylinder', 'slave', 'release-bearing', 'actuator', 'bracket', 'other',
] as const; // prettier-ignore
export type PartKind = (typeof PART_KINDS)[number];
export interface Part {
  readonly id: string;
  readonly name: string;
  readonly kind: PartKind;
  /** Fluid it holds besides its lines, reservoir included. */
  readonly cavityMl: number;
  /** What its sheet or its plate says; what is not there is not known. */
  readonly figures: PartFigures;
  /** Fluid its seals are made for or that it has held; null where that is not known. */
  readonly family: FluidFamily | null;
  readonly ports: readonly Port[];
}

export const CIRCUIT_INKS = ['fluid', 'copper', 'slate'] as const;
export interface Circuit {
  readonly id: string;
  readonly name: string;
  readonly work: 'brake' | 'clutch';
  readonly ink: (typeof CIRCUIT_INKS)[number];
  /** The axle its brakes stand on; null for both, for a clutch, or while it is not said. */
  readonly axle: Axle | null;
}

/** How an end is joined and in what state that is. */
export interface JointWork {
  readonly made: 'flared' | 'compression' | 'rubber-hose';
  readonly sealant: 'none' | 'paste' | 'tape';
  readonly washers: 'none' | 'new' | 'used';
  /** Times opened since its washers were new. */
  readonly opened: number;
  /** What it is tightened to, and by whose word; null while no sheet was looked up. */
  readonly torqueNm: number | null;
  readonly torqueSource: string;
}
/** An end that waits for a mate that does not exist yet. */
export interface OpenEnd {
  readonly atMm: Vec3;
  /** Tube left over for the joint to come. */
  readonly slackMm: number;
  readonly capped: boolean;
  readonly waitsFor: string;
}
export interface LineEnd {
  /** Null while the end is open. */
  readonly portId: string | null;
  /** Where it ends meanwhile; null at a port, or where nobody has said. */
  readonly open: OpenEnd | null;
  readonly flare: FlareForm;
  readonly nutId: string;
  /** Adapters from the port to the nut, by id. */
  readonly adapters: readonly string[];
  /** How far they hold the tube's end off the port's seat, mm. */
  readonly standoffMm: number;
  readonly joint: JointWork;
}
/** A step of the make card that was done, and the digest of the card it was done to. */
export interface Tick {
  readonly step: string;
  readonly digest: string;
  readonly at: string;
}
/** A guard slid over a stretch of tube, mm along it from end A. */
export interface Sleeve {
  readonly fromMm: number;
  readonly toMm: number;
  readonly kind: 'heat' | 'chafe';
}
/** What shakes a stretch of tube, mm along it from end A. */
export interface Shake {
  readonly fromMm: number;
  readonly toMm: number;
  readonly hz: number;
}
/** Bent here, kept from the vehicle, or bought bent. */
export const LINE_ORIGINS = ['made', 'kept', 'bought'] as const;
export type LineOrigin = (typeof LINE_ORIGINS)[number];
export interface Line {
  readonly id: string;
  readonly name: string;
  readonly title: string;
  readonly circuitId: string;
  readonly tubeId: string;
  readonly benderId: string;
  readonly ends: { readonly a: LineEnd; readonly b: LineEnd };
  /** Corner points between the two ports, from A to B. */
  readonly cornersMm: readonly Vec3[];
  readonly origin: LineOrigin;
  /** Where clips sit, mm along the finished tube from end A, in order. */
  readonly clipsMm: readonly number[];
  readonly sleeves: readonly Sleeve[];
  /** Stretches whose shaking the user knows better than the plan's own limits do; elsewhere it goes by place. */
  readonly shakes: readonly Shake[];
  readonly ticks: readonly Tick[];
}

/** One end of a hose: where its fitting meets its seat, and what is on it. */
export interface HoseEnd {
  /** A port it is screwed to or, through a bracket, stands behind; null: at a place of its own. */
  readonly portId: string | null;
  /** On the other side of a bracket from the tube at that port. */
  readonly through: boolean;
  /** Its place where it has no port, the vehicle at ride height and straight ahead. */
  readonly atMm: Vec3;
  /** Out of the part or bracket, along the fitting's thread; taken from the port where there is one. */
  readonly direction: Vec3;
  readonly fittingId: string;
  /** How an angled fitting or a banjo is turned about that direction. */
  readonly turnDeg: number;
}
export const HOSE_FIXINGS = ['bracket', 'part', 'zip-tie', 'none'] as const;
/** A flexible line. End A stays with the frame, end B moves. */
export interface Hose {
  readonly id: string;
  readonly name: string;
  readonly title: string;
  readonly circuitId: string;
  readonly stockId: string;
  readonly service: 'pressure' | 'feed';
  readonly ends: { readonly a: HoseEnd; readonly b: HoseEnd };
  /** Length as it is ordered, between the seats' faces. */
  readonly orderMm: number;
  readonly motion: Motion;
  /** What holds end A. */
  readonly fixing: (typeof HOSE_FIXINGS)[number];
  /** A lock nut or a clip holds it there. */
  readonly locked: boolean;
  /** Of a feed: a gauze keeps dirt of the reservoir out of it. */
  readonly gauze: boolean;
  /** Year and month on its sleeve; null where it is not made yet or cannot be read. */
  readonly madeOn: string | null;
}

export interface BenchBender extends Bender {
  readonly id: string;
  readonly name: string;
  /** A bender that stays put turns the tube; a hand bender is turned round the tube. */
  readonly kind: 'fixed' | 'hand';
  readonly tubeOdMm: number;
}
export interface FlareTool {
  readonly clampMm: number;
  readonly flareExtraMm: number;
  readonly owned: boolean;
  /** Tube that test pieces of this flare have held in. */
  readonly provenOn: readonly TubeMaterial[];
}
/** This user's tools. */
export interface Bench {
  readonly benders: readonly BenchBender[];
  readonly flares: Readonly<Record<FlareForm, FlareTool>>;
  /** Adapters of the user's own, besides those of the stock. */
  readonly adapters: readonly Adapter[];
  /** Lengths of nuts measured by the user, by nut id, in place of the stock's. */
  readonly nutLengthMm: Readonly<Record<string, number>>;
  readonly trimMm: number;
}

/** Something that closes access: the bed on, the dash in. */
export interface Gate {
  readonly id: string;
  readonly name: string;
  /** What it closes. */
  readonly minMm: Vec3;
  readonly maxMm: Vec3;
  readonly closed: boolean;
}
/** How lines are held on this vehicle. */
export interface Holding {
  /** What shakes a tube on the frame, and near engine or gearbox. */
  readonly frameHz: number;
  readonly engineHz: number;
  /** How near is near the engine. */
  readonly nearMm: number;
  /** Times the excitation that a span must ring at or above. */
  readonly margin: number;
  readonly maxSpanMm: number;
  readonly endMm: number;
  /** How far a bracket may stand off what it is fixed to. */
  readonly reachMm: number;
}

export interface Bleeding {
  readonly school: School;
  /** Bleeder ports in the order of the maker's sheet. */
  readonly listed: readonly string[];
  readonly purge: number;
  readonly fluidId: string;
}

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
  readonly holding: Holding;
  readonly bench: Bench;
  readonly bleeding: Bleeding;
  /** From foot to road; null until it is begun. */
  readonly sizing: Sizing | null;
  readonly trailer: TrailerSheet | null;
  readonly singles: readonly SingleSheet[];
  readonly clutch: ClutchSheet | null;
  readonly parking: ParkingSheet | null;
}

/** Something with a place of its own: a point or a port of a part. */
export interface Target {
  readonly kind: 'point' | 'port';
  readonly id: string;
}

export const allPorts = (plan: Plan): { part: Part; port: Port }[] =>
  plan.parts.flatMap((part) => part.ports.map((port) => ({ part, port })));
