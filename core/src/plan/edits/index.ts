import { InputError } from '../../lib/faults/index.ts';
import { aboutKind, PLAN, type KeyedKind, type Plan, type RecordOf } from '../model/index.ts';
import { COLLECTIONS, type CollectionKind } from '../model/record-kind.ts';
import { placeWords } from '../model/words.ts';
import { validatePlan } from '../validate.ts';
import { LINE_EDITS } from './lines.ts';
import { PART_EDITS } from './parts.ts';
import { FILL_EDITS } from './filling.ts';
import { LIST_EDITS } from './lists.ts';
import { PROVE_EDITS } from './proving.ts';
import { addRecord, changeRecord, putRecord, removeRecord, type Patch } from './records.ts';
import { WORK_EDITS } from './work.ts';
import { SHEET_EDITS } from './sheets.ts';

/**
 * Adding, changing and removing records, by kind: `addLine`, `changeLine`, `removeLine`. A record without an id is put
 * in place of the one with its key: `putOrder`.
 */
type RecordEdits = {
  [K in Exclude<CollectionKind, KeyedKind> as `add${Capitalize<K>}`]: (
    plan: Plan,
    figures: { readonly [N in K]: RecordOf<K> },
  ) => Plan;
} & {
  [K in KeyedKind as `put${Capitalize<K>}`]: (
    plan: Plan,
    figures: { readonly [N in K]: RecordOf<K> },
  ) => Plan;
} & {
  [K in CollectionKind as `change${Capitalize<K>}`]: (
    plan: Plan,
    figures: { id: string; patch: Patch<RecordOf<K>> },
  ) => Plan;
} & {
  [K in CollectionKind as `remove${Capitalize<K>}`]: (plan: Plan, figures: { id: string }) => Plan;
};

const recordEdits = Object.fromEntries(
  (Object.keys(COLLECTIONS) as CollectionKind[]).flatMap((kind) => {
    const name = kind[0]!.toUpperCase() + kind.slice(1);
    const [verb, insert] = aboutKind(kind).key ? ['put', putRecord] : ['add', addRecord];
    return [
      [
        `${verb}${name}`,
        (plan: Plan, figures: Record<string, never>) => insert(plan, kind, figures[kind]!),
      ],
      [
        `change${name}`,
        (plan: Plan, { id, patch }: { id: string; patch: object }) =>
          changeRecord(plan, kind, id, (item) => ({ ...item, ...patch })),
      ],
      [`remove${name}`, (plan: Plan, { id }: { id: string }) => removeRecord(plan, kind, id)],
    ];
  }),
) as RecordEdits;

/** Every edit of a plan by its name: plan and figures in, plan out. An edit that cannot be made throws InputError and changes nothing. */
export const EDITS = {
  ...recordEdits,
  ...PART_EDITS,
  ...LINE_EDITS,
  ...SHEET_EDITS,
  ...WORK_EDITS,
  ...FILL_EDITS,
  ...PROVE_EDITS,
  ...LIST_EDITS,
};
export type EditName = keyof typeof EDITS;
/** An edit as data: its name and figures, so that a snag can carry its mend and a log can keep it. */
export type EditCall = {
  [K in EditName]: { readonly edit: K; readonly with: Parameters<(typeof EDITS)[K]>[1] };
}[EditName];

/**
 * The plan after some edits, checked as a reader would check it: what could not be opened again is refused
 * with InputError, which names the place and the figure.
 */
export function applyEdits(plan: Plan, calls: readonly EditCall[]): Plan {
  const after = calls.reduce(
    (now, call) => (EDITS[call.edit] as (plan: Plan, figures: unknown) => Plan)(now, call.with),
    plan,
  );
  const [fault] = after === plan ? [] : validatePlan(after);
  if (!fault) return after;
  const place = placeWords(PLAN.fields, after, fault.path);
  throw new InputError(fault.path, place ? `${place}: ${fault.message}` : fault.message);
}
export const applyEdit = (plan: Plan, call: EditCall): Plan => applyEdits(plan, [call]);
