import { InputError } from '../../lib/faults/index.ts';
import type { CameOutAs, FillRun, RunEvent } from '../../plan/index.ts';
import { secondsOf } from '../../lib/units/index.ts';
import { methodById } from './methods.ts';

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

const FRESH: Omit<BleederLog, 'portId'> = { strokes: 0, ml: 0, out: null, seconds: 0 };
export function initialState(run: Pick<FillRun, 'order' | 'fullMl' | 'startedAt'>): RunState {
  return {
    phase: 'ready',
    back: 'ready',
    step: 0,
    corners: run.order.map((portId) => ({ portId, ...FRESH })),
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

/** The state after a tap. Throws InputError, which says what comes first, where it cannot be yet; nothing is changed then. */
export function nextState(state: RunState, event: RunEvent, run: FillRun): RunState {
  const method = methodById(run.method);
  const { phase, step } = state;
  const corner = state.corners[step];
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
  const cornerIs = (patch: Partial<BleederLog>): BleederLog[] =>
    now.corners.map((one, i) => (i === step ? { ...one, ...patch } : one));
  /** So much went through a corner; the reservoir gave it, or got it where it is pushed in from below. */
  const used = (
    ml: number,
    then: RunPhase & RunState['back'],
    strokes: number,
    given = ml,
  ): RunState => {
    const reservoirMl = Math.max(0, now.reservoirMl - given);
    const isLow = reservoirMl <= run.markMl;
    return {
      ...now,
      reservoirMl,
      phase: isLow ? 'low' : then,
      back: then,
      corners: cornerIs({ strokes, ml: corner!.ml + ml }),
    };
  };
  const acts: Record<Act, () => RunState> = {
    open: () => {
      if (phase !== 'ready')
        refuse(
          phase === 'low'
            ? 'The reservoir is at its mark: top it up first.'
            : phase === 'down'
              ? 'Shut the bleeder first.'
              : 'It is open already, or the run is not there.',
        );
      if (state.open.length && !method.severalOpen)
        refuse('Another bleeder is open: shut it first.');
      return {
        ...now,
        phase: 'open',
        open: [...state.open, corner!.portId],
        vented: false,
        tried: [],
      };
    },
    stroke: () => {
      if (method.flows) refuse('Fluid goes by itself: say what stands in the jar.');
      if (phase === 'low')
        refuse('The reservoir is at its mark: top it up, or say that you looked.');
      if (phase === 'down')
        refuse('Shut the bleeder and let the pedal up before it goes down again.');
      if (phase !== 'open') refuse('Open the bleeder first.');
      return used(run.strokeMl, method.shuts ? 'down' : 'open', corner!.strokes + 1);
    },
    read: () => {
      if (!method.flows) refuse('Strokes are counted here.');
      if (phase === 'low')
        refuse('The reservoir is at its mark: top it up, or say that you looked.');
      if (phase !== 'open') refuse('Open the bleeder first.');
      const ml = event.ml ?? 0;
      // What a syringe pushes in comes up in the reservoir.
      return run.method === 'back-fill'
        ? used(ml, 'open', corner!.strokes + 1, -ml)
        : used(ml, 'open', corner!.strokes + 1);
    },
    close: () => {
      const was = phase === 'low' ? state.back : phase;
      if (was !== 'open' && was !== 'down') refuse('It is shut already.');
      const isLow = phase === 'low';
      return {
        ...now,
        phase: isLow ? 'low' : 'ready',
        back: 'ready',
        open: state.open.filter((id) => id !== corner!.portId),
      };
    },
    out: () => {
      if (!corner || phase === 'done' || phase === 'extra') refuse('No corner is at hand.');
      return { ...now, corners: cornerIs({ out: event.out ?? null }) };
    },
    'top-up': () => {
      if (phase === 'done') refuse('The run is over.');
      if (run.method === 'pressure' && !state.vented)
        refuse('Vent the pot first: fluid under pressure comes out at the cap.');
      return {
        ...now,
        reservoirMl:
          event.ml === undefined ? run.fullMl : Math.min(run.fullMl, now.reservoirMl + event.ml),
        phase: phase === 'low' ? state.back : phase,
      };
    },
    level: () => {
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
    vent: () => {
      if (run.method !== 'pressure') refuse('There is no pot to vent.');
      if (state.open.length) refuse('Shut the bleeder first.');
      return { ...now, vented: true };
    },
    stall: () => {
      if (phase !== 'ready' && phase !== 'open' && phase !== 'down')
        refuse('No corner is at hand.');
      return { ...now, phase: 'stalled', back: phase as RunState['back'] };
    },
    tried: () => {
      if (phase !== 'stalled') refuse('Say first that nothing comes.');
      return { ...now, tried: [...state.tried, event.how ?? ''] };
    },
    pause: () => {
      if (state.open.length) refuse('Shut the bleeder first: what stands open runs dry.');
      if (phase !== 'ready' && phase !== 'extra') refuse('It cannot be left now.');
      return { ...now, phase: 'paused', back: 'ready' };
    },
    resume: () => {
      if (phase === 'stalled') return { ...now, phase: state.back };
      if (phase !== 'paused') refuse('It goes on already.');
      return { ...now, phase: state.extraDone || run.extraAfter !== step ? 'ready' : 'extra' };
    },
    next: () => {
      if (state.open.length && !method.severalOpen) refuse('Shut the bleeder first.');
      if (phase === 'low') refuse('The reservoir is at its mark: top it up first.');
      if (phase !== 'ready' && phase !== 'open') refuse('No corner is at hand.');
      const to = step + 1;
      const isExtra = run.extraAfter === to && !state.extraDone;
      return {
        ...now,
        step: to,
        phase: isExtra ? 'extra' : to >= run.order.length ? 'done' : 'ready',
        open: to >= run.order.length ? [] : state.open,
      };
    },
    extra: () => {
      if (phase !== 'extra') refuse('The last corner is not done yet.');
      return { ...now, extraDone: true, phase: step >= run.order.length ? 'done' : 'ready' };
    },
    finish: () => {
      if (state.open.length) refuse('Shut the bleeder first.');
      return { ...now, phase: 'done' };
    },
    felt: () => {
      if (phase !== 'done') refuse('Finish the run first.');
      return { ...now, felt: event.how ?? null };
    },
  };
  if (phase === 'done' && event.act !== 'felt') refuse('The run is over.');
  if (phase === 'paused' && event.act !== 'resume' && event.act !== 'finish')
    refuse('The run is paused: go on first.');
  return acts[event.act]();
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

/** What is said of the tap to come, in large type. */
export interface Instruction {
  readonly title: string;
  readonly detail: string;
  /** The tap that goes on; null where there is more than one way. */
  readonly main: { readonly act: Act; readonly label: string } | null;
}
const QUARTER_TURN = 'a quarter turn';
/** What to do now. `name` is of the bleeder's part. */
export function instructionOf(
  run: FillRun,
  state: RunState,
  name: (portId: string) => string,
): Instruction {
  const method = methodById(run.method);
  const corner = state.corners[state.step];
  const at = corner ? name(corner.portId) : '';
  const wanted = run.flushMl[state.step] ?? 0;
  const enough = corner ? corner.ml >= wanted - 1e-9 && corner.out === 'clear' : true;
  switch (state.phase) {
    case 'done':
      return {
        title: state.felt
          ? state.felt === 'firm'
            ? 'Firm: shut the cap'
            : 'Still soft'
          : 'All corners are through',
        detail: state.felt
          ? ''
          : 'Every bleeder shut and capped, reservoir to its mark. How is the pedal?',
        main: null,
      };
    case 'paused':
      return {
        title: 'Paused',
        detail: 'Every bleeder is shut. Cap on: fluid takes up water from the air.',
        main: { act: 'resume', label: 'Go on' },
      };
    case 'extra':
      return {
        title: `Parking brake on and off, ${run.parkingTimes} times`,
        detail: 'By the maker’s sheet, before the corners that come again.',
        main: { act: 'extra', label: 'Done' },
      };
    case 'low':
      return run.method === 'pressure' && !state.vented
        ? {
            title: state.open.length ? `${at}: shut the bleeder` : 'Vent the pot',
            detail: `About ${Math.round(state.reservoirMl)} mL are left. The pot is vented before it is opened.`,
            main: state.open.length
              ? { act: 'close', label: 'Shut' }
              : { act: 'vent', label: 'Vented' },
          }
        : {
            title: 'Top up the reservoir',
            detail: `About ${Math.round(state.reservoirMl)} mL are left, by what went through. New fluid only.`,
            main: { act: 'top-up', label: 'Topped up, full' },
          };
    case 'stalled': {
      const next = STALL_TRIES.find((one) => !state.tried.includes(one));
      const words = {
        'back-fill': 'Push 20 mL in at the bleeder by syringe',
        tap: 'Tap the line and the part with a plastic handle',
        port: 'Shut the bleeder; open the tube nut at the part: does fluid come there?',
        piston: 'A piston that is stuck: part off, piston freed, or a new one',
      };
      return {
        title: next ? words[next] : 'Leave this corner and find the cause',
        detail: next
          ? `${at} gives nothing.`
          : 'Compensating port shut by the pushrod, feed and outlet swapped, a tube pinched, a valve the wrong way round.',
        main: next
          ? { act: 'tried', label: 'Tried' }
          : { act: 'resume', label: 'Back to the corner' },
      };
    }
    case 'open':
      if (method.flows)
        return {
          title: run.method === 'back-fill' ? `${at}: push slowly` : `${at}: let it run`,
          detail:
            run.method === 'vacuum'
              ? 'Small bubbles that never end come past the thread, not out of the line.'
              : run.method === 'actuator'
                ? 'Pin pulled: it pumps. Stop before the reservoir is low.'
                : 'Hose end under fluid. Say what stands in the jar.',
          main: enough ? { act: 'close', label: 'Shut' } : { act: 'read', label: '10 mL more' },
        };
      return {
        title: `${at}: pedal down${method.shuts ? ', and hold' : ''}`,
        detail: 'Slowly, all of the stroke but the last of it.',
        main:
          enough && !method.shuts
            ? { act: 'close', label: 'Shut' }
            : { act: 'stroke', label: method.shuts ? 'Down' : 'Stroke' },
      };
    case 'down':
      return {
        title: `${at}: shut it, then pedal up`,
        detail: 'Never the pedal first: what came out is drawn back.',
        main: { act: 'close', label: 'Shut, pedal up' },
      };
    case 'ready':
      if (enough)
        return {
          title: `${at} runs clear: shut and capped`,
          detail: `${Math.round(corner!.ml)} mL went through.`,
          main: {
            act: 'next',
            label:
              state.step + 1 >= run.order.length ? 'Closed, last corner' : 'Closed, next corner',
          },
        };
      return {
        title: `${at}: open it ${QUARTER_TURN}`,
        detail: 'Hose on, its end under fluid. A box wrench, not an open one.',
        main: { act: 'open', label: 'Open' },
      };
  }
}
