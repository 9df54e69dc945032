import type { Vec3 } from '../../lib/vec/index.ts';
import { unitOfKey, unitSymbol, type Unit } from './field-unit.ts';
import type { RecordKind } from './record-kind.ts';
import type {
  AnyTypedField,
  Told,
  AnyField,
  NumberLimits,
  NumberField,
  Field,
  TextLimits,
  StockKind,
  WhenGone,
  ValueOf,
  RecordShape,
  FieldsOf,
  FieldFault,
  About,
  RecordField,
  OneOfKind,
} from './field-types.ts';

export { unitSymbol, type Unit } from './field-unit.ts';

/** The same field with what people are told of it: `told('Bore', over(100))`. */
export const told = <F extends AnyTypedField>(label: string, field: F, more: Told = {}): F =>
  ({ ...field, ...more, label }) as F;
/** A field without what lets it be empty. */
export const bare = (field: AnyField): AnyField =>
  field.type === 'nullable' || field.type === 'optional' ? bare(field.of) : field;
/** What people are told of a field: what its outside says before what its inside says, and the unit its name ends in. */
export const toldOf = (field: AnyField): Told => {
  const inner = field.type === 'nullable' || field.type === 'optional' ? toldOf(field.of) : {};
  const { key, label, unit, help, none, names, usual, likely, digits, sold } = field;
  const own = { key, label, unit, help, none, names, usual, likely, digits, sold };
  const said = Object.entries(own).filter(([, value]) => value !== undefined);
  const all: Told = { ...inner, ...Object.fromEntries(said) };
  return all.unit || all.key === undefined ? all : { ...all, unit: unitOfKey(all.key) };
};

export const unitOf = (field: AnyField): Unit | undefined => toldOf(field).unit;
/** A field's label with its unit: "Pressure, MPa"; a length says its own. `instead` stands in place of the model's noun. */
export const labelOf = (field: AnyField, instead: string | null = null): string => {
  const { label = '', unit } = toldOf(field);
  const noun = instead ?? label;
  return unit === undefined || unit === 'length' ? noun : `${noun}, ${unitSymbol(unit)}`;
};

/** Whether a figure is outside of what is read in such a field as a rule. */
export const isUnlikely = (field: AnyField, value: number): boolean => {
  const { likely } = toldOf(field);
  return likely !== undefined && (value < likely[0] || value > likely[1]);
};
/** A field that must be filled here though it may be empty in its record. */
export const neededField = (field: AnyField): AnyField => ({ ...bare(field), ...toldOf(field) });
/** What a choice is called where people choose. */
export const choiceName = (field: AnyField, value: string | number): string =>
  toldOf(field).names?.[value] ?? String(value);

/** A figure within its limits; `over` leaves the least itself out, `whole` takes whole numbers alone. */
export const number = (
  least: number,
  most: number,
  more: Pick<NumberLimits, 'over' | 'under' | 'whole'> = {},
): NumberField => ({ type: 'number', least, most, ...more });
/** A figure over nothing, up to `most`. */
export const over = (most: number): NumberField => number(0, most, { over: true });
export const flag: Field<boolean> = { type: 'flag' };
/** One of a few; `names` is what they are called where people choose. */
export const oneOf = <const V extends string | number>(
  of: readonly V[],
  names?: Readonly<Record<V, string>>,
): Field<V> => ({ type: 'oneOf', of, ...(names ? { names } : {}) });
/** One of a few, by what they are called. */
export const choice = <const N extends Readonly<Record<string, string>>>(
  names: N,
): Field<keyof N & string> => ({ type: 'oneOf', of: Object.keys(names), names });
/** Yes or no, each in words of its own. */
export const yesNo = (yes: string, no: string): Field<boolean> => ({
  type: 'flag',
  names: { yes, no },
});

const words = (least: number, most: number): TextLimits & Field<string> => ({
  type: 'text',
  least,
  most,
});
export const id = told('Id', words(1, 80));
export const name = told('Name', words(1, 200));
export const text = words(0, 10_000);
/** Free text for people: nothing is worked out from it. */
export const note: TextLimits & Field<string> = { ...text, note: true };
/** What is kept for people: it is shown where it was recorded, and nothing is worked out from it. */
export const noted = <V>(field: Field<V>): Field<V> => ({ ...field, note: true });
/** Text in a form of its own, such as a date. */
export const written = (form: RegExp, what: string): Field<string> => ({
  type: 'text',
  least: 0,
  most: 80,
  form: [form, what],
});
/** A date and time as ISO 8601 writes it. */
export const time = written(
  /^\d{4}-\d\d-\d\d(T\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:?\d\d)?)?$/,
  'a date and time',
);

const DAY = /^\d{4}-\d\d-\d\d$/;
/** A day as ISO 8601 writes it. */
export const day = written(DAY, 'a day');
/** Whether a field holds a day. */
export const isDay = (field: AnyField): boolean => field.type === 'text' && field.form?.[0] === DAY;

/** The id of a record, or of something in stock; `use` says what the record is to the one that names it. */
export const ref = (
  to: RecordKind | StockKind,
  use = 'is used by',
  gone?: WhenGone,
): Field<string> => ({ type: 'ref', to, use, ...(gone ? { gone } : {}) });
/** The id of a record that work was done on: it is still named once the record is deleted. */
export const pastRef = (to: RecordKind): Field<string> => ref(to, 'is named by', 'keeps');
/** The id of the record that this one belongs to and is deleted with. */
export const ownerRef = (to: RecordKind): Field<string> => ref(to, 'owns', 'removes');
export const nullable = <F extends AnyTypedField>(
  of: F,
): { readonly type: 'nullable'; readonly of: F } & Field<ValueOf<F> | null> => ({
  type: 'nullable',
  of,
});
export const optional = <F extends AnyTypedField>(
  of: F,
): { readonly type: 'optional'; readonly of: F } & Field<ValueOf<F> | undefined> => ({
  type: 'optional',
  of,
});
/** A figure as it is asked for before it is known: it may be empty meanwhile. */
export const askedField = (field: AnyField): Field<number | null | undefined> =>
  field.type === 'nullable' ? field : { type: 'nullable', of: field };
export const list = <F extends AnyTypedField>(
  of: F,
  most: number,
  least = 0,
): { readonly type: 'list'; readonly of: F; readonly least: number; readonly most: number } & Field<
  readonly ValueOf<F>[]
> => ({ type: 'list', of, least, most });
/** A list in which nothing stands twice. */
export const once = <F extends AnyTypedField>(
  of: F,
  most: number,
): Field<readonly ValueOf<F>[]> => ({
  type: 'list',
  of,
  least: 0,
  most,
  once: true,
});
export const map = <F extends AnyTypedField>(
  of: F,
): Field<Readonly<Record<string, ValueOf<F>>>> => ({
  type: 'map',
  of,
});
const triple = (least: number, most: number, check?: (at: Vec3) => string | null): Field<Vec3> => ({
  type: 'tuple',
  of: Array.from({ length: 3 }, () => number(least, most)),
  ...(check ? { check } : {}),
});
/** A place on the vehicle, mm. */
export const place = triple(-100_000, 100_000);
/** Three figures of one kind, such as a sigma on each axis. */
export const axes = (least: number, most: number): Field<Vec3> => triple(least, most);
/** A direction: any length but none. */
export const direction = (message = 'Enter a direction that is not zero.'): Field<Vec3> =>
  triple(-1e6, 1e6, (at) => (Math.hypot(...at) < 1e-9 ? message : null));
/** A direction that may be nothing while nothing turns about it. */
export const anyDirection = triple(-1e6, 1e6);
export const span = (
  from: readonly [number, number],
  to: readonly [number, number],
): Field<readonly [number, number]> => ({ type: 'tuple', of: [number(...from), number(...to)] });

/** Fields that know their names. */
const keyed = (fields: RecordShape['fields']): RecordShape['fields'] =>
  Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, { ...field, key }]));
/** The fields of a record: each one that its type has and no other. */
export const record =
  <T>() =>
  <F extends FieldsOf<T>>(
    fields: F & { readonly [K in Exclude<keyof F, keyof T>]: never },
    more: {
      readonly check?: (value: T) => FieldFault | null;
      readonly about?: Omit<About, 'named' | 'more'> & {
        readonly named: (value: T) => string;
        readonly more?: (value: T) => string;
      };
    } = {},
  ): RecordField<T, F> =>
    ({ type: 'record', fields: keyed(fields), ...more }) as unknown as RecordField<T, F>;
/** One of several records, told apart by a field. */
export const byKind =
  <T extends object>() =>
  <
    Tag extends keyof T & string,
    const S extends { readonly [V in T[Tag] & string]: FieldsOf<OneOfKind<T, Tag, V>> },
  >(
    tag: Tag,
    shapes: S,
    check?: (value: T) => FieldFault | null,
  ): {
    readonly type: 'byKind';
    readonly shapes: { readonly [V in keyof S]: { readonly fields: S[V] } };
  } & Field<T> =>
    ({
      type: 'byKind',
      tag,
      shapes: Object.fromEntries(
        Object.entries(shapes).map(([kind, fields]) => [
          kind,
          { type: 'record', fields: keyed(fields as RecordShape['fields']) },
        ]),
      ),
      ...(check ? { check } : {}),
    }) as never;

/** A record that has the same field for each of some names. */
export const each = <K extends string, T>(
  names: Readonly<Record<K, string>>,
  of: Field<T>,
  more: Told = {},
): RecordShape & { readonly fields: Readonly<Record<K, Field<T>>> } & Field<
    Readonly<Record<K, T>>
  > => ({
  type: 'record',
  fields: Object.fromEntries(
    Object.entries<string>(names).map(([key, name]) => [key, told(name, of, { ...more, key })]),
  ) as Readonly<Record<K, Field<T>>>,
});
/** The same where any of them may be missing. */
export const anyOf = <K extends string, T>(
  names: Readonly<Record<K, string>>,
  of: Field<T>,
): RecordShape & { readonly fields: Readonly<Record<K, Field<T | undefined>>> } & Field<
    Readonly<Partial<Record<K, T>>>
  > => ({ type: 'record', fields: each(names, optional(of)).fields });
