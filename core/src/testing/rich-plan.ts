import { ADAPTERS, FLUIDS, HOSES, HOSE_FITTINGS, NUTS, TUBES } from '../trade/stock/index.ts';
import {
  aboutKind,
  allPorts,
  figureAt,
  PLAN,
  type AnyField,
  COLLECTIONS,
  type Line,
  type Plan,
  type CollectionKind,
} from '../plan/index.ts';
import { demo } from './demo-plans.ts';

type Raw = Record<string, unknown>;
const STOCK: Readonly<Record<string, readonly { readonly id: string }[]>> = {
  tube: TUBES,
  nut: NUTS,
  fluid: FLUIDS,
  'hose stock': HOSES,
  'hose end': HOSE_FITTINGS,
  'fitted adapter': ADAPTERS.filter(({ halves }) => halves.length === 2),
};

/** A value that a field allows; of a reference, the first there is. */
function sample(field: AnyField, plan: Plan, prefix = 'rich'): unknown {
  switch (field.type) {
    case 'optional':
      return sample(field.of, plan, prefix);
    case 'nullable':
      return sample(field.of, plan, prefix) ?? null;
    case 'flag':
      return true;
    case 'oneOf':
      return field.of[0];
    case 'number': {
      const low = Math.max(field.least, 0) + (field.over ? (field.whole ? 1 : 0.5) : 0);
      return Math.min(low + 1, field.under ? field.most / 2 : field.most);
    }
    case 'text':
      return field.form
        ? (['2026-03-02', '2026-03-02T09:00:00Z'].find((day) => field.form![0].test(day)) ?? '')
        : `${prefix}-text`;
    case 'ref':
      return firstOf(field.to, plan);
    case 'tuple':
      return field.of.map((one) => sample(one, plan, prefix));
    case 'list':
      return [sample(field.of, plan, prefix)];
    case 'map':
      return { rich: sample(field.of, plan, prefix) };
    case 'record':
      return record(field.fields, plan, field.about?.prefix ?? prefix);
    case 'byKind': {
      const [kind, shape] = Object.entries(field.shapes)[0]!;
      return { [field.tag]: kind, ...record(shape.fields, plan, prefix) };
    }
  }
}
const record = (fields: Readonly<Record<string, AnyField>>, plan: Plan, prefix: string): Raw =>
  Object.fromEntries(
    Object.entries(fields).map(([key, field]) => [
      key,
      key === 'id' ? `${prefix}-rich` : sample(field, plan, prefix),
    ]),
  );
function firstOf(to: string, plan: Plan): string | undefined {
  if (to in STOCK) return STOCK[to]![0]!.id;
  if (to === 'port') return allPorts(plan).find(({ port }) => port.role === 'bleeder')!.port.id;
  const key = aboutKind(to as CollectionKind).key ?? 'id';
  const [first] = figureAt(plan, COLLECTIONS[to as CollectionKind]) as readonly Raw[];
  return first && String(first[key]);
}

/** A value with all that it may hold and does not, deep down; what it holds stays. */
function filled(field: AnyField, value: unknown, plan: Plan): unknown {
  switch (field.type) {
    case 'optional':
    case 'nullable':
      return filled(field.of, value ?? sample(field.of, plan), plan);
    case 'list': {
      const list = value as readonly unknown[];
      return list.length ? list.map((one) => filled(field.of, one, plan)) : sample(field, plan);
    }
    case 'map':
      return Object.keys(value as Raw).length ? value : sample(field, plan);
    case 'record':
    case 'byKind': {
      const raw = value as Raw;
      const fields =
        field.type === 'record' ? field.fields : field.shapes[String(raw[field.tag])]!.fields;
      return {
        ...raw,
        ...Object.fromEntries(
          Object.entries(fields).map(([key, inner]) => [key, filled(inner, raw[key], plan)]),
        ),
      };
    }
    default:
      return value ?? sample(field, plan);
  }
}

/** Sections of a plan whose every field holds something: all but how its lines and parts are joined, which stays the demo's. */
const FILLED = [
  'making',
  'buying',
  'floor',
  'wheelEnds',
  'log',
  'filling',
  'proving',
  'singles',
  'trailer',
  'clutch',
  'parking',
  'sizing',
  'frame',
  'pedals',
  'comesOff',
  'points',
] as const satisfies readonly (keyof Plan)[];

/** A demo plan with something in every list and every field of what is recorded of a vehicle. */
export function richPlan(name = 'gannet'): Plan {
  const plan = demo(name);
  const fields = PLAN.fields as Readonly<Record<string, AnyField>>;
  // A line with all that can be recorded along it, but for an open end, which it has not at a port.
  const line = (fields['lines'] as { readonly of: AnyField }).of;
  const [first, ...rest] = plan.lines;
  const rich = filled(line, first, plan) as Line;
  const ends = {
    a: { ...rich.ends.a, open: null, adapters: first!.ends.a.adapters },
    b: { ...rich.ends.b, open: null, adapters: first!.ends.b.adapters },
  };
  const lines = [{ ...rich, ends, clipsMm: first!.clipsMm }, ...rest];
  const own = { ...plan, lines };
  return FILLED.reduce<Plan>(
    (now, section) => ({ ...now, [section]: filled(fields[section]!, now[section], now) }),
    own,
  );
}
