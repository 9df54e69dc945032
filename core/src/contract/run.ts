import { faultOf, InputError } from '../fault/index.ts';
import { VERBS } from './verbs.ts';

/**
 * Runs one verb on one parsed input. Throws InputError for an unknown verb (path `verb`), for the
 * first fault of the input's shape, and for what the subject itself refuses.
 */
export function runVerb(verb: string, input: unknown): unknown {
  const found = Object.hasOwn(VERBS, verb) ? VERBS[verb] : undefined;
  if (!found) throw new InputError('verb', `"${verb}" is not a verb: try ${Object.keys(VERBS).join(', ')} or check.`);
  if (typeof input !== 'object' || input === null || Array.isArray(input))
    throw new InputError('', 'The input should be one JSON object.');
  const { error } = found.schema.validate(input, { abortEarly: true, convert: false });
  if (error) {
    const { path, message } = faultOf(error.details[0]!);
    throw new InputError(path, message);
  }
  return found.run(input as never);
}
