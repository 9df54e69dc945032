import type { Brake } from '@firm-line/core/hydraulics';
import type { CATEGORIES } from '@firm-line/core/hydraulics';
import type { Sizing } from '@firm-line/core/plan';

/** One figure that is an input, by its path in the sizing. Lengths follow the units of the plan, the rest is as its label says. */
export interface FigureSpec {
  readonly path: string;
  readonly label: string;
  readonly kind: 'length' | 'number';
  readonly least: number;
  readonly most: number;
}
export interface FigureGroup {
  readonly name: string;
  readonly figures: readonly FigureSpec[];
}

const length = (path: string, label: string, least = 0.1, most = 1000): FigureSpec => ({
  path,
  label,
  kind: 'length',
  least,
  most,
});
const number = (path: string, label: string, least: number, most: number): FigureSpec => ({
  path,
  label,
  kind: 'number',
  least,
  most,
});

function brakeFigures(axle: 'front' | 'rear', brake: Brake): FigureSpec[] {
  if (brake.kind === 'drum') {
    return [
      length(`${axle}.cylinderMm`, 'Wheel cylinder'),
      length(`${axle}.drumRadiusMm`, 'Drum radius'),
      number(`${axle}.brakeFactor`, 'Brake factor', 0.1, 20),
      length(`${axle}.travelMm`, 'Piston travel to the drum', 0, 50),
    ];
  }
  return [
    ...brake.pistonsMm.map((_, i) => length(`${axle}.pistonsMm.${i}`, `Piston ${i + 1}${brake.opposed ? ' of one side' : ''}`)),
    length(`${axle}.effectiveRadiusMm`, 'Radius to the pad middle'),
    number(`${axle}.padMu`, 'Grip of the pads, µ', 0.05, 2),
    length(`${axle}.clearanceMm`, 'Gap of a piston', 0, 10),
    number(`${axle}.complianceMmPerMPa`, 'Give, mm per MPa', 0, 1),
  ];
}

/** Every figure from foot to road, in the order of the chain. */
export function figureGroups(sizing: Sizing): FigureGroup[] {
  const { master, booster, rearValve } = sizing;
  const load = (name: 'empty' | 'laden'): FigureGroup => ({
    name: name === 'empty' ? 'Vehicle empty' : 'Vehicle laden',
    figures: [
      number(`${name}.massKg`, 'Mass, kg', 1, 100_000),
      number(`${name}.frontFraction`, 'Share on the front axle', 0.05, 0.95),
      length(`${name}.cgHeightMm`, 'Height of the centre of gravity', 0, 5000),
    ],
  });
  return [
    { name: 'Foot and lever', figures: [number('pedal.forceN', 'Foot, N', 1, 3000), number('pedal.ratio', 'Pedal ratio', 0.5, 30), number('pedal.efficiency', 'Efficiency', 0.1, 1), length('pedal.strokeMm', 'Pedal stroke', 1)] },
    { name: 'Booster', figures: booster ? [number('booster.gain', 'Gain', 1, 20), number('booster.vacuumKPa', 'Vacuum, kPa', 0, 101), number('booster.diaphragmMm2', 'Diaphragm, mm²', 100, 500_000)] : [] },
    {
      name: 'Master',
      figures:
        master.kind === 'tandem'
          ? [length('master.boreMm', 'Bore', 3, 100), length('master.strokeMm', 'Stroke'), length('master.deadMm', 'Free stroke', 0)]
          : [length('master.frontBoreMm', 'Front bore', 3, 100), length('master.rearBoreMm', 'Rear bore', 3, 100), number('master.frontShare', 'Front share of the bar', 0.05, 0.95), length('master.strokeMm', 'Stroke'), length('master.deadMm', 'Free stroke', 0)],
    },
    { name: 'Rear valve', figures: rearValve ? [number('rearValve.kneeMPa', 'Knee, MPa', 0, 50), number('rearValve.slope', 'Slope', 0, 1)] : [] },
    { name: 'Front brakes', figures: [...brakeFigures('front', sizing.front), length('hoses.front.hoseMm', 'Hose, both wheels', 0, 20_000), number('hoses.front.hoseMlPerMPaM', 'Hose takes, mL per MPa and m', 0, 10), number('airMl.front', 'Air left in, mL', 0, 100)] },
    { name: 'Rear brakes', figures: [...brakeFigures('rear', sizing.rear), length('hoses.rear.hoseMm', 'Hose, both wheels', 0, 20_000), number('hoses.rear.hoseMlPerMPaM', 'Hose takes, mL per MPa and m', 0, 10), number('airMl.rear', 'Air left in, mL', 0, 100)] },
    { name: 'Tyres and road', figures: [length('tyreRadiusMm.front', 'Front tyre radius', 50), length('tyreRadiusMm.rear', 'Rear tyre radius', 50), length('wheelbaseMm', 'Wheelbase', 100, 20_000), number('mu', 'Grip of the road, µ', 0.05, 2)] },
    load('empty'),
    load('laden'),
  ]; // prettier-ignore
}

export const CATEGORY_NAMES: Record<(typeof CATEGORIES)[number], string> = {
  light: 'Car or light van, to 3.5 t', heavy: 'Heavier van or truck', trailer: 'Trailer', motorcycle: 'Motorcycle', aircraft: 'Light aircraft', competition: 'Competition only',
}; // prettier-ignore
