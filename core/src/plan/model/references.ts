import type { About, AnyField, RecordShape, StockKind, WhenGone } from './field-types.ts';
import type { RecordKind } from './record-kind.ts';

export type Path = readonly (string | number)[];
export type Say = (path: Path, message: string) => void;
export type Raw = Readonly<Record<string, unknown>>;
export const isRecord = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The shape that a value told apart by a field has; null where that field says nothing known. */
export const shapeOf = (
  field: Extract<AnyField, { type: 'byKind' }>,
  value: unknown,
): RecordShape | null => {
  const kind = isRecord(value) ? value[field.tag] : undefined;
  return typeof kind === 'string' && Object.hasOwn(field.shapes, kind) ? field.shapes[kind]! : null;
};

/** A reference to another record or to something in stock, and what it does when that is deleted. */
export interface Reference {
  readonly to: RecordKind | StockKind;
  readonly id: string;
  readonly path: Path;
  readonly use: string;
  /**
   * `clears`: it becomes null; `leaves`: its list goes on without it; `holds`: what it names cannot be deleted;
   * `removes`: its record goes too; `keeps`: it stands, and may name what is gone.
   */
  readonly then: 'clears' | 'leaves' | 'holds' | WhenGone;
}
/** What a record brings into a plan: ids of its own and of what is in it, what it refers to, and how much there is of it. */
export interface RecordIndex {
  readonly ids: readonly { readonly kind: RecordKind; readonly id: string; readonly path: Path }[];
  readonly refs: readonly Reference[];
  /** Lists in which something stands twice: where. */
  readonly twice: readonly Path[];
  /** Figures, texts and flags in all; long texts count for more. */
  readonly values: number;
}

/** What tells a record apart in the plan: its id, or its kind with the field that is its key. */
export const idOf = ({ key, kind }: Pick<About, 'key' | 'kind'>, value: Raw): string =>
  key ? `${kind} ${String(value[key])}` : String(value['id']);

/** Collects ids and references from a valid value. */
export function collectReferences(
  field: AnyField,
  value: unknown,
  path: Path,
  out: { ids: RecordIndex['ids'][number][]; refs: Reference[]; twice: Path[] },
  then: Reference['then'] = 'holds',
): void {
  switch (field.type) {
    case 'optional':
      return value === undefined ? undefined : collectReferences(field.of, value, path, out);
    case 'nullable':
      return value === null ? undefined : collectReferences(field.of, value, path, out, 'clears');
    case 'ref':
      return void out.refs.push({
        to: field.to,
        id: value as string,
        path,
        use: field.use,
        then: field.gone ?? then,
      });
    case 'list':
      if (field.once)
        (value as unknown[]).forEach((item, i, all) =>
          all.indexOf(item) < i ? void out.twice.push([...path, i]) : undefined,
        );
      return (value as unknown[]).forEach((item, i) =>
        collectReferences(field.of, item, [...path, i], out, 'leaves'),
      );
    case 'byKind':
    case 'record': {
      const shape = field.type === 'record' ? field : shapeOf(field, value)!;
      if (shape.about)
        out.ids.push({ kind: shape.about.kind, id: idOf(shape.about, value as Raw), path });
      for (const [key, inner] of Object.entries(shape.fields))
        collectReferences(inner, (value as Raw)[key], [...path, key], out);
    }
  }
}

/** Values in something parsed, a long text counting as several: what reading and checking it costs goes by this. */
export function countValues(value: unknown, most = Infinity): number {
  let count = 0;
  const add = (one: unknown): void => {
    count += typeof one === 'string' ? 1 + Math.floor(one.length / 40) : 1;
    if (count > most || typeof one !== 'object' || one === null) return;
    for (const key in one) {
      count += Math.floor(key.length / 40);
      add((one as Raw)[key]);
    }
  };
  add(value);
  return count;
}
