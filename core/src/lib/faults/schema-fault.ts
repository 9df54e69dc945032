import type { ValidationErrorItem } from 'joi';
import { figure, pathOf } from './input-error.ts';

export interface Fault {
  readonly path: string;
  readonly message: string;
}

const shown = (value: unknown): string => {
  if (typeof value === 'number') return figure(value, 6);
  const text =
    typeof value === 'string'
      ? `"${value}"`
      : Array.isArray(value)
        ? `a list of ${value.length}`
        : value === null
          ? 'null'
          : typeof value === 'object'
            ? 'an object'
            : String(value);
  return text.length > 60 ? `${text.slice(0, 57)}…"` : text;
};

const SENTENCES: Record<string, (context: Record<string, unknown>) => string> = {
  'any.required': () => 'This field is missing.',
  'field.check': (c) => String(c['sentence']),
  'any.only': (c) =>
    `This should be one of ${(c['valids'] as unknown[]).join(', ')}, not ${shown(c['value'])}.`,
  'object.unknown': () => 'This field does not belong here.',
  'object.base': (c) => `This should be an object with named fields, not ${shown(c['value'])}.`,
  'array.base': (c) => `This should be a list, not ${shown(c['value'])}.`,
  'array.min': (c) =>
    `This list needs ${String(c['limit'])} or more; it holds ${(c['value'] as unknown[]).length}.`,
  'array.max': (c) =>
    `This list holds ${(c['value'] as unknown[]).length}; ${String(c['limit'])} is the limit.`,
  'array.length': (c) =>
    `This needs exactly ${String(c['limit'])} numbers; it holds ${(c['value'] as unknown[]).length}.`,
  'array.orderedLength': (c) =>
    `This needs exactly ${String(c['limit'])} numbers; it holds ${(c['value'] as unknown[]).length}.`,
  'array.includesRequiredUnknowns': (c) =>
    `This list holds ${(c['value'] as unknown[]).length}; ${String(c['unknownMisses'])} more needed.`,
  'array.unique': (c) =>
    `${shown((c['value'] as { id?: unknown })?.id ?? c['value'])} is used twice. Names must differ.`,
  'number.base': (c) => `This should be a number, not ${shown(c['value'])}.`,
  'number.infinity': () => 'This number is not finite.',
  'number.unsafe': (c) => `${shown(c['value'])} is far too large.`,
  'number.min': (c) =>
    `${shown(c['value'])} is too small: ${String(c['limit'])} is the lower limit.`,
  'number.max': (c) => `${shown(c['value'])} is too large: ${String(c['limit'])} is the limit.`,
  'number.greater': (c) => `${shown(c['value'])} is too small: must be over ${String(c['limit'])}.`,
  'number.less': (c) => `${shown(c['value'])} is too large: must be under ${String(c['limit'])}.`,
  'boolean.base': (c) => `This should be true or false, not ${shown(c['value'])}.`,
  'string.base': (c) => `This should be text, not ${shown(c['value'])}.`,
  'string.empty': () => 'This text is empty.',
  'string.min': () => 'This text is empty.',
  'string.max': (c) => `This text is longer than ${String(c['limit'])} characters.`,
  'number.integer': (c) => `${shown(c['value'])} should be a whole number.`,
  'string.pattern.name': (c) => `${shown(c['value'])} is not ${String(c['name'])}.`,
  'string.isoDate': (c) => `${shown(c['value'])} is not a date and time.`,
  'alternatives.types': (c) =>
    `This should be ${(c['types'] as string[]).join(' or a list of numbers, not ')}.`,
};

/** One plain sentence for a kind of fault, by the names that the schema library gives them. */
export const faultSentence = (type: string, context: Record<string, unknown>): string =>
  SENTENCES[type]?.(context) ?? `This cannot be used (${type}).`;

/** A schema's finding as a path and one plain sentence. */
export const faultOf = (item: ValidationErrorItem): Fault => ({
  path: pathOf(item.path),
  message: faultSentence(item.type, item.context ?? {}),
});
