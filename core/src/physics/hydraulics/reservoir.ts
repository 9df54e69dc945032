import { boreArea, type Brake } from './types.ts';

/** How far a wheel cylinder's piston goes for a lining's wear at the middle of its shoe, which swings about its anchor. Common practice. */
const SHOE_LEVER = 2;

/**
 * Fluid that leaves the reservoir for an axle's two brakes from new linings fully off to worn ones fully
 * on, mL, no credit for adjustment. A sliding caliper's piston follows the wear of both pads. Source: FMVSS 105
 * and 135 S5.4.2 (from memory); piston area times travel.
 */
export function wearMl(brake: Brake, wearMm: number): number {
  if (brake.kind === 'drum')
    return (2 * boreArea(brake.cylinderMm) * (2 * SHOE_LEVER * wearMm + brake.travelMm)) / 1000;
  const areaMm2 = brake.pistonsMm.reduce((sum, d) => sum + boreArea(d), 0);
  const gapsMm = (brake.opposed ? 2 : 1) * brake.clearanceMm;
  return (2 * areaMm2 * (2 * wearMm + gapsMm)) / 1000;
}
