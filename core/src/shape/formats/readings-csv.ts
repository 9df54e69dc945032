import Papa from 'papaparse';
import { InputError } from '../../lib/faults/index.ts';

/** A logger's file as it stands: its columns by name, its rows as text. */
export interface LoggerFile {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
}
export const PRESSURE_UNITS = { MPa: 1, bar: 0.1, kPa: 0.001, psi: 0.006894757 } as const;
export const TRAVEL_UNITS = { mm: 1, cm: 10, in: 25.4 } as const;
export interface ColumnChoice {
  readonly pressure: number;
  readonly travel: number;
  readonly pressureUnit: keyof typeof PRESSURE_UNITS;
  readonly travelUnit: keyof typeof TRAVEL_UNITS;
}
export interface ReadingsRead {
  readonly points: readonly { readonly pressureMPa: number; readonly travelMm: number }[];
  /** Rows that are no readings, by their line in the file, and why. */
  readonly bad: readonly { readonly line: number; readonly why: string }[];
}
const MOST_ROWS = 20_000;

/** A file of any logger: comma, semicolon or tab, its first row the names of its columns. Throws InputError where it is no table. */
export function readLoggerFile(text: string): LoggerFile {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: false });
  const [head, ...rows] = data;
  if (!head || head.length < 2)
    throw new InputError(
      '',
      'Not a table of readings. It needs two or more columns, with names in the first row.',
    );
  if (rows.length > MOST_ROWS)
    throw new InputError('', `${rows.length} rows is more than the ${MOST_ROWS} allowed.`);
  return { columns: head.map((name, i) => name.trim() || `column ${i + 1}`), rows };
}

/** The columns that look like pressure and travel, by their names; the first two where none does. */
export function likelyColumns({ columns }: LoggerFile): ColumnChoice {
  const find = (pattern: RegExp, other: number): number => {
    const at = columns.findIndex((name) => pattern.test(name));
    return at < 0 ? other : at;
  };
  const unitIn = <K extends string>(name: string, units: readonly K[], other: K): K =>
    units.find((unit) => new RegExp(`\\b${unit}\\b`, 'i').test(name.replace(/_/g, ' '))) ?? other;
  const pressure = find(/press|psi|\bbar\b|mpa|kpa/i, 0);
  const travel = find(/travel|pedal|stroke|\bmm\b/i, pressure === 0 ? 1 : 0);
  return {
    pressure,
    travel,
    pressureUnit: unitIn(columns[pressure]!, ['MPa', 'kPa', 'bar', 'psi'], 'MPa'),
    travelUnit: unitIn(columns[travel]!, ['mm', 'cm', 'in'], 'mm'),
  };
}

/** The number in a column, a decimal comma counting as a point; NaN where there is none. */
export function decimalIn(row: readonly string[], at: number): number {
  const written = (row[at] ?? '').trim();
  return written === '' ? NaN : Number(written.replace(/^(-?\d+),(\d+)$/, '$1.$2'));
}

/** Readings out of the columns that were chosen; a decimal comma counts as a point. */
export function readingsOf(
  { rows }: LoggerFile,
  { pressure, travel, pressureUnit, travelUnit }: ColumnChoice,
): ReadingsRead {
  const points: { pressureMPa: number; travelMm: number }[] = [];
  const bad: { line: number; why: string }[] = [];
  for (const [i, row] of rows.entries()) {
    if (row.length === 1 && row[0]!.trim() === '') continue;
    const [p, t] = [
      decimalIn(row, pressure) * PRESSURE_UNITS[pressureUnit],
      decimalIn(row, travel) * TRAVEL_UNITS[travelUnit],
    ];
    const why = !Number.isFinite(p)
      ? `"${row[pressure] ?? ''}" is not a pressure`
      : !Number.isFinite(t)
        ? `"${row[travel] ?? ''}" is not a travel`
        : p < 0 || p > 200
          ? `${p.toFixed(2)} MPa is outside 0 to 200`
          : t < -10 || t > 1000
            ? `${t.toFixed(1)} mm is outside −10 to 1000`
            : '';
    if (why) bad.push({ line: i + 2, why });
    else points.push({ pressureMPa: p, travelMm: t });
  }
  return { points, bad };
}
