import { runVerb, VERBS } from '@firm-line/core/verbs';
import { InputError } from '@firm-line/core/lib/faults';
import { emptyPlan, PlanFileError } from '@firm-line/core/plan';
import { readPlan } from '@firm-line/core/plan/file';
import { inspect } from '@firm-line/core/inspect';

const EXIT = { done: 0, failed: 1, badInput: 2, stopSnag: 3 } as const;
/** What the command line reads and writes; a file by its path, standard input by 0. */
export interface Streams {
  readonly read: (source: string | number) => string;
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
  readonly nowMs: () => number;
}
const asText = (value: unknown): string => `${JSON.stringify(value, null, 1)}\n`;

function read(io: Streams, source: string | number): string {
  try {
    return io.read(source);
  } catch (error) {
    throw new InputError(
      '',
      `${source === 0 ? 'Standard input' : `The file ${source}`} cannot be read: ${(error as Error).message}`,
    );
  }
}

function parse(text: string): unknown {
  if (!text.trim()) throw new InputError('', 'The input is empty. Give one JSON object.');
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new InputError('', `The input is not JSON: ${(error as Error).message}`);
  }
}

const help = (): string =>
  [
    'firmline VERB reads one JSON object from standard input and writes one to standard output.',
    ...Object.entries(VERBS).map(([name, verb]) => `  ${name.padEnd(10)}${verb.summary}`),
    `  ${'check'.padEnd(10)}all snags of a plan: firmline check FILE (exit 3 if a stop is among them)`,
    'firmline VERB --help prints an example input.',
    '',
  ].join('\n');

/** All snags of the plan in FILE, or on standard input without one. */
function check(io: Streams, file: string | undefined): number {
  const snags = inspect(readPlan(read(io, file ?? 0)));
  io.out(asText({ snags }));
  return snags.some((snag) => snag.level === 'stop') ? EXIT.stopSnag : EXIT.done;
}

function answer(io: Streams, [verb = 'help', argument]: readonly string[]): number {
  if (verb === 'help' || verb === '--help') {
    io.out(help());
    return EXIT.done;
  }
  if (argument === '--help' && (verb === 'check' || Object.hasOwn(VERBS, verb))) {
    io.out(
      asText(
        verb === 'check'
          ? emptyPlan('example', 'Example', '2026-01-01T00:00:00.000Z')
          : VERBS[verb]!.example,
      ),
    );
    return EXIT.done;
  }
  if (verb === 'check') return check(io, argument);
  if (!Object.hasOwn(VERBS, verb)) runVerb(verb, {});
  io.out(asText(runVerb(verb, parse(read(io, 0)), io.nowMs)));
  return EXIT.done;
}

/** Answers a command line and gives its exit code; what is wrong with the input is said on the error stream. */
export function run(args: readonly string[], io: Streams): number {
  try {
    return answer(io, args);
  } catch (error) {
    const fault =
      error instanceof InputError
        ? error
        : error instanceof PlanFileError
          ? error.faults[0]!
          : null;
    io.err(
      `${fault ? JSON.stringify({ error: { path: fault.path, message: fault.message } }) : String((error as Error).stack ?? error)}\n`,
    );
    return fault ? EXIT.badInput : EXIT.failed;
  }
}
