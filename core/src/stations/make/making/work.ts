import type { BendOrder, OrderedBend } from '../../../shape/bending/index.ts';
import {
  throughHoles,
  toolingOf,
  type Bench,
  type LineView,
  type Plan,
} from '../../../plan/index.ts';
import type { FlareForm } from '../../../trade/stock/index.ts';
import type { Card } from '../../../shape/tube/index.ts';

export type WorkKind =
  | 'test'
  | 'cut'
  | 'deburr'
  | 'nut'
  | 'sleeve'
  | 'slide'
  | 'flare'
  | 'bend'
  | 'offer-up'
  | 'mark'
  | 'trim'
  | 'clean'
  | 'cap';
/** One step at the bench; those in `after` keep it locked until they are ticked. */
export interface WorkStep {
  readonly id: string;
  readonly kind: WorkKind;
  readonly end?: 'a' | 'b';
  /** Which bend of the card, from 0, and whose side lies in the clamp. */
  readonly bend?: OrderedBend;
  /** What is slid on. */
  readonly what?: string;
  readonly flare?: FlareForm;
  readonly after?: readonly string[];
}

/** Whether a flare in this tube has been seen to be good: by test pieces told of, or by one that was made since. */
export function isProven(bench: Bench, flare: FlareForm, tube: LineView['tube']): boolean {
  const trials = (bench.trials ?? []).filter(
    (one) => one.flare === flare && one.tubeId === tube.id && one.piece === 'test',
  );
  const last = trials.at(-1);
  return last ? last.good : bench.flares[flare].provenOn.includes(tube.material);
}

/** What is slid on a line before its second flare, besides nuts: guards, grommets it passes through, heat sleeves, the user's own. */
export function slidOn(
  { line, pieces, tube, nodesMm }: LineView,
  things: Plan['things'],
): string[] {
  const count = (kind: 'heat' | 'chafe', name: string): string[] => {
    const n = line.sleeves.filter((sleeve) => sleeve.kind === kind).length;
    return n ? [n > 1 ? `${n} ${name}s` : name] : [];
  };
  const grommets = things.flatMap((thing) =>
    throughHoles(
      { holes: (thing.holes ?? []).filter(({ lined }) => lined === 'grommet') },
      nodesMm,
      tube.odMm,
    ).map(() => `grommet of ${thing.name}`),
  );
  return [
    ...count('chafe', 'guard'),
    ...(pieces.length ? grommets : []),
    ...(line.slid ?? []),
    ...count('heat', 'heat sleeve'),
  ];
}

const plainSequence = (card: Card): OrderedBend[] =>
  card.bends.map((_, bend) => ({ bend, clamped: 'a' as const }));

/** Before which of these bends B must be flared: the last while its straight is long enough; null where it may come after all. */
export function flareBAt(
  card: Card,
  sequence: readonly OrderedBend[],
  neededMm: number,
): number | null {
  if (card.flareBBefore === null) return null;
  let last = -1;
  let step = 0;
  for (const [i, { bend }] of sequence.entries()) {
    const { markMm, arcMm } = last < 0 ? { markMm: 0, arcMm: 0 } : card.bends[last]!;
    if (card.stockCutMm - markMm - arcMm >= neededMm) step = i;
    last = Math.max(last, bend);
  }
  return step;
}

/**
 * A line's work at the bench, step by step: test pieces first where no flare of this tool in this
 * tube was seen to be good, everything that must be on before an end is flared ahead of its flare,
 * bends in the order that is free, B trimmed to where it seats. Common practice.
 */
export function workOf(
  view: LineView,
  order: BendOrder | null,
  things: Plan['things'],
): WorkStep[] {
  const { card, line, bench, tube } = view;
  if (!card) return [];
  const sequence = order?.sequence ?? plainSequence(card);
  const flares = [...new Set([line.ends.a.flare, line.ends.b.flare])];
  const tests = flares
    .filter((flare) => !isProven(bench, flare, tube))
    .map((flare): WorkStep => ({ id: `test-${flare}`, kind: 'test', flare }));
  const slides = slidOn(view, things).map((what, i): WorkStep => ({
    id: `slide-${i + 1}`,
    kind: 'slide',
    end: 'b',
    what,
  }));
  const flareEnd = (end: 'a' | 'b', first: readonly WorkStep[]): WorkStep[] => {
    const { flare } = line.ends[end];
    const on: WorkStep[] = [
      ...first,
      { id: `nut-${end}`, kind: 'nut', end },
      ...(flare === 'cone-37' ? [{ id: `sleeve-${end}`, kind: 'sleeve', end } as const] : []),
    ];
    const test = tests.filter((one) => one.flare === flare);
    return [
      ...on,
      { id: `flare-${end}`, kind: 'flare', end, after: [...on, ...test].map(({ id }) => id) },
    ];
  };
  const { nutLengthMm, clampMm } = toolingOf(line.ends.b, bench);
  const early = flareBAt(card, sequence, nutLengthMm + clampMm);
  const atB = flareEnd('b', slides);
  return [
    ...tests,
    { id: 'cut', kind: 'cut' },
    { id: 'deburr', kind: 'deburr' },
    ...flareEnd('a', []),
    ...(early !== null && !sequence.length ? atB : []),
    ...sequence.flatMap((bend, i): WorkStep[] => [
      ...(early === i ? atB : []),
      { id: `bend-${bend.bend + 1}`, kind: 'bend', bend },
    ]),
    { id: 'offer-up', kind: 'offer-up' },
    ...(early === null
      ? [
          { id: 'mark-b', kind: 'mark', end: 'b' } as const,
          { id: 'trim-b', kind: 'trim', end: 'b', after: ['mark-b'] } as const,
          { id: 'deburr-b', kind: 'deburr', end: 'b' } as const,
          ...atB,
        ]
      : []),
    { id: 'clean', kind: 'clean' },
    { id: 'cap', kind: 'cap' },
  ];
}

/** Steps of a line that are ticked to the card as it now is. */
export const doneOf = ({ line, digest }: LineView): ReadonlySet<string> =>
  new Set(line.ticks.filter((tick) => tick.digest === digest).map(({ step }) => step));

/** Whether a line is made: kept and bought ones are; one of the bench is once its last steps are ticked to the card as it is. */
export function isMade(view: LineView): boolean {
  if (view.line.origin !== 'made') return true;
  const done = doneOf(view);
  return (
    view.card !== null &&
    [
      'cut',
      'flare-a',
      'flare-b',
      'clean',
      'cap',
      ...view.card.bends.map((_, i) => `bend-${i + 1}`),
    ].every((step) => done.has(step))
  );
}

/** Ends that were scrapped, by flare, tube and why. */
export function scraps({
  trials = [],
}: Bench): { flare: FlareForm; tubeId: string; why: string; count: number }[] {
  const found = new Map<string, { flare: FlareForm; tubeId: string; why: string; count: number }>();
  for (const { flare, tubeId, why, good } of trials) {
    if (good) continue;
    const key = JSON.stringify([flare, tubeId, why]);
    found.set(key, { flare, tubeId, why, count: (found.get(key)?.count ?? 0) + 1 });
  }
  return [...found.values()].sort((a, b) => b.count - a.count);
}
