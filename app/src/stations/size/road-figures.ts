import { CODINGS, type BoosterSupply, type Sizing } from '@firm-line/core/plan';
import { TYPICAL_HEAT, numberPaths } from '@firm-line/core/plan/typical';
import {
  brakeActions,
  brakeFigures,
  daysFigures,
  hoseFigures,
  length,
  number,
  pedalFigures,
  rotorFigures,
  type FigureAction,
  type FigureGroup,
} from './figures';

const BOOSTER = { gain: 4, vacuumKPa: 65, diaphragmMm2: 35_000 };
const VALVE = { kneeMPa: 3, slope: 0.4 };
const COMBINATION = { holdOffMPa: 0.8, differentialMPa: 0.7 };
/** Something that may be there or not: what one tap puts in is a guess. */
const inOrOut = (path: string, now: object | null, to: object): FigureAction[] => [
  now
    ? { label: 'Take it out', path, to: null }
    : { label: 'Put one in', path, to, open: Object.keys(to).map((key) => `${path}.${key}`) },
];

function masterAction({ master }: Sizing): FigureAction {
  const { strokeMm, deadMm } = master;
  return master.kind === 'tandem'
    ? {
        label: 'Two masters and a bar',
        path: 'master',
        to: {
          kind: 'twin',
          frontBoreMm: master.boreMm,
          rearBoreMm: master.boreMm,
          frontShare: 0.5,
          strokeMm,
          deadMm,
        },
      }
    : {
        label: 'One tandem master',
        path: 'master',
        to: { kind: 'tandem', boreMm: master.frontBoreMm, strokeMm, deadMm },
      };
}

const SUPPLIES: readonly (readonly [BoosterSupply, string])[] = [
  [{ kind: 'vacuum', chamberMl: 2500 }, 'Vacuum of the engine'],
  [{ kind: 'pump', chamberMl: 2500 }, 'Vacuum pump'],
  [{ kind: 'electric', mostN: 4000, coding: 'not-known' }, 'Electric'],
  [{ kind: 'hydraulic', mostN: 4000, stops: 10 }, 'Hydraulic'],
];
const CODING_WORDS: Record<(typeof CODINGS)[number], string> = {
  'not-known': 'not known whether it is needed',
  needed: 'still to be done',
  done: 'done',
  none: 'not needed',
};

/** The booster by what drives it: its vacuum and volume, or what its sheet says it gives. */
function boosterFigures({ booster, boosterBy = null }: Sizing): FigureGroup {
  const ways = booster ? SUPPLIES.filter(([{ kind }]) => kind !== boosterBy?.kind) : [];
  const next =
    boosterBy?.kind === 'electric'
      ? CODINGS[(CODINGS.indexOf(boosterBy.coding) + 1) % CODINGS.length]!
      : null;
  const by = boosterBy && SUPPLIES.find(([{ kind }]) => kind === boosterBy.kind)![1];
  return {
    name: by && booster ? `Booster: ${by.toLowerCase()}` : 'Booster',
    figures: booster
      ? [
          number('booster.gain', 'Gain', 1, 20),
          ...(boosterBy && 'mostN' in boosterBy
            ? [number('boosterBy.mostN', 'Helps at most, N', 10, 50_000)]
            : [
                number('booster.vacuumKPa', 'Vacuum at idle, as measured, kPa', 0, 101),
                number('booster.diaphragmMm2', 'Diaphragm, mm²', 100, 500_000),
              ]),
          ...(boosterBy && 'chamberMl' in boosterBy
            ? [number('boosterBy.chamberMl', 'Its vacuum side and tank, mL', 10, 50_000)]
            : []),
          ...(boosterBy?.kind === 'hydraulic'
            ? [number('boosterBy.stops', 'Stops from its store', 0, 100)]
            : []),
        ]
      : [],
    actions: [
      ...inOrOut('booster', booster, BOOSTER),
      ...ways.map(([to, label]) => ({
        label,
        path: 'boosterBy',
        to,
        open: numberPaths(to, 'boosterBy'),
      })),
      ...(next && boosterBy?.kind === 'electric'
        ? [
            {
              label: `Coding: ${CODING_WORDS[boosterBy.coding]}`,
              path: 'boosterBy.coding',
              to: next,
            },
          ]
        : []),
    ],
  };
}

const VALVE_SHEET = {
  leastMPa: 1.7,
  mostMPa: 6.9,
  notches: null,
  bypass: false,
  ladenKneeMPa: null,
};
/** The valve in the rear, how it is set, and what its sheet says of its adjuster. */
function valveFigures({ rearValve, kneePerTurnMPa, valveSheet = null }: Sizing): FigureGroup {
  const turn =
    kneePerTurnMPa === null
      ? { label: 'Enter a turn', path: 'kneePerTurnMPa', to: 0.5, open: ['kneePerTurnMPa'] }
      : { label: 'Turn not known', path: 'kneePerTurnMPa', to: null };
  const sheet = valveSheet
    ? [
        { label: 'No sheet', path: 'valveSheet', to: null },
        {
          label: valveSheet.bypass ? 'No bypass' : 'Opens when the front fails',
          path: 'valveSheet.bypass',
          to: !valveSheet.bypass,
        },
        valveSheet.notches === null
          ? { label: 'Has notches', path: 'valveSheet.notches', to: 7 }
          : { label: 'Turns freely', path: 'valveSheet.notches', to: null },
        valveSheet.ladenKneeMPa === null
          ? {
              label: 'Moved by the load',
              path: 'valveSheet.ladenKneeMPa',
              to: rearValve?.kneeMPa ?? 0,
            }
          : { label: 'Not moved by the load', path: 'valveSheet.ladenKneeMPa', to: null },
      ]
    : [
        {
          label: 'Its sheet',
          path: 'valveSheet',
          to: VALVE_SHEET,
          open: ['valveSheet.leastMPa', 'valveSheet.mostMPa'],
        },
      ];
  return {
    name: valveSheet?.bypass ? 'Rear valve, opens when the front fails' : 'Rear valve',
    figures: rearValve
      ? [
          number(
            'rearValve.kneeMPa',
            valveSheet && valveSheet.ladenKneeMPa !== null ? 'Knee empty, MPa' : 'Knee, MPa',
            0,
            50,
          ),
          ...(valveSheet && valveSheet.ladenKneeMPa !== null
            ? [number('valveSheet.ladenKneeMPa', 'Knee laden, MPa', 0, 50)]
            : []),
          number('rearValve.slope', 'Slope', 0, 1),
          ...(kneePerTurnMPa === null
            ? []
            : [number('kneePerTurnMPa', 'One turn in, MPa of knee', 0.001, 10)]),
          ...(valveSheet
            ? [
                number('valveSheet.leastMPa', 'Knee goes down to, MPa', 0, 50),
                number('valveSheet.mostMPa', 'and up to, MPa', 0.1, 50),
              ]
            : []),
          ...(valveSheet && valveSheet.notches !== null
            ? [number('valveSheet.notches', 'Notches', 1, 100)]
            : []),
        ]
      : [],
    actions: [...inOrOut('rearValve', rearValve, VALVE), ...(rearValve ? [turn, ...sheet] : [])],
  };
}
const barAction = ({ bar }: Sizing): FigureAction =>
  bar
    ? { label: 'Bar range not known', path: 'bar', to: null }
    : {
        label: 'How far the bar turns',
        path: 'bar',
        to: { least: 0.35, most: 0.65 },
        open: ['bar.least', 'bar.most'],
      };

function heatFigures({ heat, front, rear }: Sizing): FigureGroup {
  return {
    name: 'Heat',
    figures: heat
      ? [
          ...daysFigures('heat'),
          number('heat.towKg', 'Towed without brakes, kg', 0, 50_000),
          ...(heat.fluidC === null
            ? []
            : [number('heat.fluidC', 'Fluid measured at the caliper, °C', -50, 400)]),
          ...rotorFigures('heat.rotor.front', 'Front', front),
          ...rotorFigures('heat.rotor.rear', 'Rear', rear),
        ]
      : [],
    none: 'Put in discs and drums, and stops, repeated brakings and a long hill are reckoned.',
    actions: [
      heat
        ? { label: 'Take it out', path: 'heat', to: null }
        : {
            label: 'Put them in',
            path: 'heat',
            to: TYPICAL_HEAT,
            open: numberPaths(TYPICAL_HEAT, 'heat'),
          },
      ...(heat
        ? [
            heat.fluidC === null
              ? { label: 'Fluid was measured', path: 'heat.fluidC', to: 100, open: ['heat.fluidC'] }
              : { label: 'Fluid not measured', path: 'heat.fluidC', to: null },
          ]
        : []),
    ],
  };
}

const LAMPS = [
  ['circuit', 'Circuit or fluid'],
  ['parking', 'Parking brake'],
] as const;
const lampWords = ({ lamps }: Sizing): string => {
  const there = LAMPS.filter(([lamp]) => lamps?.[lamp]).map(([, name]) => name);
  return there.length ? `There: ${there.join(', ').toLowerCase()}.` : 'None set down.';
};

/** Every figure from foot to road, in the order of the chain. */
export function roadFigures(sizing: Sizing): FigureGroup[] {
  const { master, combination } = sizing;
  const load = (name: 'empty' | 'laden'): FigureGroup => ({
    name: name === 'empty' ? 'Vehicle empty' : 'Vehicle laden',
    figures: [
      number(`${name}.massKg`, 'Mass, kg', 1, 100_000),
      number(`${name}.frontFraction`, 'Share on the front axle', 0.05, 0.95),
      length(`${name}.cgHeightMm`, 'Height of the centre of gravity', 0, 5000),
    ],
  });
  const brakes = (axle: 'front' | 'rear'): FigureGroup => ({
    name: axle === 'front' ? 'Front brakes' : 'Rear brakes',
    figures: [
      ...brakeFigures(axle, sizing[axle]),
      ...hoseFigures(`hoses.${axle}`, 'Hose, both wheels'),
      number(`airMl.${axle}`, 'Air left in, mL', 0, 100),
      length(`wearMm.${axle}`, 'Lining that wears away', 0, 50),
    ],
    actions: brakeActions(axle, sizing[axle]),
  });
  return [
    { name: 'Foot and lever', figures: pedalFigures('pedal', 'Foot') },
    boosterFigures(sizing),
    {
      name: 'Master',
      figures:
        master.kind === 'tandem'
          ? [
              length('master.boreMm', 'Bore', 3, 100),
              length('master.strokeMm', 'Stroke'),
              length('master.deadMm', 'Free stroke', 0),
            ]
          : [
              length('master.frontBoreMm', 'Front bore', 3, 100),
              length('master.rearBoreMm', 'Rear bore', 3, 100),
              number('master.frontShare', 'Front share of the bar', 0.05, 0.95),
              ...(sizing.bar
                ? [
                    number('bar.least', 'Bar turns from a front share of', 0, 1),
                    number('bar.most', 'to a front share of', 0, 1),
                  ]
                : []),
              length('master.strokeMm', 'Stroke'),
              length('master.deadMm', 'Free stroke', 0),
            ],
      actions: [masterAction(sizing), ...(master.kind === 'twin' ? [barAction(sizing)] : [])],
    },
    valveFigures(sizing),
    {
      name: 'Metering and warning',
      figures: combination
        ? [
            number('combination.holdOffMPa', 'Front held off to, MPa', 0.01, 10),
            number('combination.differentialMPa', 'Lamp at a difference of, MPa', 0.01, 10),
          ]
        : [],
      actions: inOrOut('combination', combination, COMBINATION),
    },
    heatFigures(sizing),
    {
      name: 'Warning lamps',
      figures: [],
      none: lampWords(sizing),
      actions: LAMPS.map(([lamp, name]) => ({
        label: `${name}: ${sizing.lamps?.[lamp] ? 'take it out' : 'it is there'}`,
        path: 'lamps',
        to: { circuit: false, parking: false, ...sizing.lamps, [lamp]: !sizing.lamps?.[lamp] },
      })),
    },
    brakes('front'),
    brakes('rear'),
    {
      name: 'Tyres and road',
      figures: [
        length('tyreRadiusMm.front', 'Front tyre radius', 50),
        length('tyreRadiusMm.rear', 'Rear tyre radius', 50),
        length('wheelbaseMm', 'Wheelbase', 100, 20_000),
        number('mu', 'Grip of the road, µ', 0.05, 2),
      ],
    },
    load('empty'),
    load('laden'),
  ];
}
