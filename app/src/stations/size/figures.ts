import type { Brake } from '@firm-line/core/physics/hydraulics';
import { typicalBrake } from '@firm-line/core/plan/typical';

/** One figure that is an input, by its path in its sheet. Lengths follow the units of the plan, the rest is as its label says. */
export interface FigureSpec {
  readonly path: string;
  readonly label: string;
  readonly kind: 'length' | 'number';
  readonly least: number;
  readonly most: number;
}
/** What one tap changes in a group: another kind of part, one more, or none. */
export interface FigureAction {
  readonly label: string;
  readonly path: string;
  readonly to: unknown;
  /** Paths of what it brings as guesses. */
  readonly open?: readonly string[];
}
export interface FigureGroup {
  readonly name: string;
  readonly figures: readonly FigureSpec[];
  readonly actions?: readonly FigureAction[];
  /** What stands there where it has no figures. */
  readonly none?: string;
}

export const length = (path: string, label: string, least = 0.1, most = 1000): FigureSpec => ({
  path,
  label,
  kind: 'length',
  least,
  most,
});
export const number = (path: string, label: string, least: number, most: number): FigureSpec => ({
  path,
  label,
  kind: 'number',
  least,
  most,
});

export const pedalFigures = (path: string, foot: string): FigureSpec[] => [
  number(`${path}.forceN`, `${foot}, N`, 1, 3000),
  number(`${path}.ratio`, 'Ratio', 0.5, 30),
  number(`${path}.efficiency`, 'Efficiency', 0.1, 1),
  length(`${path}.strokeMm`, 'Stroke there is', 1),
];
export const daysFigures = (path: string): FigureSpec[] => [
  number(`${path}.topKmh`, 'Top speed, km/h', 10, 400),
  number(`${path}.ambientC`, 'Air, °C', -50, 60),
];
/** One disc or drum as a store of heat. `which` begins the sentence: `Front`, `One`. */
export const rotorFigures = (path: string, which: string, { kind }: Brake): FigureSpec[] => [
  number(`${path}.massKg`, `${which} ${kind}, one, kg`, 0.1, 200),
  length(`${path}.diameterMm`, kind === 'disc' ? 'Its diameter' : 'Its inside diameter', 20),
  length(`${path}.widthMm`, kind === 'disc' ? 'Ring its pads sweep' : 'Its width', 5, 500),
  number(`${path}.fadeC`, `${which} linings fade from, °C`, 50, 1500),
];
export const hoseFigures = (path: string, label = 'Hose'): FigureSpec[] => [
  length(`${path}.hoseMm`, label, 0, 20_000),
  number(`${path}.hoseMlPerMPaM`, 'Hose takes, mL per MPa and m', 0, 10),
];

export function brakeFigures(path: string, brake: Brake): FigureSpec[] {
  if (brake.kind === 'drum') {
    return [
      length(`${path}.cylinderMm`, 'Wheel cylinder'),
      length(`${path}.drumRadiusMm`, 'Drum radius'),
      number(`${path}.brakeFactor`, 'Brake factor', 0.1, 20),
      length(`${path}.travelMm`, 'Piston travel to the drum', 0, 50),
    ];
  }
  return [
    ...brake.pistonsMm.map((_, i) =>
      length(`${path}.pistonsMm.${i}`, `Piston ${i + 1}${brake.opposed ? ' of one side' : ''}`),
    ),
    length(`${path}.effectiveRadiusMm`, 'Radius to the pad middle'),
    number(`${path}.padMu`, 'Grip of the pads, µ', 0.05, 2),
    length(`${path}.clearanceMm`, 'Gap of a piston', 0, 10),
    number(`${path}.complianceMmPerMPa`, 'Give, mm per MPa', 0, 1),
  ];
}

/** The other kind of brake, and for a disc how many pistons press on a side and from where. */
export function brakeActions(path: string, brake: Brake): FigureAction[] {
  const other = typicalBrake(brake.kind === 'disc' ? 'drum' : 'disc', path);
  const swap = {
    label: brake.kind === 'disc' ? 'Drums instead' : 'Discs instead',
    path,
    to: other.brake,
    open: other.open,
  };
  if (brake.kind === 'drum') return [swap];
  const { pistonsMm, opposed } = brake;
  const last = pistonsMm.at(-1)!;
  return [
    swap,
    {
      label: opposed ? 'Sliding caliper' : 'Opposed pistons',
      path: `${path}.opposed`,
      to: !opposed,
    },
    {
      label: 'One piston more',
      path: `${path}.pistonsMm`,
      to: [...pistonsMm, last],
      open: [`${path}.pistonsMm.${pistonsMm.length}`],
    },
    ...(pistonsMm.length > 1
      ? [{ label: 'One less', path: `${path}.pistonsMm`, to: pistonsMm.slice(0, -1) }]
      : []),
  ];
}
