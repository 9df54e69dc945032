import {
  flag,
  id,
  list,
  name,
  nullable,
  number,
  oneOf,
  over,
  pastRef,
  record,
  text,
  time,
} from './field.ts';

/** One reading of the pedal: pressure at a bleeder, travel at its pad. */
export interface PedalPoint {
  readonly pressureMPa: number;
  readonly travelMm: number;
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
export const LOCKED = ['none', 'front', 'rear'] as const;
export interface StopTest {
  readonly id: string;
  readonly at: string;
  readonly when: 'before' | 'after';
  readonly fromKmh: number;
  readonly distanceM: number;
  readonly locked: (typeof LOCKED)[number];
  /** Turns of the valve's adjuster from its stop; null: there is none, or it was not moved. */
  readonly valveTurns: number | null;
}
export interface SignOff {
  readonly at: string;
  readonly by: string;
  readonly as: 'builder' | 'qualified';
  readonly scope: 'road' | 'move';
  /** Of the whole plan, as it was signed. */
  readonly rests: string;
  readonly exceptions: readonly string[];
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
  pressureMPa: pressure,
  travelMm: number(-10, 1000),
});
const engine = oneOf(ENGINE);
const lasted = over(100_000);
export const CURVE_TAKEN = record<PedalCurve>()(
  {
    id,
    at: time,
    circuitId: pastRef('circuit'),
    by: oneOf(TAKEN_BY),
    engine,
    hot: flag,
    ratio: over(100),
    boreMm: over(1000),
    sigmaMm: number(0, 100),
    points: list(POINT_TAKEN, 20_000),
    rests: text,
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
export const HOLD_TAKEN = record<HoldTest>()(
  {
    id,
    at: time,
    circuitId: pastRef('circuit'),
    wantedMPa: pressure,
    startMPa: pressure,
    endMPa: pressure,
    startC: celsius,
    endC: celsius,
    minutes: lasted,
    sigmaMPa: number(0, 10),
    rests: text,
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
    at: time,
    lineIds: list(pastRef('line'), 500, 1),
    volumeMl: over(1e6),
    startMPa: pressure,
    endMPa: pressure,
    startC: celsius,
    endC: celsius,
    minutes: lasted,
    limitMlPerMin: over(1e6),
    sigmaMPa: number(0, 10),
    sigmaC: number(0, 100),
    rests: text,
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
export const STOP_TAKEN = record<StopTest>()(
  {
    id,
    at: time,
    when: oneOf(['before', 'after']),
    fromKmh: over(400),
    distanceM: over(10_000),
    locked: oneOf(LOCKED),
    valveTurns: nullable(number(0, 100)),
  },
  {
    about: {
      kind: 'stopTest',
      prefix: 'stop',
      noun: 'stop',
      named: ({ at, fromKmh }) => `Stop from ${fromKmh} km/h of ${at.slice(0, 10)}`,
    },
  },
);
export const PEDAL_FELT = record<PedalReading>()(
  {
    id,
    at: time,
    vehicle: oneOf(['this', 'reference']),
    engine,
    hot: flag,
    travelMm: number(0, 1000),
    forceN: nullable(over(10_000)),
    sinks: flag,
    pumps: flag,
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
    key: name,
    at: time,
    good: flag,
    note: text,
    rests: text,
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
  curves: list(CURVE_TAKEN, 200),
  holds: list(HOLD_TAKEN, 500),
  airTests: list(AIR_TEST, 500),
  rounds: list(RECORDED_TEST, 5000),
  pedal: list(PEDAL_FELT, 1000),
  stops: list(STOP_TAKEN, 1000),
  bedding: list(record<Proving['bedding'][number]>()({ at: time, text }), 1000),
  signed: list(
    record<SignOff>()({
      at: time,
      by: name,
      as: oneOf(['builder', 'qualified']),
      scope: oneOf(['road', 'move']),
      rests: text,
      exceptions: list(text, 500),
    }),
    200,
  ),
});
