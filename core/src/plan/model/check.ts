import { derive } from '../../lib/derive/index.ts';
import { faultSentence, pathOf, type Fault } from '../../lib/faults/index.ts';
import { neededField, toldOf } from './field.ts';
import { type AnyField, type RecordShape, type TextLimits } from './field-types.ts';
import {
  type Path,
  type Say,
  isRecord,
  shapeOf,
  type Raw,
  type RecordIndex,
  collectReferences,
  countValues,
} from './references.ts';

function runRecordCheck(
  field: Pick<RecordShape, 'check'>,
  value: unknown,
  path: Path,
  say: Say,
): void {
  const trouble = field.check?.(value);
  if (trouble) say(trouble.at ? [...path, trouble.at] : path, trouble.message);
}

/** Reports every fault of a value against its field, in the words of the schema. Made for plans that change at every edit: records that did not change are not checked again. */
export function check(field: AnyField, value: unknown, path: Path, say: Say): void {
  const tell = (type: string, context: object = {}): void =>
    say(path, faultSentence(type, { value, ...context }));
  if (value === undefined) return field.type === 'optional' ? undefined : tell('any.required');
  switch (field.type) {
    case 'optional':
      return check(field.of, value, path, say);
    case 'nullable':
      return value === null ? undefined : check(field.of, value, path, say);
    case 'flag':
      return typeof value === 'boolean' ? undefined : tell('boolean.base');
    case 'oneOf':
      return (field.of as readonly unknown[]).includes(value)
        ? undefined
        : tell('any.only', { valids: field.of });
    case 'number': {
      const { least, most, over, under, whole } = field;
      if (typeof value !== 'number' || Number.isNaN(value)) return tell('number.base');
      if (!Number.isFinite(value)) return tell('number.infinity');
      if (over ? value <= least : value < least)
        return tell(over ? 'number.greater' : 'number.min', { limit: least });
      if (under ? value >= most : value > most)
        return tell(under ? 'number.less' : 'number.max', { limit: most });
      return whole && !Number.isInteger(value) ? tell('number.integer') : undefined;
    }
    case 'text':
      return checkText(field, value, tell);
    case 'ref':
      return checkText(REF, value, tell);
    case 'tuple': {
      if (!Array.isArray(value)) return tell('array.base');
      if (value.length !== field.of.length) return tell('array.length', { limit: field.of.length });
      let good = true;
      const note: Say = (at, message) => ((good = false), say(at, message));
      field.of.forEach((item, i) => check(item, value[i], [...path, i], note));
      const message = good ? field.check?.(value) : null;
      return message ? say(path, message) : undefined;
    }
    case 'list': {
      if (!Array.isArray(value)) return tell('array.base');
      if (value.length < field.least) return tell('array.min', { limit: field.least });
      if (value.length > field.most) return tell('array.max', { limit: field.most });
      return value.forEach((item, i) => checkItem(field.of, item, [...path, i], say));
    }
    case 'map':
      if (!isRecord(value)) return tell('object.base');
      return Object.entries(value).forEach(([key, item]) =>
        check(field.of, item, [...path, key], say),
      );
    case 'byKind': {
      if (!isRecord(value)) return tell('object.base');
      const shape = shapeOf(field, value);
      if (!shape)
        return say(
          [...path, field.tag],
          faultSentence('any.only', { value: value[field.tag], valids: Object.keys(field.shapes) }),
        );
      return checkRecordFields(shape, value, path, say, field);
    }
    case 'record':
      if (!isRecord(value)) return tell('object.base');
      return checkRecordFields(field, value, path, say, field);
  }
}
function checkRecordFields(
  shape: RecordShape,
  value: Raw,
  path: Path,
  say: Say,
  checked: Parameters<typeof runRecordCheck>[0],
): void {
  let good = true;
  const note: Say = (at, message) => ((good = false), say(at, message));
  for (const [key, field] of Object.entries(shape.fields))
    check(field, value[key], [...path, key], note);
  if (good) runRecordCheck(checked, value, path, say);
}
const REF = { type: 'text', least: 1, most: 80 } as const;
function checkText(
  { least, most, form }: TextLimits,
  value: unknown,
  tell: (type: string, context?: object) => void,
): void {
  if (typeof value !== 'string') return tell('string.base');
  if (value.length < least) return tell('string.min', { limit: least });
  if (value.length > most) return tell('string.max', { limit: most });
  if (form && !form[0].test(value)) tell('string.pattern.name', { name: form[1] });
}

interface RecordFault {
  readonly path: Path;
  readonly message: string;
}
/** What is wrong with a record; looked at once while it stays as it is. */
const faultsOfRecord = derive(
  'record checked',
  (value: object, field: AnyField) => [value, field] as const,
  (value, field): readonly RecordFault[] => {
    const faults: RecordFault[] = [];
    check(
      field,
      value,
      [],
      (path, message) => void (faults.length < 100 && faults.push({ path, message })),
    );
    return faults;
  },
);
/** What a record that is in order brings: its ids and references. */
const outlineOf = derive(
  'outline of a record',
  (value: object, field: AnyField) => [value, field] as const,
  (value, field): RecordIndex => {
    const out = { ids: [], refs: [], twice: [] };
    collectReferences(field, value, [], out);
    return { ...out, values: countValues(value) };
  },
);
function checkItem(field: AnyField, item: unknown, path: Path, say: Say): void {
  if (
    (field.type !== 'record' && field.type !== 'byKind') ||
    typeof item !== 'object' ||
    item === null
  )
    return check(field, item, path, say);
  for (const fault of faultsOfRecord(item, field)) say([...path, ...fault.path], fault.message);
}
/** The outlines of a list of records that are in order; gathered once while the list stays as it is. */
const recordIndexes = derive(
  'outlines of a list',
  (list: readonly object[], of: AnyField) => [list, of] as const,
  (list, of): readonly RecordIndex[] => list.map((item) => outlineOf(item, of)),
);
/** What is wrong in a list of records; nothing is looked at again while the list stays as it is. */
const recordFaults = derive(
  'list checked',
  (list: readonly object[], field: AnyField) => [list, field] as const,
  (list, field): readonly RecordFault[] => {
    const faults: RecordFault[] = [];
    check(field, list, [], (path, message) => void faults.push({ path, message }));
    return faults;
  },
);

/** Says everything that is wrong with the fields of a value, of its lists only what changed being looked at anew. */
export function checkFields(fields: RecordShape['fields'], value: object, say: Say): void {
  for (const [key, field] of Object.entries(fields)) {
    const inner = (value as Raw)[key];
    if (field.type !== 'list' || !Array.isArray(inner)) check(field, inner, [key], say);
    else for (const fault of recordFaults(inner, field)) say([key, ...fault.path], fault.message);
  }
}

/** An outline and where its record lies. */
export interface IndexedRecord {
  readonly outline: RecordIndex;
  readonly path: Path;
}
/** Index of every record in a valid value. */
export function indexRecords(
  fields: RecordShape['fields'],
  value: object,
): readonly IndexedRecord[] {
  return Object.entries(fields).flatMap(([key, field]): readonly IndexedRecord[] => {
    const inner = (value as Raw)[key];
    if (typeof inner !== 'object' || inner === null) return [];
    if (field.type !== 'list') return [{ outline: outlineOf(inner, field), path: [key] }];
    if (field.of.type !== 'record' && field.of.type !== 'byKind') return [];
    return recordIndexes(inner as readonly object[], field.of).map((outline, i) => ({
      outline,
      path: [key, i],
    }));
  });
}

/** Its ids and references in one list each, with their places in the whole. */
export function indexOf(
  fields: RecordShape['fields'],
  value: object,
): Pick<RecordIndex, 'ids' | 'refs'> {
  const all = indexRecords(fields, value);
  const whole = <T extends { readonly path: Path }>(
    of: (outline: RecordIndex) => readonly T[],
  ): T[] =>
    all.flatMap(({ outline, path }) =>
      of(outline).map((one) => ({ ...one, path: [...path, ...one.path] })),
    );
  return { ids: whole((outline) => outline.ids), refs: whole((outline) => outline.refs) };
}

export const faultAt = (path: Path, message: string): Fault => ({ path: pathOf(path), message });

/** The field that a path leads to in a value, such as `pedal.ratio` or `front.pistonsMm.0`, without what lets it be empty; null where it leads nowhere. */
export function fieldAt(field: AnyField, path: readonly string[], value: unknown): AnyField | null {
  if (field.type === 'nullable' || field.type === 'optional')
    return fieldAt(neededField(field), path, value);
  const [key, ...rest] = path;
  if (key === undefined) return field;
  const inner = (value as Raw | null | undefined)?.[key];
  const step = (next: AnyField | undefined): AnyField | null =>
    next ? fieldAt(next, rest, inner) : null;
  switch (field.type) {
    case 'record':
      return step(Object.hasOwn(field.fields, key) ? field.fields[key] : undefined);
    case 'byKind':
      return step(shapeOf(field, value)?.fields[key]);
    case 'list':
    case 'map':
      // What is said of a list is said of each figure in it.
      return step(field.of.label === undefined ? { ...field.of, ...toldOf(field) } : field.of);
    case 'tuple':
      return step(field.of[Number(key)]);
    default:
      return null;
  }
}
