import type { AnyField, RecordShape } from './field.ts';

const UNITS = /(Mm2|MPa|KPa|GPa|MmPerMPa|MlPerMPaM|PerTurnMPa|Mm|Deg|Ml|Nm|Hz|Kg|N|C)$/;
/** A field's name as it is said: `maxSpanMm` is "max span". */
const said = (key: string): string =>
  key
    .replace(UNITS, '')
    .replace(/Id$/, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase();

/** A place in a value in words, records called by their names: "Left rail, wall". */
export function placeWords(fields: RecordShape['fields'], value: unknown, path: string): string {
  let field: AnyField | null = { type: 'record', fields };
  let now = value;
  const words: string[] = [];
  for (const key of path.match(/[^.[\]]+/g) ?? []) {
    now = (now as Record<string, unknown> | null | undefined)?.[key];
    const inner: AnyField | null = field && insideOf(field, key, now);
    const about = inner?.type === 'record' ? inner.about : undefined;
    if (about && typeof now === 'object' && now !== null) words.push(about.named(now as never));
    else if (/^\d+$/.test(key))
      words.push(
        field?.type === 'tuple' ? (['x', 'y', 'z'][Number(key)] ?? key) : `no. ${Number(key) + 1}`,
      );
    else if (inner?.type !== 'list' || inner.of.type !== 'record' || !inner.of.about)
      words.push(said(key));
    field = inner;
  }
  return words.join(', ');
}
function insideOf(field: AnyField, key: string, value: unknown): AnyField | null {
  switch (field.type) {
    case 'nullable':
    case 'optional':
      return insideOf(field.of, key, value);
    case 'record':
      return bare(field.fields[key]);
    case 'byKind':
      return bare(
        Object.values(field.shapes).find((shape) => Object.hasOwn(shape.fields, key))?.fields[key],
      );
    case 'list':
    case 'map':
      return bare(field.of);
    case 'tuple':
      return field.of[Number(key)] ?? null;
    default:
      return null;
  }
}
const bare = (field: AnyField | undefined): AnyField | null =>
  !field ? null : field.type === 'nullable' || field.type === 'optional' ? bare(field.of) : field;
