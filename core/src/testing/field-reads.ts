import type { AnyField } from '../plan/index.ts';

type Path = readonly string[];
/** The place of a field in the model: `floor.done[].at`. */
const placeOf = (path: Path): string => path.join('.').replaceAll('.[]', '[]');

/** Every field of the model that holds a value of its own, by its place; `note` tells which are free text for people. */
export function fieldPlaces(field: AnyField, path: Path = []): { place: string; note: boolean }[] {
  switch (field.type) {
    case 'optional':
    case 'nullable':
      return fieldPlaces(field.of, path);
    case 'list':
    case 'map':
      return fieldPlaces(field.of, [...path, '[]']);
    case 'record':
    case 'byKind': {
      const shapes = field.type === 'record' ? [field] : Object.values(field.shapes);
      const found = shapes.flatMap(({ fields }) =>
        Object.entries(fields).flatMap(([key, inner]) => fieldPlaces(inner, [...path, key])),
      );
      return [...new Map(found.map((one) => [one.place, one])).values()];
    }
    default:
      return [{ place: placeOf(path), note: 'note' in field && field.note === true }];
  }
}

/**
 * A value whose fields say when they are read, by their places. What copies or writes out a whole record (spreading,
 * `JSON.stringify`, `Object.entries`) reads none of its fields.
 */
export function watched<T extends object>(value: T, read: (place: string) => void): T {
  const made = new WeakMap<object, object>();
  const watch = (target: object, path: Path): object => {
    const known = made.get(target);
    if (known) return known;
    const copied = new Map<PropertyKey, number>();
    let written = 0;
    const proxy = new Proxy(target, {
      getOwnPropertyDescriptor(of, key) {
        copied.set(key, (copied.get(key) ?? 0) + 1);
        return Reflect.getOwnPropertyDescriptor(of, key);
      },
      get(of, key, receiver) {
        const found: unknown = Reflect.get(of, key, receiver);
        if (typeof key === 'symbol' || typeof found === 'function') return found;
        const isItem = Array.isArray(of) && /^\d+$/.test(key);
        const own = [...path, isItem ? '[]' : key];
        // A list that is written out is asked for `toJSON`, then for each of its items.
        if (key === 'toJSON' && Array.isArray(of)) written = of.length;
        const copies = copied.get(key) ?? 0;
        if (copies) copied.set(key, copies - 1);
        else if (isItem && written) written--;
        else if (key !== 'toJSON' && key !== 'length') read(placeOf(own));
        return typeof found === 'object' && found !== null ? watch(found, own) : found;
      },
    });
    made.set(target, proxy);
    return proxy;
  };
  return watch(value, []) as T;
}
