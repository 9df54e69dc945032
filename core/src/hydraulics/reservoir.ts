import { boreArea, type Brake } from './types.ts';

/** Fluid that moves from the reservoir into an axle's two brakes as their lining wears by `wearMm`, mL. Source: piston area times wear. */
export function wearMl(brake: Brake, wearMm: number): number {
  if (brake.kind === 'drum') return 0; // Drums are adjusted up as they wear, so their cylinders take no more.
  return (2 * (brake.opposed ? 2 : 1) * brake.pistonsMm.reduce((sum, d) => sum + boreArea(d), 0) * wearMm) / 1000;
}
