import { lineSpace, lineView, type EditCall, type LineSpace, type LineView, type PlanView } from '../plan/index.ts';
import { formatLength, formatLengthUnit, type UnitSystem } from '../units/index.ts';
import type { Vec3 } from '../vec/index.ts';

export type Level = 'stop' | 'mind' | 'note';
export type Station = 'measure' | 'size' | 'plumb' | 'route' | 'join' | 'make' | 'fill';

/** What a finding is about: a line (and a corner of it, as an index into its nodes), a point, a port or the plan. */
export interface Place {
  readonly kind: 'line' | 'point' | 'port' | 'thing' | 'hose' | 'plan';
  readonly id: string;
  readonly node?: number;
}
/** A finding against the plan: what a careful friend would point out. */
export interface Snag {
  readonly rule: string;
  readonly level: Level;
  readonly station: Station;
  readonly place: Place;
  /** The place in words: "R2, end B". */
  readonly where: string;
  readonly text: string;
  /** One action that mends it. */
  readonly mend?: { readonly label: string; readonly call: EditCall };
}
/** A rule is a pure function over the plan; what it cannot judge it leaves alone or says once as a note. */
export type Rule = (view: PlanView) => Snag[];

/** Lengths for sentences, in the plan's units. */
export const lengthWords = ({
  plan,
}: PlanView): { bare: (mm: number, digits?: number) => string; full: (mm: number, digits?: number) => string } => ({
  bare: (mm, digits = 0) => formatLength(mm, plan.units, digits),
  full: (mm, digits = 0) => formatLengthUnit(mm, plan.units, digits),
});

export const onLine = (view: LineView, node?: number): Place => ({
  kind: 'line',
  id: view.line.id,
  ...(node === undefined ? {} : { node }),
});
export const ENDS = ['a', 'b'] as const;
export const endName = (end: 'a' | 'b'): string => `end ${end.toUpperCase()}`;
/** Index of the corner next to an end, or of the end itself where the line has none. */
export const cornerAt = (view: LineView, end: 'a' | 'b'): number => (end === 'a' ? 1 : Math.max(view.nodesMm.length - 2, 0));

/**
 * A rule that looks at one line at a time. A line's view stands for the line, its ports and its bench:
 * while that and the units stay, so do the findings.
 */
export function eachLine(find: (line: LineView, view: PlanView) => Snag[]): Rule {
  const found = new WeakMap<LineView, { units: UnitSystem; snags: Snag[] }>();
  return (view) =>
    view.lines.flatMap((line) => {
      const before = found.get(line);
      if (before?.units === view.plan.units) return before.snags;
      const snags = find(line, view);
      found.set(line, { units: view.plan.units, snags });
      return snags;
    });
}
/** A rule that looks at both ends of each line. */
export const eachEnd = (find: (line: LineView, end: 'a' | 'b', view: PlanView) => Snag[]): Rule =>
  eachLine((line, view) => ENDS.flatMap((end) => find(line, end, view)));

/**
 * A rule that looks at one line among the things of the vehicle. The space stands for the line and all
 * that it is near to: while that and the units stay, so do the findings.
 */
export function eachSpace(find: (line: LineView, space: LineSpace, view: PlanView) => Snag[]): Rule {
  const found = new WeakMap<LineSpace, { units: UnitSystem; snags: Snag[] }>();
  return (view) =>
    view.lines.flatMap((line) => {
      const space = lineSpace(view.plan, line);
      if (!space) return [];
      const before = found.get(space);
      if (before?.units === view.plan.units) return before.snags;
      const snags = find(line, space, view);
      found.set(space, { units: view.plan.units, snags });
      return snags;
    });
}
/** Corner that a length along a line is nearest to, as an index into its nodes. */
export function nodeNear(view: LineView, atMm: number): number {
  const arcs = view.pieces.filter((piece) => piece.kind === 'arc');
  const nearest = arcs.reduce<(typeof arcs)[number] | null>((best, arc) => {
    const off = (one: (typeof arcs)[number]): number => Math.abs((one.startMm + one.endMm) / 2 - atMm);
    return !best || off(arc) < off(best) ? arc : best;
  }, null);
  return nearest?.node ?? 0;
}

/** A line as it would be with other corners, so that a mend is tried before it is offered. */
export const withCorners = (view: PlanView, { line }: LineView, cornersMm: readonly Vec3[]): LineView =>
  lineView({ ...line, cornersMm }, view.plan.bench, view.ports);
