import {
  HUB_KINDS,
  HUB_SCHOOLS,
  WIRE_JOBS,
  type CableReadings,
  type HubKind,
  type HubSchool,
  type LoadReadings,
  type Shims,
  type StackBolt,
  type Studs,
  type WheelReadings,
  type WireJob,
  type WireTest,
} from '../../physics/wheel-ends/index.ts';
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
  ownerRef,
  record,
  text,
} from './field.ts';

/** A caliper over its disc, as it was measured. */
export interface CaliperFit {
  /** The part. */
  readonly key: string;
  readonly innerGapMm: number | null;
  readonly outerGapMm: number | null;
  /** Shims that were in when the gaps were measured. */
  readonly stackMm: number;
  readonly moves: 'out' | 'in';
  readonly box: readonly Shims[];
  readonly bolt: StackBolt | null;
  /** The stack that was put in; null until it was. */
  readonly fittedMm: number | null;
  /** Pad's upper edge over the disc's edge; below is less than nothing. */
  readonly padOverMm: number | null;
  /** The side of the vehicle that the disc's vanes are made for. */
  readonly disc: 'left' | 'right' | 'either' | null;
  /** Splash shield bent clear or off; hose, sensor and wear wire paired, led and clipped: looked at. */
  readonly clear: boolean | null;
}
/** A wheel over its caliper, and the studs it sits on. */
export interface WheelFit {
  /** The wheel, a thing on the vehicle. */
  readonly key: string;
  readonly readings: WheelReadings | null;
  readonly spacerMm: number;
  /** Several spacers on one another, or one of plastic. */
  readonly stacked: boolean;
  readonly studs: Studs | null;
  readonly hand: 'right' | 'left';
}
/** A hub's nut as it was drawn up. */
export interface HubFit {
  readonly id: string;
  readonly name: string;
  readonly kind: HubKind;
  readonly school: HubSchool;
  readonly endPlayMm: number | null;
  readonly sheetMm: { readonly least: number; readonly most: number } | null;
  /** A new split pin, tab or nut is in. */
  readonly newLock: boolean | null;
}
/** A parking brake's cable, as it was measured. */
export interface Cable extends CableReadings {
  readonly id: string;
  readonly name: string;
  readonly hand: 'left' | 'right' | 'either';
  /** Slack at the lever after twenty pulls; null until they were made. */
  readonly slackAfterMm: number | null;
}
/** A wire of a trailer's actuator. */
export interface Wire {
  readonly id: string;
  readonly job: WireJob;
  readonly colour: string;
  readonly terminal: string;
  readonly volts: Readonly<Record<WireTest, number | null>>;
}
/** What was loaded to see that it holds. */
export interface ProofLoad extends LoadReadings {
  readonly id: string;
  readonly name: string;
  readonly wantedN: number;
}
/** Pedal, pushrod and booster: free play at the pad cold and hot, and what keeps the vacuum in. */
export interface PushrodPlay {
  readonly coldMm: number | null;
  readonly hotMm: number | null;
  readonly valveHolds: boolean | null;
}
export interface WheelEnds {
  readonly calipers: readonly CaliperFit[];
  readonly wheels: readonly WheelFit[];
  readonly hubs: readonly HubFit[];
  readonly cables: readonly Cable[];
  readonly wires: readonly Wire[];
  readonly loads: readonly ProofLoad[];
  readonly play: PushrodPlay;
}
export const NO_WHEEL_ENDS: WheelEnds = {
  calipers: [],
  wheels: [],
  hubs: [],
  cables: [],
  wires: [],
  loads: [],
  play: { coldMm: null, hotMm: null, valveHolds: null },
};

const gap = number(0, 100);
const reading = number(-1000, 1000);
const span = number(0, 10_000);
const volts = nullable(number(-50, 50));
export const STACK_BOLT = record<StackBolt>()({
  lengthMm: over(1000),
  gripMm: gap,
  washerMm: gap,
  needMm: gap,
  depthMm: optional(nullable(gap)),
  shankMm: optional(gap),
});
export const CALIPER_FIT = record<CaliperFit>()(
  {
    key: ownerRef('part'),
    innerGapMm: nullable(gap),
    outerGapMm: nullable(gap),
    stackMm: gap,
    moves: oneOf(['out', 'in']),
    box: list(record<Shims>()({ thicknessMm: over(20), count: number(1, 60, { whole: true }) }), 8),
    bolt: nullable(STACK_BOLT),
    fittedMm: nullable(gap),
    padOverMm: nullable(number(-100, 100)),
    disc: nullable(oneOf(['left', 'right', 'either'])),
    clear: nullable(flag),
  },
  {
    about: {
      kind: 'caliperFit',
      prefix: 'fit',
      noun: 'caliper fit',
      named: ({ key }) => key,
      key: 'key',
      unlisted: true,
    },
  },
);
export const WHEEL_READINGS = record<WheelReadings>()({
  caliperRadiusMm: over(1000),
  caliperOutMm: reading,
  barrelRadiusMm: over(1000),
  spokesMm: reading,
});
export const STUDS = record<Studs>()({
  count: number(3, 12, { whole: true }),
  dMm: over(100),
  pitchMm: over(10),
  lengthMm: over(500),
  flangeMm: number(0, 500),
});
export const WHEEL_FIT = record<WheelFit>()(
  {
    key: ownerRef('thing'),
    readings: nullable(WHEEL_READINGS),
    spacerMm: number(0, 300),
    stacked: flag,
    studs: nullable(STUDS),
    hand: oneOf(['right', 'left']),
  },
  {
    about: {
      kind: 'wheelFit',
      prefix: 'fit',
      noun: 'wheel fit',
      named: ({ key }) => key,
      key: 'key',
      unlisted: true,
    },
  },
);
export const HUB_FIT = record<HubFit>()(
  {
    id,
    name,
    kind: oneOf(HUB_KINDS),
    school: oneOf(HUB_SCHOOLS),
    endPlayMm: nullable(number(0, 50)),
    sheetMm: nullable(
      record<{ readonly least: number; readonly most: number }>()({
        least: number(0, 50),
        most: number(0, 50),
      }),
    ),
    newLock: nullable(flag),
  },
  { about: { kind: 'hub', prefix: 'hub', noun: 'hub', named: ({ name }) => name } },
);
export const CABLE = record<Cable>()(
  {
    id,
    name,
    wayMm: span,
    outerMm: span,
    freeMm: span,
    needMm: span,
    adjustMm: span,
    hand: oneOf(['left', 'right', 'either']),
    slackAfterMm: nullable(span),
  },
  { about: { kind: 'cable', prefix: 'cable', noun: 'cable', named: ({ name }) => name } },
);
export const WIRE = record<Wire>()(
  {
    id,
    job: oneOf(WIRE_JOBS),
    colour: text,
    terminal: text,
    volts: record<Wire['volts']>()({ rest: volts, half: volts, full: volts, pulled: volts }),
  },
  {
    about: {
      kind: 'wire',
      prefix: 'wire',
      noun: 'wire',
      named: ({ job, colour }) => `${job} ${colour}`.trim(),
    },
  },
);
export const PROOF_LOAD_TAKEN = record<ProofLoad>()(
  {
    id,
    name,
    wantedN: over(100_000),
    loadN: nullable(number(0, 100_000)),
    seconds: nullable(number(0, 100_000)),
    beforeMm: nullable(reading),
    afterMm: nullable(reading),
    sound: nullable(flag),
  },
  { about: { kind: 'proofLoad', prefix: 'load', noun: 'proof load', named: ({ name }) => name } },
);
export const WHEEL_ENDS = record<WheelEnds>()({
  calipers: list(CALIPER_FIT, 100),
  wheels: list(WHEEL_FIT, 100),
  hubs: list(HUB_FIT, 100),
  cables: list(CABLE, 50),
  wires: list(WIRE, 100),
  loads: list(PROOF_LOAD_TAKEN, 200),
  play: record<PushrodPlay>()({
    coldMm: nullable(span),
    hotMm: nullable(span),
    valveHolds: nullable(flag),
  }),
});
