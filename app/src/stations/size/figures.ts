import type { Brake, Rotor } from '@firm-line/core/physics/hydraulics';
import { typicalBrake } from '@firm-line/core/plan/typical';

/** One figure that is an input, by its path in its sheet; `label` where what it is called depends on what stands around it. */
export interface FigureSpec {
  readonly path: string;
  readonly label?: string;
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

export const figure = (path: string, label?: string): FigureSpec =>
  label === undefined ? { path } : { path, label };

export const pedalFigures = (path: string, foot: string): FigureSpec[] => [
  figure(`${path}.forceN`, foot),
  figure(`${path}.ratio`),
  figure(`${path}.efficiency`),
  figure(`${path}.strokeMm`),
];
export const daysFigures = (path: string): FigureSpec[] => [
  figure(`${path}.topKmh`),
  figure(`${path}.ambientC`),
];
/** One disc or drum as a store of heat. `which` begins the sentence: `Front`, `One`. */
export const rotorFigures = (
  path: string,
  which: string,
  { kind }: Brake,
  { vented = false }: Rotor,
): FigureSpec[] => [
  figure(`${path}.massKg`, `${which} ${vented ? 'vented ' : ''}${kind}, one`),
  figure(`${path}.diameterMm`, kind === 'disc' ? 'Diameter' : 'Inside diameter'),
  figure(`${path}.widthMm`, kind === 'disc' ? 'Swept width' : 'Width'),
  figure(`${path}.fadeC`, `${which} linings fade above`),
];
/** A disc with vanes or without; a drum has none. */
export const ventAction = (
  path: string,
  which: string,
  { kind }: Brake,
  { vented = false }: Rotor,
): FigureAction[] =>
  kind === 'disc'
    ? [
        {
          label: `Change to ${vented ? 'solid' : 'vented'} ${which}`,
          path: `${path}.vented`,
          to: !vented,
        },
      ]
    : [];
export const hoseFigures = (path: string, label = 'Hose'): FigureSpec[] => [
  figure(`${path}.hoseMm`, label),
  figure(`${path}.hoseMlPerMPaM`),
];

export function brakeFigures(path: string, brake: Brake): FigureSpec[] {
  if (brake.kind === 'drum') {
    return [
      figure(`${path}.cylinderMm`),
      figure(`${path}.drumRadiusMm`),
      figure(`${path}.brakeFactor`),
      figure(`${path}.travelMm`),
    ];
  }
  return [
    ...brake.pistonsMm.map((_, i) =>
      figure(`${path}.pistonsMm.${i}`, `Piston ${i + 1}${brake.opposed ? ' on one side' : ''}`),
    ),
    figure(`${path}.effectiveRadiusMm`),
    figure(`${path}.padMu`),
    figure(`${path}.clearanceMm`),
    figure(`${path}.complianceMmPerMPa`),
  ];
}

/** The other kind of brake, and for a disc how many pistons press on a side and from where. */
export function brakeActions(path: string, brake: Brake): FigureAction[] {
  const other = typicalBrake(brake.kind === 'disc' ? 'drum' : 'disc', path);
  const swap = {
    label: brake.kind === 'disc' ? 'Change to drums' : 'Change to discs',
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
      label: 'Add piston',
      path: `${path}.pistonsMm`,
      to: [...pistonsMm, last],
      open: [`${path}.pistonsMm.${pistonsMm.length}`],
    },
    ...(pistonsMm.length > 1
      ? [{ label: 'Remove piston', path: `${path}.pistonsMm`, to: pistonsMm.slice(0, -1) }]
      : []),
  ];
}
