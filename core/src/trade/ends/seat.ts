import type { EndForm, SeatForm } from '../stock/index.ts';
import { INVERTED_SEAT_DEG } from './surface.ts';

/** What somebody looking into a port, or at the nut that came out of it, can say. Null: not looked at. */
export interface SeatAnswers {
  /** What the bottom of the port does toward its middle. */
  readonly bottom: 'rises' | 'dips' | 'flat' | null;
  /** The nut: threaded to its very end, or with a plain shoulder there. */
  readonly nut: 'threaded-to-end' | 'shoulder' | null;
  /** Angle of a cone to its axis, by protractor, degrees. */
  readonly coneDeg: number | null;
  /** Whether the thread grows over ten turns. */
  readonly taper: boolean | null;
}
export interface SeatGuess {
  readonly seat: SeatForm;
  /** Answers that speak for it, and against it. */
  readonly fits: readonly string[];
  readonly against: readonly string[];
}
export interface SeatFound {
  /** Seats that nothing speaks against, those with most for them first. */
  readonly candidates: readonly SeatGuess[];
  /** The one look that would settle it; null where one seat is left, or none. */
  readonly next: string | null;
}

/** How far a protractor in a port may be off, degrees. Common practice. */
const CONE_SIGMA_DEG = 3;

interface Traits {
  readonly bottom: 'rises' | 'dips' | 'flat' | null;
  readonly nut: 'threaded-to-end' | 'shoulder' | null;
  readonly coneDeg: number | null;
  readonly taper: boolean;
}
/** What each seat shows. Null: it says nothing either way. Common practice. */
const TRAITS: Record<SeatForm, Traits> = {
  'inverted-flare-45': {
    bottom: 'rises',
    nut: 'threaded-to-end',
    coneDeg: INVERTED_SEAT_DEG,
    taper: false,
  },
  bubble: { bottom: 'dips', nut: 'shoulder', coneDeg: 59, taper: false },
  'flare-45': { bottom: 'dips', nut: null, coneDeg: 45, taper: false },
  'flare-37': { bottom: 'dips', nut: null, coneDeg: 37, taper: false },
  'banjo-face': { bottom: 'flat', nut: null, coneDeg: null, taper: false },
  'o-ring-boss': { bottom: 'flat', nut: null, coneDeg: 12, taper: false },
  'npt-taper': { bottom: null, nut: null, coneDeg: null, taper: true },
  'bspt-taper': { bottom: null, nut: null, coneDeg: null, taper: true },
};
const WORDS = {
  bottom: {
    rises: 'the bottom rises toward the middle',
    dips: 'the bottom dips toward the middle',
    flat: 'the bottom is flat or drilled through',
  },
  nut: {
    'threaded-to-end': 'the nut is threaded to the end',
    shoulder: 'the nut has a plain shoulder at the end',
  },
} as const;
const QUESTIONS: readonly (readonly [keyof SeatAnswers, string])[] = [
  ['taper', 'Measure the thread at the first turn and ten turns on: does it get larger?'],
  ['bottom', 'Look into the port with a light: does the bottom rise or dip toward the middle?'],
  ['nut', 'Check the old nut: threaded to the end, or a plain shoulder there?'],
  ['coneDeg', 'Hold a protractor to the cone: what is the angle to the axis?'],
];

function judge(seat: SeatForm, answers: SeatAnswers): SeatGuess {
  const traits = TRAITS[seat];
  const fits: string[] = [];
  const against: string[] = [];
  const say = (agrees: boolean, words: string): void => void (agrees ? fits : against).push(words);
  if (answers.bottom && traits.bottom)
    say(answers.bottom === traits.bottom, WORDS.bottom[answers.bottom]);
  if (answers.nut && traits.nut) say(answers.nut === traits.nut, WORDS.nut[answers.nut]);
  if (answers.coneDeg !== null && traits.coneDeg !== null)
    say(
      Math.abs(answers.coneDeg - traits.coneDeg) <= CONE_SIGMA_DEG,
      `the cone is at ${answers.coneDeg}° to the axis`,
    );
  if (answers.taper !== null)
    say(
      answers.taper === traits.taper,
      answers.taper ? 'the thread gets larger' : 'the thread is parallel',
    );
  return { seat, fits, against };
}

/** Which seats the answers leave, and which look comes next. Common practice: choose by the seat, not by habit. */
export function seatFrom(answers: SeatAnswers): SeatFound {
  const judged = (Object.keys(TRAITS) as SeatForm[]).map((seat) => judge(seat, answers));
  const candidates = judged
    .filter((guess) => !guess.against.length)
    .sort((a, b) => b.fits.length - a.fits.length);
  if (candidates.length < 2) return { candidates, next: null };
  // The first look not yet taken that parts those that are left.
  const parts = (key: keyof SeatAnswers): boolean =>
    new Set(candidates.map(({ seat }) => TRAITS[seat][key])).size > 1;
  const next = QUESTIONS.find(([key]) => answers[key] === null && parts(key));
  return {
    candidates,
    next: next
      ? next[1]
      : 'Compare the thread with a pitch gauge of 55° and one of 60°: NPT is 60°, R is 55°.',
  };
}

/** The end that goes on a seat: the tube's flare where there is one. */
export const END_FOR: Record<SeatForm, EndForm> = {
  'inverted-flare-45': 'double-flare-45',
  'flare-45': 'cone-45',
  'flare-37': 'cone-37',
  bubble: 'bubble',
  'banjo-face': 'banjo',
  'o-ring-boss': 'o-ring-boss',
  'npt-taper': 'npt-taper',
  'bspt-taper': 'bspt-taper',
};
