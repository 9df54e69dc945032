import { derive } from '../lib/derive/index.ts';
import type { Fault } from '../lib/faults/index.ts';
import { fluidById, hoseById, hoseFittingById, nutById, tubeById } from '../trade/stock/index.ts';
import { adapterOf } from './model/adapter-of.ts';
import { checkFields, faultAt, indexRecords, type IndexedRecord } from './model/check.ts';
import type { StockKind } from './model/field-types.ts';
import {
  datumsOf,
  PLAN,
  type Bench,
  type PositionSource,
  type Plan,
  type Point,
} from './model/index.ts';
import { type RecordKind } from './model/record-kind.ts';

/** Figures and texts that a plan may hold in all: what it costs to read and to check goes by it. */
export const MOST_VALUES = 250_000;

/** Which points a place rests on, directly. */
const restsOn = (known: PositionSource): readonly string[] =>
  known.how === 'taped' ? datumsOf(known) : [];

/** Points whose tapes lead back to themselves, so that nothing fixes them. */
const circular = derive(
  'points taped from themselves',
  (points: readonly Point[]) => [points] as const,
  (points): ReadonlySet<string> => {
    const byId = new Map(points.map((point) => [point.id, point]));
    const state = new Map<string, 'open' | 'done'>();
    const bad = new Set<string>();
    for (const start of points) {
      const stack: { id: string; next: number }[] = [{ id: start.id, next: 0 }];
      if (state.has(start.id)) continue;
      state.set(start.id, 'open');
      while (stack.length) {
        const top = stack[stack.length - 1]!;
        const from = restsOn(byId.get(top.id)!.known)[top.next++];
        if (from === undefined) {
          state.set(top.id, 'done');
          stack.pop();
        } else if (state.get(from) === 'open') bad.add(top.id);
        else if (byId.has(from) && !state.has(from)) {
          state.set(from, 'open');
          stack.push({ id: from, next: 0 });
        }
      }
    }
    return bad;
  },
);

/** Whether the stock has it, and how its absence is said. */
const STOCKED: Readonly<Record<StockKind, (id: string, bench: Bench) => boolean>> = {
  tube: (id) => tubeById(id) !== undefined,
  nut: (id) => nutById(id) !== undefined,
  'hose stock': (id) => hoseById(id) !== undefined,
  'hose end': (id) => hoseFittingById(id) !== undefined,
  fluid: (id) => fluidById(id) !== undefined,
  'fitted adapter': (id, bench) => adapterOf(bench, id)?.halves.length === 2,
};
const isStock = (to: RecordKind | StockKind): to is StockKind => Object.hasOwn(STOCKED, to);
const ABSENT: Partial<Record<RecordKind | StockKind, (id: string) => string>> = {
  'hose stock': (id) => `No hose "${id}" in stock.`,
  'fitted adapter': (id) => `There is no adapter "${id}" with two ends.`,
  bender: (id) => `There is no bender "${id}" on the bench.`,
};
const absent = (to: RecordKind | StockKind, id: string): string =>
  ABSENT[to]?.(id) ?? `There is no ${to} "${id}"${isStock(to) ? ' in stock' : ''}.`;

/** What no single record of a plan can tell: ids are unique, every reference meets its kind, a port joins at most one line, nothing is taped from itself. */
export function faultsBetween(plan: Plan): Fault[] {
  const records = indexRecords(PLAN.fields, plan);
  const faults: Fault[] = [];
  const say = (path: string | IndexedRecord['path'], message: string): void =>
    void faults.push(typeof path === 'string' ? { path, message } : faultAt(path, message));
  const values = records.reduce((sum, { outline }) => sum + outline.values, 0);
  if (values > MOST_VALUES)
    say('', `The plan holds ${values} figures and texts; ${MOST_VALUES} is the limit.`);
  // Thousands of ids and references are met with every edit: a path is put together only for what is said.
  const owners = new Map<
    string,
    {
      readonly kind: RecordKind;
      readonly within: IndexedRecord['path'];
      readonly path: IndexedRecord['path'];
    }
  >();
  for (const { outline, path: within } of records)
    for (const { kind, id, path } of outline.ids) {
      const before = owners.get(id);
      if (before)
        say(
          [...within, ...path, 'id'],
          `The id "${id}" already belongs to ${faultAt([...before.within, ...before.path], '').path}.`,
        );
      else owners.set(id, { kind, within, path });
    }
  const joined = new Map<string, string>();
  for (const { outline, path: within } of records)
    for (const { to, id, path, then } of outline.refs) {
      if (then === 'keeps' && !owners.has(id)) continue;
      if (isStock(to) ? !STOCKED[to](id, plan.bench) : owners.get(id)?.kind !== to)
        say([...within, ...path], absent(to, id));
      else if (to === 'port' && within[0] === 'lines') {
        const other = joined.get(id);
        if (other !== undefined)
          say([...within, ...path], `The port "${id}" already holds ${other}.`);
        joined.set(id, `line ${plan.lines[within[1] as number]!.name}`);
      }
    }
  const loops = circular(plan.points);
  if (loops.size)
    plan.points.forEach(({ id, name }, i) => {
      if (loops.has(id))
        say(['points', i, 'known', 'tapes'], `${name} is taped from itself, round other points.`);
    });
  if (plan.bleeding.listed.length) {
    const bleeders = new Set(
      plan.parts.flatMap(({ ports }) =>
        ports.filter((port) => port.role === 'bleeder').map((port) => port.id),
      ),
    );
    plan.bleeding.listed.forEach((id, i) => {
      if (owners.get(id)?.kind === 'port' && !bleeders.has(id))
        say(['bleeding', 'listed', i], `There is no bleeder "${id}".`);
    });
  }
  for (const { outline, path } of records)
    for (const at of outline.twice)
      say(
        [...path, ...at],
        `The bleeder "${plan.bleeding.listed[at.at(-1) as number]}" is listed twice.`,
      );
  return faults;
}

/**
 * Everything that the reader would refuse a plan for, asked of a plan that was just changed; empty for a sound one.
 * Records that stay as they are are looked at once, so that asking again after an edit costs little.
 */
export function validatePlan(plan: Plan): Fault[] {
  const faults: Fault[] = [];
  checkFields(PLAN.fields, plan, (path, message) => void faults.push(faultAt(path, message)));
  return faults.length ? faults : faultsBetween(plan);
}
