import { InputError } from '../../lib/faults/index.ts';
import type { CameOutAs, FillRun, RunEvent } from '../../plan/index.ts';
import { secondsOf } from '../../lib/units/index.ts';
import { methodById, type Method } from './methods.ts';

/**
 * Where a run stands: `ready` (bleeder shut, hose on), `open`, `down` (the pedal is down: shut before it comes up),
 * `low` (the reservoir is at its mark: nothing goes on until that is seen to), `stalled` (no fluid comes),
 * `paused`, `extra` (steps of the maker's sheet after the last corner), `done`.
 */
export type RunPhase = 'ready' | 'open' | 'down' | 'low' | 'stalled' | 'paused' | 'extra' | 'done';
export interface BleederLog {
  readonly portId: string;
  readonly strokes: number;
  readonly ml: number;
  readonly out: CameOutAs | null;
  /** What the pressure pot stood at; null: nobody noted it. */
  readonly potMPa: number | null;
  readonly seconds: number;
}
export interface RunState {
  readonly phase: RunPhase;
  /** What it goes back to from `low`, `stalled` and `paused`. */
  readonly back: 'ready' | 'open' | 'down';
  readonly step: number;
  readonly corners: readonly BleederLog[];
  /** Bleeders that stand open. */
  readonly open: readonly string[];
  readonly reservoirMl: number;
  /** A pressure pot is vented. */
  readonly vented: boolean;
  readonly extraDone: boolean;
  readonly tried: readonly string[];
  readonly felt: string | null;
  readonly seconds: number;
  /** The time of the last event, s. */
  readonly atS: number;
}
type Act = RunEvent['act'];
/** What stands against a bleeder that gives nothing, in the order in which it is tried. Common practice. */
export const STALL_TRIES = ['back-fill', 'tap', 'port', 'piston'] as const;

const UNTOUCHED: Omit<BleederLog, 'portId'> = {
  strokes: 0,
  ml: 0,
  out: null,
  potMPa: null,
  seconds: 0,
};
export function initialState(run: Pick<FillRun, 'order' | 'fullMl' | 'startedAt'>): RunState {
  return {
    phase: 'ready',
    back: 'ready',
    step: 0,
    corners: run.order.map((portId) => ({ portId, ...UNTOUCHED })),
    open: [],
    reservoirMl: run.fullMl,
    vented: true,
    extraDone: false,
    tried: [],
    felt: null,
    seconds: 0,
    atS: secondsOf(run.startedAt),
  };
}

const refuse = (why: string): never => {
  throw new InputError('run', why);
};

/** A tap on a run, with all that it is judged by. `now` is the state with the time that has gone. */
interface Tap {
  readonly run: FillRun;
  readonly event: RunEvent;
  readonly method: Method;
  readonly state: RunState;
  readonly now: RunState;
  readonly phase: RunPhase;
  readonly step: number;
  /** The bleeder whose turn it is; none once all are through. */
  readonly corner: BleederLog | undefined;
}
/** The bleeders, with something of the one whose turn it is changed. */
const cornerIs = ({ now, step }: Tap, patch: Partial<BleederLog>): BleederLog[] =>
  now.corners.map((one, i) => (i === step ? { ...one, ...patch } : one));
/** So much went through a bleeder; the reservoir gave it, or got it where it is pushed in from below. */
function used(
  tap: Tap,
  ml: number,
  then: RunPhase & RunState['back'],
  strokes: number,
  given = ml,
): RunState {
  const { now, run, corner } = tap;
  const reservoirMl = Math.max(0, now.reservoirMl - given);
  return {
    ...now,
    reservoirMl,
    phase: reservoirMl <= run.markMl ? 'low' : then,
    back: then,
    corners: cornerIs(tap, { strokes, ml: corner!.ml + ml }),
  };
}
/** What each tap makes of a run. Each throws InputError, which says what comes first, where it cannot be yet. */
const ACTS: Readonly<Record<Act, (tap: Tap) => RunState>> = {
  open: ({ phase, state, corner, method, now }) => {
    if (phase !== 'ready')
      refuse(
        phase === 'low'
          ? 'The reservoir is at the mark. Top up first.'
          : phase === 'down'
            ? 'Close the bleeder first.'
            : 'The bleeder is already open, or this is another wheel.',
      );
    if (state.open.length && !method.severalOpen)
      refuse('Another bleeder is open. Close it first.');
    return {
      ...now,
      phase: 'open',
      open: [...state.open, corner!.portId],
      vented: false,
      tried: [],
    };
  },
  stroke: (tap) => {
    const { phase, corner, run, method } = tap;
    if (method.flows) refuse('Fluid flows without strokes. Enter the reading on the jar.');
    if (phase === 'low') refuse('The reservoir is at the mark. Top up, or confirm the level.');
    if (phase === 'down') refuse('Close the bleeder and let the pedal up before the next stroke.');
    if (phase !== 'open') refuse('Open the bleeder first.');
    return used(tap, run.strokeMl, method.shuts ? 'down' : 'open', corner!.strokes + 1);
  },
  read: (tap) => {
    const { phase, corner, run, event, method } = tap;
    if (!method.flows) refuse('This method counts strokes.');
    if (phase === 'low') refuse('The reservoir is at the mark. Top up, or confirm the level.');
    if (phase !== 'open') refuse('Open the bleeder first.');
    const ml = event.ml ?? 0;
    // What a syringe pushes in comes up in the reservoir.
    return run.method === 'back-fill'
      ? used(tap, ml, 'open', corner!.strokes + 1, -ml)
      : used(tap, ml, 'open', corner!.strokes + 1);
  },
  close: ({ phase, state, corner, now }) => {
    const was = phase === 'low' ? state.back : phase;
    if (was !== 'open' && was !== 'down') refuse('The bleeder is already closed.');
    const isLow = phase === 'low';
    return {
      ...now,
      phase: isLow ? 'low' : 'ready',
      back: 'ready',
      open: state.open.filter((id) => id !== corner!.portId),
    };
  },
  out: (tap) => {
    const { phase, corner, event, now } = tap;
    if (!corner || phase === 'done' || phase === 'extra') refuse('No wheel is being bled.');
    return { ...now, corners: cornerIs(tap, { out: event.out ?? null }) };
  },
  'top-up': ({ phase, state, now, run, event }) => {
    if (phase === 'done') refuse('The run is over.');
    if (run.method === 'pressure' && !state.vented)
      refuse('Vent the pot first: fluid under pressure sprays out at the cap.');
    return {
      ...now,
      reservoirMl:
        event.ml === undefined ? run.fullMl : Math.min(run.fullMl, now.reservoirMl + event.ml),
      phase: phase === 'low' ? state.back : phase,
    };
  },
  level: ({ phase, state, now, run, event }) => {
    const reservoirMl = event.ml ?? now.reservoirMl;
    const isLow = reservoirMl <= run.markMl;
    // Who looked and says that it is low goes on by topping up; nobody goes on at nothing.
    if (isLow && phase !== 'low')
      return {
        ...now,
        reservoirMl,
        phase: 'low',
        back: phase === 'open' || phase === 'down' ? phase : 'ready',
      };
    return { ...now, reservoirMl, phase: phase === 'low' && !isLow ? state.back : phase };
  },
  pot: (tap) => {
    const { phase, run, corner, event, now } = tap;
    if (run.method !== 'pressure') refuse('This method has no pot.');
    if (!corner || phase === 'done' || phase === 'extra') refuse('No wheel is being bled.');
    return { ...now, corners: cornerIs(tap, { potMPa: event.potMPa ?? null }) };
  },
  vent: ({ state, run, now }) => {
    if (run.method !== 'pressure') refuse('This method has no pot to vent.');
    if (state.open.length) refuse('Close the bleeder first.');
    return { ...now, vented: true };
  },
  stall: ({ phase, now }) => {
    if (phase !== 'ready' && phase !== 'open' && phase !== 'down')
      refuse('No wheel is being bled.');
    return { ...now, phase: 'stalled', back: phase as RunState['back'] };
  },
  tried: ({ phase, event, now, state }) => {
    if (phase !== 'stalled') refuse('Tap “No flow” first.');
    return { ...now, tried: [...state.tried, event.how ?? ''] };
  },
  pause: ({ phase, state, now }) => {
    if (state.open.length)
      refuse('Close the bleeder first: an open bleeder runs the reservoir dry.');
    if (phase !== 'ready' && phase !== 'extra') refuse('This step cannot be skipped.');
    return { ...now, phase: 'paused', back: 'ready' };
  },
  resume: ({ phase, step, state, run, now }) => {
    if (phase === 'stalled') return { ...now, phase: state.back };
    if (phase !== 'paused') refuse('The run is not paused.');
    return { ...now, phase: state.extraDone || run.extraAfter !== step ? 'ready' : 'extra' };
  },
  next: ({ phase, step, state, run, method, now }) => {
    if (state.open.length && !method.severalOpen) refuse('Close the bleeder first.');
    if (phase === 'low') refuse('The reservoir is at the mark. Top up first.');
    if (phase !== 'ready' && phase !== 'open') refuse('No wheel is being bled.');
    const to = step + 1;
    const isExtra = run.extraAfter === to && !state.extraDone;
    return {
      ...now,
      step: to,
      phase: isExtra ? 'extra' : to >= run.order.length ? 'done' : 'ready',
      open: to >= run.order.length ? [] : state.open,
    };
  },
  extra: ({ phase, step, run, now }) => {
    if (phase !== 'extra') refuse('The last wheel is not done yet.');
    return { ...now, extraDone: true, phase: step >= run.order.length ? 'done' : 'ready' };
  },
  finish: ({ state, now }) => {
    if (state.open.length) refuse('Close the bleeder first.');
    return { ...now, phase: 'done' };
  },
  felt: ({ phase, event, now }) => {
    if (phase !== 'done') refuse('Finish the run first.');
    return { ...now, felt: event.how ?? null };
  },
};

/** The state after a tap. Throws InputError, which says what comes first, where it cannot be yet; nothing is changed then. */
export function nextState(state: RunState, event: RunEvent, run: FillRun): RunState {
  const { phase, step } = state;
  const gone =
    Math.min(Math.max(0, secondsOf(event.at) - state.atS), 3600) *
    (phase === 'paused' || phase === 'done' ? 0 : 1);
  const now: RunState = {
    ...state,
    atS: secondsOf(event.at),
    seconds: state.seconds + gone,
    corners: state.corners.map((one, i) =>
      i === step ? { ...one, seconds: one.seconds + gone } : one,
    ),
  };
  if (phase === 'done' && event.act !== 'felt') refuse('The run is over.');
  if (phase === 'paused' && event.act !== 'resume' && event.act !== 'finish')
    refuse('The run is paused. Tap “Go on” first.');
  const corner = state.corners[step];
  const method = methodById(run.method);
  return ACTS[event.act]({ run, event, method, state, now, phase, step, corner });
}

/** Where a run stands, by all that was told of it. What could not be is passed over and counted. */
export function replay(run: FillRun): { readonly state: RunState; readonly refused: number } {
  let state = initialState(run);
  let refused = 0;
  for (const event of run.log) {
    try {
      state = nextState(state, event, run);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      refused++;
    }
  }
  return { state, refused };
}
/** A run with one more tap. Throws InputError where that cannot be yet. */
export function withEvent(run: FillRun, event: RunEvent): FillRun {
  nextState(replay(run).state, event, run);
  return { ...run, log: [...run.log, event] };
}
export const withoutLast = (run: FillRun): FillRun => ({ ...run, log: run.log.slice(0, -1) });

/** Under this a pot pushes too slowly to carry bubbles along, MPa. Common practice: 10 psi. */
export const POT_LEAST_MPA = 0.07;
/** A pot may lose so much of its first pressure from wheel to wheel. Ours, said to be a judgement. */
const POT_LOST = 0.3;
/** Wheels at which the pot stood too low, or had fallen by too much since the first; null where nobody noted it at two wheels or more. */
export function potLowAt(run: FillRun): readonly BleederLog[] | null {
  if (run.method !== 'pressure') return null;
  const noted = replay(run).state.corners.filter(({ potMPa }) => potMPa !== null);
  if (noted.length < 2) return null;
  const first = noted[0]!.potMPa!;
  return noted.filter(({ potMPa }) => potMPa! < POT_LEAST_MPA || potMPa! < (1 - POT_LOST) * first);
}
