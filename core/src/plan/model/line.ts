import type { FlareForm } from '../../trade/stock/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import {
  flag,
  id,
  list,
  name,
  nullable,
  number,
  oneOf,
  optional,
  over,
  place,
  record,
  ref,
  text,
  time,
} from './field.ts';

export const SEALANTS = ['none', 'paste', 'tape'] as const;
export type Sealant = (typeof SEALANTS)[number];
/** How an end is joined and in what state that is. */
export interface JointWork {
  readonly made: 'flared' | 'compression' | 'rubber-hose';
  readonly sealant: Sealant;
  /** Where the end has several joints: what is on each, from the port; not there: on its taper threads, or where it has none on all. */
  readonly sealants?: readonly Sealant[];
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
/** One bend as it was aimed at and as it was read. */
export interface BendReading {
  readonly digest: string;
  readonly markMm: number;
  readonly rotateDeg: number;
  readonly bendDeg: number;
  readonly dialDeg: number;
  readonly endToBendMm: number;
  readonly heightMm: number;
  readonly tipToTipMm: number;
}
/** A guard slid over a stretch of tube, mm along it from end A. */
export interface Sleeve {
  readonly fromMm: number;
  readonly toMm: number;
  readonly kind: 'heat' | 'chafe';
}
/** What shakes a stretch of tube, mm along it from end A. */
export interface Vibration {
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
  readonly shakes: readonly Vibration[];
  readonly ticks: readonly Tick[];
  /** What else is slid on before the second end is flared: a closed clip, a grommet. */
  readonly slid?: readonly string[];
  /** What the tape read after each bend, in the order they were made, and the card they were made to. */
  readonly readings?: readonly BendReading[];
  /** Where the finished line missed B's port when it was offered up, in the vehicle's axes; null where it did not. */
  readonly missMm?: Vec3 | null;
}

export const MOST_CORNERS = 500;
const along = number(0, 100_000);
export const FLARE_FORM = oneOf(['double-flare-45', 'bubble', 'cone-37']);

export const JOINT_WORK = record<JointWork>()({
  made: oneOf(['flared', 'compression', 'rubber-hose']),
  sealant: oneOf(SEALANTS),
  sealants: optional(list(oneOf(SEALANTS), 9)),
  washers: oneOf(['none', 'new', 'used']),
  opened: number(0, 1000, { whole: true }),
  torqueNm: nullable(over(10_000)),
  torqueSource: text,
});
export const OPEN_END = record<OpenEnd>()({
  atMm: place,
  slackMm: number(0, 10_000),
  capped: flag,
  waitsFor: text,
});
export const LINE_END = record<LineEnd>()({
  portId: nullable(ref('port')),
  open: nullable(OPEN_END),
  flare: FLARE_FORM,
  nutId: ref('nut'),
  adapters: list(ref('fitted adapter'), 8),
  standoffMm: number(0, 1000),
  joint: JOINT_WORK,
});
export const SLEEVE = record<Sleeve>()({
  fromMm: along,
  toMm: along,
  kind: oneOf(['heat', 'chafe']),
});
export const VIBRATION = record<Vibration>()({ fromMm: along, toMm: along, hz: over(100_000) });
export const BEND_READING = record<BendReading>()({
  digest: id,
  markMm: number(-100_000, 100_000),
  rotateDeg: number(-360, 360),
  bendDeg: number(0, 180),
  dialDeg: number(0, 360),
  endToBendMm: along,
  heightMm: along,
  tipToTipMm: along,
});
export const LINE = record<Line>()(
  {
    id,
    name,
    title: text,
    circuitId: ref('circuit'),
    tubeId: ref('tube'),
    benderId: ref('bender'),
    ends: record<Line['ends']>()({ a: LINE_END, b: LINE_END }),
    cornersMm: list(place, MOST_CORNERS),
    origin: oneOf(LINE_ORIGINS),
    clipsMm: list(along, 1000),
    sleeves: list(SLEEVE, 100),
    shakes: list(VIBRATION, 100),
    slid: optional(list(name, 50)),
    readings: optional(list(BEND_READING, MOST_CORNERS)),
    missMm: optional(nullable(place)),
    ticks: list(record<Tick>()({ step: id, digest: id, at: time }), 1000),
  },
  {
    about: {
      kind: 'line',
      prefix: 'line',
      noun: 'line',
      named: ({ name }) => name,
      more: ({ title }) => title,
    },
  },
);

/** What a line is before anybody has held, sleeved or marked it. */
export const FRESH_LINE = { origin: 'made', clipsMm: [], sleeves: [], shakes: [] } as const;

/** A joint nobody has done anything to yet. */
export const FRESH_JOINT: JointWork = {
  made: 'flared',
  sealant: 'none',
  washers: 'none',
  opened: 0,
  torqueNm: null,
  torqueSource: '',
};

/** An end nobody has done anything to yet. */
export const freshEnd = (portId: string | null, flare: FlareForm, nutId: string): LineEnd => ({
  portId,
  open: null,
  flare,
  nutId,
  adapters: [],
  standoffMm: 0,
  joint: FRESH_JOINT,
});
