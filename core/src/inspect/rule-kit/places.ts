import { lineView, type LineView, type Plan, type Ref } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import {
  formatLength,
  formatLengthUnit,
  quantitiesIn,
  shownUnits,
  type Quantities,
} from '../../lib/units/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';

/** Lengths for sentences, in the plan's units. */
export const lengthWords = ({
  plan,
}: {
  readonly plan: Pick<Plan, 'units'>;
}): {
  bare: (mm: number, digits?: number) => string;
  full: (mm: number, digits?: number) => string;
} => ({
  bare: (mm, digits = 0) => formatLength(mm, plan.units, digits),
  full: (mm, digits = 0) => formatLengthUnit(mm, plan.units, digits),
});

/** Pressures, torques and the like for sentences, each in the unit that is shown for its kind. */
export const quantityWords = ({
  plan,
}: {
  readonly plan: Pick<Plan, 'units' | 'ownUnits'>;
}): Quantities => quantitiesIn(shownUnits(plan.units, plan.ownUnits));

export const onLine = (view: LineView, node?: number): Ref => ({
  kind: 'line',
  id: view.line.id,
  ...(node === undefined ? {} : { node }),
});
/** A part's first port, else the part itself where it has none. */
export const onPart = ({ id, ports }: Plan['parts'][number]): Ref =>
  ports[0] ? { kind: 'port', id: ports[0].id } : { kind: 'part', id };
export { ENDS } from '../../stations/join/index.ts';
export const endName = (end: 'a' | 'b'): string => `end ${end.toUpperCase()}`;
/** Index of the node at an end. */
export const endNode = (view: LineView, end: 'a' | 'b'): number =>
  end === 'a' ? 0 : Math.max(view.nodesMm.length - 1, 0);
/** Index of the corner next to an end, or of the end itself where the line has none. */
export const cornerAt = (view: LineView, end: 'a' | 'b'): number =>
  end === 'a' ? 1 : Math.max(view.nodesMm.length - 2, 0);

/** Corner that a length along a line is nearest to, as an index into its nodes. */
export function nodeNear(view: LineView, atMm: number): number {
  const arcs = view.pieces.filter((piece) => piece.kind === 'arc');
  const nearest = arcs.reduce<(typeof arcs)[number] | null>((best, arc) => {
    const off = (one: (typeof arcs)[number]): number =>
      Math.abs((one.startMm + one.endMm) / 2 - atMm);
    return !best || off(arc) < off(best) ? arc : best;
  }, null);
  return nearest?.node ?? 0;
}

/** What a line needs to be looked at in another form. */
export type Bent = Pick<PlanView, 'ports'> & { readonly plan: Pick<Plan, 'bench'> };
/** A line as it would be with other corners, so that a fix is tried before it is offered. */
export const withCorners = (view: Bent, { line }: LineView, cornersMm: readonly Vec3[]): LineView =>
  lineView({ ...line, cornersMm }, view.plan.bench, view.ports);

/** Names in a row: A, B and C. */
export const listed = (names: readonly string[]): string =>
  [names.slice(0, -1).join(', '), ...names.slice(-1)].filter(Boolean).join(' and ');
