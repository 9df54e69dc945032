import { bare, toldOf } from './field.ts';
import { type AnyField, type RecordShape } from './field-types.ts';

/** A field's name as it is said in a sentence: "end A", "span at most". */
export const fieldWords = (field: AnyField | null, key: string): string => {
  const label = (field && toldOf(field).label) ?? key;
  return label.charAt(0).toLowerCase() + label.slice(1);
};

/** A place in a value in words, records called by their names: "Left rail, wall". */
export function placeWords(fields: RecordShape['fields'], value: unknown, path: string): string {
  let outer: AnyField | null = { type: 'record', fields };
  let now = value;
  const words: string[] = [];
  for (const key of path.match(/[^.[\]]+/g) ?? []) {
    now = (now as Record<string, unknown> | null | undefined)?.[key];
    const field: AnyField | null = outer && insideOf(outer, key);
    const inner: AnyField | null = field && bare(field);
    const about = inner?.type === 'record' ? inner.about : undefined;
    if (about && typeof now === 'object' && now !== null) words.push(about.named(now));
    else if (/^\d+$/.test(key))
      words.push(
        outer?.type === 'tuple' ? (['x', 'y', 'z'][Number(key)] ?? key) : `no. ${Number(key) + 1}`,
      );
    else if (inner?.type !== 'list' || inner.of.type !== 'record' || !inner.of.about)
      words.push(fieldWords(field, key));
    outer = inner;
  }
  return words.join(', ');
}
function insideOf(field: AnyField, key: string): AnyField | null {
  switch (field.type) {
    case 'record':
      return field.fields[key] ?? null;
    case 'byKind':
      return (
        Object.values(field.shapes).find((shape) => Object.hasOwn(shape.fields, key))?.fields[
          key
        ] ?? null
      );
    case 'list':
    case 'map':
      return field.of;
    case 'tuple':
      return field.of[Number(key)] ?? null;
    default:
      return null;
  }
}
