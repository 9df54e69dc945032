import type { Circuit, Plan } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import type { HoldAsk } from './hold-ask.ts';
import type { TestReading } from './read-tests.ts';

export const TEST_GROUPS = [
  'Pressure held',
  'Leaks',
  'Grip and release',
  'Pedal',
  'On the vehicle',
  'On the road',
] as const;
export type TestGroup = (typeof TEST_GROUPS)[number];
/** Words for the two answers: of the buttons, and of what came of them. */
export interface TestWords {
  readonly good: string;
  readonly bad: string;
}
/** One thing that is looked at, held or felt: what it is, whatever was found. */
export interface RequiredTest {
  readonly key: string;
  readonly group: TestGroup;
  readonly name: string;
  /** How it is done, and what is good. */
  readonly how: string;
  /** Digest of what it rests on now. */
  readonly rests: string;
  /** Rounds that come first. */
  readonly needs?: readonly string[];
  /** A hold is judged from its figures, not ticked. */
  readonly hold?: HoldAsk;
  /** What readings that are entered elsewhere say of it: it is not ticked either. */
  readonly reading?: TestReading;
  /** What a place is called that is good, and one that is not. */
  readonly words?: TestWords;
  /** Places that are each looked at by themselves. */
  readonly looks?: readonly { readonly key: string; readonly name: string }[];
}

/** What the tests of a plan rest on: the circuits that hold fluid, and the digest of all of them. */
export interface TestContext {
  readonly view: PlanView;
  readonly plan: Plan;
  readonly wet: readonly Circuit[];
  readonly brakes: readonly Circuit[];
  readonly whole: string;
}
