/**
 * The one error that bad input raises anywhere in the core. `path` names the place
 * (`nodesMm[2]`, `tapes[0].readMm`, `""` for the input as a whole), `message` says in a
 * fabricator's words what is wrong, with the measured figure where there is one.
 */
export class InputError extends Error {
  override readonly name = 'InputError';
  constructor(
    readonly path: string,
    message: string,
  ) {
    super(message);
  }
}

/** A figure for a sentence: up to `digits` decimals, no trailing zeros, never "-0". */
export function figure(value: number, digits = 1): string {
  const text = value.toFixed(digits);
  const short = text.includes('.') ? text.replace(/\.?0+$/, '') : text;
  return short === '-0' ? '0' : short;
}

/** `items[2].name` from its parts: numbers go in brackets, names are joined by dots. */
export function pathOf(parts: readonly (string | number)[]): string {
  return parts.reduce<string>(
    (path, part) =>
      typeof part === 'number' ? `${path}[${part}]` : path ? `${path}.${part}` : part,
    '',
  );
}
