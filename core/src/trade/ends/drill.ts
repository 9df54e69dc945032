import { figure } from '../../lib/faults/index.ts';
import {
  comesAs,
  SEAT_FORMS,
  SEAT_NAMES,
  threadByName,
  THREADS,
  threadTakes,
  type FemaleHalf,
  type SeatForm,
} from '../stock/index.ts';
import { bandOf } from '../threads/index.ts';
import { alikesOf, identify } from '../threads/identify.ts';

/** A port to be named from its section and two readings. */
export interface DrillQuestion {
  readonly port: FemaleHalf;
  /** What vernier and pitch gauge say, each with its own error. */
  readonly diameterMm: number;
  readonly pitchMm: number;
  readonly threads: readonly string[];
  readonly seats: readonly SeatForm[];
}
export interface DrillReasons {
  readonly thread: string;
  readonly seat: string;
}

const OPTIONS = 4;
const VERNIER_MM = 0.02;

/** What a look into each seat shows. Common practice. */
const SHOWS: Record<SeatForm, string> = {
  'inverted-flare-45': 'the bottom rises to a cone, so the flare is hollow: a 45° double flare',
  bubble: 'the bottom dips like a shallow dish, so the flare is round: a bubble flare',
  'flare-45': 'a hollow cone at 45° to the axis takes a 45° nose',
  'flare-37': 'a steep hollow cone at 37° to the axis takes a 37° nose',
  'banjo-face':
    'the bore goes straight through and the face is spot-faced flat: a washer seals on it',
  'o-ring-boss': 'a short steep chamfer at the mouth makes room for a ring',
  'npt-taper': 'the thread gets larger toward the mouth, with 60° flanks: NPT',
  'bspt-taper': 'a pipe thread of 55° flanks: an R taper wedges in it',
};

const pick = <T>(list: readonly T[], random: () => number): T =>
  list[Math.floor(random() * list.length)]!;
/** `count` of a list with `sure` among them, in an order that gives nothing away. */
function options<T>(sure: T, close: readonly T[], rest: readonly T[], random: () => number): T[] {
  const chosen = new Set([sure, ...close].slice(0, OPTIONS));
  while (chosen.size < OPTIONS && chosen.size < rest.length) chosen.add(pick(rest, random));
  return [...chosen]
    .map((item) => ({ item, key: random() }))
    .sort((a, b) => a.key - b.key)
    .map(({ item }) => item);
}

/**
 * The next question. `random` gives numbers from 0 to 1. The right thread is always the one that
 * `identify` puts first for the readings: readings that would mislead are drawn again.
 */
export function drillQuestion(random: () => number): DrillQuestion {
  const females = THREADS.filter((thread) => comesAs(thread, 'female'));
  for (;;) {
    const thread = pick(females, random);
    const fitting = SEAT_FORMS.filter((seat) => threadTakes(thread, seat));
    const seat = pick(fitting, random);
    const { leastMm, mostMm } = bandOf(thread, 'female');
    const diameterMm = leastMm + random() * (mostMm - leastMm) + (2 * random() - 1) * VERNIER_MM;
    const pitchMm = thread.pitchMm;
    const best = identify({ gender: 'female', diameterMm, pitchMm }).candidates[0];
    if (best?.thread !== thread.name) continue;
    return {
      port: { thread: thread.name, seat },
      diameterMm: Math.round(diameterMm * 100) / 100,
      pitchMm: Math.round(pitchMm * 100) / 100,
      threads: options(
        thread.name,
        alikesOf(thread, 'female'),
        females.map((t) => t.name),
        random,
      ),
      seats: options(seat, [], SEAT_FORMS, random),
    };
  }
}

/** Why the answer is what it is, in the words of the same core that judges a plan. */
export function drillReasons({ port, diameterMm, pitchMm }: DrillQuestion): DrillReasons {
  const thread = threadByName(port.thread)!;
  const { leastMm, mostMm } = bandOf(thread, 'female');
  const alikes = alikesOf(thread, 'female');
  return {
    thread: `${port.thread}: a bore of ${figure(diameterMm, 2)} is in the range ${figure(leastMm, 2)} to ${figure(mostMm, 2)} mm, and ${figure(pitchMm, 2)} mm is the pitch.${alikes.length ? ` Easily mistaken for ${alikes.join(', ')}: use the pitch gauge to tell.` : ''}`,
    seat: `${SEAT_NAMES[port.seat]}: ${SHOWS[port.seat]}.`,
  };
}
