import type { PlanView } from '@firm-line/core/plan/results';
import type { ResolvedPosition, Target } from '@firm-line/core/plan';
import { formatLength, type UnitSystem } from '@firm-line/core/lib/units';
import { byAxis } from '@firm-line/core/lib/vec';
import {
  placeLabels,
  ticks,
  type Face,
  type FlatProjection,
  type Label,
} from '../kit/flat-projection';

export const FACES: readonly Face[] = ['top', 'side'];
const FACE_NAMES: Record<Face, string> = { top: 'From above', side: 'From the left' };

/** A measured place as it lies on a face, px, with the reach of what is not sure of it. */
export interface Mark {
  readonly target: Target;
  readonly face: Face;
  readonly x: number;
  readonly y: number;
  readonly rx: number;
  readonly ry: number;
  readonly guess: boolean;
  readonly name: string;
}

/** Every port but bleeders and every point, on both faces; ports that are asked for bear the name of their part. */
export function marksOf(
  { points, ports }: Pick<PlanView, 'points' | 'ports'>,
  { at, pxPerMm, stands }: FlatProjection,
  isNamed: (portId: string) => boolean,
): Mark[] {
  const both = (target: Target, { atMm, sigmaMm, guess }: ResolvedPosition, name: string): Mark[] =>
    FACES.map((face) => {
      const [x, y] = at(face, atMm);
      return {
        target,
        face,
        x,
        y,
        rx: 2 * sigmaMm[stands && face === 'top' ? 1 : 0] * pxPerMm[face],
        ry: 2 * sigmaMm[face === 'side' ? 2 : stands ? 0 : 1] * pxPerMm[face],
        guess,
        name,
      };
    });
  return [
    ...[...ports.values()]
      .filter(({ port }) => port.role !== 'bleeder')
      .flatMap(({ part, port, fixed }) =>
        both({ kind: 'port', id: port.id }, fixed, isNamed(port.id) ? part.name : ''),
      ),
    ...[...points.values()].flatMap(({ point, fixed }) =>
      both({ kind: 'point', id: point.id }, fixed, point.name.split(',')[0]!.slice(0, 14)),
    ),
  ];
}

const square = ({ x, y }: Mark, half = 4): string =>
  `M${x - half} ${y - half}h${2 * half}v${2 * half}h${-2 * half}z`;
const cross = ({ x, y }: Mark): string => `M${x - 6} ${y}h12M${x} ${y - 6}v12`;
const ellipse = ({ x, y, rx, ry }: Mark): string =>
  `M${x - rx} ${y}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`;
/** An ellipse smaller than the mark itself would not be seen, px. */
const LEAST_ELLIPSE = 3;

/** Marks that look alike as one path each, and their names where there is room beside what is written already. */
export function placePaths(
  marks: readonly Mark[],
  chosenId: string | undefined,
  size: Parameters<typeof placeLabels>[1],
  { texts, names }: ReturnType<typeof flatGrid>,
) {
  const path = (draw: (mark: Mark) => string, is: (mark: Mark) => boolean): string =>
    marks
      .filter(is)
      .map((mark) => draw(mark))
      .join('');
  const wanted = marks.flatMap(({ name, x, y, target }) =>
    name ? [{ text: name, x, y, must: target.id === chosenId }] : [],
  );
  const written = [...texts, ...names.map((one): Label => ({ ...one, anchor: 'start' }))];
  return {
    sure: path(ellipse, ({ rx, ry }) => Math.max(rx, ry) > LEAST_ELLIPSE),
    points: path(cross, ({ target }) => target.kind === 'point'),
    ports: path(square, ({ target, guess }) => target.kind === 'port' && !guess),
    guesses: path(square, ({ target, guess }) => target.kind === 'port' && guess),
    chosen: path(
      (mark) => square(mark, 9),
      ({ target }) => target.id === chosenId,
    ),
    names: placeLabels(wanted, size, written),
  };
}

/** The box of what is drawn on a face, px. */
function edges(p: FlatProjection, face: Face) {
  const [a, b] = [p.at(face, p.min), p.at(face, p.max)];
  return {
    left: Math.min(a[0], b[0]),
    right: Math.max(a[0], b[0]),
    top: Math.min(a[1], b[1]),
    bottom: Math.max(a[1], b[1]),
  };
}
/** The grid of both faces as one path, its figures, and what each face is called. */
export function flatGrid(p: FlatProjection, units: UnitSystem) {
  /** Lines of one axis on a face, level or upright, with their figures at its edge. */
  const linesOf = (face: Face, axis: 0 | 1 | 2, upright: boolean, figures = true) => {
    const { left, right, top, bottom } = edges(p, face);
    return ticks(p.min[axis], p.max[axis], p.gridMm[face]).map((mm) => {
      const [x, y] = p.at(
        face,
        byAxis((i) => (i === axis ? mm : 0)),
      );
      const text = formatLength(mm, units);
      const label: Label = upright
        ? { x, y: bottom + 16, anchor: 'middle', text }
        : { x: left - 6, y: y + 4, anchor: 'end', text };
      return {
        d: upright ? `M${x} ${top}V${bottom}` : `M${left} ${y}H${right}`,
        label: figures ? label : null,
      };
    });
  };
  const all = p.stands
    ? [
        ...linesOf('top', 0, false),
        ...linesOf('top', 1, true),
        ...linesOf('side', 2, false),
        ...linesOf('side', 0, true),
      ]
    : [
        ...linesOf('top', 1, false),
        ...linesOf('side', 2, false),
        ...linesOf('top', 0, true, false),
        ...linesOf('side', 0, true),
      ];
  return {
    d: all.map(({ d }) => d).join(''),
    texts: all.flatMap(({ label }) => (label ? [label] : [])),
    names: FACES.map((face) => {
      const { left, top } = edges(p, face);
      return { text: FACE_NAMES[face], x: left, y: top - 9 };
    }),
  };
}
