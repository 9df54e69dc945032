import type { Unit } from './field-unit.ts';
import type { RecordKind } from './record-kind.ts';

/** What comes out of the stock that ships with the program. */
export type StockKind = 'tube' | 'nut' | 'hose stock' | 'hose end' | 'fluid' | 'fitted adapter';

/**
 * What people are told of a field, said once: forms, printed records, comparisons and the table of the plan file take
 * it from here.
 */
export interface Told {
  /** Its name in its record, as stored; `record` writes it here. */
  readonly key?: string;
  /** A noun, without its unit. */
  readonly label?: string;
  /** Where its name does not end in it. */
  readonly unit?: Unit | undefined;
  readonly help?: string;
  /** What it means that nothing stands there. */
  readonly none?: string;
  /** Kept for people: nothing is worked out from it. */
  readonly note?: boolean;
  /** What its choices are called; of a flag, `yes` and `no`. */
  readonly names?: Readonly<Record<string, string>>;
  /** What a form takes at least and at most, where that is less than a file may hold. */
  readonly usual?: readonly [least: number, most: number];
  /** What is read there as a rule: outside of it a form asks whether it is right, and takes it. Common practice. */
  readonly likely?: readonly [least: number, most: number];
  /** Places behind the point that a length is shown with. */
  readonly digits?: number;
  /** Sold by the inch as well: an inch size is shown as one, `7/8 in`. */
  readonly sold?: boolean;
}
export interface NumberLimits {
  readonly type: 'number';
  readonly least: number;
  readonly most: number;
  /** `least` itself is too little; `most` itself is too much; only whole numbers. */
  readonly over?: boolean;
  readonly under?: boolean;
  readonly whole?: boolean;
}
export interface TextLimits {
  readonly type: 'text';
  readonly least: number;
  readonly most: number;
  /** How it must be written, and what that is called. */
  readonly form?: readonly [RegExp, string];
}
export interface RecordShape {
  readonly type: 'record';
  readonly fields: Readonly<Record<string, AnyField>>;
  check?(value: unknown): FieldFault | null;
  readonly about?: About;
}
/** What a field may hold and what people are told of it, as plain data: the reader's schema, the check after an edit and the forms are made of it. */
export type FieldData = Told & FieldLimits;
type FieldLimits =
  | NumberLimits
  | TextLimits
  | { readonly type: 'flag' }
  | { readonly type: 'oneOf'; readonly of: readonly (string | number)[] }
  | {
      readonly type: 'ref';
      readonly to: RecordKind | StockKind;
      readonly use: string;
      readonly gone?: WhenGone;
    }
  | {
      readonly type: 'tuple';
      readonly of: readonly AnyField[];
      check?(value: unknown): string | null;
    }
  | {
      readonly type: 'list';
      readonly of: AnyField;
      readonly least: number;
      readonly most: number;
      readonly once?: boolean;
    }
  | { readonly type: 'map'; readonly of: AnyField }
  | { readonly type: 'nullable'; readonly of: AnyField }
  | { readonly type: 'optional'; readonly of: AnyField }
  | {
      readonly type: 'byKind';
      readonly tag: string;
      readonly shapes: Readonly<Record<string, RecordShape>>;
      check?(value: unknown): FieldFault | null;
    }
  | RecordShape;

/**
 * What a reference does when the record it names is deleted, where that is otherwise than by its place (nullable: it is
 * cleared; in a list: it is dropped; else the deletion is refused). `keeps`: a record of past work still names it;
 * `removes`: its own record is deleted too.
 */
export type WhenGone = 'keeps' | 'removes';

/** What is wrong inside a record whose fields are each in order: where in it, and one sentence. */
export interface FieldFault {
  readonly at: string;
  readonly message: string;
}
/** What a record with an id is, to people and to the plan. */
export interface About {
  readonly kind: RecordKind;
  /** What ids of its kind begin with. */
  readonly prefix: string;
  /** The field that tells such records apart, where it is not `id`: no two in the list share it. */
  readonly key?: string;
  /** It has no name of its own to be searched for. */
  readonly unlisted?: boolean;
  /** What such a record is called in a sentence. */
  readonly noun: string;
  /** One record in words. */
  named(value: unknown): string;
  /** What else it may be looked for by. */
  more?(value: unknown): string;
}

/** Kept by the compiler alone: what a field holds. */
export interface Typed<T> {
  readonly holds?: (value: T) => T;
}
/** A field that holds just a `T`: the compiler keeps a record's type and its fields together, both ways. */
export type Field<T> = FieldData & Typed<T>;
export type AnyField = FieldData;
/** A field of any value type. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export type AnyTypedField = Field<any>;
export type ValueOf<F> = F extends Typed<infer T> ? T : never;
export type NumberField = NumberLimits & Field<number>;

export type FieldsOf<T> = {
  readonly [K in keyof T]-?: undefined extends T[K]
    ? { readonly type: 'optional' } & Field<Exclude<T[K], undefined> | undefined>
    : Field<T[K]>;
};
export type RecordField<T, F = FieldsOf<T>> = RecordShape & { readonly fields: F } & Field<T>;

export type OneOfKind<T, Tag extends keyof T, V> = Omit<
  Extract<T, { readonly [K in Tag]: V }>,
  Tag
>;
