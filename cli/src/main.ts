import { readFileSync } from 'node:fs';
import { runVerb, VERBS } from '@firm-line/core/verbs';
import { InputError } from '@firm-line/core/fault';
import { emptyPlan, PlanFileError, readPlan } from '@firm-line/core/plan';
import { inspect } from '@firm-line/core/snags';

const EXIT = { done: 0, failed: 1, badInput: 2, stopSnag: 3 } as const;
const print = (value: unknown): void => void process.stdout.write(`${JSON.stringify(value, null, 1)}\n`);

function read(source: string | number): string {
  try {
    return readFileSync(source, 'utf8');
  } catch (error) {
    throw new InputError(
      '',
      `${source === 0 ? 'Standard input' : `The file ${source}`} cannot be read: ${(error as Error).message}`,
    );
  }
}

function parse(text: string): unknown {
  if (!text.trim()) throw new InputError('', 'The input is empty: one JSON object is expected.');
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new InputError('', `The input is not JSON: ${(error as Error).message}`);
  }
}

const help = (): string =>
  [
    'firmline VERB reads one JSON object on standard input and writes one on standard output.',
    ...Object.entries(VERBS).map(([name, verb]) => `  ${name.padEnd(10)}${verb.summary}`),
    `  ${'check'.padEnd(10)}all snags of a plan: firmline check FILE (exit 3 if a stop is among them)`,
    'firmline VERB --help prints an example input.',
    '',
  ].join('\n');

/** All snags of the plan in FILE, or on standard input without one. */
function check(file: string | undefined): number {
  const snags = inspect(readPlan(read(file ?? 0)));
  print({ snags });
  return snags.some((snag) => snag.level === 'stop') ? EXIT.stopSnag : EXIT.done;
}

function run([verb = 'help', argument]: readonly string[]): number {
  if (verb === 'help' || verb === '--help') {
    process.stdout.write(help());
    return EXIT.done;
  }
  if (argument === '--help' && (verb === 'check' || Object.hasOwn(VERBS, verb))) {
    print(verb === 'check' ? emptyPlan('example', 'Example', '2026-01-01T00:00:00.000Z') : VERBS[verb]!.example);
    return EXIT.done;
  }
  if (verb === 'check') return check(argument);
  if (!Object.hasOwn(VERBS, verb)) runVerb(verb, {});
  print(runVerb(verb, parse(read(0)), () => performance.now()));
  return EXIT.done;
}

try {
  process.exitCode = run(process.argv.slice(2));
} catch (error) {
  const fault = error instanceof InputError ? error : error instanceof PlanFileError ? error.faults[0]! : null;
  process.stderr.write(
    fault ? JSON.stringify({ error: { path: fault.path, message: fault.message } }) : String((error as Error).stack ?? error),
  );
  process.stderr.write('\n');
  process.exitCode = fault ? EXIT.badInput : EXIT.failed;
}
