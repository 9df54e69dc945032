import { WAYS_TO_BLEED, type WayToBleed } from '../../physics/air/index.ts';
import {
  choice,
  flag,
  id,
  list,
  name,
  nullable,
  number,
  once,
  oneOf,
  optional,
  over,
  record,
  ownerRef,
  pastRef,
  ref,
  text,
  time,
  day,
  told,
  noted,
} from './field.ts';
import type { Floor } from './floor.ts';
import type { Part } from './part.ts';

/** How fluid is pushed or drawn through. */
export const FILL_METHODS = [...WAYS_TO_BLEED, 'actuator'] as const;
export type FillMethod = WayToBleed | 'actuator';
/** What was said done before fluid goes in; `stamp` is of what it was said of. */
export interface PreFillConfirmation {
  readonly key: string;
  readonly at: string;
  readonly stamp: string;
}
/** What the maker's sheet says of the order: where it stands, and what comes after the last corner. */
export interface MakersOrder {
  readonly source: string;
  /** Times the parking brake goes on and off after the last corner. */
  readonly parkingTimes: number;
  /** Bleeder ports that are bled once more after that. */
  readonly again: readonly string[];
}
/** The fluid of one reservoir. */
export interface ReservoirFluid {
  /** The part that is its reservoir. */
  readonly part: string;
  readonly fluidId: string;
  readonly batch: string;
  /** Where the choice comes from: sheet, cap, plate. */
  readonly source: string;
  /** What each source names; where two differ, the choice needs a reason. */
  readonly capId?: string | null;
  readonly plateId?: string | null;
  readonly sheetId?: string | null;
  /** Why this fluid, where its sources differ. */
  readonly why?: string;
  readonly openedOn: string | null;
  readonly filledOn: string | null;
  readonly nextOn: string | null;
  /** Measured boiling point, °C. */
  readonly boilC: number | null;
  /** Hottest place of this fluid as it was measured, °C. */
  readonly hotC: number | null;
  /** What was in it before; null: nothing, it is new. */
  readonly wasId: string | null;
  /** Every seal renewed in what the new fluid asks for; all lines flushed; the parts' sheets name both families. */
  readonly seals: boolean;
  readonly flushed: boolean;
  readonly named: boolean;
}
export const RUN_ACTS = [
  'open',
  'stroke',
  'read',
  'close',
  'out',
  'top-up',
  'level',
  'vent',
  'stall',
  'tried',
  'pot',
  'pause',
  'resume',
  'next',
  'extra',
  'finish',
  'felt',
] as const;
export const CAME_OUT = ['bubbles', 'froth', 'clear', 'dirty'] as const;
export type CameOutAs = (typeof CAME_OUT)[number];
/** One tap of a run. */
export interface RunEvent {
  readonly act: (typeof RUN_ACTS)[number];
  readonly at: string;
  readonly ml?: number;
  /** What the pressure pot stood at, at the wheel whose turn it was. */
  readonly potMPa?: number;
  readonly out?: CameOutAs;
  /** What was tried against a bleeder that gives nothing, or how the pedal felt at the end. */
  readonly how?: string;
}
/** A run at the bleeders, as it was begun and as it was told. */
export interface FillRun {
  readonly id: string;
  readonly work: 'brake' | 'clutch';
  readonly method: FillMethod;
  /** Bleeder ports in their turn, with what is to go through each. */
  readonly order: readonly string[];
  readonly flushMl: readonly number[];
  /** After so many of them the extra steps of the maker's sheet; null: there are none. */
  readonly extraAfter: number | null;
  readonly parkingTimes: number;
  readonly strokeMl: number;
  readonly fullMl: number;
  readonly markMl: number;
  readonly startedAt: string;
  readonly log: readonly RunEvent[];
}
/** Whether fluid went through in a run. */
const hasFlowed = ({ log }: FillRun): boolean =>
  log.some(({ act }) => act === 'stroke' || act === 'read');
/** Whether the newest run of a work was finished. */
export const isFinished = ({ runs }: Pick<Filling, 'runs'>, work: FillRun['work']): boolean =>
  (runs.findLast((run) => run.work === work)?.log ?? []).some(({ act }) => act === 'felt');
/** Whether fluid is in: a run moved some, or the floor says so. */
export const fluidIsIn = ({
  filling,
  floor,
}: {
  readonly filling: Pick<Filling, 'runs'>;
  readonly floor: Pick<Floor, 'done'>;
}): boolean => filling.runs.some(hasFlowed) || floor.done.some(({ task }) => task === 'fill');
export const FILL_TOOLS = [
  'hose and jar',
  'one-way bleeder',
  'vacuum pump',
  'pressure pot',
  'cap adapter',
  'syringe',
  'scan tool',
] as const;
export type FillTool = (typeof FILL_TOOLS)[number];
/** Everything about the fluid: how it goes in, what was looked at before, what was done. */
export interface Filling {
  /** Null: the one that suits people and tools. */
  readonly method: FillMethod | null;
  readonly people: number;
  readonly tools: readonly FillTool[];
  readonly usedMaster: boolean;
  readonly when: 'now' | 'later';
  readonly makers: MakersOrder | null;
  readonly before: readonly PreFillConfirmation[];
  readonly fluids: readonly ReservoirFluid[];
  readonly runs: readonly FillRun[];
}
export const NO_FILLING: Filling = {
  method: null,
  people: 2,
  tools: ['hose and jar'],
  usedMaster: false,
  when: 'now',
  makers: null,
  before: [],
  fluids: [],
  runs: [],
};

/** What a reservoir is filled with until somebody says what. */
export const USUAL_FLUID_ID = 'dot-4';
/** The fluid of a reservoir of which nothing was said but which it is. */
export const freshFluid = (part: string, fluidId: string = USUAL_FLUID_ID): ReservoirFluid => ({
  part,
  fluidId,
  batch: '',
  source: '',
  openedOn: null,
  filledOn: null,
  nextOn: null,
  boilC: null,
  hotC: null,
  wasId: null,
  seals: false,
  flushed: false,
  named: false,
});
/** The fluid that goes into what these parts hold: that of the first reservoir among them of which it is known. */
export const fluidFor = (
  { filling }: { readonly filling: Filling },
  parts: readonly { readonly id: string }[],
): string =>
  filling.fluids.find(({ part }) => parts.some(({ id }) => id === part))?.fluidId ?? USUAL_FLUID_ID;
/** Parts that fluid is poured into: reservoirs, and masters and actuators with one of their own. */
export const reservoirParts = (parts: readonly Part[]): Part[] =>
  parts.filter(
    ({ kind, ports }) =>
      kind === 'reservoir' ||
      kind === 'actuator' ||
      (kind === 'master' && !ports.some(({ role }) => role === 'feed')),
  );
/** What is known of the fluid in a reservoir. */
export const fluidIn = ({ filling }: { readonly filling: Filling }, part: string): ReservoirFluid =>
  filling.fluids.find((one) => one.part === part) ?? freshFluid(part);

const ml = number(0, 100_000);
export const FLUID_IN = record<ReservoirFluid>()(
  {
    part: told('Reservoir', ownerRef('part')),
    fluidId: told('Fluid', ref('fluid')),
    batch: told('Batch on the bottle', text),
    source: told('Source', noted(text)),
    capId: told('The cap says', optional(nullable(ref('fluid'))), { none: 'nothing' }),
    plateId: told('The plate says', optional(nullable(ref('fluid'))), { none: 'nothing' }),
    sheetId: told('The sheet says', optional(nullable(ref('fluid'))), { none: 'nothing' }),
    why: told('Why this fluid, where sources differ', optional(text)),
    openedOn: told('Bottle opened', nullable(day)),
    filledOn: told('Filled', nullable(day)),
    nextOn: told('Replace by', nullable(day)),
    boilC: told('Measured boiling point', nullable(number(0, 400))),
    hotC: told('Highest temperature nearby', nullable(number(-50, 1000))),
    wasId: told('Previous fluid', nullable(ref('fluid')), { none: 'nothing: new parts' }),
    seals: told('Every seal replaced', flag),
    flushed: told('All lines flushed', flag),
    named: told('Sheets name both fluids', flag),
  },
  {
    about: {
      kind: 'reservoirFluid',
      prefix: 'reservoirFluid',
      noun: 'fluid of a reservoir',
      named: ({ part }) => part,
      key: 'part',
      unlisted: true,
    },
  },
);
export const MAKERS_ORDER = record<MakersOrder>()({
  source: told('Sheet and page', text),
  parkingTimes: told('Parking brake on and off, times', number(0, 100, { whole: true })),
  again: told('Bled again', once(ref('port'), 200)),
});
export const RUN_EVENT = record<RunEvent>()({
  act: told('Act', oneOf(RUN_ACTS)),
  at: told('Time', time),
  ml: told('Volume', optional(ml)),
  potMPa: told('Pot pressure', optional(number(0, 10)), {
    usual: [0.02, 0.5],
    likely: [0.05, 0.2],
  }),
  out: told('What came out', optional(oneOf(CAME_OUT))),
  how: told('How', optional(text)),
});
const RUN = record<FillRun>()(
  {
    id,
    work: told('Work', oneOf(['brake', 'clutch'])),
    method: told('Method', oneOf(FILL_METHODS)),
    order: told('Order', list(pastRef('port'), 500, 1)),
    flushMl: told('Flush volume', list(ml, 500)),
    extraAfter: told('Extra steps after', nullable(number(0, 500, { whole: true }))),
    parkingTimes: told('Parking brake on and off, times', number(0, 100, { whole: true })),
    strokeMl: told('Volume of a stroke', over(1000)),
    fullMl: told('Volume full', ml),
    markMl: told('Volume at the mark', ml),
    startedAt: told('Started', time),
    log: told('Steps', list(RUN_EVENT, 20_000)),
  },
  {
    about: {
      kind: 'fillRun',
      prefix: 'run',
      noun: 'bleeding run',
      named: ({ startedAt }) => `Run of ${startedAt.slice(0, 10)}`,
    },
  },
);
const PRE_FILL_CONFIRMATION = record<PreFillConfirmation>()(
  { key: told('Item', name), at: told('Time', noted(time)), stamp: told('Confirmed of', text) },
  {
    about: {
      kind: 'preFillConfirmation',
      prefix: 'preFillConfirmation',
      noun: 'check before filling',
      named: ({ key }) => key,
      key: 'key',
      unlisted: true,
    },
  },
);
export const FILLING = record<Filling>()({
  method: told('Method', nullable(oneOf(FILL_METHODS))),
  people: told('People', number(1, 20, { whole: true })),
  tools: told('Tools', once(oneOf(FILL_TOOLS), 20)),
  usedMaster: told('Used master cylinder', flag),
  when: told('When', choice({ now: 'now', later: 'later' })),
  makers: told('Maker’s order', nullable(MAKERS_ORDER)),
  before: told('Confirmed before filling', list(PRE_FILL_CONFIRMATION, 500)),
  fluids: told('Fluids', list(FLUID_IN, 50)),
  runs: told('Bleeding runs', list(RUN, 200)),
});
