import {
  add,
  addScaled,
  cross,
  distance,
  dot,
  radians,
  rotate,
  scale,
  sub,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';
import { cornersOf, tangentMm } from './bend.ts';

/** A piece of a tube's center line; `startMm` and `endMm` are distances along it from end A. */
export type Piece =
  | {
      readonly kind: 'straight';
      readonly from: Vec3;
      readonly to: Vec3;
      readonly startMm: number;
      readonly endMm: number;
    }
  | {
      readonly kind: 'arc';
      readonly node: number;
      readonly from: Vec3;
      readonly to: Vec3;
      readonly center: Vec3;
      readonly normal: Vec3;
      readonly radiusMm: number;
      readonly bendDeg: number;
      readonly startMm: number;
      readonly endMm: number;
    };

/**
 * The center line as straights and arcs, `radiusMm(node)` being the radius at a corner. The nodes
 * must have room for their bends (`bendTable` says so).
 */
export function centerLine(nodesMm: readonly Vec3[], radiusMm: (node: number) => number): Piece[] {
  const pieces: Piece[] = [];
  let at = nodesMm[0]!;
  let run = 0;
  const straightTo = (to: Vec3): void => {
    const endMm = run + distance(at, to);
    pieces.push({ kind: 'straight', from: at, to, startMm: run, endMm });
    [at, run] = [to, endMm];
  };
  for (const corner of cornersOf(nodesMm)) {
    const r = radiusMm(corner.node);
    const tangent = tangentMm(corner.bendDeg, r);
    const normal = unit(cross(corner.inward, corner.outward))!;
    straightTo(addScaled(corner.at, corner.inward, -tangent));
    const to = addScaled(corner.at, corner.outward, tangent);
    const endMm = run + r * radians(corner.bendDeg);
    const center = addScaled(at, cross(normal, corner.inward), r);
    pieces.push({
      kind: 'arc',
      node: corner.node,
      from: at,
      to,
      center,
      normal,
      radiusMm: r,
      bendDeg: corner.bendDeg,
      startMm: run,
      endMm,
    });
    [at, run] = [to, endMm];
  }
  straightTo(nodesMm[nodesMm.length - 1]!);
  return pieces;
}

/** The same as a polyline for drawing, arcs cut into chords of `stepDeg` or less. */
export function polyline(pieces: readonly Piece[], stepDeg = 5): Vec3[] {
  const points: Vec3[] = [pieces[0]!.from];
  for (const piece of pieces) {
    if (piece.kind === 'arc') {
      const chords = Math.max(1, Math.ceil(piece.bendDeg / stepDeg));
      const arm = sub(piece.from, piece.center);
      for (let i = 1; i < chords; i++)
        points.push(add(piece.center, rotate(arm, piece.normal, (piece.bendDeg * i) / chords)));
    }
    points.push(piece.to);
  }
  return points;
}

/** Invariant of a center line in words: pieces meet, arcs leave and enter along their straights, distances add up. For specs. */
export function validateCenterLine(pieces: readonly Piece[]): string[] {
  const faults: string[] = [];
  let lastTo: Vec3 | null = null;
  let lastWay: Vec3 | null = null;
  let run = 0;
  for (const [i, piece] of pieces.entries()) {
    if (lastTo && distance(lastTo, piece.from) > 1e-6)
      faults.push(`piece ${i} starts ${distance(lastTo, piece.from)} mm from the one before`);
    if (Math.abs(piece.startMm - run) > 1e-6)
      faults.push(`piece ${i} starts at ${piece.startMm} and not at ${run}`);
    const [wayIn, wayOut] =
      piece.kind === 'straight'
        ? [unit(sub(piece.to, piece.from)), unit(sub(piece.to, piece.from))]
        : [piece.from, piece.to].map((p) =>
            cross(piece.normal, scale(sub(p, piece.center), 1 / piece.radiusMm)),
          );
    if (lastWay && wayIn && dot(lastWay, wayIn) < 1 - 1e-9)
      faults.push(`piece ${i} is not tangent to the one before`);
    [lastTo, lastWay, run] = [piece.to, wayOut ?? lastWay, piece.endMm];
  }
  return faults;
}
