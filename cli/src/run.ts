import { runVerb, VERBS } from '@firm-line/core/verbs';
import { InputError } from '@firm-line/core/lib/faults';
import { emptyPlan, PlanFileError } from '@firm-line/core/plan';
import { readPlan } from '@firm-line/core/plan/file';
import { viewPlan } from '@firm-line/core/plan/results';
import { inspect } from '@firm-line/core/inspect';
import { signoff, type Today } from '@firm-line/core/stations/prove';

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
    `  ${'signoff'.padEnd(10)}what stands before a signature: firmline signoff FILE [--on 2026-12-01] [--km 120] (exit 3 if it may not go on the road)`,
    'firmline VERB --help prints an example input.',
    '',
  ].join('\n');

/** All snags of the plan in FILE, or on standard input without one. */
function check(io: Streams, file: string | undefined): number {
  // What the sign-off alone reads of a snag stays inside.
  const snags = inspect(readPlan(read(io, file ?? 0))).map(
    ({ plain: _plain, repeats: _repeats, ...snag }) => snag,
  );
  io.out(asText({ snags }));
  return snags.some((snag) => snag.level === 'stop') ? EXIT.stopSnag : EXIT.done;
}

/** A day or a distance of the command line, by its name; null where it is not given. */
function today(args: readonly string[]): Today {
  const given = new Map<string, string>();
  for (let i = 0; i < args.length; i += 2) {
    const name = args[i]!;
    if (name !== '--on' && name !== '--km')
      throw new InputError(name, `"${name}" is not known here. Use --on and --km.`);
    if (args[i + 1] === undefined) throw new InputError(name, `${name} has nothing after it.`);
    given.set(name, args[i + 1]!);
  }
  const on = given.get('--on') ?? null;
  const day = on === null ? null : new Date(`${on}T00:00:00Z`);
  if (day && (Number.isNaN(day.getTime()) || !day.toISOString().startsWith(on!)))
    throw new InputError('--on', `"${on}" is not a day like 2026-12-01.`);
  const km = given.has('--km') ? Number(given.get('--km')) : null;
  if (km !== null && !(km >= 0 && given.get('--km')!.trim() && Number.isFinite(km)))
    throw new InputError('--km', `"${given.get('--km')}" is not a distance in km, 0 or more.`);
  return { on, km };
}

/** What stands between the plan in FILE, or on standard input, and a signature. */
function signOff(io: Streams, args: readonly string[]): number {
  const hasFile = args.length > 0 && !args[0]!.startsWith('--');
  const on = today(hasFile ? args.slice(1) : args);
  const plan = readPlan(read(io, hasFile ? args[0]! : 0));
  const { road, move, items, signed, followUps } = signoff(viewPlan(plan), inspect(plan), on);
  io.out(
    asText({
      road,
      move,
      items: items.map(({ figures: _figures, grave: _grave, ...item }) => item),
      signed: signed && {
        valid: signed.stands,
        scope: signed.sign.scope,
        by: signed.sign.by,
        at: signed.sign.at,
        why: signed.why,
      },
      followUps: followUps.map(({ key, text, dueKm, dueOn, state }) => ({
        key,
        text,
        dueKm,
        dueOn,
        state,
      })),
    }),
  );
  return road.may ? EXIT.done : EXIT.stopSnag;
}

function answer(io: Streams, [verb = 'help', ...args]: readonly string[]): number {
  const [argument] = args;
  const readsPlan = verb === 'check' || verb === 'signoff';
  if (verb === 'help' || verb === '--help') {
    io.out(help());
    return EXIT.done;
  }
  if (argument === '--help' && (readsPlan || Object.hasOwn(VERBS, verb))) {
    io.out(
      asText(
        readsPlan
          ? emptyPlan('example', 'Example', '2026-01-01T00:00:00.000Z')
          : VERBS[verb]!.example,
      ),
    );
    return EXIT.done;
  }
  if (verb === 'check') return check(io, argument);
  if (verb === 'signoff') return signOff(io, args);
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
