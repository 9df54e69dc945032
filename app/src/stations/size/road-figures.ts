import { choiceName, CODING, CODINGS, type BoosterSupply, type Sizing } from '@firm-line/core/plan';
import { TYPICAL_HEAT, numberPaths } from '@firm-line/core/plan/typical';
import {
  brakeActions,
  brakeFigures,
  daysFigures,
  hoseFigures,
  figure,
  pedalFigures,
  rotorFigures,
  ventAction,
  type FigureAction,
  type FigureGroup,
} from './figures';

const BOOSTER = { gain: 4, vacuumKPa: 65, diaphragmMm2: 35_000 };
const VALVE = { kneeMPa: 3, slope: 0.4 };
const COMBINATION = { holdOffMPa: 0.8, differentialMPa: 0.7 };
/** Something that may be there or not: what one tap puts in is a guess. */
const inOrOut = (path: string, what: string, now: object | null, to: object): FigureAction[] => [
  now
    ? { label: `Remove ${what}`, path, to: null }
    : { label: `Add ${what}`, path, to, open: Object.keys(to).map((key) => `${path}.${key}`) },
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
  [{ kind: 'vacuum', chamberMl: 2500 }, 'Engine vacuum'],
  [{ kind: 'pump', chamberMl: 2500 }, 'Vacuum pump'],
  [{ kind: 'electric', mostN: 4000, coding: 'not-known' }, 'Electric'],
  [{ kind: 'hydraulic', mostN: 4000, stops: 10 }, 'Hydraulic'],
];

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
          figure('booster.gain'),
          ...(boosterBy && 'mostN' in boosterBy
            ? [figure('boosterBy.mostN')]
            : [figure('booster.vacuumKPa'), figure('booster.diaphragmMm2')]),
          ...(booster.jumpInN === undefined ? [] : [figure('booster.jumpInN')]),
          ...(boosterBy && 'chamberMl' in boosterBy ? [figure('boosterBy.chamberMl')] : []),
          ...(boosterBy?.kind === 'hydraulic' ? [figure('boosterBy.stops')] : []),
        ]
      : [],
    actions: [
      ...inOrOut('booster', 'booster', booster, BOOSTER),
      ...(booster && booster.jumpInN === undefined
        ? [{ label: 'Add jump-in', path: 'booster.jumpInN', to: 300, open: ['booster.jumpInN'] }]
        : []),
      ...ways.map(([to, label]) => ({
        label,
        path: 'boosterBy',
        to,
        open: numberPaths(to, 'boosterBy'),
      })),
      ...(next && boosterBy?.kind === 'electric'
        ? [
            {
              label: `Coding: ${choiceName(CODING, boosterBy.coding)}`,
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
              label: 'Load-sensing',
              path: 'valveSheet.ladenKneeMPa',
              to: rearValve?.kneeMPa ?? 0,
            }
          : { label: 'Not load-sensing', path: 'valveSheet.ladenKneeMPa', to: null },
      ]
    : [
        {
          label: 'Valve sheet',
          path: 'valveSheet',
          to: VALVE_SHEET,
          open: ['valveSheet.leastMPa', 'valveSheet.mostMPa'],
        },
      ];
  return {
    name: valveSheet?.bypass ? 'Rear valve, opens when the front fails' : 'Rear valve',
    figures: rearValve
      ? [
          figure(
            'rearValve.kneeMPa',
            valveSheet && valveSheet.ladenKneeMPa !== null ? 'Knee empty' : 'Knee',
          ),
          ...(valveSheet && valveSheet.ladenKneeMPa !== null
            ? [figure('valveSheet.ladenKneeMPa')]
            : []),
          figure('rearValve.slope'),
          ...(kneePerTurnMPa === null ? [] : [figure('kneePerTurnMPa')]),
          ...(valveSheet ? [figure('valveSheet.leastMPa'), figure('valveSheet.mostMPa')] : []),
          ...(valveSheet && valveSheet.notches !== null ? [figure('valveSheet.notches')] : []),
        ]
      : [],
    actions: [
      ...inOrOut('rearValve', 'valve', rearValve, VALVE),
      ...(rearValve ? [turn, ...sheet] : []),
    ],
  };
}
const barAction = ({ bar }: Sizing): FigureAction =>
  bar
    ? { label: 'Bar range not known', path: 'bar', to: null }
    : {
        label: 'Balance bar range',
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
          figure('heat.towKg'),
          ...(heat.fluidC === null ? [] : [figure('heat.fluidC')]),
          ...rotorFigures('heat.rotor.front', 'Front', front, heat.rotor.front),
          ...rotorFigures('heat.rotor.rear', 'Rear', rear, heat.rotor.rear),
        ]
      : [],
    none: 'Enter discs or drums to calculate heat: one stop, repeated braking and a long hill.',
    actions: [
      heat
        ? { label: 'Remove discs and drums', path: 'heat', to: null }
        : {
            label: 'Add discs or drums',
            path: 'heat',
            to: TYPICAL_HEAT,
            open: numberPaths(TYPICAL_HEAT, 'heat'),
          },
      ...(heat
        ? [
            ...ventAction('heat.rotor.front', 'front discs', front, heat.rotor.front),
            ...ventAction('heat.rotor.rear', 'rear discs', rear, heat.rotor.rear),
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
  return there.length ? `Fitted: ${there.join(', ').toLowerCase()}.` : 'None entered.';
};

/** Every figure from foot to road, in the order of the chain. */
export function roadFigures(sizing: Sizing): FigureGroup[] {
  const { master, combination } = sizing;
  const load = (name: 'empty' | 'laden'): FigureGroup => ({
    name: name === 'empty' ? 'Vehicle empty' : 'Vehicle laden',
    figures: [
      figure(`${name}.massKg`),
      figure(`${name}.frontFraction`),
      figure(`${name}.cgHeightMm`),
    ],
  });
  const brakes = (axle: 'front' | 'rear'): FigureGroup => ({
    name: axle === 'front' ? 'Front brakes' : 'Rear brakes',
    figures: [
      ...brakeFigures(axle, sizing[axle]),
      ...hoseFigures(`hoses.${axle}`, 'Hose, both wheels'),
      figure(`airMl.${axle}`),
      figure(`wearMm.${axle}`),
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
          ? [figure('master.boreMm'), figure('master.strokeMm'), figure('master.deadMm')]
          : [
              figure('master.frontBoreMm'),
              figure('master.rearBoreMm'),
              figure('master.frontShare'),
              ...(sizing.bar
                ? [figure('bar.least', 'Least front share'), figure('bar.most', 'Most front share')]
                : []),
              figure('master.strokeMm'),
              figure('master.deadMm'),
            ],
      actions: [masterAction(sizing), ...(master.kind === 'twin' ? [barAction(sizing)] : [])],
    },
    valveFigures(sizing),
    {
      name: 'Metering and warning',
      figures: combination
        ? [figure('combination.holdOffMPa'), figure('combination.differentialMPa')]
        : [],
      actions: inOrOut('combination', 'valve and lamp switch', combination, COMBINATION),
    },
    heatFigures(sizing),
    {
      name: 'Warning lamps',
      figures: [],
      none: lampWords(sizing),
      actions: LAMPS.map(([lamp, name]) => ({
        label: `${sizing.lamps?.[lamp] ? 'Remove' : 'Add'} lamp: ${name.toLowerCase()}`,
        path: 'lamps',
        to: { circuit: false, parking: false, ...sizing.lamps, [lamp]: !sizing.lamps?.[lamp] },
      })),
    },
    brakes('front'),
    brakes('rear'),
    {
      name: 'Tires and road',
      figures: [
        figure('tyreRadiusMm.front'),
        figure('tyreRadiusMm.rear'),
        figure('wheelbaseMm'),
        figure('mu'),
        ...(typeof sizing.scrubMm === 'number' ? [figure('scrubMm')] : []),
      ],
      actions: [
        typeof sizing.scrubMm === 'number'
          ? { label: 'Scrub radius not known', path: 'scrubMm', to: null }
          : { label: 'Add scrub radius', path: 'scrubMm', to: 0, open: ['scrubMm'] },
      ],
    },
    load('empty'),
    load('laden'),
  ];
}
