import type { EstimatedFigures } from './sizing.ts';

type Json = { readonly [key: string]: unknown };

/** A value with what stands at a path (keys and indices) replaced. */
export const withAt = <T>(value: T, path: readonly string[], to: unknown): T => {
  const [key, ...rest] = path;
  if (key === undefined) return to as T;
  if (Array.isArray(value))
    return value.map((item: unknown, i) =>
      String(i) === key ? withAt(item, rest, to) : item,
    ) as T;
  return { ...value, [key]: withAt((value as Json)[key], rest, to) };
};

/** A figure by its path, such as `pedal.ratio` or `front.pistonsMm.0`. */
export const figureAt = (sheet: unknown, path: string): unknown =>
  path.split('.').reduce<unknown>((value, key) => (value as Json | null | undefined)?.[key], sheet);

/** The sheet with one figure or part of it changed; what is set is no guess any more. */
export function withFigure<T extends EstimatedFigures>(sheet: T, path: string, to: unknown): T {
  const changed = withAt(sheet, path.split('.'), to);
  return {
    ...changed,
    open: sheet.open.filter((open) => open !== path && !open.startsWith(`${path}.`)),
  };
}
