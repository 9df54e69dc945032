import {
  HUB_KINDS,
  HUB_SCHOOLS,
  NUT_SEATS,
  type CableReadings,
  type HubKind,
  type HubSchool,
  type LoadReadings,
  type Shims,
  type StackBolt,
  type SupplyRun,
  type Studs,
  type WheelReadings,
} from '../../physics/wheel-ends/index.ts';
import { SUPPLY_RUN, WIRE, type Wire } from './wiring.ts';
import { CLEARANCES, type Clearance } from './clearances.ts';
import {
  choice,
  each,
  flag,
  yesNo,
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
  told,
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
  /** What lies close at this corner, each checked by itself through travel and lock: clear, touching, or not checked. */
  readonly clears: Readonly<Record<Clearance, boolean | null>>;
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
  /** Wire and breaker of a trailer's actuator; not there while nobody has begun it. */
  readonly supply?: SupplyRun | null;
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

const SIDES = { left: 'the left side', right: 'the right side', either: 'either side' } as const;
const gap = number(0, 100);
const reading = number(-1000, 1000);
const span = number(0, 10_000);
export const STACK_BOLT = record<StackBolt>()({
  lengthMm: told('Bolt, under its head', over(1000), { usual: [1, 500] }),
  gripMm: told('Bracket and ear, thickness', gap),
  washerMm: told('Washers', gap),
  needMm: told('Thread that must hold', gap),
  depthMm: told('Depth of the thread', optional(nullable(gap)), { none: 'through' }),
  shankMm: told('Plain shank', optional(gap), { none: 'none' }),
});
export const SHIMS = record<Shims>()({
  thicknessMm: told('Thickness', over(20), { digits: 2 }),
  count: told('How many', number(1, 60, { whole: true })),
});
const CALIPER_GAP = { none: 'not measured', digits: 2, likely: [0, 25] } as const;
export const CALIPER_FIT = record<CaliperFit>()(
  {
    key: told('Caliper', ownerRef('part')),
    innerGapMm: told('Gap on the inner side', nullable(gap), CALIPER_GAP),
    outerGapMm: told('Gap on the outer side', nullable(gap), CALIPER_GAP),
    stackMm: told('Shims in while measuring', gap, { digits: 2 }),
    moves: told('More shim moves it', choice({ out: 'outward', in: 'inward' })),
    box: told('Shims at hand', list(SHIMS, 8)),
    bolt: told('Bolt', nullable(STACK_BOLT)),
    fittedMm: told('Shims fitted', nullable(gap)),
    padOverMm: told('Pad’s edge over the disc’s', nullable(number(-100, 100)), {
      none: 'not checked',
      digits: 2,
      likely: [-10, 20],
    }),
    disc: told('Disc’s vanes are for', nullable(choice(SIDES)), {
      none: 'not checked',
    }),
    clears: told('Clearances', each(CLEARANCES, nullable(yesNo('clear', 'touches')))),
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
  caliperRadiusMm: told('Caliper’s highest place, from the axis', over(1000), { usual: [1, 1000] }),
  caliperOutMm: told('Caliper past the hub’s face', reading),
  barrelRadiusMm: told('Wheel’s barrel, inside, from the axis', over(1000), { usual: [1, 1000] }),
  spokesMm: told('Wheel’s face in to the back of its spokes', reading),
});
export const STUDS = record<Studs>()({
  count: told('Studs', number(3, 12, { whole: true })),
  dMm: told('Thread diameter', over(100), { usual: [4, 100], unit: 'mm' }),
  pitchMm: told('Pitch', over(10), { usual: [0.2, 10], unit: 'mm' }),
  lengthMm: told('Studs out of the hub’s face', over(500), { usual: [1, 500] }),
  flangeMm: told('Wheel where the nut sits', number(0, 500)),
  seat: told('Nut seat', optional(oneOf(NUT_SEATS)), { none: 'not known' }),
});
export const WHEEL_FIT = record<WheelFit>()(
  {
    key: told('Wheel', ownerRef('thing')),
    readings: told('Readings', nullable(WHEEL_READINGS)),
    spacerMm: told('Spacer', number(0, 300)),
    stacked: told('stacked, or of plastic', flag),
    studs: told('Studs', nullable(STUDS)),
    hand: told(
      'Hand of the studs',
      choice({ right: 'right-hand thread', left: 'left-hand thread' }),
    ),
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
export const PLAY_LIMITS = record<{ readonly least: number; readonly most: number }>()({
  least: told('Least end play on the sheet', number(0, 50), { unit: 'mm' }),
  most: told('Most end play on the sheet', number(0, 50), { unit: 'mm' }),
});
export const HUB_FIT = record<HubFit>()(
  {
    id,
    name,
    kind: told(
      'Kind',
      oneOf(HUB_KINDS, {
        adjustable: 'two bearings, adjusted',
        unit: 'unit hub',
        spacer: 'with a spacer',
      }),
    ),
    school: told('Drawn up', oneOf(HUB_SCHOOLS)),
    endPlayMm: told('End play', nullable(number(0, 50)), {
      none: 'not measured',
      unit: 'mm',
      likely: [0, 0.5],
    }),
    sheetMm: told('End play on the sheet', nullable(PLAY_LIMITS)),
    newLock: told('Split pin, tab or nut', nullable(yesNo('new', 'used before'))),
  },
  { about: { kind: 'hub', prefix: 'hub', noun: 'hub', named: ({ name }) => name } },
);
export const CABLE = record<Cable>()(
  {
    id,
    name,
    wayMm: told('Path, stop to stop', span, { usual: [1, 10000] }),
    outerMm: told('Outer cable', span, { usual: [1, 10000] }),
    freeMm: told('Inner past the outer', span),
    needMm: told('Inner needed at the levers', span),
    adjustMm: told('Adjuster range', span),
    hand: told('Made for', choice(SIDES)),
    slackAfterMm: told('Slack after twenty pulls', nullable(span), { none: 'not pulled yet' }),
  },
  { about: { kind: 'cable', prefix: 'cable', noun: 'cable', named: ({ name }) => name } },
);
export const PROOF_LOAD_TAKEN = record<ProofLoad>()(
  {
    id,
    name,
    wantedN: told('Load required', over(100_000)),
    loadN: told('Loaded with', nullable(number(0, 100_000)), {
      none: 'not yet',
      likely: [500, 5000],
    }),
    seconds: told('Held for', nullable(number(0, 100_000)), { none: 'not yet', likely: [2, 300] }),
    beforeMm: told('Mark before', nullable(reading), { none: 'not measured' }),
    afterMm: told('Mark after', nullable(reading), { none: 'not measured' }),
    sound: told('Checked after', nullable(yesNo('sound', 'cracked or moved')), {
      none: 'not checked',
    }),
  },
  { about: { kind: 'proofLoad', prefix: 'load', noun: 'proof load', named: ({ name }) => name } },
);
export const PUSHROD_PLAY = record<PushrodPlay>()({
  coldMm: told('Free play at the pad, cold', nullable(span), {
    none: 'not measured',
    likely: [0, 40],
  }),
  hotMm: told('Free play, hot', nullable(span), { none: 'not measured', likely: [0, 40] }),
  valveHolds: told('Booster’s check valve', nullable(yesNo('holds', 'leaks')), {
    none: 'not tried',
  }),
});
export const WHEEL_ENDS = record<WheelEnds>()({
  calipers: told('Calipers', list(CALIPER_FIT, 100)),
  wheels: told('Wheels', list(WHEEL_FIT, 100)),
  hubs: told('Hubs', list(HUB_FIT, 100)),
  cables: told('Parking brake cables', list(CABLE, 50)),
  supply: told('Supply of the actuator', optional(nullable(SUPPLY_RUN))),
  wires: told('Trailer wires', list(WIRE, 100)),
  loads: told('Proof loads', list(PROOF_LOAD_TAKEN, 200)),
  play: told('Pedal and pushrod', PUSHROD_PLAY),
});
