import Papa from 'papaparse';
import { InputError } from '../../lib/faults/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';

/** A center line by its corner points, ends included. */
export interface NamedLine {
  readonly name: string;
  readonly nodesMm: readonly Vec3[];
}
const HEAD = ['line', 'point', 'x_mm', 'y_mm', 'z_mm'] as const;
/** No vehicle reaches further, mm. */
export const MOST_MM = 100_000;
const MOST_ROWS = 50_000;

/** A name that begins like a formula, or like one made harmless already: it gets a mark before it, so that a spreadsheet takes it for text. */
const FORMULA = /^'*[=+\-@\t\r].*$/s;

/** Center lines as comma-separated values: a row a point, in order from end A, in mm of the vehicle's frame. */
export const centerLinesCsv = (lines: readonly NamedLine[]): string =>
  Papa.unparse(
    {
      fields: [...HEAD],
      data: lines.flatMap(({ name, nodesMm }) =>
        nodesMm.map((at, i) => [name, i, ...at.map((v) => Math.round(v * 1000) / 1000)]),
      ),
    },
    { escapeFormulae: FORMULA },
  );

/** Center lines read back: columns by their names in any order, others let be. Throws InputError with the row and the column. */
export function readCenterLinesCsv(text: string): NamedLine[] {
  const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: true,
  });
  const missing = HEAD.filter((column) => column !== 'point' && !meta.fields?.includes(column));
  if (missing.length)
    throw new InputError(
      '',
      `Not a list of center lines: column "${missing[0]}" is missing. Columns needed: ${HEAD.join(', ')}.`,
    );
  if (data.length > MOST_ROWS)
    throw new InputError('', `${data.length} rows is more than the ${MOST_ROWS} allowed.`);
  const lines = new Map<string, Vec3[]>();
  for (const [i, row] of data.entries()) {
    const number = (column: string): number => {
      const written = (row[column] ?? '').trim();
      const value = written === '' ? NaN : Number(written);
      if (!Number.isFinite(value) || Math.abs(value) > MOST_MM)
        throw new InputError(
          `rows[${i}].${column}`,
          `Row ${i + 2}: "${written}" in ${column} is not a coordinate in mm.`,
        );
      return value;
    };
    const name = (row['line'] ?? '').trim().replace(/^'(?='*[=+\-@])/, '');
    if (!name) throw new InputError(`rows[${i}].line`, `Row ${i + 2} has no line name.`);
    const at: Vec3 = [number('x_mm'), number('y_mm'), number('z_mm')];
    lines.set(name, [...(lines.get(name) ?? []), at]);
  }
  return [...lines].map(([name, nodesMm]) => {
    if (nodesMm.length < 2)
      throw new InputError('', `${name} has one point. A line needs two or more.`);
    return { name, nodesMm };
  });
}

/** Any table as comma-separated values, its first row the head; what begins like a formula is marked as text. */
export const tableCsv = (rows: readonly (readonly (string | number)[])[]): string =>
  Papa.unparse(
    rows.map((row) => [...row]),
    { escapeFormulae: FORMULA },
  );

/** The rows of a table, whatever parts its columns; empty ones are left out. Throws InputError where there are too many. */
export function csvRows(text: string): string[][] {
  // Where prices have a decimal comma the columns are parted by something else.
  const head = text.trim().split(/\r?\n/, 1)[0]!;
  const delimiter = head.includes('\t') ? '\t' : head.includes(';') ? ';' : ',';
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true, delimiter });
  if (data.length > MOST_ROWS)
    throw new InputError('', `${data.length} rows is more than the ${MOST_ROWS} allowed.`);
  return data;
}
