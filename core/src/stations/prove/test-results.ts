import { derive } from '../../lib/derive/index.ts';
import { quantitiesOf, type Quantities } from '../../lib/units/index.ts';
import { type Proving, type RecordedTest } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { judgeHold } from './judge.ts';
import { requiredTests } from './required-tests.ts';
import { type RequiredTest, type TestWords } from './required-test.ts';

/** `void`: it was good, and what it rests on is otherwise since. */
export type TestState = 'done' | 'bad' | 'void' | 'locked' | 'open';
interface TestResult {
  readonly state: TestState;
  readonly note: string;
}
/** A place that is looked at, with what was found there. */
export interface LookResult extends TestResult {
  readonly key: string;
  readonly name: string;
}
/** A round with how it stands. */
export interface ProvingTest extends Omit<RequiredTest, 'needs' | 'looks'>, TestResult {
  readonly words: TestWords;
  /** What comes first, where it is locked. */
  readonly after: string;
  readonly looks: readonly LookResult[];
}

const DRY: TestWords = { good: 'Dry', bad: 'Wet' };

const tickedResult = (one: RecordedTest | undefined, rests: string): TestResult => {
  if (!one) return { state: 'open', note: '' };
  if (!one.good) return { state: 'bad', note: one.note };
  return one.rests === rests
    ? { state: 'done', note: one.note }
    : { state: 'void', note: 'Changed since: check again.' };
};
/** What all looks together come to: the worst of them, and good once every one is. */
function worstOfLooks(looks: readonly LookResult[], { good }: TestWords): TestResult {
  const bad = looks.filter(({ state }) => state === 'bad');
  if (bad.length)
    return {
      state: 'bad',
      note: bad.map(({ name, note }) => (note ? `${name}: ${note}` : name)).join('; '),
    };
  if (looks.some(({ state }) => state === 'void'))
    return { state: 'void', note: 'Changed since: check again.' };
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
          ? `${done} of ${looks.length}: ${good.toLowerCase()}.`
          : '',
  };
}
function holdResult(
  { holds }: Proving,
  quantities: Quantities,
  ask: NonNullable<RequiredTest['hold']>,
  rests: string,
): TestResult {
  const last = holds.filter((one) => one.circuitId === ask.circuitId).at(-1);
  if (!last) return { state: 'open', note: '' };
  const { verdict, words } = judgeHold(last, ask, quantities);
  if (last.rests !== rests)
    return {
      state: verdict === 'held' ? 'void' : 'bad',
      note: verdict === 'held' ? 'The circuit has changed since: hold again.' : words,
    };
  return {
    state: verdict === 'held' ? 'done' : verdict === 'cannot-tell' ? 'open' : 'bad',
    note: words,
  };
}

/** All rounds of a plan in the order in which they are walked, each with how it stands. */
export const provingTests = derive(
  'rounds',
  (view: PlanView) => [view],
  (view): readonly ProvingTest[] => {
    const proving = view.plan.proving;
    const taken = new Map(proving.rounds.map((one) => [one.key, one]));
    const judged = requiredTests(view).map(
      ({ looks: asked = [], needs = [], words = DRY, ...round }) => {
        const looks = asked.map((look): LookResult => ({
          ...look,
          ...tickedResult(taken.get(look.key), round.rests),
        }));
        const found = round.hold
          ? holdResult(proving, quantitiesOf(view.plan), round.hold, round.rests)
          : (round.reading ??
            (looks.length
              ? worstOfLooks(looks, words)
              : tickedResult(taken.get(round.key), round.rests)));
        return { ...round, words, looks, state: found.state, note: found.note, needs };
      },
    );
    const byKey = new Map(judged.map((round) => [round.key, round]));
    return judged.map(({ needs, ...round }): ProvingTest => {
      const first = needs.map((need) => byKey.get(need)).find((one) => one && one.state !== 'done');
      return {
        ...round,
        state: first && round.state === 'open' ? 'locked' : round.state,
        after: first?.name ?? '',
      };
    });
  },
);
/** Proofs that a change would make void, by name. */
export function testsInvalidatedBy(was: PlanView, is: PlanView): string[] {
  const { rounds, holds } = was.plan.proving;
  if (!rounds.length && !holds.length) return [];
  const still = new Map(provingTests(is).map((round) => [round.key, round.state]));
  return provingTests(was)
    .filter(({ key, state }) => state === 'done' && still.get(key) !== 'done')
    .map(({ name }) => name);
}
