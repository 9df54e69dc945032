import { figure } from '@firm-line/core/lib/faults';
import {
  combination,
  pushN,
  runOutN,
  type ParkingPull,
  type ParkingTravel,
  type SizeInput,
} from '@firm-line/core/physics/hydraulics';
import type { Plan, Sizing } from '@firm-line/core/plan';
import { limitsOf, parkingMostN, type LoadView, type PlanView } from '@firm-line/core/plan/results';
import {
  formatLengthUnit,
  quantitiesIn,
  shownUnits,
  type ShownUnits,
  type UnitSystem,
} from '@firm-line/core/lib/units';

/** A step on the way from what is pushed to what it does. */
export interface Step {
  readonly name: string;
  readonly value: string;
  readonly note: string;
}
/** Words for the figures of a chain in the units that are shown; a strong force in kN, where force is in N. */
function wordsIn(shown: ShownUnits) {
  const words = quantitiesIn(shown);
  const strong = (n: number): string =>
    shown.force === 'N' ? `${figure(n / 1000, 1)} kN` : words.force(n);
  return { ...words, strong };
}
const wordsOf = ({ units, ownUnits }: Plan) => wordsIn(shownUnits(units, ownUnits));
const percent = (share: number): string => `${figure(100 * share, 0)} %`;

function boosterWords({ pedal, booster }: SizeInput, force: (n: number) => string): string {
  if (!booster) return 'the foot alone';
  const ends = runOutN(pedal, booster);
  return ends === null ? 'added' : `added; helps no further from ${force(ends)} of foot`;
}
/** From the foot to the road in one state of loading. */
export function roadChain(
  { input, size, usableZ }: LoadView,
  { combination: valve }: Sizing,
  shown: ShownUnits = shownUnits('metric'),
  units: UnitSystem = 'metric',
): Step[] {
  const { force, pressure, strong } = wordsIn(shown);
  const lever = input.pedal.forceN * input.pedal.ratio * input.pedal.efficiency;
  const push = pushN(input.pedal, input.booster);
  const { rearValve } = input;
  const steps: Step[] = [
    {
      name: 'Foot',
      value: force(input.pedal.forceN),
      note: `${formatLengthUnit(size.travelMm.total, units)} of pedal`,
    },
    { name: 'Lever', value: strong(lever), note: `${figure(input.pedal.ratio, 2)} to 1` },
    {
      name: 'Booster',
      value: input.booster ? strong(push - lever) : 'none',
      note: boosterWords(input, force),
    },
    {
      name: 'Master',
      value: pressure(size.pressureMPa.front),
      note: `${formatLengthUnit(size.strokeMm, units, 1)} of stroke`,
    },
    {
      name: 'Rear valve',
      value: pressure(size.pressureMPa.rear),
      note: rearValve
        ? `knee ${pressure(rearValve.kneeMPa, 2)}, slope ${figure(rearValve.slope, 2)}`
        : 'no valve',
    },
    { name: 'Front brakes', value: strong(size.forceN.front), note: 'at the road, both wheels' },
    { name: 'Rear brakes', value: strong(size.forceN.rear), note: 'at the road, both wheels' },
    {
      name: 'Road',
      value: `z ${figure(usableZ, 2)}`,
      note: usableZ < size.z - 1e-6 ? `${size.locksFirst} locks first` : 'nothing locks',
    },
  ];
  if (!valve) return steps;
  const does = combination(input, valve);
  const warns = (axle: 'front' | 'rear'): string =>
    does.warnsFromN[axle] === null ? 'never' : `from ${force(does.warnsFromN[axle])}`;
  return [
    ...steps,
    {
      name: 'Metering',
      value: force(does.frontFromN),
      note: `of foot force before the front brakes; rear alone gives z ${figure(does.rearAloneZ, 2)}`,
    },
    {
      name: 'Warning lamp',
      value: warns('front'),
      note: `with the front circuit empty; rear empty ${warns('rear')}`,
    },
  ];
}

const trailerChain = ({ plan, works }: PlanView, share: number): Step[] => {
  const { trailer } = plan;
  const { pressure, strong, torque, volume } = wordsOf(plan);
  const at = works.trailer!.at(share);
  return [
    {
      name: 'Actuator',
      value: pressure(trailer!.actuatorMPa),
      note: `${volume(at.takenMl, 1)} of ${volume(trailer!.actuatorMl)} pushed out`,
    },
    ...at.axles.map(({ wheelTorqueNm, forceN, adhesion }, i): Step => ({
      name: `Axle ${i + 1}`,
      value: torque(wheelTorqueNm),
      note: `a wheel; ${strong(forceN)} at the road, uses ${figure(adhesion, 2)} of grip`,
    })),
    { name: 'Road', value: `z ${figure(at.z, 2)}`, note: 'of the mass on its axles' },
    {
      name: 'Locks from',
      value: pressure(
        (trailer!.actuatorMPa * trailer!.mu) / Math.max(...at.axles.map((axle) => axle.adhesion)),
      ),
      note: `the first axle, on a road with grip ${figure(trailer!.mu, 2)}`,
    },
  ];
};

const singleChain = ({ plan, works }: PlanView, index: number, units: UnitSystem): Step[] => {
  const { force, pressure, strong, torque } = wordsOf(plan);
  const [sheet, at] = [plan.singles[index]!, works.singles[index]!];
  return [
    {
      name: 'Lever',
      value: force(sheet.lever.forceN),
      note: `${formatLengthUnit(at.travelMm, units)} of ${formatLengthUnit(sheet.lever.strokeMm, units)}, ${percent(at.share)}`,
    },
    {
      name: 'Master',
      value: pressure(at.pressureMPa),
      note: `${formatLengthUnit(at.strokeMm, units, 1)} of ${formatLengthUnit(sheet.strokeMm, units, 1)} of stroke${at.bottoms ? ': runs out of stroke' : ''}`,
    },
    {
      name: 'Wheel',
      value: torque(at.wheelTorqueNm),
      note: sheet.wheels === 2 ? 'at each of two' : 'at the one',
    },
    {
      name: 'Road',
      value: strong(at.forceN),
      note: `uses ${figure(at.adhesion, 2)} of grip, standing load`,
    },
  ];
};

const clutchChain = ({ plan, works }: PlanView, units: UnitSystem): Step[] => {
  const { clutch } = plan;
  const { force, pressure } = wordsOf(plan);
  const at = works.clutch!;
  const length = (mm: number): string => formatLengthUnit(mm, units, 1);
  return [
    {
      name: 'Pedal',
      value: force(at.pedalForceN),
      note: `to hold down; you want ${force(clutch!.pedal.forceN)}`,
    },
    { name: 'Pressure', value: pressure(at.pressureMPa), note: 'while held down' },
    { name: 'Slave', value: length(at.slaveStrokeMm), note: 'for the whole stroke' },
    {
      name: 'Bearing',
      value: length(at.bearingStrokeMm),
      note: `${length(clutch!.releaseMm)} disengages, ${length(clutch!.mostMm)} is the limit`,
    },
  ];
};

/** Where a parking lever's travel goes. */
const leverStep = (
  travel: ParkingTravel | null | undefined,
  pull: ParkingPull | null,
  units: UnitSystem,
): Step[] => {
  if (!travel || !pull) return [];
  const length = (mm: number): string => formatLengthUnit(mm, units, 0);
  return [
    {
      name: 'Lever',
      value: length(pull.travelMm),
      note: `of ${length(travel.strokeMm)}: shoes ${length(pull.liftMm)}, cables stretch ${length(pull.stretchMm)}. On hot drums ${length(pull.hotMm)}; as they cool it tightens by ${percent(pull.tightens)}`,
    },
  ];
};

const parkingChain = ({ plan, works }: PlanView): Step[] => {
  const { parking, sizing, units } = plan;
  const { force, strong, torque } = wordsOf(plan);
  const at = works.parking;
  if (!at || parking?.by !== 'lever') return [];
  const limit = limitsOf(sizing!)?.parking;
  return [
    {
      name: parking.worked === 'foot' ? 'Foot' : 'Hand',
      value: force(parking.handN),
      note: limit ? `${force(parkingMostN(parking, limit))} allowed` : 'no limit known',
    },
    ...leverStep(parking.travel, at.pull, units),
    { name: 'Cable', value: strong(at.cableN), note: 'shared by two wheels' },
    {
      name: 'Wheel',
      value: torque(at.wheelTorqueNm),
      note: `${strong(at.shoeN)} at the shoe`,
    },
    {
      name: 'Holds on',
      value: at.holdsGrade === null ? 'any slope' : percent(at.holdsGrade),
      note: limit
        ? `laden; ${percent(limit.grade)} required: ${limit.source}`
        : 'laden; no rule known for this kind',
    },
  ];
};

/** The steps of the sheet at a place in the plan. */
export function chainOf(of: string, view: PlanView, share: number): Step[] {
  const { units } = view.plan;
  if (of === 'trailer') return trailerChain(view, share);
  if (of === 'clutch') return clutchChain(view, units);
  if (of === 'parking') return parkingChain(view);
  return singleChain(view, Number(of.split('.')[1]), units);
}

/** Sheets of a plan that are begun, in their order, by place and name. */
export function sheetsOf({
  sizing,
  trailer,
  singles,
  clutch,
  parking,
}: Plan): { of: string; name: string }[] {
  return [
    ...(sizing ? [{ of: 'sizing', name: 'Foot to road' }] : []),
    ...(trailer ? [{ of: 'trailer', name: 'Trailer' }] : []),
    ...singles.map((single, i) => ({ of: `singles.${i}`, name: single.name })),
    ...(clutch ? [{ of: 'clutch', name: 'Clutch' }] : []),
    ...(parking ? [{ of: 'parking', name: 'Parking brake' }] : []),
  ];
}
