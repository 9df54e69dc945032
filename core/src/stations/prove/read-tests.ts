import {
  TEST_WORDS,
  wireVerdict,
  WIRE_NAMES,
  WIRE_TESTS,
  WIRE_VOLTS,
} from '../../physics/wheel-ends/index.ts';
import type { Plan } from '../../plan/index.ts';

/** What the readings of a test come to: nobody ticks it. */
export interface TestReading {
  readonly state: 'done' | 'bad' | 'open';
  /** What is wrong, or still to be read; empty where it is good. */
  readonly note: string;
  /** The screen on which they are entered; none: beside the test itself. */
  readonly screen?: string;
}
type Read = Pick<TestReading, 'state' | 'note'>;
const GOOD: Read = { state: 'done', note: '' };
const open = (note: string): Read => ({ state: 'open', note });
const bad = (note: string): Read => ({ state: 'bad', note });

function playOf(mm: number | null): Read {
  if (mm === null) return open('Not measured.');
  return mm > 0 ? GOOD : bad('No free play: the brakes drag and lock on. Shorten the pushrod.');
}
/** Free play of the pushrod, as it was measured in Fit. */
export const pushrodPlay = (
  { wheelEnds: { play } }: Pick<Plan, 'wheelEnds'>,
  when: 'coldMm' | 'hotMm',
): TestReading => ({
  ...playOf(play[when]),
  screen: 'fit/parking',
});

/** How the pedal of this vehicle felt cold, the last time that it was entered. */
export function pedalFelt({ proving }: Pick<Plan, 'proving'>): TestReading {
  const last = proving.pedal.filter(({ vehicle, hot }) => vehicle === 'this' && !hot).at(-1);
  return !last
    ? open('Enter a cold reading of this vehicle in the pedal log.')
    : last.sinks
      ? bad('It sinks under a steady foot. Do not drive.')
      : last.pumps
        ? bad('It comes up when pumped: bleed and adjust.')
        : GOOD;
}

/** The last stop that was entered: the rear must not lock first. */
export function stopsMade({ proving }: Pick<Plan, 'proving'>): TestReading {
  const last = proving.stops.at(-1);
  const read = !last
    ? open('No stop entered.')
    : last.locked === 'rear'
      ? bad('The rear locked first: the vehicle can spin.')
      : GOOD;
  return { ...read, screen: 'prove/stops' };
}

/** Every wire of a trailer's actuator at every test that is asked of it. */
export function wiresRead({ wheelEnds: { wires } }: Pick<Plan, 'wheelEnds'>): TestReading {
  const asked = wires.flatMap(({ job, volts }) =>
    WIRE_TESTS.filter((test) => WIRE_VOLTS[job][test]).map((test) => ({
      name: `${WIRE_NAMES[job]}, ${TEST_WORDS[test]}`,
      verdict: volts[test] === null ? null : wireVerdict(job, test, volts[test]),
    })),
  );
  const wrong = asked.find(({ verdict }) => verdict === 'low' || verdict === 'high');
  const unread = asked.find(({ verdict }) => verdict === null);
  const read = wrong
    ? bad(`${wrong.name}: too ${wrong.verdict}.`)
    : !asked.length
      ? open('No wire entered.')
      : unread
        ? open(`${unread.name}: not measured.`)
        : GOOD;
  return { ...read, screen: 'fit/wires' };
}
