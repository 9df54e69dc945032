import type { Brake } from '../../physics/hydraulics/index.ts';
import type { Category } from '../../trade/categories.ts';
import type { Plan, Sizing } from '../../plan/index.ts';
import {
  allGuessed,
  TYPICAL_BRAKE,
  TYPICAL_HEAT,
  TYPICAL_TRAILER_HEAT,
  numberPaths,
  typicalClutch,
  typicalParking,
  typicalSingle,
  typicalSizing,
  typicalTrailer,
} from '../../plan/typical.ts';
import type { Answers, Ask } from './answers.ts';
import type { Dimensions } from './dimensions.ts';

/** Over so much a road vehicle is no light one. Source: UN R13-H and FMVSS 135 scope (from memory). */
const LIGHT_KG = 3500;
/** Pistons of fixed calipers, one side. Ordinary figures. */
const FIXED_MM = { front: [38, 38], rear: [25.4, 25.4] } as const;
/** An ordinary vacuum booster, and the foot that is wanted with one. */
const BOOSTER = { gain: 3, vacuumKPa: 65, diaphragmMm2: 50_000 };
const BOOSTED_N = 250;
/** How laden weight lies: more of it behind. Ordinary figures. */
const LADEN_FRONT = 0.46;

/** Piston of a sliding caliper behind. An ordinary figure. */
const SLIDING_REAR_MM = [34];
/** Drums in front: two leading shoes on larger cylinders. Ordinary figures. */
const FRONT_DRUM = { cylinderMm: 25.4, brakeFactor: 3.2 };
/** Bore of a master that no booster helps. An ordinary figure. */
const UNBOOSTED_MM = 19.05;
/** Laden mass the default brakes are sized for; brake area scales above it. */
const ORDINARY_KG = 1900;
function brakeOf(
  { ladenKg, vehicle }: Answers,
  kind: Answers['front'],
  axle: 'front' | 'rear',
): Brake {
  const k = vehicle === 'trailer' ? 1 : Math.sqrt(Math.max(1, ladenKg / ORDINARY_KG));
  const tenths = (mm: number): number => Math.round(10 * k * mm) / 10;
  const { disc, drum } = TYPICAL_BRAKE;
  if (kind === 'drum') {
    const { cylinderMm, brakeFactor } = axle === 'front' ? FRONT_DRUM : drum;
    return { ...drum, brakeFactor, cylinderMm: tenths(cylinderMm) };
  }
  const pistons =
    kind === 'fixed' ? FIXED_MM[axle] : axle === 'front' ? disc.pistonsMm : SLIDING_REAR_MM;
  return { ...disc, pistonsMm: pistons.map(tenths), opposed: kind === 'fixed' };
}

const categoryOf = ({ use, ladenKg }: Answers): Category =>
  use === 'track' ? 'competition' : ladenKg > LIGHT_KG ? 'heavy' : 'light';

function masterOf({ master, booster }: Answers, typical: Sizing['master']): Sizing['master'] {
  const { strokeMm, deadMm } = typical;
  if (master === 'twin')
    return {
      kind: 'twin',
      frontBoreMm: 15.875,
      rearBoreMm: 17.4625,
      frontShare: 0.55,
      strokeMm,
      deadMm,
    };
  return { kind: 'tandem', boreMm: booster === 'none' ? UNBOOSTED_MM : 22.225, strokeMm, deadMm };
}

/** On hills, towing, on a track, or where a top speed was said, heat is looked at. */
const isHeatAsked = ({ use }: Answers, said: ReadonlySet<Ask>): boolean =>
  use !== 'road' || said.has('topKmh');

/** Size begun: what was said is no guess, all else is one. */
function sizingOf(d: Dimensions, said: ReadonlySet<Ask>): Sizing {
  const { answers } = d;
  const category = categoryOf(answers);
  const { open: _, ...typical } = typicalSizing(category);
  const radius = { front: d.hubMm, rear: d.hubMm };
  const figures = {
    ...typical,
    wheelbaseMm: answers.wheelbaseMm,
    tyreRadiusMm: radius,
    empty: { ...typical.empty, massKg: answers.emptyKg },
    laden: { ...typical.laden, massKg: answers.ladenKg, frontFraction: LADEN_FRONT },
    pedal: answers.booster === 'vacuum' ? { ...typical.pedal, forceN: BOOSTED_N } : typical.pedal,
    booster: answers.booster === 'vacuum' ? BOOSTER : null,
    master: masterOf(answers, typical.master),
    front: brakeOf(answers, answers.front, 'front'),
    rear: brakeOf(answers, answers.rear, 'rear'),
    heat: isHeatAsked(answers, said)
      ? { ...TYPICAL_HEAT, topKmh: answers.topKmh, towKg: answers.towKg }
      : null,
  };
  const known: Readonly<Record<string, Ask>> = {
    wheelbaseMm: 'wheelbaseMm',
    'tyreRadiusMm.front': 'tyre',
    'tyreRadiusMm.rear': 'tyre',
    'empty.massKg': 'emptyKg',
    'laden.massKg': 'ladenKg',
    'heat.topKmh': 'topKmh',
    'heat.towKg': 'towKg',
  };
  return {
    ...figures,
    open: numberPaths(figures).filter((path) => !(known[path] && said.has(known[path]))),
  };
}

/** The typical parking brake holds this; its lever is guessed longer for more. */
const PARKED_KG = 1700;
const LONGEST = 25;
function parkingOf({ ladenKg }: Answers): Plan['parking'] {
  const sheet = typicalParking('lever');
  return sheet.by === 'lever'
    ? {
        ...sheet,
        leverRatio: Math.min(
          LONGEST,
          Math.max(
            sheet.leverRatio,
            Math.round((10 * sheet.leverRatio * ladenKg) / PARKED_KG) / 10,
          ),
        ),
      }
    : sheet;
}

/** The sheets of a vehicle's Size station. */
export function sheetsOf(
  d: Dimensions,
  said: ReadonlySet<Ask>,
  { circuits }: Pick<Plan, 'circuits'>,
): Partial<Plan> {
  const { answers } = d;
  const { vehicle, emptyKg, ladenKg, topKmh } = answers;
  if (vehicle === 'trailer') {
    const { open: _, ...typical } = typicalTrailer();
    const each = d.axlesMm.length;
    const axle = {
      brake: brakeOf(answers, answers.rear, 'front'),
      tyreRadiusMm: d.hubMm,
      emptyKg: emptyKg / each,
      ladenKg: ladenKg / each,
    };
    const heat = said.has('topKmh') ? { ...TYPICAL_TRAILER_HEAT, topKmh } : null;
    return { trailer: allGuessed({ ...typical, axles: d.axlesMm.map(() => axle), heat }) };
  }
  if (vehicle === 'motorcycle' || vehicle === 'aircraft') {
    const share = vehicle === 'motorcycle' ? 0.5 : 0.45;
    return {
      singles: circuits.map(({ name, id, axle }) => {
        const { open, ...single } = typicalSingle(name, id);
        const own = { ...single, tyreRadiusMm: d.hubMm, loadKg: Math.round(share * ladenKg) };
        // The front one does most of the work: two pistons a side. Common practice.
        return vehicle === 'motorcycle' && axle === 'front'
          ? {
              ...own,
              brake: { ...own.brake, pistonsMm: [30, 30] },
              open: [...open, 'brake.pistonsMm.1'],
            }
          : { ...own, open };
      }),
    };
  }
  return {
    sizing: sizingOf(d, said),
    clutch: answers.clutch === 'hydraulic' || answers.job === 'clutch' ? typicalClutch() : null,
    parking: answers.parking === 'cable' ? parkingOf(answers) : null,
  };
}
