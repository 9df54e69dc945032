import fc from 'fast-check';

/** Where something was taken out. */
export const GONE = Symbol('gone');
export type Keys = readonly (string | number)[];

/** Every place in a value, as keys. */
export function places(value: unknown, path: Keys = []): Keys[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [
    path,
    ...Object.entries(value).flatMap(([key, item]) =>
      places(item, [...path, Array.isArray(value) ? Number(key) : key]),
    ),
  ];
}

/** A copy of a value with something else at a place, or (GONE) nothing. */
export function put<T>(value: T, [key, ...rest]: Keys, to: unknown): T {
  if (key === undefined) return to as T;
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...value }) as Record<
    string,
    unknown
  >;
  if (rest.length || to !== GONE) copy[key] = rest.length ? put(copy[key], rest, to) : to;
  else if (Array.isArray(copy)) copy.splice(Number(key), 1);
  else delete copy[key];
  return copy as T;
}

/** What no field expects: nothing, the wrong kind, and figures at and beyond every limit there is. */
export const odd = fc.oneof(
  fc.constantFrom<unknown>(
    GONE,
    null,
    true,
    '',
    'x',
    'x'.repeat(201),
    'x'.repeat(10_001),
    0,
    -0,
    -1,
    0.5,
    1,
    1e-12,
    1000,
    1e5,
    100_001,
    1e9,
    -1e9,
    1e300,
    NaN,
    Infinity,
    [],
    {},
    [[]],
    [1, 2, 3],
    '2026-01-01',
    '2026-13',
  ),
  fc.double(),
  fc.string(),
);
