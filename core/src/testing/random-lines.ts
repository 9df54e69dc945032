import fc from 'fast-check';
import { unbend, type UnbendInput } from '../shape/tube/index.ts';
import type { Vec3 } from '../lib/vec/index.ts';

/** Bend tables of bendable lines, for property tests; radii, feeds and turns of ordinary brake tube. */
export const bendTables = fc
  .record({
    clrMm: fc.double({ min: 8, max: 60, noNaN: true }),
    bends: fc.array(
      fc.record({
        feedMm: fc.double({ min: 0.5, max: 900, noNaN: true }),
        rotateDeg: fc.double({ min: -180, max: 180, noNaN: true }),
        bendDeg: fc.double({ min: 0.5, max: 170, noNaN: true }),
      }),
      { minLength: 1, maxLength: 10 },
    ),
    tailMm: fc.double({ min: 0.5, max: 600, noNaN: true }),
  })
  .map(({ clrMm, bends, tailMm }): UnbendInput & { readonly clrMm: number } => ({
    startMm: [310, -420, 505],
    direction: [1, 0, 0],
    normal: [0, 0, 1],
    clrMm,
    bends: bends.map((b, i) => (i ? b : { ...b, rotateDeg: 0 })),
    tailMm,
  }));

export const nodesOf = (table: UnbendInput): Vec3[] => unbend(table).nodesMm;
