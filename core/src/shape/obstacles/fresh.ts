import { THING_SPECS, type Shape, type Thing, type ThingKind } from './shapes.ts';

const bar = (
  pathMm: Extract<Shape, { kind: 'bar' }>['pathMm'],
  widthMm: number,
  heightMm: number,
  section: 'box' | 'channel' | 'round' = 'box',
): Shape => ({
  kind: 'bar',
  section,
  pathMm,
  widthMm,
  heightMm,
  wallMm: 4,
  opens: 'right',
});

/** A thing of each kind to begin with, of ordinary size and somewhere on an ordinary vehicle: every figure is the user's to put right. */
const SHAPES: Record<Exclude<ThingKind, 'mesh'>, Shape> = {
  rail: bar(
    [
      [0, -400, 450],
      [3000, -400, 450],
    ],
    80,
    120,
  ),
  member: bar(
    [
      [1500, -360, 450],
      [1500, 360, 450],
    ],
    60,
    60,
  ),
  axle: bar(
    [
      [3000, -700, 330],
      [3000, 700, 330],
    ],
    80,
    80,
    'round',
  ),
  wheel: { kind: 'wheel', centreMm: [0, -750, 330], axis: [0, 1, 0], radiusMm: 330, widthMm: 190 },
  engine: { kind: 'block', minMm: [100, -250, 450], maxMm: [800, 250, 900] },
  gearbox: { kind: 'block', minMm: [800, -150, 400], maxMm: [1400, 150, 700] },
  exhaust: {
    kind: 'pipe',
    pathMm: [
      [800, 300, 400],
      [3200, 300, 400],
    ],
    diameterMm: 60,
  },
  'prop-shaft': {
    kind: 'pipe',
    pathMm: [
      [1400, 0, 450],
      [2900, 0, 350],
    ],
    diameterMm: 70,
  },
  steering: {
    kind: 'pipe',
    pathMm: [
      [300, -350, 800],
      [-100, -350, 400],
    ],
    diameterMm: 30,
  },
  tank: { kind: 'block', minMm: [2200, -250, 450], maxMm: [2700, 250, 700] },
  floor: { kind: 'block', minMm: [300, -700, 700], maxMm: [3300, 700, 720] },
  body: { kind: 'block', minMm: [400, -450, 400], maxMm: [600, -350, 500] },
  zone: { kind: 'block', minMm: [1000, -200, 400], maxMm: [1300, 200, 600] },
};

export function newThing(id: string, name: string, kind: Exclude<ThingKind, 'mesh'>): Thing {
  const { nature, keepMm, holds } = THING_SPECS[kind];
  return {
    id,
    name,
    kind,
    shape: SHAPES[kind],
    nature,
    keepMm,
    holds,
    surfaceC: null,
    travel: null,
  };
}
