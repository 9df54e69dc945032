import {
  choice,
  flag,
  id,
  list,
  name,
  nullable,
  optional,
  number,
  oneOf,
  over,
  pastRef,
  record,
  text,
  time,
  told,
  noted,
} from './field.ts';
import { STOP_TAKEN, type StopTest } from './stop-test.ts';
import {
  ACCEPTED,
  FOLLOW_UP,
  SIGN_OFF,
  type AcceptedCaution,
  type FollowUp,
  type SignOff,
} from './sign-off.ts';

/** One reading of the pedal: pressure at a bleeder, travel at its pad. */
export interface PedalPoint {
  readonly pressureMPa: number;
  readonly travelMm: number;
  /** Taken as the pedal was let up. */
  readonly back?: boolean;
}
export const ENGINE = ['none', 'off', 'running'] as const;
export const TAKEN_BY = ['typed', 'stream', 'csv'] as const;
/** Pedal travel against pressure, as it was taken; `rests` is the digest of what it was taken on. */
export interface PedalCurve {
  readonly id: string;
  readonly at: string;
  readonly circuitId: string;
  readonly by: (typeof TAKEN_BY)[number];
  readonly engine: (typeof ENGINE)[number];
  readonly hot: boolean;
  /** Taken after the pedal was pumped. */
  readonly pumped?: boolean;
  readonly ratio: number;
  readonly boreMm: number;
  readonly sigmaMm: number;
  readonly points: readonly PedalPoint[];
  readonly rests: string;
}
/** Pressure held by gauge. */
export interface HoldTest {
  readonly id: string;
  readonly at: string;
  readonly circuitId: string;
  readonly wantedMPa: number;
  readonly startMPa: number;
  readonly endMPa: number;
  readonly startC: number;
  readonly endC: number;
  readonly minutes: number;
  /** The gauge's own error, MPa. */
  readonly sigmaMPa: number;
  /** What keeps the pedal down: jacked rigidly, unless it is said; what is alive makes up for what expands. */
  readonly pedal?: 'live';
  readonly rests: string;
}
/** Dry gas in plugged lines. */
export interface AirTest {
  readonly id: string;
  readonly at: string;
  readonly lineIds: readonly string[];
  readonly volumeMl: number;
  readonly startMPa: number;
  readonly endMPa: number;
  readonly startC: number;
  readonly endC: number;
  readonly minutes: number;
  readonly limitMlPerMin: number;
  readonly sigmaMPa: number;
  readonly sigmaC: number;
  readonly rests: string;
}
/** A look or a feel of the rounds that was taken. */
export interface RecordedTest {
  readonly key: string;
  readonly at: string;
  readonly good: boolean;
  readonly note: string;
  readonly rests: string;
}
/** How the pedal felt, on this vehicle or on one known to be good. */
export interface PedalReading {
  readonly id: string;
  readonly at: string;
  readonly vehicle: 'this' | 'reference';
  readonly engine: (typeof ENGINE)[number];
  readonly hot: boolean;
  readonly travelMm: number;
  readonly forceN: number | null;
  readonly sinks: boolean;
  /** It comes up when it is pumped. */
  readonly pumps: boolean;
}
/** Everything that proves a built system. */
export interface Proving {
  readonly curves: readonly PedalCurve[];
  readonly holds: readonly HoldTest[];
  readonly airTests: readonly AirTest[];
  readonly rounds: readonly RecordedTest[];
  readonly pedal: readonly PedalReading[];
  readonly stops: readonly StopTest[];
  readonly bedding: readonly { readonly at: string; readonly text: string }[];
  readonly signed: readonly SignOff[];
  readonly accepted?: readonly AcceptedCaution[];
  readonly followUps?: readonly FollowUp[];
  /** Driven since the newest signature, km. */
  readonly drivenKm?: number;
}
export const NO_PROVING: Proving = {
  curves: [],
  holds: [],
  airTests: [],
  rounds: [],
  pedal: [],
  stops: [],
  bedding: [],
  signed: [],
};

const pressure = number(0, 200);
const celsius = number(-60, 500);
export const POINT_TAKEN = record<PedalPoint>()({
  pressureMPa: told('Pressure', pressure),
  travelMm: told('Pedal travel', number(-10, 1000)),
  back: told('On the way back', optional(flag)),
});
const engine = oneOf(ENGINE);
const lasted = over(100_000);
export const CURVE_TAKEN = record<PedalCurve>()(
  {
    id,
    at: told('Time', time),
    circuitId: told('Circuit', pastRef('circuit')),
    by: told('Taken by', noted(oneOf(TAKEN_BY))),
    engine: told('Engine', noted(engine)),
    hot: told('Hot', noted(flag)),
    pumped: told('Pumped first', optional(flag)),
    ratio: told('Pedal ratio', over(100)),
    boreMm: told('Bore', over(1000), { sold: true }),
    sigmaMm: told('± of the travel (1σ)', number(0, 100)),
    points: told('Readings', list(POINT_TAKEN, 20_000)),
    rests: told('Taken on', text),
  },
  {
    about: {
      kind: 'curve',
      prefix: 'curve',
      noun: 'pedal curve',
      named: ({ at }) => `Pedal curve of ${at.slice(0, 10)}`,
    },
  },
);
/** Of a pressure that is held, fluid or gas. */
const HELD = {
  startC: told('Start temperature', celsius, { usual: [-60, 100], likely: [-10, 45] }),
  endC: told('End temperature', celsius, { usual: [-60, 100], likely: [-10, 45] }),
  minutes: told('Held for', lasted, { usual: [0.1, 10000], likely: [0.15, 1500] }),
  sigmaMPa: told('Gauge accuracy', number(0, 10), { likely: [0, 0.5] }),
};
export const HOLD_TAKEN = record<HoldTest>()(
  {
    id,
    at: told('Time', time),
    circuitId: told('Circuit', pastRef('circuit')),
    wantedMPa: told('Pressure required', pressure),
    startMPa: told('Start pressure', pressure, { likely: [0.1, 25] }),
    endMPa: told('End pressure', pressure, { likely: [0, 25] }),
    ...HELD,
    pedal: told('Pedal held down by', optional(choice({ live: 'a foot, a weight or a booster' })), {
      none: 'a rigid jack',
    }),
    rests: told('Taken on', text),
  },
  {
    about: {
      kind: 'hold',
      prefix: 'hold',
      noun: 'hold test',
      named: ({ at }) => `Hold test of ${at.slice(0, 10)}`,
    },
  },
);
export const AIR_TEST = record<AirTest>()(
  {
    id,
    at: told('Time', time),
    lineIds: told('Lines', list(pastRef('line'), 500, 1)),
    volumeMl: told('Volume in the lines', over(1e6)),
    startMPa: told('Start pressure', pressure, { likely: [0.01, 0.7] }),
    endMPa: told('End pressure', pressure, { likely: [0, 0.7] }),
    ...HELD,
    limitMlPerMin: told('Limit', over(1e6)),
    sigmaC: told('Thermometer accuracy', number(0, 100)),
    rests: told('Taken on', text),
  },
  {
    about: {
      kind: 'airTest',
      prefix: 'air',
      noun: 'air test',
      named: ({ at }) => `Air test of ${at.slice(0, 10)}`,
    },
  },
);
export const PEDAL_FELT = record<PedalReading>()(
  {
    id,
    at: told('Time', noted(time)),
    vehicle: told('Vehicle', oneOf(['this', 'reference'])),
    engine: told('Engine', engine),
    hot: told('Hot', flag),
    travelMm: told('Pedal travel', number(0, 1000), { likely: [2, 200] }),
    forceN: told('Force', nullable(over(10_000)), { usual: [1, 10000], likely: [10, 1500] }),
    sinks: told('Sinks', flag),
    pumps: told('Comes up when pumped', flag),
  },
  {
    about: {
      kind: 'pedalReading',
      prefix: 'pedal',
      noun: 'pedal reading',
      named: ({ at }) => `Pedal reading of ${at.slice(0, 10)}`,
    },
  },
);
const RECORDED_TEST = record<RecordedTest>()(
  {
    key: told('Test', name),
    at: told('Time', noted(time)),
    good: told('Good', flag),
    note: told('Observation', text),
    rests: told('Taken on', text),
  },
  {
    about: {
      kind: 'recordedTest',
      prefix: 'recordedTest',
      noun: 'test recorded',
      named: ({ key }) => key,
      key: 'key',
      unlisted: true,
    },
  },
);
export const PROVING = record<Proving>()({
  curves: told('Pedal curves', list(CURVE_TAKEN, 200)),
  holds: told('Hold tests', list(HOLD_TAKEN, 500)),
  airTests: told('Air tests', list(AIR_TEST, 500)),
  rounds: told('Tests recorded', list(RECORDED_TEST, 5000)),
  pedal: told('Pedal log', list(PEDAL_FELT, 1000)),
  stops: told('Stops', list(STOP_TAKEN, 1000)),
  bedding: told(
    'Bedding in',
    list(
      record<Proving['bedding'][number]>()({
        at: told('Time', time),
        text: told('What was done', text),
      }),
      1000,
    ),
  ),
  signed: told('Signatures', list(SIGN_OFF, 200)),
  accepted: told('Accepted cautions', optional(list(ACCEPTED, 2000))),
  followUps: told('Follow-up checks', optional(list(FOLLOW_UP, 1000))),
  drivenKm: told('Driven since signing', optional(number(0, 1_000_000))),
});
