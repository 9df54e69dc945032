import { derive } from '../../lib/derive/index.ts';
import { NO_PROVING, type Plan, type Proving, type RoundTaken } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { judgeHold } from './judge.ts';
import { roundsAsked, type RoundAsked } from './required-tests.ts';

export const provingOf = ({ proving }: Pick<Plan, 'proving'>): Proving => proving ?? NO_PROVING;
/** `void`: it was good, and what it rests on is otherwise since. */
export type RoundState = 'done' | 'bad' | 'void' | 'locked' | 'open';
interface Found {
  readonly state: RoundState;
  readonly note: string;
}
/** A place that is looked at, with what was found there. */
export interface Look extends Found {
  readonly key: string;
  readonly name: string;
}
/** A round with how it stands. */
export interface Round extends Omit<RoundAsked, 'needs' | 'looks'>, Found {
  /** What comes first, where it is locked. */
  readonly after: string;
  readonly looks: readonly Look[];
}

const foundOf = (one: RoundTaken | undefined, rests: string): Found => {
  if (!one) return { state: 'open', note: '' };
  if (!one.good) return { state: 'bad', note: one.note };
  return one.rests === rests
    ? { state: 'done', note: one.note }
    : { state: 'void', note: 'Changed since: look again.' };
};
/** What all looks together come to: the worst of them, and good once every one is. */
function together(looks: readonly Look[]): Found {
  const bad = looks.filter(({ state }) => state === 'bad');
  if (bad.length)
    return {
      state: 'bad',
      note: bad.map(({ name, note }) => (note ? `${name}: ${note}` : name)).join('; '),
    };
  if (looks.some(({ state }) => state === 'void'))
    return { state: 'void', note: 'Changed since: look again.' };
  const done = looks.filter(({ state }) => state === 'done').length;
  return {
    state: done === looks.length ? 'done' : 'open',
    note:
      done === looks.length
        ? looks
            .map(({ note }) => note)
            .filter(Boolean)
            .join('; ')
        : done
          ? `${done} of ${looks.length} are dry.`
          : '',
  };
}
function heldOf(
  { holds }: Proving,
  { circuitId, wantedMPa }: NonNullable<RoundAsked['hold']>,
  rests: string,
): Found {
  const last = holds.filter((one) => one.circuitId === circuitId).at(-1);
  if (!last) return { state: 'open', note: '' };
  const { verdict, words } = judgeHold({ ...last, wantedMPa });
  if (last.rests !== rests)
    return {
      state: verdict === 'held' ? 'void' : 'bad',
      note: verdict === 'held' ? 'Its circuit was changed since: hold again.' : words,
    };
  return {
    state: verdict === 'held' ? 'done' : verdict === 'cannot-tell' ? 'open' : 'bad',
    note: words,
  };
}

/** All rounds of a plan in the order in which they are walked, each with how it stands. */
export const roundsOf = derive(
  'rounds',
  (view: PlanView) => [view],
  (view): readonly Round[] => {
    const proving = provingOf(view.plan);
    const taken = new Map(proving.rounds.map((one) => [one.key, one]));
    const judged = roundsAsked(view).map(({ looks: asked = [], needs = [], ...round }) => {
      const looks = asked.map((look): Look => ({
        ...look,
        ...foundOf(taken.get(look.key), round.rests),
      }));
      const found = round.hold
        ? heldOf(proving, round.hold, round.rests)
        : looks.length
          ? together(looks)
          : foundOf(taken.get(round.key), round.rests);
      return { ...round, looks, ...found, needs };
    });
    const byKey = new Map(judged.map((round) => [round.key, round]));
    return judged.map(({ needs, ...round }): Round => {
      const first = needs.map((need) => byKey.get(need)).find((one) => one && one.state !== 'done');
      return {
        ...round,
        state: first && round.state === 'open' ? 'locked' : round.state,
        after: first?.name ?? '',
      };
    });
  },
);
/** A round told; what was told of it before gives way. */
export const withRound = (
  proving: Proving,
  { key, rests }: Pick<Round, 'key' | 'rests'>,
  good: boolean,
  note: string,
  at: string,
): Proving => ({
  ...proving,
  rounds: [...proving.rounds.filter((one) => one.key !== key), { key, at, good, note, rests }],
});
/** A round, and each place that was looked at for it, as if nothing had been told. */
export const withoutRound = (proving: Proving, key: string): Proving => ({
  ...proving,
  rounds: proving.rounds.filter((one) => one.key !== key && !one.key.startsWith(`${key}/`)),
});
/** Proofs that a change would make void, by name. */
export function unproves(was: PlanView, is: PlanView): string[] {
  if (!was.plan.proving) return [];
  const still = new Map(roundsOf(is).map((round) => [round.key, round.state]));
  return roundsOf(was)
    .filter(({ key, state }) => state === 'done' && still.get(key) !== 'done')
    .map(({ name }) => name);
}
