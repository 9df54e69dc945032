import type { Finding } from '../define-rule.ts';

/** More than this of one cause are told as one. */
const MOST_APART = 3;
const NAMED = 3;

/** What is said of many findings of one cause. */
export interface Together {
  readonly where: string;
  readonly text: (count: number, names: string) => string;
}
/** Names in a sentence: the first few, and how many more there are. */
const namesOf = (names: readonly string[]): string =>
  names.length <= NAMED + 1
    ? names.join(', ')
    : `${names.slice(0, NAMED).join(', ')} and ${names.length - NAMED} more`;

/** Findings of one cause: a few as they are, many as one that says what they are of. */
export const gathered = <F extends Finding>(
  findings: readonly F[],
  { where, text }: Together,
): readonly (F | Finding)[] => {
  const [first] = findings;
  if (!first || findings.length <= MOST_APART) return findings;
  const names = [...new Set(findings.map((one) => one.where ?? ''))];
  const { level, repeats } = first;
  return [
    {
      level,
      where,
      // The sign-off lists each of them by itself, so the first stands for all.
      ...(repeats === undefined ? {} : { repeats }),
      text: text(findings.length, namesOf(names)),
    },
  ];
};
