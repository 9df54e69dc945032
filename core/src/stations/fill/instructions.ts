import type { FillRun, RunEvent } from '../../plan/index.ts';
import { methodById } from './methods.ts';
import { STALL_TRIES, type RunState } from './run.ts';

/** What is said of the tap to come, in large type. */
export interface Instruction {
  readonly title: string;
  readonly detail: string;
  /** The tap that goes on; null where there is more than one way. */
  readonly main: { readonly act: RunEvent['act']; readonly label: string } | null;
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
