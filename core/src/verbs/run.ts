import { faultOf, InputError } from '../lib/faults/index.ts';
import { VERBS } from './verbs.ts';

/** True where every number of a result is finite. */
const finite = (value: unknown): boolean =>
  typeof value === 'number'
    ? Number.isFinite(value)
    : typeof value === 'object' && value !== null
      ? Object.values(value).every(finite)
      : true;

/**
 * Runs one verb on one parsed input; `nowMs` is the clock of those that think no longer than some time. Throws InputError for an unknown verb (path `verb`), for the
 * first fault of the input's shape, and for what the subject itself refuses.
 */
export function runVerb(verb: string, input: unknown, nowMs?: () => number): unknown {
  const found = Object.hasOwn(VERBS, verb) ? VERBS[verb] : undefined;
  if (!found)
    throw new InputError(
      'verb',
      `"${verb}" is not a verb. Use ${Object.keys(VERBS).join(', ')} check or signoff.`,
    );
  if (typeof input !== 'object' || input === null || Array.isArray(input))
    throw new InputError('', 'The input should be one JSON object.');
  const { error } = found.schema.validate(input, { abortEarly: true, convert: false });
  if (error) {
    const { path, message } = faultOf(error.details[0]!);
    throw new InputError(path, message);
  }
  const result = found.run(input as never, nowMs);
  if (!finite(result))
    throw new InputError(
      '',
      'These figures are too far apart to calculate with. Check for one that is far too small or far too large.',
    );
  return result;
}
