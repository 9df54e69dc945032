import { polyline } from '@firm-line/core/shape/tube';
import type { Circuit, LaidPlan } from '@firm-line/core/plan';
import type { Vec3 } from '@firm-line/core/lib/vec';
import type { FlatProjection } from '../../kit/flat-projection';
import { outlineOf } from '../../kit/thing-outline';

/** Sheets as they lie in the printer, turned to landscape, mm. Sources: ISO 216; ANSI Y14.1 for Letter. */
export const PAPERS = { A4: [297, 210], A3: [420, 297], Letter: [279.4, 215.9] } as const;
export type Paper = keyof typeof PAPERS;
/** One to so many. */
export const SCALES = [2, 5, 10, 15, 20, 25, 50, 100] as const;
const MARGIN_MM = 10;
const TITLE_MM = 14;
const BETWEEN_MM = 8;

export interface PaperLayout {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly fits: boolean;
  readonly lines: readonly {
    readonly name: string;
    readonly ink: Circuit['ink'];
    readonly d: string;
    readonly x: number;
    readonly y: number;
  }[];
  readonly things: readonly { readonly nature: string; readonly d: string }[];
  readonly above: readonly [number, number];
  readonly left: readonly [number, number];
  /** A bar to check the print by: so long on paper, and what that is on the vehicle. */
  readonly barMm: number;
}

/** What the two views take on paper at a scale, mm. */
const needs = (min: Vec3, max: Vec3, scale: number): readonly [number, number] => [
  (max[0] - min[0]) / scale + 2 * MARGIN_MM,
  (max[1] - min[1] + max[2] - min[2]) / scale + 2 * MARGIN_MM + TITLE_MM + 2 * BETWEEN_MM,
];

/** The largest scale at which everything is on the sheet. */
export const bestScale = (
  { min, max }: Pick<FlatProjection, 'min' | 'max'>,
  paper: Paper,
): number =>
  SCALES.find((scale) => needs(min, max, scale).every((mm, i) => mm <= PAPERS[paper][i]!)) ??
  SCALES.at(-1)!;

/** The views from above and from the left on a sheet, to scale; figures are mm on paper. */
export function layOut(
  view: LaidPlan,
  { min, max }: Pick<FlatProjection, 'min' | 'max'>,
  paper: Paper,
  scale: number,
): PaperLayout {
  const [widthMm, heightMm] = PAPERS[paper];
  const wanted = needs(min, max, scale);
  const topY = MARGIN_MM + TITLE_MM + BETWEEN_MM / 2;
  const leftY = topY + (max[1] - min[1]) / scale + BETWEEN_MM;
  const at: FlatProjection['at'] = (face, p) => [
    MARGIN_MM + (p[0] - min[0]) / scale,
    face === 'top' ? topY + (max[1] - p[1]) / scale : leftY + (max[2] - p[2]) / scale,
  ];
  const projection = { at } as FlatProjection;
  const path = (face: 'top' | 'side', points: readonly Vec3[]): string =>
    points
      .map(
        (p, i) =>
          `${i ? 'L' : 'M'}${at(face, p)
            .map((v) => v.toFixed(3))
            .join(' ')}`,
      )
      .join('');
  return {
    widthMm,
    heightMm,
    fits: wanted[0] <= widthMm && wanted[1] <= heightMm,
    lines: view.lines
      .filter((line) => line.nodesMm.length > 1)
      .map((line) => {
        const points = line.pieces.length ? polyline(line.pieces, 5) : line.nodesMm;
        const [x, y] = at('top', points[Math.floor(points.length / 2)]!);
        return {
          name: line.line.name,
          ink: view.circuits.get(line.line.circuitId)!.ink,
          d: path('top', points) + path('side', points),
          x,
          y,
        };
      }),
    things: view.plan.things.map((thing) => ({
      nature: thing.nature,
      d: outlineOf(projection, 'top', thing) + outlineOf(projection, 'side', thing),
    })),
    above: [MARGIN_MM, topY - 1.5],
    left: [MARGIN_MM, leftY - 1.5],
    barMm: 50,
  };
}
