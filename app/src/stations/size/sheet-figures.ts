import type { Category } from '@firm-line/core/trade/categories';
import {
  type ClutchSheet,
  type ParkingSheet,
  type SingleSheet,
  type TrailerSheet,
} from '@firm-line/core/plan';
import { numberPaths, TYPICAL_TRAILER_HEAT, typicalTrailer } from '@firm-line/core/plan/typical';
import {
  brakeActions,
  brakeFigures,
  daysFigures,
  hoseFigures,
  length,
  number,
  pedalFigures,
  rotorFigures,
  type FigureGroup,
} from './figures';

const MOST_AXLES = 3;
export function trailerFigures({ axles, heat }: TrailerSheet): FigureGroup[] {
  const added = typicalTrailer().axles[0]!;
  return [
    {
      name: 'Actuator',
      figures: [
        number('actuatorMPa', 'Pressure it makes, MPa', 0.1, 200),
        number('actuatorMl', 'Fluid it pushes out, mL', 0.1, 10_000),
      ],
      actions: [
        ...(axles.length < MOST_AXLES
          ? [{ label: 'One axle more', path: 'axles', to: [...axles, axles.at(-1) ?? added] }]
          : []),
        ...(axles.length > 1
          ? [{ label: 'One axle less', path: 'axles', to: axles.slice(0, -1) }]
          : []),
      ],
    },
    ...axles.map((axle, i): FigureGroup => ({
      name: `Axle ${i + 1}`,
      figures: [
        ...brakeFigures(`axles.${i}.brake`, axle.brake),
        length(`axles.${i}.tyreRadiusMm`, 'Tyre radius', 50),
        number(`axles.${i}.emptyKg`, 'Carries empty, kg', 1, 20_000),
        number(`axles.${i}.ladenKg`, 'Carries laden, kg', 1, 20_000),
      ],
      actions: brakeActions(`axles.${i}.brake`, axle.brake),
    })),
    {
      name: 'Lines and road',
      figures: [
        ...hoseFigures('hose', 'Hose, all of it'),
        number('airMl', 'Air left in, mL', 0, 100),
        number('mu', 'Grip of the road, µ', 0.05, 2),
      ],
    },
    {
      name: 'Heat',
      figures: heat
        ? [...daysFigures('heat'), ...rotorFigures('heat.rotor', 'Every', axles[0]!.brake)]
        : [],
      none: 'Put in its discs or drums, and one stop and a long hill are reckoned.',
      actions: [
        heat
          ? { label: 'Take it out', path: 'heat', to: null }
          : {
              label: 'Put them in',
              path: 'heat',
              to: TYPICAL_TRAILER_HEAT,
              open: numberPaths(TYPICAL_TRAILER_HEAT, 'heat'),
            },
      ],
    },
  ];
}

export const singleFigures = ({ brake, wheels }: SingleSheet): FigureGroup[] => [
  { name: 'Lever', figures: pedalFigures('lever', 'Hand or foot') },
  {
    name: 'Master',
    figures: [
      length('boreMm', 'Bore', 3, 100),
      length('strokeMm', 'Stroke'),
      length('deadMm', 'Free stroke', 0),
    ],
  },
  {
    name: 'Brake',
    figures: [
      ...brakeFigures('brake', brake),
      length('tyreRadiusMm', 'Tyre radius', 20),
      number('loadKg', 'Load on it, standing, kg', 1, 20_000),
    ],
    actions: [
      {
        label: wheels === 1 ? 'Two brakes on it' : 'One brake on it',
        path: 'wheels',
        to: wheels === 1 ? 2 : 1,
      },
      ...brakeActions('brake', brake),
    ],
  },
  { name: 'Lines', figures: [...hoseFigures('hose'), number('airMl', 'Air left in, mL', 0, 100)] },
];

export const clutchFigures = (_: ClutchSheet): FigureGroup[] => [
  { name: 'Pedal', figures: pedalFigures('pedal', 'Foot you want to give') },
  {
    name: 'Master',
    figures: [
      length('masterBoreMm', 'Bore', 3, 100),
      length('strokeMm', 'Stroke'),
      length('deadMm', 'Free stroke', 0),
    ],
  },
  {
    name: 'Slave and bearing',
    figures: [
      length('slaveBoreMm', 'Slave bore', 3, 150),
      number('forkRatio', 'Fork: slave to bearing', 0.2, 10),
      number('bearingLoadN', 'Load on the bearing, N', 1, 20_000),
      length('releaseMm', 'Travel that frees it', 0.1, 100),
      length('mostMm', 'Most travel', 0.1, 100),
    ],
  },
  { name: 'Lines', figures: hoseFigures('hose') },
];

export const parkingFigures = (sheet: ParkingSheet): FigureGroup[] =>
  sheet.by === 'hydraulic'
    ? []
    : [
        {
          name: 'Hand and cable',
          figures: [
            number('handN', 'Hand, N', 1, 2000),
            number('leverRatio', 'Lever ratio', 0.5, 30),
            number('efficiency', 'Efficiency, cables and all', 0.05, 1),
          ],
        },
        {
          name: 'At the wheel',
          figures: [
            number('shoeRatio', 'Shoe lever ratio', 0.5, 20),
            number('brakeFactor', 'Brake factor', 0.1, 20),
            length('drumRadiusMm', 'Drum radius', 10),
          ],
        },
      ];

export const CATEGORY_NAMES: Record<Category, string> = {
  light: 'Car or light van, to 3.5 t',
  heavy: 'Heavier van or truck',
  trailer: 'Trailer',
  motorcycle: 'Motorcycle',
  aircraft: 'Light aircraft',
  competition: 'Competition only',
};
