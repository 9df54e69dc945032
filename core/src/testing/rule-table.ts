import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** What a rule's file says of it: its name, its station, what it reports in words, and the levels it has. */
export interface RuleRow {
  readonly id: string;
  readonly station: string;
  readonly words: string;
  readonly levels: readonly string[];
}
const LEVELS = ['stop', 'caution', 'note'] as const;

/** The words of the last comment before a place in a text, in one line. */
function commentBefore(text: string, at: number): string {
  const end = text.lastIndexOf('*/', at);
  // A comment that something else stands behind is not the rule's.
  if (end < 0 || text.slice(end + 2, at).trim()) return '';
  const start = text.lastIndexOf('/**', end);
  return text
    .slice(start + 3, end)
    .replace(/\s*\n\s*\*\s?/g, ' ')
    .trim();
}
/** Every rule under a folder, by its station's folder and its file. */
/** Grades that leave a level out. */
const NEVER: Readonly<Record<string, RegExp>> = { note: /slight: 0\b/, stop: /grave: -Infinity/ };
export const ruleRows = (rules: string): RuleRow[] =>
  readdirSync(rules).flatMap((folder) =>
    readdirSync(join(rules, folder))
      .filter((file) => !file.startsWith('_') && file !== 'index.ts')
      .flatMap((file): RuleRow[] => {
        const text = readFileSync(join(rules, folder, file), 'utf8');
        const rule = /export const \w+ = \w+\(/.exec(text);
        const id = /(?:id: |\w+\(\s*)'([a-z0-9-]+)'/.exec(text.slice(rule?.index ?? 0))?.[1];
        if (!rule || !id) return [];
        // One that is made by a helper has that one's levels.
        const helper = /from '\.\/(_[\w-]+\.ts)'/.exec(text)?.[1];
        const says =
          helper && !text.includes('level')
            ? readFileSync(join(rules, folder, helper), 'utf8')
            : text;
        const levels = LEVELS.filter(
          (level) =>
            (/severity\(|gradeOf\(/.test(says) && !(NEVER[level]?.test(says) ?? false)) ||
            says.includes(`'${level}'`),
        );
        const station =
          /station: '(\w+)'/.exec(text)?.[1] ?? (folder === 'hoses' ? 'route' : folder);
        return [{ id, station, words: commentBefore(text, rule.index), levels }];
      }),
  );

const cell = (text: string): string => text.replace(/\|/g, '\\|');
/** The table of docs/rules.md. */
export const rulesPage = (rules: string): string =>
  [
    '# The rules',
    '',
    'What each rule reports, and how grave it can be: a **stop** is unsafe or will not work, a **caution** is fixed or accepted with a reason, a **note** is to be known. Sources stand where there are any; what is common practice, from memory or our own judgement says so. Made by `npm run docs:rules` from the rules themselves.',
    '',
    '| station | rule | reports | levels |',
    '| --- | --- | --- | --- |',
    ...ruleRows(rules).map(
      ({ station, id, words, levels }) =>
        `| ${station} | \`${id}\` | ${cell(words)} | ${levels.join(', ')} |`,
    ),
    '',
  ].join('\n');
