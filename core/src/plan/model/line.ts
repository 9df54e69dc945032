import type { FlareForm } from '../../trade/stock/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import {
  choice,
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
  told,
  noted,
} from './field.ts';

export const SEALANTS = ['none', 'paste', 'tape'] as const;
export type Sealant = (typeof SEALANTS)[number];
/** The torque of one joint, and the sheet it comes from. */
export interface JointTorque {
  readonly nm: number | null;
  readonly source: string;
}
/** How an end is joined and in what state that is. */
export interface JointWork {
  readonly made: 'flared' | 'compression' | 'rubber-hose';
  readonly sealant: Sealant;
  /** Where the end has several joints: what is on each, from the port; not there: on its taper threads, or where it has none on all. */
  readonly sealants?: readonly Sealant[];
  readonly washers: 'none' | 'new' | 'used';
  /** Times opened since its washers were new, before it was tightened in this build: Fit records what is opened after. */
  readonly opened: number;
  /** What it is tightened to, and by whose word; null while no sheet was looked up. */
  readonly torqueNm: number | null;
  readonly torqueSource: string;
  /** Of an end with adapters: the same for each joint before the nut's, from the port. */
  readonly torques?: readonly JointTorque[];
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

const SEALANT_NAMES = { none: 'none', paste: 'paste', tape: 'tape' } as const;
export const JOINT_WORK = record<JointWork>()({
  made: told(
    'Made as',
    choice({
      flared: 'flared',
      compression: 'compression',
      'rubber-hose': 'rubber hose and clips',
    }),
  ),
  sealant: told('Sealant', oneOf(SEALANTS, SEALANT_NAMES)),
  sealants: told('Sealant by joint', optional(list(oneOf(SEALANTS, SEALANT_NAMES), 9))),
  washers: told('Washers', choice({ none: 'none recorded', new: 'new', used: 'used before' })),
  opened: told('Times opened before it is tightened here', number(0, 1000, { whole: true })),
  torqueNm: told('Torque', nullable(over(10_000))),
  torqueSource: told('Source of the torque', text),
  torques: told(
    'Torque before the nut',
    optional(
      list(
        record<JointTorque>()({
          nm: told('Torque', nullable(over(10_000))),
          source: told('Source of the torque', text),
        }),
        9,
      ),
    ),
  ),
});
export const OPEN_END = record<OpenEnd>()({
  atMm: told('Position', place),
  slackMm: told('Tube left over', number(0, 10_000)),
  capped: told('Capped', flag),
  waitsFor: told('Waits for', text),
});
export const LINE_END = record<LineEnd>()({
  portId: told('Port', nullable(ref('port')), { none: 'No port yet' }),
  open: told('Open end', nullable(OPEN_END)),
  flare: told('Flare', FLARE_FORM),
  nutId: told('Tube nut', ref('nut')),
  adapters: told('Adapters', list(ref('fitted adapter'), 8)),
  standoffMm: told('Length added by adapters', number(0, 1000)),
  joint: told('Joint', JOINT_WORK),
});
export const SLEEVE = record<Sleeve>()({
  fromMm: told('From', along),
  toMm: told('To', along),
  kind: told('Guards against', choice({ heat: 'heat', chafe: 'chafe' })),
});
export const VIBRATION = record<Vibration>()({
  fromMm: told('From', along),
  toMm: told('To', along),
  hz: told('Frequency', over(100_000), { usual: [1, 100000] }),
});
export const BEND_READING = record<BendReading>()({
  digest: told('Card', id),
  markMm: told('Mark', number(-100_000, 100_000)),
  rotateDeg: told('Rotation', number(-360, 360)),
  bendDeg: told('Bend', number(0, 180)),
  dialDeg: told('Dial', number(0, 360)),
  endToBendMm: told('End to bend', along),
  heightMm: told('Height', along),
  tipToTipMm: told('Tip to tip', along),
});
export const LINE = record<Line>()(
  {
    id,
    name,
    title: told('From what to what', text),
    circuitId: told('Circuit', ref('circuit')),
    tubeId: told('Tube', ref('tube')),
    benderId: told('Bender', ref('bender')),
    ends: told(
      'Ends',
      record<Line['ends']>()({ a: told('End A', LINE_END), b: told('End B', LINE_END) }),
    ),
    cornersMm: told('Corners', list(place, MOST_CORNERS)),
    origin: told(
      'Source of the line',
      oneOf(LINE_ORIGINS, {
        made: 'bent here',
        kept: 'kept from the vehicle',
        bought: 'bought bent',
      }),
    ),
    clipsMm: told('Clips', list(along, 1000)),
    sleeves: told('Sleeves', list(SLEEVE, 100)),
    shakes: told('Vibration', list(VIBRATION, 100)),
    slid: told('Slid on before the second flare', optional(list(name, 50))),
    readings: told('Bends measured', optional(list(BEND_READING, MOST_CORNERS))),
    missMm: told('Missed the port by', optional(nullable(place))),
    ticks: told(
      'Steps done',
      list(
        record<Tick>()({
          step: told('Step', id),
          digest: told('Card', id),
          at: told('Time', noted(time)),
        }),
        1000,
      ),
    ),
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
