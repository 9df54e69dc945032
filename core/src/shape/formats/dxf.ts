import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import type { Vec3 } from '../../lib/vec/index.ts';

/** A line of a drawing: a run of points in space, on a layer of its own. */
export interface DrawnLine {
  readonly name: string;
  readonly layer: string;
  readonly points: readonly Vec3[];
}
/** A bracket to be cut from strip: from its foot on the frame to the clip that it carries. */
export interface BracketFlat {
  readonly name: string;
  /** From the foot's bend to the middle of the clip's hole. */
  readonly standoffMm: number;
}
/** Flat bracket: strip of this width, foot of this length, holes for M6. Common practice. */
const STRIP = { widthMm: 25, footMm: 40, beyondMm: 12, holeMm: 6.6 } as const;
const GAP_MM = 400;
/** Between one flat bracket and the next, mm. */
const APART_MM = 15;

type Flat = readonly [number, number];
type Face = (p: Vec3) => Flat;
/** From above, front to the left, the vehicle's right up the sheet; from the left, up is up. */
const ABOVE: Face = ([x, y]) => [x, y];
const LEFT: Face = ([x, , z]) => [x, z];

function open(): DxfWriter {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  return dxf;
}
const layerName = (name: string): string =>
  name.replace(/[^\p{L}\p{N} _-]/gu, '_').slice(0, 80) || 'line';
/** Text on one line: a line break would end it and begin nonsense. */
const oneLine = (text: string): string => text.replace(/[\r\n\t]+/g, ' ').trim() || '-';
function draw(dxf: DxfWriter, points: readonly Flat[], layerName: string, closed = false): void {
  dxf.addLWPolyline(
    points.map(([x, y]) => ({ point: point2d(x, y) })),
    { layerName, ...(closed ? { flags: LWPolylineFlags.Closed } : {}) },
  );
}
const heightOf = (points: readonly Flat[]): [number, number] => [
  Math.min(...points.map(([, y]) => y)),
  Math.max(...points.map(([, y]) => y)),
];

/** Lines and outlines from above and from the left, 1:1 in mm, the view from the left under the other. */
export function flatViewsDxf(lines: readonly DrawnLine[]): string {
  const dxf = open();
  for (const layer of new Set(lines.map((line) => layerName(line.layer)))) dxf.addLayer(layer, 7);
  const above = lines.map((line) => line.points.map(ABOVE));
  const left = lines.map((line) => line.points.map(LEFT));
  const drop = lines.length ? heightOf(above.flat())[0] - GAP_MM - heightOf(left.flat())[1] : 0;
  for (const [i, line] of lines.entries()) {
    draw(dxf, above[i]!, layerName(line.layer));
    draw(
      dxf,
      left[i]!.map(([x, y]): Flat => [x, y + drop]),
      layerName(line.layer),
    );
    const [x, y] = above[i]![0]!;
    dxf.addText(point3d(x, y + 8), 20, oneLine(line.name), { layerName: layerName(line.layer) });
  }
  return dxf.stringify();
}

/** Size of a flat bracket: the whole strip, and where its holes and its bend lie along it, mm. */
export function bracketFlat({ standoffMm }: BracketFlat): {
  lengthMm: number;
  widthMm: number;
  bendMm: number;
  holesMm: readonly number[];
  holeMm: number;
} {
  const { footMm, beyondMm, widthMm, holeMm } = STRIP;
  return {
    lengthMm: footMm + standoffMm + beyondMm,
    widthMm,
    bendMm: footMm,
    holesMm: [footMm * 0.25, footMm * 0.75, footMm + standoffMm],
    holeMm,
  };
}

/** Brackets flat, side by side, 1:1 in mm: outline and holes to cut, the bend on a layer of its own. */
export function bracketsDxf(brackets: readonly BracketFlat[]): string {
  const dxf = open();
  for (const layer of ['cut', 'bend', 'text']) dxf.addLayer(layer, 7);
  for (const [i, bracket] of brackets.entries()) {
    const { lengthMm, widthMm, bendMm, holesMm, holeMm } = bracketFlat(bracket);
    const base = -i * (widthMm + APART_MM);
    draw(
      dxf,
      [
        [0, base],
        [lengthMm, base],
        [lengthMm, base + widthMm],
        [0, base + widthMm],
      ],
      'cut',
      true,
    );
    for (const at of holesMm)
      dxf.addCircle(point3d(at, base + widthMm / 2), holeMm / 2, { layerName: 'cut' });
    dxf.addLine(point3d(bendMm, base), point3d(bendMm, base + widthMm), { layerName: 'bend' });
    dxf.addText(point3d(lengthMm + 5, base + widthMm / 2), 6, oneLine(bracket.name), {
      layerName: 'text',
    });
  }
  return dxf.stringify();
}

/** A plate with holes as it is cut, before it is bent: across from its middle, up from its foot. */
export interface PlateFlat {
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  /** How far up it is bent; null where it stays flat. */
  readonly bendMm: number | null;
  readonly holes: readonly {
    readonly acrossMm: number;
    readonly upMm: number;
    readonly diameterMm: number;
    readonly flatsMm: number | null;
  }[];
}
/** The rim of a hole, round or with two flats, as points from its middle. */
export function holeRim(diameterMm: number, flatsMm: number | null, steps = 72): readonly Flat[] {
  const half = flatsMm === null ? Infinity : flatsMm / 2;
  return Array.from({ length: steps }, (_, i): Flat => {
    const t = (2 * Math.PI * i) / steps;
    const y = (diameterMm / 2) * Math.sin(t);
    return [(diameterMm / 2) * Math.cos(t), Math.max(-half, Math.min(half, y))];
  });
}
/** Plates side by side, 1:1 in mm: outline and holes to cut, the bend and the names on layers of their own. */
export function platesDxf(plates: readonly PlateFlat[]): string {
  const dxf = open();
  for (const layer of ['cut', 'bend', 'text']) dxf.addLayer(layer, 7);
  let left = 0;
  for (const { name, widthMm, heightMm, bendMm, holes } of plates) {
    const middle = left + widthMm / 2;
    draw(
      dxf,
      [
        [left, 0],
        [left + widthMm, 0],
        [left + widthMm, heightMm],
        [left, heightMm],
      ],
      'cut',
      true,
    );
    for (const { acrossMm, upMm, diameterMm, flatsMm } of holes)
      if (flatsMm === null)
        dxf.addCircle(point3d(middle + acrossMm, upMm), diameterMm / 2, { layerName: 'cut' });
      else
        draw(
          dxf,
          holeRim(diameterMm, flatsMm).map(([x, y]): Flat => [middle + acrossMm + x, upMm + y]),
          'cut',
          true,
        );
    if (bendMm !== null)
      dxf.addLine(point3d(left, bendMm), point3d(left + widthMm, bendMm), { layerName: 'bend' });
    dxf.addText(point3d(left, -10), 5, oneLine(name), { layerName: 'text' });
    left += widthMm + APART_MM;
  }
  return dxf.stringify();
}
