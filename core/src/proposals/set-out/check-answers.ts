import { fluidById, tubeById } from '../../trade/stock/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { tyreOf } from './tyre.ts';
import {
  type Answers,
  type Ask,
  defaultsFor,
  type Vehicle,
  isNumberAsk,
  NUMBERS,
  CHOICES,
} from './answers.ts';

/** Answers whose word was changed, on a vehicle: those of another vehicle that were not said become that vehicle's own. */
export function answered(
  now: Answers,
  said: ReadonlySet<Ask>,
  ask: Ask,
  to: string | number,
): Answers {
  checkAnswer(ask, to);
  if (ask !== 'vehicle') return { ...now, [ask]: to };
  const kept = Object.fromEntries(
    [...said].filter((one) => one !== 'vehicle').map((one) => [one, now[one]]),
  );
  return { ...defaultsFor(to as Vehicle), ...kept };
}

/** Refuses an answer outside what is possible, with InputError at its name. */
export function checkAnswer(ask: Ask, to: string | number): void {
  if (isNumberAsk(ask)) {
    const { least, most, name, unit } = NUMBERS[ask];
    const of = unit === 'length' ? 'mm' : unit;
    if (typeof to !== 'number' || !Number.isFinite(to) || to < least || to > most)
      throw new InputError(ask, `${name} of ${to} ${of} is outside ${least} to ${most} ${of}.`);
  } else if (ask === 'tyre') tyreOf(String(to));
  else if (ask === 'tube') {
    if (!tubeById(String(to))) throw new InputError(ask, `No tube in the catalog is called ${to}.`);
  } else if (ask === 'fluid') {
    if (!fluidById(String(to)))
      throw new InputError(ask, `No fluid in the catalog is called ${to}.`);
  } else if (
    !(CHOICES[ask] as readonly (readonly [string, string])[]).some(([value]) => value === to)
  )
    throw new InputError(ask, `“${to}” is not one of the choices.`);
}
/** Refuses answers that do not go together, with InputError at the one to change. */
export function checkAnswers(answers: Answers): void {
  for (const one of Object.keys(answers) as Ask[]) checkAnswer(one, answers[one]);
  const { emptyKg, ladenKg, railsOverMm, frontTrackMm, rearTrackMm, tyre, vehicle } = answers;
  if (ladenKg < emptyKg)
    throw new InputError(
      'ladenKg',
      `Laden mass is ${ladenKg} kg, less than the empty mass of ${emptyKg} kg.`,
    );
  if (vehicle === 'motorcycle') return;
  const least = railsOverMm + 2 * tyreOf(tyre).widthMm;
  const track = Math.min(frontTrackMm, rearTrackMm);
  if (track < least)
    throw new InputError(
      'railsOverMm',
      `Rails ${railsOverMm} mm apart, outside to outside, leave no room for wheels on a track of ${track} mm.`,
    );
}
