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
      .map(({ name }) => ({ station, where: name, text: `${noun} taken away` })),
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
        ? [`${moved} ${moved === 1 ? 'place' : 'places'} of it moved`]
        : []),
    ...(Math.abs(longer) > MOVED_MM
      ? [`${length(longer)} ${longer > 0 ? 'longer' : 'shorter'}`]
      : []),
    ...(was.tube.id !== is.tube.id ? [`${is.tube.name} instead of ${was.tube.name}`] : []),
    ...(was.digest !== is.digest ? ['to be cut anew'] : []),
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
/** Two plans compared in words, by station: a plan and its earlier self, or another. */
export function comparePlans(was: PlanView, is: PlanView): Difference[] {
  const [a, b] = [was.plan, is.plan];
  const lines = (view: PlanView) => new Map(view.lines.map((line) => [line.line.id, line]));
  const [wasLines, isLines] = [lines(was), lines(is)];
  const sheet = (station: string, key: keyof Plan): Difference[] => {
    const [x, y] = [a[key], b[key]];
    if (JSON.stringify(x ?? null) === JSON.stringify(y ?? null)) return [];
    const text =
      x === null || x === undefined
        ? 'begun'
        : y === null || y === undefined
          ? 'taken away'
          : changedFields(PLAN.fields[key], x as object, y as object, ['open']).join('; ') ||
            'changed';
    return [{ station, where: labelOf(PLAN.fields[key]), text }];
  };
  const joints = (line: LineView['line']): string =>
    JSON.stringify([
      line.ends.a.joint,
      line.ends.b.joint,
      line.ends.a.nutId,
      line.ends.b.nutId,
      line.ends.a.adapters,
      line.ends.b.adapters,
    ]);
  const state = new Map(provingTests(was).map((round) => [round.key, round]));
  return [
    ...listDifferences('measure', 'point', a.points, b.points, (x, y) =>
      JSON.stringify(x.known) === JSON.stringify(y.known) ? [] : ['measured otherwise'],
    ),
    ...listDifferences('measure', 'thing', a.things, b.things, (x, y) =>
      changedFields(THING, x, y, ['id', 'name']),
    ),
    ...listDifferences('measure', 'gate', a.gates, b.gates, (x, y) =>
      changedFields(GATE, x, y, ['id', 'name']),
    ),
    ...sheet('size', 'sizing'),
    ...sheet('size', 'trailer'),
    ...sheet('size', 'clutch'),
    ...sheet('size', 'parking'),
    ...listDifferences('plumb', 'circuit', a.circuits, b.circuits, (x, y) =>
      changedFields(CIRCUIT, x, y, ['id', 'name']),
    ),
    ...listDifferences('plumb', 'part', a.parts, b.parts, (x, y) =>
      changedFields(PART, x, y, ['id', 'name']),
    ),
    ...listDifferences('route', 'line', a.lines, b.lines, (x, y) => [
      ...lineWords(wasLines.get(x.id), isLines.get(y.id), b),
      ...changedFields(LINE, x, y, NOT_OF_ITS_RUN),
    ]),
    ...listDifferences('route', 'hose', a.hoses, b.hoses, (x, y) =>
      changedFields(HOSE, x, y, ['id', 'name', 'title']),
    ),
    ...b.lines.flatMap((line): Difference[] => {
      const old = a.lines.find(({ id }) => id === line.id);
      return old && joints(old) !== joints(line)
        ? [{ station: 'join', where: line.name, text: 'its ends or what was done to them changed' }]
        : [];
    }),
    ...sheet('measure', 'frame'),
    ...sheet('measure', 'pedals'),
    ...sheet('size', 'singles'),
    ...sheet('route', 'clipSettings'),
    ...sheet('make', 'bench'),
    ...sheet('make', 'making'),
    ...sheet('make', 'buying'),
    ...sheet('fit', 'floor'),
    ...sheet('fit', 'wheelEnds'),
    ...sheet('fit', 'log'),
    ...(a.bleeding.fluidId === b.bleeding.fluidId
      ? []
      : [
          {
            station: 'fill',
            where: 'Fluid',
            text: `${fluidById(b.bleeding.fluidId)?.name} instead of ${fluidById(a.bleeding.fluidId)?.name}`,
          },
        ]),
    ...(a.bleeding.school === b.bleeding.school &&
    JSON.stringify(a.bleeding.listed) === JSON.stringify(b.bleeding.listed)
      ? []
      : [{ station: 'fill', where: 'Order', text: 'bled in another order' }]),
    ...sheet('fill', 'filling'),
    ...sheet('prove', 'proving'),
    ...provingTests(is).flatMap((round): Difference[] => {
      const old = state.get(round.key);
      return old && old.state !== round.state && (old.state === 'done' || round.state === 'done')
        ? [
            {
              station: 'prove',
              where: round.name,
              text:
                round.state === 'done'
                  ? 'proved'
                  : round.state === 'void'
                    ? 'void'
                    : 'proved no more',
            },
          ]
        : [];
    }),
  ];
}
