/** What a figure is counted in, as it is stored. `length` is mm, shown in the units of the plan. */
export type Unit = keyof typeof SYMBOLS;

const SYMBOLS = {
  length: 'mm',
  /** Too small, or sold in mm whatever the plan shows: end play, a pitch. */
  mm: 'mm',
  'mm²': 'mm²',
  MPa: 'MPa',
  kPa: 'kPa',
  GPa: 'GPa',
  'mm/MPa': 'mm per MPa',
  'mL/MPa·m': 'mL per MPa and m',
  '°': '°',
  mL: 'mL',
  'mL/min': 'mL per min',
  'N·m': 'N·m',
  N: 'N',
  Hz: 'Hz',
  kg: 'kg',
  '°C': '°C',
  'km/h': 'km/h',
  m: 'm',
  km: 'km',
  min: 'min',
  s: 's',
  V: 'V',
  A: 'A',
  px: 'px',
} as const;

/** Endings of a field's name and the units they stand for, the longer before the shorter. */
const ENDINGS: readonly (readonly [RegExp, Unit])[] = [
  [/MlPerMPaM$/, 'mL/MPa·m'],
  [/MmPerMPa$/, 'mm/MPa'],
  [/MlPerMin$/, 'mL/min'],
  [/Mm2$/, 'mm²'],
  [/(^|[a-z])(MPa|mpa)$|PerTurnMPa$/, 'MPa'],
  [/KPa$/, 'kPa'],
  [/GPa$/, 'GPa'],
  [/[a-z]Mm$/, 'length'],
  [/Deg$|^deg$/, '°'],
  [/[a-z]Ml$|^ml$/, 'mL'],
  [/[a-z]Nm$|^nm$/, 'N·m'],
  [/[a-z]N$/, 'N'],
  [/Hz$|^hz$/, 'Hz'],
  [/Kg$/, 'kg'],
  [/[a-z]C$/, '°C'],
  [/Kmh$/, 'km/h'],
  [/[a-z]Km$/, 'km'],
  [/[a-z]M$/, 'm'],
  [/^minutes$/, 'min'],
  [/^seconds$/, 's'],
  [/Px$/, 'px'],
  [/[a-z]V$/, 'V'],
  [/[a-z]A$/, 'A'],
];

/** The unit that a field's name ends in; undefined where it is a plain number or no figure. */
export const unitOfKey = (key: string): Unit | undefined =>
  ENDINGS.find(([ending]) => ending.test(key))?.[1];
/** How a unit is written beside a figure. */
export const unitSymbol = (unit: Unit): string => SYMBOLS[unit];
