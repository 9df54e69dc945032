import { Curve, CurvePath, LineCurve3, Vector3 } from 'three';
import type { Vec3 } from '../lib/vec/index.ts';

/** A circular arc as a curve of the `three` library: the library measures it by its own chords. */
class Arc3 extends Curve<Vector3> {
  constructor(
    readonly center: Vector3,
    readonly arm: Vector3,
    readonly axis: Vector3,
    readonly angle: number,
  ) {
    super();
  }
  override getPoint(t: number, target = new Vector3()): Vector3 {
    return target
      .copy(this.arm)
      .applyAxisAngle(this.axis, this.angle * t)
      .add(this.center);
  }
}

/** The center line of corner points with one radius, built of `three`'s curves only, for comparison. */
export function threeLine(nodesMm: readonly Vec3[], clrMm: number): CurvePath<Vector3> {
  const nodes = nodesMm.map((n) => new Vector3(...n));
  const path = new CurvePath<Vector3>();
  let at = nodes[0]!;
  for (let i = 1; i < nodes.length - 1; i++) {
    const wayIn = nodes[i]!.clone()
      .sub(nodes[i - 1]!)
      .normalize();
    const wayOut = nodes[i + 1]!.clone().sub(nodes[i]!).normalize();
    const angle = wayIn.angleTo(wayOut);
    const tangent = clrMm * Math.tan(angle / 2);
    const start = nodes[i]!.clone().addScaledVector(wayIn, -tangent);
    const axis = wayIn.clone().cross(wayOut).normalize();
    const center = start.clone().addScaledVector(axis.clone().cross(wayIn), clrMm);
    path.add(straight(at, start));
    path.add(new Arc3(center, start.clone().sub(center), axis, angle));
    at = nodes[i]!.clone().addScaledVector(wayOut, tangent);
  }
  path.add(straight(at, nodes[nodes.length - 1]!));
  return path;
}

/** A straight needs no more than one chord to be measured. */
function straight(from: Vector3, to: Vector3): LineCurve3 {
  const line = new LineCurve3(from, to);
  line.arcLengthDivisions = 1;
  return line;
}
