import type { Motion } from '../../shape/rod/index.ts';
import type { Half } from '../../trade/stock/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import {
  anyDirection,
  choice,
  direction,
  flag,
  id,
  name,
  nullable,
  number,
  oneOf,
  optional,
  over,
  place,
  record,
  ref,
  span,
  text,
  written,
  told,
  noted,
} from './field.ts';
import { type FieldFault } from './field-types.ts';
import { JOINT_WORK, type JointWork } from './line.ts';
import { HALF } from './port.ts';

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
  /** What it screws in with: thread and end or seat; not there while nobody has looked. */
  readonly half?: Half | null;
  /** What it meets where it has no port. */
  readonly into?: Half | null;
  /** Eyes of banjos on one bolt; one where it is not there. */
  readonly eyes?: number;
  /** Its banjo bolt: under its head, and the thread there is in the port (null: through, or not known). */
  readonly bolt?: {
    readonly lengthMm: number;
    readonly eyeMm: number;
    readonly depthMm: number | null;
  } | null;
  /** What was done to that joint. */
  readonly joint?: JointWork;
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
  /** Made up with ends that can be used again, not crimped or swaged by a maker. */
  readonly madeUp?: boolean;
  /** Of a feed: a gauze keeps dirt of the reservoir out of it. */
  readonly gauze: boolean;
  /** Year and month on its sleeve; null where it is not made yet or cannot be read. */
  readonly madeOn: string | null;
}

export const BOLT = record<NonNullable<HoseEnd['bolt']>>()({
  lengthMm: told('Bolt, under its head', over(200)),
  eyeMm: told('Thickness of one eye', over(100)),
  depthMm: told('Thread in the port', nullable(over(200))),
});
export const HOSE_END = record<HoseEnd>()({
  portId: told('Port', nullable(ref('port')), { none: 'a place of its own' }),
  through: told('behind a bracket, opposite the tube', flag),
  atMm: told('Position', place),
  direction: told('Thread points', direction()),
  fittingId: told('Fitting', ref('hose end')),
  turnDeg: told('Turned', number(-360, 360)),
  half: told('Thread and end', optional(nullable(HALF))),
  into: told('What it screws into', optional(nullable(HALF))),
  eyes: told('Eyes on one bolt', optional(number(1, 4, { whole: true }))),
  bolt: told('Banjo bolt', optional(nullable(BOLT))),
  joint: told('Joint', optional(JOINT_WORK)),
});
const STEER = record<NonNullable<Motion['steer']>>()({
  aboutMm: told('Kingpin', place),
  axis: told('Kingpin direction', direction('Enter a kingpin direction that is not zero.')),
  lockDeg: told('Lock, left and right', span([-80, 0], [0, 80])),
});
/** Droop and bump, mm. */
export const HEAVE = span([-2000, 0], [0, 2000]);
const swings = ({ kind, axis }: Motion): FieldFault | null =>
  kind !== 'still' && Math.hypot(...axis) < 1e-9
    ? {
        at: 'axis',
        message: 'Enter a pivot direction that is not zero.',
      }
    : null;
export const MOTION = record<Motion>()(
  {
    kind: told(
      'Motion',
      choice({
        still: 'none, both ends stand still',
        corner: 'on an arm, swinging about a line',
        axle: 'with a solid axle',
      }),
    ),
    heaveMm: told('Droop and bump', HEAVE),
    aboutMm: told('Pivot', place),
    axis: told('Pivot direction', anyDirection),
    measuredAtMm: told('Measured at', place),
    rollDeg: told('Roll either way', number(0, 45)),
    steer: told('Steering', nullable(STEER)),
    floatMm: told('Caliper slides by', number(0, 200)),
    floatAxis: told('Caliper slides along', anyDirection),
  },
  { check: swings },
);
export const HOSE = record<Hose>()(
  {
    id,
    name,
    title: told('From where to where', noted(text)),
    circuitId: told('Circuit', ref('circuit')),
    stockId: told('Hose', ref('hose stock')),
    service: told('Carries', choice({ pressure: 'brake pressure', feed: 'a reservoir’s feed' })),
    ends: told(
      'Ends',
      record<Hose['ends']>()({ a: told('End A', HOSE_END), b: told('End B', HOSE_END) }),
    ),
    orderMm: told('Ordered length, seat to seat', over(20_000)),
    motion: told('Motion', MOTION),
    fixing: told(
      'End A is held by',
      oneOf(HOSE_FIXINGS, {
        bracket: 'a bracket',
        part: 'the part itself',
        'zip-tie': 'a zip tie',
        none: 'nothing',
      }),
    ),
    locked: told('lock nut or clip on', flag),
    madeUp: told('made up, ends not crimped', optional(flag)),
    gauze: told('gauze in its reservoir', flag),
    madeOn: told(
      'Made in (year-month)',
      nullable(written(/^\d{4}-(0[1-9]|1[0-2])$/, 'a year and month')),
    ),
  },
  {
    about: {
      kind: 'hose',
      prefix: 'hose',
      noun: 'hose',
      named: ({ name }) => name,
      more: ({ title }) => title,
    },
  },
);
