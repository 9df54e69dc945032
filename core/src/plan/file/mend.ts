import { check } from '../model/check.ts';
import { countValues, shapeOf } from '../model/references.ts';
import {
  emptyPlan,
  figureAt,
  PLAN,
  PLAN_FORMAT,
  PLAN_VERSION,
  withAt,
  type AnyField,
  type Plan,
} from '../model/index.ts';
import { placeWords } from '../model/words.ts';
import { MOST_VALUES, validatePlan } from '../validate.ts';
import { migrate } from './migrations/index.ts';

/** Something that was changed so that a plan can be used again. */
export interface Mended {
  readonly path: string;
  /** What was done, in a sentence that names the place. */
  readonly text: string;
}
/** A plan that was refused, made sound by the smallest changes, and all of these; null where it is no plan at all. */
export interface MendedPlan {
  readonly plan: Plan;
  readonly mended: readonly Mended[];
}

const MOST_ROUNDS = 200;
type Keys = readonly string[];
const keysOf = (path: string): string[] => path.match(/[^.[\]]+/g) ?? [];

/** The fields along a path, the outermost first. */
function fieldsAlong(keys: Keys, value: unknown): AnyField[] {
  const found: AnyField[] = [PLAN];
  let now = value;
  for (const key of keys) {
    let field = found.at(-1)!;
    while (field.type === 'nullable' || field.type === 'optional') field = field.of;
    const inner =
      field.type === 'record'
        ? field.fields[key]
        : field.type === 'byKind'
          ? shapeOf(field, now)?.fields[key]
          : field.type === 'list' || field.type === 'map'
            ? field.of
            : field.type === 'tuple'
              ? field.of[Number(key)]
              : undefined;
    if (!inner) break;
    found.push(inner);
    now = (now as Record<string, unknown> | null | undefined)?.[key];
  }
  return found;
}

/** A value of its kind as near to what stands there as the limits allow; undefined where there is none. */
function nearest(field: AnyField, value: unknown): unknown {
  switch (field.type) {
    case 'nullable':
      return null;
    case 'number': {
      if (typeof value !== 'number' || Number.isNaN(value)) return undefined;
      const step = field.whole ? 1 : (field.most - field.least) / 1e6;
      const low = field.over ? field.least + step : field.least;
      const high = field.under ? field.most - step : field.most;
      const within = Math.min(Math.max(value, low), high);
      return field.whole ? Math.round(within) : within;
    }
    case 'text':
      return field.form || typeof value !== 'string'
        ? undefined
        : value.length > field.most
          ? value.slice(0, field.most)
          : value || 'unnamed';
    case 'oneOf':
      return field.of[0];
    case 'flag':
      return false;
    case 'list':
      return Array.isArray(value)
        ? value.length > field.most
          ? value.slice(0, field.most)
          : undefined
        : field.least
          ? undefined
          : [];
    default:
      return undefined;
  }
}

/** The value without what stands at a path: taken out of a list, or a field put to nothing; up to the whole plan's own default. */
function without(value: unknown, keys: Keys): unknown {
  const fields = fieldsAlong(keys, value);
  for (let depth = Math.min(keys.length, fields.length - 1); depth > 0; depth--) {
    const at = keys.slice(0, depth);
    const [parent, own] = [fields[depth - 1]!, fields[depth]!];
    const list = parent.type === 'nullable' || parent.type === 'optional' ? parent.of : parent;
    if (
      list.type === 'list' &&
      (figureAt(value, at.slice(0, -1).join('.')) as unknown[]).length > list.least
    ) {
      const rest = (figureAt(value, at.slice(0, -1).join('.')) as unknown[]).toSpliced(
        Number(at.at(-1)),
        1,
      );
      return withAt(value, at.slice(0, -1), rest);
    }
    if (own.type === 'optional') return withAt(value, at, undefined);
    if (own.type === 'nullable') return withAt(value, at, null);
  }
  const fresh: Readonly<Record<string, unknown>> = {
    ...emptyPlan('mended', 'Repaired plan', '2026-01-01T00:00:00.000Z'),
  };
  return withAt(value, keys.slice(0, 1), fresh[keys[0] ?? '']);
}

/**
 * Makes a refused plan usable: figures are brought within their limits, corners put in order, references to
 * what is not there let go, and only what cannot be kept in any form is taken out. Null for what is no plan.
 */
export function mendPlan(raw: unknown): MendedPlan | null {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) return null;
  const { format, version } = raw as { format?: unknown; version?: unknown };
  if (format !== PLAN_FORMAT || (typeof version === 'number' && version > PLAN_VERSION))
    return null;
  if (countValues(raw, MOST_VALUES) > MOST_VALUES) return null;
  let now: unknown = migrate(raw as Record<string, unknown>);
  const mended: Mended[] = [];
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const faults: { path: string; message: string }[] = [];
    check(
      PLAN,
      now,
      [],
      (path, message) =>
        void faults.push({ path: path.join('.').replace(/\[(\d+)\]/g, '.$1'), message }),
    );
    const [fault] = faults.length ? faults : validatePlan(now as Plan);
    if (!fault) return { plan: now as Plan, mended };
    const keys = keysOf(fault.path);
    const place = placeWords(PLAN.fields, now, fault.path);
    const before = figureAt(now, keys.join('.'));
    const field = fieldsAlong(keys, now)[keys.length];
    const to = field && nearest(field, before);
    // The only figure in order by itself that is told of is the second of two corners.
    if (keys.at(-2) === 'maxMm' && to === before) {
      const low = [...keys.slice(0, -2), 'minMm', keys.at(-1)!];
      const [a, b] = [figureAt(now, low.join('.')), before];
      now = withAt(withAt(now, low, b), keys, a);
    } else if (to !== undefined && to !== before) now = withAt(now, keys, to);
    else now = without(now, keys);
    mended.push({ path: fault.path, text: `${place || 'The plan'}: ${fault.message}` });
  }
  return null;
}
