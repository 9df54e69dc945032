/** A plan file as it was parsed, of any version. */
export type Raw = Record<string, unknown>;

export const isRaw = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
/** Each record of a list changed; what is no record or no list is handed on for the reader to refuse. */
export const each = (list: unknown, change: (item: Raw) => Raw): unknown =>
  Array.isArray(list) ? list.map((item: unknown) => (isRaw(item) ? change(item) : item)) : list;
/** Each record inside a record changed. */
export const inside = (record: unknown, change: (item: Raw) => Raw): unknown =>
  isRaw(record)
    ? Object.fromEntries(
        Object.entries(record).map(([key, item]) => [key, isRaw(item) ? change(item) : item]),
      )
    : record;
