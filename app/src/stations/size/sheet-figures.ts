import type { ParkingTravel } from '@firm-line/core/physics/hydraulics';
import {
  type ClutchSheet,
  type ParkingSheet,
  type SingleSheet,
  type TrailerSheet,
} from '@firm-line/core/plan';
import {
  numberPaths,
  TYPICAL_PARKING_TRAVEL,
  TYPICAL_TRAILER_HEAT,
  typicalTrailer,
} from '@firm-line/core/plan/typical';
import {
  brakeActions,
  brakeFigures,
  daysFigures,
  hoseFigures,
  figure,
  pedalFigures,
  rotorFigures,
  ventAction,
  type FigureGroup,
} from './figures';

const MOST_AXLES = 3;
export function trailerFigures({ axles, heat }: TrailerSheet): FigureGroup[] {
  const added = typicalTrailer().axles[0]!;
  return [
    {
      name: 'Actuator',
      figures: [figure('actuatorMPa'), figure('actuatorMl')],
      actions: [
        ...(axles.length < MOST_AXLES
          ? [{ label: 'Add axle', path: 'axles', to: [...axles, axles.at(-1) ?? added] }]
          : []),
        ...(axles.length > 1
          ? [{ label: 'Remove axle', path: 'axles', to: axles.slice(0, -1) }]
          : []),
      ],
    },
    ...axles.map((axle, i): FigureGroup => ({
      name: `Axle ${i + 1}`,
      figures: [
        ...brakeFigures(`axles.${i}.brake`, axle.brake),
        figure(`axles.${i}.tyreRadiusMm`),
        figure(`axles.${i}.emptyKg`),
        figure(`axles.${i}.ladenKg`),
      ],
      actions: brakeActions(`axles.${i}.brake`, axle.brake),
    })),
    {
      name: 'Lines and road',
      figures: [...hoseFigures('hose', 'Hose, total'), figure('airMl'), figure('mu')],
    },
    {
      name: 'Heat',
      figures: heat
        ? [
            ...daysFigures('heat'),
            ...rotorFigures('heat.rotor', 'Every', axles[0]!.brake, heat.rotor),
          ]
        : [],
      none: 'Enter discs or drums to calculate heat: one stop and a long hill.',
      actions: [
        ...(heat ? ventAction('heat.rotor', 'discs', axles[0]!.brake, heat.rotor) : []),
        heat
          ? { label: 'Remove discs or drums', path: 'heat', to: null }
          : {
              label: 'Add discs or drums',
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
    figures: [figure('boreMm'), figure('strokeMm'), figure('deadMm')],
  },
  {
    name: 'Brake',
    figures: [...brakeFigures('brake', brake), figure('tyreRadiusMm'), figure('loadKg')],
    actions: [
      {
        label: wheels === 1 ? 'Two brakes' : 'One brake',
        path: 'wheels',
        to: wheels === 1 ? 2 : 1,
      },
      ...brakeActions('brake', brake),
    ],
  },
  { name: 'Lines', figures: [...hoseFigures('hose'), figure('airMl')] },
];

export const clutchFigures = (_: ClutchSheet): FigureGroup[] => [
  { name: 'Pedal', figures: pedalFigures('pedal', 'Foot force you want') },
  {
    name: 'Master',
    figures: [figure('masterBoreMm'), figure('strokeMm'), figure('deadMm')],
  },
  {
    name: 'Slave and bearing',
    figures: [
      figure('slaveBoreMm'),
      figure('forkRatio'),
      figure('bearingLoadN'),
      figure('releaseMm'),
      figure('mostMm'),
    ],
  },
  { name: 'Lines', figures: hoseFigures('hose') },
];

/** What moves between hand and shoes. */
const travelFigures = (travel: ParkingTravel | null | undefined): FigureGroup => ({
  name: travel ? `Travel, ${travel.equalizer ? 'with' : 'without'} an equalizer` : 'Travel',
  figures: travel
    ? (['strokeMm', 'frontMm', 'rearMm', 'cableMm', 'liftMm'] as const).map((key) =>
        figure(`travel.${key}`),
      )
    : [],
  none: 'Enter cables and shoes to see how far the lever goes, cold and on hot drums.',
  actions: travel
    ? [
        {
          label: `${travel.equalizer ? 'Remove' : 'Add'} equalizer`,
          path: 'travel.equalizer',
          to: !travel.equalizer,
        },
        { label: 'Remove travel', path: 'travel', to: null },
      ]
    : [
        {
          label: 'Add travel',
          path: 'travel',
          to: TYPICAL_PARKING_TRAVEL,
          open: numberPaths(TYPICAL_PARKING_TRAVEL, 'travel'),
        },
      ],
});

export const parkingFigures = (sheet: ParkingSheet): FigureGroup[] =>
  sheet.by === 'hydraulic'
    ? []
    : [
        {
          name: 'Hand and cable',
          figures: [
            figure('handN', sheet.worked === 'foot' ? 'Foot' : 'Hand'),
            figure('leverRatio'),
            figure('efficiency'),
          ],
          actions: [
            sheet.worked === 'foot'
              ? { label: 'Worked by hand', path: 'worked', to: 'hand' }
              : { label: 'Worked by foot', path: 'worked', to: 'foot' },
          ],
        },
        {
          name: 'At the wheel',
          figures: [figure('shoeRatio'), figure('brakeFactor'), figure('drumRadiusMm')],
        },
        travelFigures(sheet.travel),
      ];
