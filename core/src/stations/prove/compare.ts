import {
  bare,
  CIRCUIT,
  fieldAt,
  fieldWords,
  GATE,
  HOSE,
  labelOf,
  LINE,
  PART,
  PLAN,
  THING,
  type AnyField,
  type Line,
  type LineView,
  type Plan,
  fluidIn,
  reservoirParts,
} from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { fluidById } from '../../trade/stock/index.ts';
import { formatLengthUnit } from '../../lib/units/index.ts';
import { distance } from '../../lib/vec/index.ts';
import { provingTests } from './test-results.ts';

/** What is otherwise in a plan, in a sentence, by the station that it belongs to. */
export interface Difference {
  readonly station: string;
  readonly where: string;
  readonly text: string;
}
interface Named {
  readonly id: string;
  readonly name: string;
}
const MOVED_MM = 0.5;

function listDifferences<T extends Named>(
  station: string,
  noun: string,
  was: readonly T[],
  is: readonly T[],
  changed: (was: T, is: T) => readonly string[],
): Difference[] {
  const before = new Map(was.map((one) => [one.id, one]));
  const after = new Set(is.map(({ id }) => id));
  return [
    ...is.flatMap((one): Difference[] => {
      const old = before.get(one.id);
      if (!old) return [{ station, where: one.name, text: `${noun} added` }];
      const words = [
        ...(old.name === one.name ? [] : [`was called ${old.name}`]),
        ...changed(old, one),
      ];
      return words.length ? [{ station, where: one.name, text: words.join('; ') }] : [];
    }),
    ...was
      .filter(({ id }) => !after.has(id))
      .map(({ name }) => ({ station, where: name, text: `${noun} removed` })),
  ];
}

/** How many corners of a line moved, how much longer it is, and what that undoes. */
function lineWords(was: LineView | undefined, is: LineView | undefined, plan: Plan): string[] {
  if (!was || !is) return [];
  const moved = is.nodesMm.filter(
    (node, i) => !was.nodesMm[i] || distance(node, was.nodesMm[i]) > MOVED_MM,
  ).length;
  const longer = (is.card?.developedMm ?? 0) - (was.card?.developedMm ?? 0);
  const length = (mm: number): string => formatLengthUnit(Math.abs(mm), plan.units, 0);
  return [
    ...(was.nodesMm.length !== is.nodesMm.length
      ? [`${is.nodesMm.length - 2} corners instead of ${was.nodesMm.length - 2}`]
      : moved
        ? [`${moved} ${moved === 1 ? 'place' : 'places'} moved`]
        : []),
    ...(Math.abs(longer) > MOVED_MM
      ? [`${length(longer)} ${longer > 0 ? 'longer' : 'shorter'}`]
      : []),
    ...(was.tube.id !== is.tube.id ? [`${is.tube.name} instead of ${was.tube.name}`] : []),
    ...(was.digest !== is.digest ? ['must be cut again'] : []),
  ];
}

/** Everything else of two records, told by what its fields are called. */
const changedFields = (
  field: AnyField,
  was: object,
  is: object,
  skip: readonly string[],
): string[] => {
  const of = bare(field);
  return Object.keys({ ...was, ...is })
    .filter(
      (key) =>
        !skip.includes(key) &&
        JSON.stringify((was as Record<string, unknown>)[key]) !==
          JSON.stringify((is as Record<string, unknown>)[key]),
    )
    .map((key) => `${fieldWords(fieldAt(of, [key], is), key)} changed`);
};

/** Fields of a line that its length, its joints and its card speak for. */
const NOT_OF_ITS_RUN: readonly (keyof Line)[] = [
  'id',
  'name',
  'ends',
  'cornersMm',
  'ticks',
  'readings',
  'missMm',
  'tubeId',
];
const same = (a: unknown, b: unknown): boolean =>
  JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/** A section of the plan that is no list: begun, taken away, or what in it changed. */
function sectionDifferences(station: string, key: keyof Plan, a: Plan, b: Plan): Difference[] {
  const [was, is] = [a[key] ?? null, b[key] ?? null];
  if (same(was, is)) return [];
  const where = labelOf(PLAN.fields[key]);
  if (was === null) return [{ station, where, text: 'begun' }];
  if (is === null) return [{ station, where, text: 'removed' }];
  const words = changedFields(PLAN.fields[key], was as object, is as object, ['open']);
  return [{ station, where, text: words.join('; ') || 'changed' }];
}

function lineDifferences(was: PlanView, is: PlanView): Difference[] {
  const views = (view: PlanView) => new Map(view.lines.map((line) => [line.line.id, line]));
  const [wasLines, isLines] = [views(was), views(is)];
  return listDifferences('route', 'line', was.plan.lines, is.plan.lines, (x, y) => [
    ...lineWords(wasLines.get(x.id), isLines.get(y.id), is.plan),
    ...changedFields(LINE, x, y, NOT_OF_ITS_RUN),
  ]);
}

/** Lines whose nuts, adapters or joints changed. */
function jointDifferences(a: Plan, b: Plan): Difference[] {
  const joints = ({ ends }: Line): unknown =>
    [ends.a, ends.b].map(({ joint, nutId, adapters }) => [joint, nutId, adapters]);
  const text = 'its ends or their work changed';
  return b.lines.flatMap((line): Difference[] => {
    const old = a.lines.find(({ id }) => id === line.id);
    return old && !same(joints(old), joints(line))
      ? [{ station: 'join', where: line.name, text }]
      : [];
  });
}

function bleedingDifferences({ bleeding: a }: Plan, { bleeding: b }: Plan): Difference[] {
  const order: Difference = { station: 'fill', where: 'Order', text: 'bled in another order' };
  return [...(a.school === b.school && same(a.listed, b.listed) ? [] : [order])];
}

/** Reservoirs that are filled with another fluid. */
function fluidDifferences(a: Plan, b: Plan): Difference[] {
  const name = (plan: Plan, part: string): string =>
    fluidById(fluidIn(plan, part).fluidId)?.name ?? 'none';
  return reservoirParts(b.parts)
    .filter(({ id }) => name(a, id) !== name(b, id))
    .map((part) => ({
      station: 'fill',
      where: `Fluid, ${part.name}`,
      text: `${name(b, part.id)} instead of ${name(a, part.id)}`,
    }));
}

const STATE_WORDS = { done: 'proved', void: 'void', open: 'no longer tested' } as const;
/** Tests that were proved and are no more, or the other way round. */
function testDifferences(was: PlanView, is: PlanView): Difference[] {
  const before = new Map(provingTests(was).map((test) => [test.key, test.state]));
  return provingTests(is).flatMap(({ key, name, state }): Difference[] => {
    const old = before.get(key);
    const isChanged = old && old !== state && (old === 'done' || state === 'done');
    const text = state === 'done' || state === 'void' ? STATE_WORDS[state] : STATE_WORDS.open;
    return isChanged ? [{ station: 'prove', where: name, text }] : [];
  });
}

/** Two plans compared in words, by station: a plan and its earlier self, or another. */
export function comparePlans(was: PlanView, is: PlanView): Difference[] {
  const [a, b] = [was.plan, is.plan];
  const sections = (station: string, ...keys: (keyof Plan)[]): Difference[] =>
    keys.flatMap((key) => sectionDifferences(station, key, a, b));
  return [
    ...listDifferences('measure', 'point', a.points, b.points, (x, y) =>
      same(x.known, y.known) ? [] : ['measured differently'],
    ),
    ...listDifferences('measure', 'thing', a.things, b.things, (x, y) =>
      changedFields(THING, x, y, ['id', 'name']),
    ),
    ...listDifferences('measure', 'gate', a.gates, b.gates, (x, y) =>
      changedFields(GATE, x, y, ['id', 'name']),
    ),
    ...sections('size', 'sizing', 'trailer', 'clutch', 'parking'),
    ...listDifferences('plumb', 'circuit', a.circuits, b.circuits, (x, y) =>
      changedFields(CIRCUIT, x, y, ['id', 'name']),
    ),
    ...listDifferences('plumb', 'part', a.parts, b.parts, (x, y) =>
      changedFields(PART, x, y, ['id', 'name']),
    ),
    ...lineDifferences(was, is),
    ...listDifferences('route', 'hose', a.hoses, b.hoses, (x, y) =>
      changedFields(HOSE, x, y, ['id', 'name', 'title']),
    ),
    ...jointDifferences(a, b),
    ...sections('measure', 'frame', 'pedals'),
    ...sections('size', 'singles'),
    ...sections('route', 'clipSettings'),
    ...sections('make', 'bench', 'making', 'buying'),
    ...sections('fit', 'floor', 'wheelEnds', 'log'),
    ...bleedingDifferences(a, b),
    ...fluidDifferences(a, b),
    ...sections('fill', 'filling'),
    ...sections('prove', 'proving'),
    ...testDifferences(was, is),
  ];
}
