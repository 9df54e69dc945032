import { figure, InputError } from '../../lib/faults/index.ts';
import {
  comesAs,
  END_NAMES,
  formsSeal,
  isTaper,
  SEAT_NAMES,
  threadByName,
  threadTakes,
  type EndForm,
  type FemaleHalf,
  type Half,
  type MaleHalf,
  type SeatForm,
  type Thread,
} from '../stock/index.ts';
import { basicOf, TAPER, taperReach } from './sizes.ts';

export const VERDICTS = ['seals', 'threads-but-will-not-seal', 'binds', 'will-not-start'] as const;
export type MateVerdict = (typeof VERDICTS)[number];
export interface MateInput {
  readonly male: MaleHalf;
  readonly female: FemaleHalf;
}
export interface Mate {
  readonly verdict: MateVerdict;
  readonly reasons: readonly string[];
  /** Flank that holds, as a share of a whole thread's; 0 or less where the male drops in. */
  readonly overlap: number;
  /** Turns until it binds; null where the pitches agree or it does not start. */
  readonly turnsToBind: number | null;
}

/** A male thicker than the female's pitch diameter by more than this does not start. Common practice. */
const TIGHT_MM = 0.05;
/** Pitches nearer than this share run together over the length of a fitting (contract of `mate`). */
const SAME_PITCH = 0.005;
const EQUAL_MM = 1e-9;
/** Engaged height of a 60° thread in pitches. Source: ISO 68-1, 5/8 of the sharp V. */
const HEIGHT = 0.541266;
const TAN_30 = Math.tan(Math.PI / 6);

/** The thread of a half. Throws InputError under `path` where it is not known, is never of that gender, or does not come with its form. */
export function threadOf(half: Half, path: string): Thread {
  const thread = threadByName(half.thread);
  if (!thread)
    throw new InputError(`${path}.thread`, `"${half.thread}" is not a thread in the catalog.`);
  if (!comesAs(thread, half.gender))
    throw new InputError(`${path}.thread`, `${thread.name} is never a ${half.gender} thread.`);
  const [field, form, name] =
    half.gender === 'male'
      ? (['end', half.end, END_NAMES[half.end]] as const)
      : (['seat', half.seat, SEAT_NAMES[half.seat]] as const);
  if (!threadTakes(thread, form))
    throw new InputError(`${path}.${field}`, `${thread.name} is not made with a ${name}.`);
  return thread;
}

/** Pitch diameter of a male where it goes in: of a taper at its small end (E0 of NPT, the gauge length before the gauge plane of R). */
const tipPitchDiameterMm = (male: Thread): number =>
  basicOf(male).pitchDiameterMm - taperReach(male).beforeMm * TAPER;

/** Forms that seal on a cone. */
const isCone = (form: EndForm | SeatForm): boolean => /45|37|bubble/.test(form);

/** How a joint comes together by its sizes alone. */
export function fit(
  male: Thread,
  female: Thread,
): Pick<Mate, 'overlap' | 'turnsToBind'> & {
  readonly starts: boolean;
  readonly samePitch: boolean;
} {
  const [m, f] = [basicOf(male), basicOf(female)];
  const overlap = (m.majorMm - f.minorMm) / 2 / (HEIGHT * Math.max(male.pitchMm, female.pitchMm));
  // A taper goes in by its small end.
  const tipMm = tipPitchDiameterMm(male);
  const starts = tipMm - f.pitchDiameterMm <= TIGHT_MM && overlap > 0;
  const offMm = Math.abs(male.pitchMm - female.pitchMm);
  const grows = isTaper(male) && !isTaper(female);
  const samePitch =
    isTaper(male) !== isTaper(female) ? offMm <= SAME_PITCH * female.pitchMm : offMm <= EQUAL_MM;
  const clearMm = Math.max(0, f.pitchDiameterMm - (grows ? tipMm : m.pitchDiameterMm));
  const perTurnMm = offMm + (grows ? TAN_30 * male.pitchMm * TAPER : 0);
  return {
    overlap,
    starts,
    samePitch,
    turnsToBind: starts && !samePitch ? (clearMm * TAN_30) / perTurnMm : null,
  };
}

/** R goes in Rc and Rp of its size, all others only in their own. */
const agree = (male: Thread, female: Thread): boolean =>
  male === female ||
  (male.family === 'r' &&
    (female.family === 'rc' || female.family === 'rp') &&
    male.dMm === female.dMm);

/** Whether two halves seal: one thread, and forms made for one another. What `mate` says, without its reasons. */
export const sealsTogether = (male: MaleHalf, female: FemaleHalf): boolean =>
  formsSeal(male.end, female.seat) &&
  (male.thread === female.thread ||
    agree(threadByName(male.thread)!, threadByName(female.thread)!));

function reasonsOf(
  input: MateInput,
  male: Thread,
  female: Thread,
  found: Omit<Mate, 'reasons'>,
): string[] {
  const { verdict, overlap, turnsToBind } = found;
  const [end, seat] = [END_NAMES[input.male.end], SEAT_NAMES[input.female.seat]];
  const pitches = `${figure(male.pitchMm, 3)} against ${figure(female.pitchMm, 3)} mm`;
  const holds = `${figure(100 * Math.min(overlap, 1), 0)} % of the thread flank in contact`;
  const unsealed = formsSeal(input.male.end, input.female.seat)
    ? []
    : [`Even with matching threads, the ${end} does not seal on the ${seat}.`];
  if (verdict === 'will-not-start')
    return [
      overlap <= 0
        ? `The male thread is too small: it drops in without engaging.`
        : `The male thread is ${figure(tipPitchDiameterMm(male) - basicOf(female).pitchDiameterMm, 2)} mm too large to start.`,
      ...unsealed,
    ];
  if (verdict === 'binds')
    return [
      `Starts, then binds after ${figure(turnsToBind!, 1)} turns. The pitches differ: ${pitches}.`,
      `${holds} until then.`,
      ...unsealed,
    ];
  if (verdict === 'seals')
    return [
      male.family === 'npt' || male.family === 'r'
        ? `The taper wedges in ${female.family === 'rp' ? 'a parallel pipe port made for it' : 'taper'} and seals with thread sealant.`
        : `The ${end} seats on the ${seat}; the thread only clamps them.`,
    ];
  if (isTaper(male) !== isTaper(female))
    return [
      isTaper(male)
        ? 'Does not seal, even with sealant: a taper may never wedge in a parallel port that is not made for it.'
        : 'Does not seal, even with sealant: a parallel thread in a taper port touches only at its incomplete first turns.',
    ];
  if (!agree(male, female))
    return [`The pitches match but the diameters do not: ${holds}.`, ...unsealed];
  return [
    isCone(input.male.end) && isCone(input.female.seat)
      ? `The threads match, but the ${end} touches the ${seat} along a line only, and leaks however tight.`
      : `The threads match, but the ${end} never reaches the ${seat}, and leaks however tight.`,
  ];
}

/**
 * Whether a male and a female half will join and whether they seal, by basic sizes. Throws InputError
 * for a thread that is not in the catalog, is never of that gender, or does not come with its end or
 * seat. Source: ISO 68-1, ASME B1.1, ISO 228-1, ISO 7-1; the pairs that seal are common practice.
 */
export function mate(input: MateInput): Mate {
  const male = threadOf({ gender: 'male', ...input.male }, 'male');
  const female = threadOf({ gender: 'female', ...input.female }, 'female');
  const { overlap, starts, samePitch, turnsToBind } = fit(male, female);
  const verdict: MateVerdict = !starts
    ? 'will-not-start'
    : !samePitch
      ? 'binds'
      : sealsTogether(input.male, input.female)
        ? 'seals'
        : 'threads-but-will-not-seal';
  const found = { verdict, overlap, turnsToBind };
  return { ...found, reasons: reasonsOf(input, male, female, found) };
}
