import { decimalIn, type LoggerFile } from './readings-csv.ts';

export const TIME_UNITS = { s: 1, ms: 0.001 } as const;
/** Units of what a logger reads of a stop: of deceleration or of speed. */
export const SLOWING_UNITS = {
  g: { of: 'decelMs2', factor: 9.80665 },
  'm/s²': { of: 'decelMs2', factor: 1 },
  '%': { of: 'decelMs2', factor: 0.0980665 },
  'km/h': { of: 'speedMs', factor: 1 / 3.6 },
  mph: { of: 'speedMs', factor: 0.44704 },
  'm/s': { of: 'speedMs', factor: 1 },
} as const;
export interface SlowingChoice {
  readonly time: number;
  readonly slowing: number;
  readonly timeUnit: keyof typeof TIME_UNITS;
  readonly slowingUnit: keyof typeof SLOWING_UNITS;
  /** Some loggers count slowing down as less than nothing. */
  readonly turned: boolean;
}
/** A row: when, and its deceleration or its speed. */
export interface SlowingSample {
  readonly timeS: number;
  readonly decelMs2?: number;
  readonly speedMs?: number;
}
export interface SlowingRead {
  readonly samples: readonly SlowingSample[];
  readonly bad: readonly { readonly line: number; readonly why: string }[];
}

/** The columns that look like time and slowing down, by their names; the first two where none does. */
export function likelySlowing({ columns, rows }: LoggerFile): SlowingChoice {
  const find = (pattern: RegExp, other: number): number => {
    const at = columns.findIndex((name) => pattern.test(name));
    return at < 0 ? other : at;
  };
  const time = find(/time|^t\b|sec/i, 0);
  const slowing = find(/decel|accel|\bg\b|speed|velocity|km.?h|mph|m\/s/i, time === 0 ? 1 : 0);
  const name = columns[slowing]!;
  const slowingUnit = /km.?h/i.test(name)
    ? 'km/h'
    : /mph/i.test(name)
      ? 'mph'
      : /m\/s(2|²|\^2)/i.test(name)
        ? 'm/s²'
        : /speed|velocity|m\/s/i.test(name)
          ? 'm/s'
          : /%/.test(name)
            ? '%'
            : 'g';
  const values = rows.map((row) => decimalIn(row, slowing)).filter(Number.isFinite);
  const isDecel = SLOWING_UNITS[slowingUnit].of === 'decelMs2';
  return {
    time,
    slowing,
    timeUnit: /(^|[^a-z])ms([^a-z]|$)|milli/i.test(columns[time]!) ? 'ms' : 's',
    slowingUnit,
    turned: isDecel && Math.max(...values, 0) < -Math.min(...values, 0),
  };
}
/** Rows of a stop out of the columns that were chosen; a decimal comma counts as a point. */
export function slowingOf(
  { rows }: LoggerFile,
  { time, slowing, timeUnit, slowingUnit, turned }: SlowingChoice,
): SlowingRead {
  const samples: SlowingSample[] = [];
  const bad: { line: number; why: string }[] = [];
  const { of, factor } = SLOWING_UNITS[slowingUnit];
  for (const [i, row] of rows.entries()) {
    if (row.length === 1 && row[0]!.trim() === '') continue;
    const timeS = decimalIn(row, time) * TIME_UNITS[timeUnit];
    const value = decimalIn(row, slowing) * factor * (turned && of === 'decelMs2' ? -1 : 1);
    const last = samples.at(-1);
    const why = !Number.isFinite(timeS)
      ? `"${row[time] ?? ''}" is not a time`
      : !Number.isFinite(value)
        ? `"${row[slowing] ?? ''}" is not a ${of === 'speedMs' ? 'speed' : 'deceleration'}`
        : last && timeS <= last.timeS
          ? `${timeS.toFixed(3)} s is not after ${last.timeS.toFixed(3)} s`
          : '';
    if (why) bad.push({ line: i + 2, why });
    else samples.push({ timeS, [of]: value });
  }
  return { samples, bad };
}
