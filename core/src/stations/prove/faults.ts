import {
  CAUSES,
  causeRow,
  checkRow,
  OTHER_SHOWS,
  SYMPTOMS,
  type Cause,
  type CauseRow,
  type Symptom,
} from './fault-tables.ts';

/** What was checked: seen or not; what is not there, nobody checked. */
export type Evidence = Partial<Record<Symptom, boolean>>;
/** What a circuit has, of what some causes and checks need. */
export type Fitted = ReadonlySet<NonNullable<CauseRow['needs']>>;
const EVERYTHING: Fitted = new Set(['drums', 'hoses', 'booster', 'modulator']);

export interface Ranked {
  readonly cause: Cause;
  readonly chance: number;
  /** Why it shows what was seen. */
  readonly reasons: readonly string[];
}
export interface Finding {
  /** Each cause with the chance that it is there; several may be at once. */
  readonly ranked: readonly Ranked[];
  /** The chance that nothing is wrong. */
  readonly sound: number;
  readonly verdict: 'sound' | 'named' | 'cannot-tell';
  /** The check that tells most for its minutes; null where none would tell anything. */
  readonly next: {
    readonly act: string;
    readonly symptom: Symptom;
    readonly minutes: number;
    readonly bits: number;
  } | null;
}

/** A chance from which a cause, or that nothing is wrong, is said outright. Ours, said to be a judgement. */
export const SAID_FROM = 0.6;
/** No more causes than this are thought of at once. */
const MOST_AT_ONCE = 3;
/** Less than this is not worth a minute, bits. */
const LEAST_BITS = 0.01;

/** Causes that are there together, how likely that is before anything is known, and how often each check then shows something. */
interface Case {
  readonly causes: readonly Cause[];
  readonly weight: number;
  readonly shows: Readonly<Record<Symptom, number>>;
}
const chanceFrom = (symptom: Symptom, cause: Cause): number =>
  cause === 'other' ? OTHER_SHOWS : (checkRow(symptom).from[cause]?.[0] ?? 0);
/** A check shows nothing only where neither chance nor any of the causes makes it (noisy or). */
const showsOf = (causes: readonly Cause[]): Case['shows'] =>
  Object.fromEntries(
    SYMPTOMS.map((symptom) => [
      symptom,
      1 -
        causes.reduce(
          (hidden, cause) => hidden * (1 - chanceFrom(symptom, cause)),
          1 - checkRow(symptom).by,
        ),
    ]),
  ) as Record<Symptom, number>;
function casesOf(possible: readonly Cause[]): Case[] {
  const often = (cause: Cause): number => causeRow(cause).often;
  let last: Omit<Case, 'shows'>[] = [
    { causes: [], weight: possible.reduce((all, cause) => all * (1 - often(cause)), 1) },
  ];
  const cases = [...last];
  for (let size = 1; size <= MOST_AT_ONCE; size++) {
    last = last.flatMap(({ causes, weight }) =>
      possible.slice(causes.length ? possible.indexOf(causes.at(-1)!) + 1 : 0).map((cause) => ({
        causes: [...causes, cause],
        weight: (weight * often(cause)) / (1 - often(cause)),
      })),
    );
    cases.push(...last);
  }
  return cases.map((one) => ({ ...one, shows: showsOf(one.causes) }));
}
const has = (fitted: Fitted, { needs }: { readonly needs?: CauseRow['needs'] }): boolean =>
  !needs || fitted.has(needs);
/** Cases of circuits that have the same, worked out once. */
const known = new Map<string, { readonly possible: readonly Cause[]; readonly cases: Case[] }>();
function network(fitted: Fitted) {
  const key = [...fitted].sort().join();
  let found = known.get(key);
  if (!found) {
    const possible = (Object.keys(CAUSES) as Cause[]).filter((one) => has(fitted, causeRow(one)));
    known.set(key, (found = { possible, cases: casesOf(possible) }));
  }
  return found;
}
const binaryBits = (p: number): number =>
  p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p);

/**
 * What may be wrong, by what was checked: a network of causes that may be there together, each showing by itself
 * (noisy or), worked out exactly for up to three at once; and the next check, by expected information a minute.
 * Source: Pearl, Probabilistic Reasoning in Intelligent Systems (1988), chapter 4 (from memory); the figures are
 * those of `fault-tables.ts`, our judgement.
 */
export function findFault(evidence: Evidence, fitted: Fitted = EVERYTHING): Finding {
  const { possible, cases: before } = network(fitted);
  const asked = SYMPTOMS.filter((symptom) => has(fitted, checkRow(symptom)));
  const checked = asked.filter((symptom) => evidence[symptom] !== undefined);
  const weighed = before.map(({ weight, ...one }) => ({
    ...one,
    weight: checked.reduce(
      (sum, symptom) => sum * (evidence[symptom] ? one.shows[symptom] : 1 - one.shows[symptom]),
      weight,
    ),
  }));
  const all = weighed.reduce((sum, { weight }) => sum + weight, 0);
  const cases = weighed.map((one) => ({ ...one, weight: one.weight / all }));
  const share = (is: (causes: readonly Cause[]) => boolean): number =>
    cases.reduce((sum, { causes, weight }) => (is(causes) ? sum + weight : sum), 0);
  const seen = checked.filter((symptom) => evidence[symptom]);
  const ranked = possible
    .map((cause): Ranked => ({
      cause,
      chance: share((causes) => causes.includes(cause)),
      reasons: seen.flatMap((symptom) => checkRow(symptom).from[cause]?.[1] ?? []),
    }))
    .sort((a, b) => b.chance - a.chance);
  const sound = share((causes) => !causes.length);
  const verdict =
    sound >= SAID_FROM ? 'sound' : ranked[0]!.chance >= SAID_FROM ? 'named' : 'cannot-tell';
  return { ranked, sound, verdict, next: nextCheck(cases, asked, evidence) };
}
/** The check that is expected to tell most a minute. Source: Shannon's information, between a check and what is wrong. */
function nextCheck(
  cases: readonly Case[],
  asked: readonly Symptom[],
  evidence: Evidence,
): Finding['next'] {
  const [best] = asked
    .filter((symptom) => evidence[symptom] === undefined)
    .map((symptom) => {
      const mean = (of: (chance: number) => number): number =>
        cases.reduce((sum, { weight, shows }) => sum + weight * of(shows[symptom]), 0);
      const bits = binaryBits(mean((chance) => chance)) - mean(binaryBits);
      const { act, minutes } = checkRow(symptom);
      return { symptom, act, minutes, bits };
    })
    .sort((a, b) => b.bits / b.minutes - a.bits / a.minutes);
  return best && best.bits > LEAST_BITS ? best : null;
}
