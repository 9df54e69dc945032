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
            ? 'Firm: close the cap'
            : 'Still soft'
          : 'All wheels done',
        detail: state.felt
          ? ''
          : 'Close and cap every bleeder, fill the reservoir to the mark. How is the pedal?',
        main: null,
      };
    case 'paused':
      return {
        title: 'Paused',
        detail: 'Every bleeder is closed. Put the cap on: fluid absorbs water from the air.',
        main: { act: 'resume', label: 'Go on' },
      };
    case 'extra':
      return {
        title: `Parking brake on and off, ${run.parkingTimes} times`,
        detail: 'On the maker’s sheet, before the wheels that repeat.',
        main: { act: 'extra', label: 'Done' },
      };
    case 'low':
      return run.method === 'pressure' && !state.vented
        ? {
            title: state.open.length ? `${at}: close the bleeder` : 'Vent the pot',
            detail: `About ${Math.round(state.reservoirMl)} mL left. Vent the pot before you open it.`,
            main: state.open.length
              ? { act: 'close', label: 'Closed' }
              : { act: 'vent', label: 'Vented' },
          }
        : {
            title: 'Top up the reservoir',
            detail: `About ${Math.round(state.reservoirMl)} mL left, calculated from the volume bled. New fluid only.`,
            main: { act: 'top-up', label: 'Topped up' },
          };
    case 'stalled': {
      const next = STALL_TRIES.find((one) => !state.tried.includes(one));
      const words = {
        'back-fill': 'Push 20 mL in at the bleeder with a syringe',
        tap: 'Tap the line and the part with a plastic handle',
        port: 'Close the bleeder; open the tube nut at the part: does fluid come out there?',
        piston: 'Stuck piston: remove the part, free the piston or replace it',
      };
      return {
        title: next ? words[next] : 'Leave this wheel and find the cause',
        detail: next
          ? `${at} gives no flow.${next === 'port' ? ' First let the pressure off: vent the pot, release the pedal. Glasses on, a rag around the nut.' : ''}`
          : 'Possible causes: compensating port closed by the pushrod, feed and outlet swapped, a pinched tube, a valve fitted backward.',
        main: next
          ? { act: 'tried', label: 'Tried' }
          : { act: 'resume', label: 'Back to the wheel' },
      };
    }
    case 'open':
      if (method.flows)
        return {
          title: run.method === 'back-fill' ? `${at}: push slowly` : `${at}: let it run`,
          detail:
            run.method === 'vacuum'
              ? 'Endless small bubbles come past the bleeder thread, not from the line.'
              : run.method === 'actuator'
                ? 'Pull the pin: the actuator pumps. Stop before the reservoir is low.'
                : 'Keep the hose end under fluid. Enter the reading on the jar.',
          main: enough ? { act: 'close', label: 'Closed' } : { act: 'read', label: '10 mL more' },
        };
      return {
        title: `${at}: pedal down${method.shuts ? ', and hold' : ''}`,
        detail: 'Push slowly, not quite to the floor.',
        main:
          enough && !method.shuts
            ? { act: 'close', label: 'Closed' }
            : { act: 'stroke', label: method.shuts ? 'Down' : 'Stroke' },
      };
    case 'down':
      return {
        title: `${at}: close, then pedal up`,
        detail: 'Never pedal first: it draws air and old fluid back in.',
        main: { act: 'close', label: 'Closed, pedal up' },
      };
    case 'ready':
      if (enough)
        return {
          title: `${at} runs clear: close and cap`,
          detail: `${Math.round(corner!.ml)} mL went through.`,
          main: {
            act: 'next',
            label: state.step + 1 >= run.order.length ? 'Closed, last wheel' : 'Closed, next wheel',
          },
        };
      return {
        title: `${at}: open ${QUARTER_TURN}`,
        detail: 'Hose on, end under fluid. Use a box wrench, not an open one.',
        main: { act: 'open', label: 'Open' },
      };
  }
}
