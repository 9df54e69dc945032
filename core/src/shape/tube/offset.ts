import { InputError, figure } from '../../lib/faults/index.ts';
import { radians } from '../../lib/vec/index.ts';
import { arcMm, tangentMm } from './bend.ts';

export interface OffsetInput {
  readonly riseMm: number;
  readonly bendDeg: number;
  readonly clrMm: number;
}
export interface Offset {
  /** Corner to corner along the line, and along the slope. */
  readonly advanceMm: number;
  readonly travelMm: number;
  /** Between the tangent points on the slope. */
  readonly straightMm: number;
  /** Tangent start to tangent start along the tube. */
  readonly markToMarkMm: number;
  /** Tube saved against the corner-to-corner path. */
  readonly gainMm: number;
}

/** Two equal bends that step a line sideways by `riseMm`. Throws InputError, with the least rise, where there is no room. */
export function offset({ riseMm, bendDeg, clrMm }: OffsetInput): Offset {
  const angle = radians(bendDeg);
  const leastMm = 2 * clrMm * (1 - Math.cos(angle));
  if (riseMm < leastMm * (1 - 1e-12)) {
    throw new InputError(
      'riseMm',
      `Two bends of ${figure(bendDeg)}° at ${figure(clrMm)} mm need a rise of ${figure(leastMm, 3)} mm; ${figure(riseMm, 3)} is ${figure(leastMm - riseMm, 3)} too little.`,
    );
  }
  const tangent = tangentMm(bendDeg, clrMm);
  const arc = arcMm(bendDeg, clrMm);
  const travelMm = riseMm / Math.sin(angle);
  const straightMm = Math.max(travelMm - 2 * tangent, 0);
  return {
    advanceMm: bendDeg === 90 ? 0 : riseMm / Math.tan(angle),
    travelMm,
    straightMm,
    markToMarkMm: straightMm + arc,
    gainMm: 4 * tangent - 2 * arc,
  };
}
