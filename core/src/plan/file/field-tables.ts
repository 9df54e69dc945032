import { toldOf, unitSymbol } from '../model/field.ts';
import { type AnyField, type NumberLimits } from '../model/field-types.ts';
import { PLAN } from '../model/index.ts';

const count = (value: number): string =>
  value.toLocaleString('en-US', { maximumFractionDigits: 6 });

function figureWords({ least, most, over, under, whole }: NumberLimits): string {
  const low = over ? `over ${count(least)}` : `${count(least)}`;
  const high = under ? `under ${count(most)}` : `${count(most)}`;
  return `${whole ? 'whole number' : 'number'}, ${low} to ${high}`;
}
/** What a field may hold, in words; `at` is its place, for what is a table of its own. */
function holds(field: AnyField, at: string): string {
  switch (field.type) {
    case 'optional':
      return `${holds(field.of, at)}; may be missing`;
    case 'nullable':
      return `${holds(field.of, at)}, or null`;
    case 'flag':
      return 'true or false';
    case 'oneOf':
      return field.of.map((one) => `\`${one}\``).join(', ');
    case 'number':
      return figureWords(field);
    case 'text':
      return field.form ? field.form[1] : field.note ? 'note' : `text, to ${count(field.most)}`;
    case 'ref':
      return `id of a ${field.to}`;
    case 'tuple':
      return `${field.of.length} numbers`;
    case 'list':
      return `list of ${count(field.least)} to ${count(field.most)}: ${holds(field.of, `${at}[]`)}`;
    case 'map':
      return `by id: ${holds(field.of, `${at}{}`)}`;
    case 'byKind':
      return `by \`${field.tag}\`, see [${at}](#${anchor(at)})`;
    case 'record':
      return `see [${at}](#${anchor(at)})`;
  }
}
/** As the page's links are made from its headings. */
const anchor = (at: string): string => at.toLowerCase().replace(/[^a-z0-9-]/g, '');
/** A field within whatever lets it be empty or many, and its place. */
function inside(field: AnyField, at: string): readonly [AnyField, string] {
  switch (field.type) {
    case 'nullable':
    case 'optional':
      return inside(field.of, at);
    case 'list':
      return inside(field.of, `${at}[]`);
    case 'map':
      return inside(field.of, `${at}{}`);
    default:
      return [field, at];
  }
}
const rowOf = (field: AnyField, key: string, at: string): string => {
  const { label = '', unit } = toldOf(field);
  const symbol = unit === undefined || field.type === 'list' ? '' : ` ${unitSymbol(unit)}`;
  return `| \`${key}\` | ${label} | ${holds(field, at)}${symbol} |`;
};

/**
 * Tables of every record of a plan file as Markdown: each field's name, what it is called, and what it may hold. A shape that
 * is used in several places has one table, at its first place.
 */
export function fieldTables(): string {
  const places = new Map<string, string>();
  const tables: string[] = [];
  const table = (at: string, heading: string, fields: Readonly<Record<string, AnyField>>): void => {
    const rows = Object.entries(fields).map(([key, field]) => rowOf(field, key, join(at, key)));
    tables.push(
      [`### ${heading}`, '', '| field | what | holds |', '| --- | --- | --- |', ...rows].join('\n'),
    );
    for (const [key, field] of Object.entries(fields)) walk(field, join(at, key));
  };
  const walk = (outer: AnyField, place: string): void => {
    const [field, at] = inside(outer, place);
    if (field.type !== 'record' && field.type !== 'byKind') return;
    const keys = field.type === 'record' ? field.fields : field.shapes;
    const shape = JSON.stringify(keys);
    const before = places.get(shape);
    if (before) return void tables.push(`### ${at}\n\nAs [${before}](#${anchor(before)}).`);
    places.set(shape, at);
    if (field.type === 'record') return table(at, at, field.fields);
    tables.push(`### ${at}\n\nOne of these, told apart by \`${field.tag}\`.`);
    for (const [kind, { fields }] of Object.entries(field.shapes))
      table(at, `${at}, ${kind}`, fields);
  };
  table('', 'The plan', PLAN.fields);
  return tables.join('\n\n');
}
const join = (at: string, key: string): string => (at ? `${at}.${key}` : key);
