import {
  masterMmPerMl,
  takenMl,
  type AxleLines,
  type Brake,
} from '../../physics/hydraulics/index.ts';
import {
  FLARES,
  hoseById,
  hoseMlPerM,
  TUBES,
  tubeBoreMm,
  type FlareForm,
  type TubeMaterial,
} from '../../trade/stock/index.ts';
import { HARD_MPA } from '../layout/hose-figures.ts';
import { TUBE_MATTER } from '../layout/line-figures.ts';
import type { LineView } from '../layout/line-view.ts';
import type { Bench } from '../model/index.ts';
import { BULK_GPA } from './sheets.ts';
import type { PlanView } from './view.ts';

/** One way to make a run: what of the pedal it costs and what else speaks for or against it. */
export interface RunChoice {
  readonly id: TubeMaterial | 'braided-ptfe';
  readonly name: string;
  /** It is what the line is made of now. */
  readonly now: boolean;
  /** Pedal travel that this run alone takes at the foot that is planned; null where no pedal presses it. */
  readonly pedalMm: number | null;
  readonly takesMl: number;
  /** Flares that the tools at hand make on it, and how well they are proven. */
  readonly flares: string;
  readonly corrosion: string;
  readonly rule: string;
  /** In the smallest coin; invented, like all prices here. */
  readonly costMinor: number;
}

interface Matter {
  readonly id: 'steel' | 'copper-nickel' | 'stainless';
  readonly name: string;
  readonly flares: readonly FlareForm[];
  readonly corrosion: string;
  readonly rule: string;
  readonly costMinorPerM: number;
}
/** Common practice. */
const MATTERS: readonly Matter[] = [
  {
    id: 'steel',
    name: 'coated steel',
    flares: ['double-flare-45', 'bubble', 'cone-37'],
    corrosion: 'rusts where the coating is damaged; strip it at the flare, touch up after',
    rule: 'the usual; local rules first',
    costMinorPerM: 190,
  },
  {
    id: 'copper-nickel',
    name: 'copper-nickel',
    flares: ['double-flare-45', 'bubble', 'cone-37'],
    corrosion: 'does not rust; soft, so clip it closely',
    rule: 'most places; look at yours',
    costMinorPerM: 310,
  },
  {
    id: 'stainless',
    name: 'stainless',
    flares: ['cone-37'],
    corrosion: 'does not rust; hard to bend and to seal',
    rule: 'the usual; local rules first',
    costMinorPerM: 420,
  },
];
const BRAIDED = {
  id: 'braided-ptfe',
  name: 'braided hose',
  corrosion: 'braid hides damage and chafes its neighbors; replace by age',
  rule: 'only with its marking; many places want tube on long runs',
  costMinorPerM: 1450,
  endMinor: 1900,
} as const;
const NONE: Brake = { kind: 'drum', cylinderMm: 1, brakeFactor: 1, drumRadiusMm: 1, travelMm: 0 };
/** What the tools at hand make of it, best proven first. */
function flareWords({ flares }: Bench, { id, flares: takes }: Matter): string {
  const owned = takes.filter((form) => flares[form].owned);
  const only = takes.length === 1 ? ' alone' : '';
  if (!owned.length) return `${FLARES[takes[0]!].name.toLowerCase()}${only}: no tool on the bench`;
  return owned
    .map(
      (form) =>
        `${FLARES[form].name.toLowerCase()}${only}${flares[form].provenOn.includes(id) ? '' : ', no test piece yet'}`,
    )
    .join('; ');
}

/** The same run in each of what it could be made of, all of the line's own size; hose as long as the tube. */
export function runChoices(
  { plan, size, circuits }: Pick<PlanView, 'plan' | 'size' | 'circuits'>,
  { line, card, tube }: LineView,
): RunChoice[] {
  if (!card) return [];
  const lengthMm = card.developedMm;
  const circuit = circuits.get(line.circuitId)!;
  const axle = circuit.work === 'brake' ? circuit.axle : null;
  const pressed =
    axle && size
      ? {
          mpa: size.empty.size.pressureMPa[axle],
          perMl: masterMmPerMl(size.empty.input)[axle] * size.empty.input.pedal.ratio,
        }
      : null;
  const mpa = pressed?.mpa ?? HARD_MPA;
  const bulkGPa = plan.sizing?.bulkGPa ?? BULK_GPA;
  const takes = (of: Partial<AxleLines>): number => {
    const {
      tube: walls,
      hose,
      fluid,
    } = takenMl(
      NONE,
      { tubeMm: 0, idMm: 1, odMm: 2, youngGPa: 1, poisson: 0, hoseMm: 0, hoseMlPerMPaM: 0, ...of },
      bulkGPa,
      0,
      mpa,
    );
    return walls + hose + fluid;
  };
  const choice = (one: Omit<RunChoice, 'pedalMm'>): RunChoice => ({
    ...one,
    pedalMm: pressed && one.takesMl * pressed.perMl,
  });
  const tubes = MATTERS.map((matter) => {
    const size =
      TUBES.find(({ material, odMm }) => material === matter.id && odMm === tube.odMm) ?? tube;
    const { youngGPa, poisson } = TUBE_MATTER[matter.id];
    const takesMl = takes({
      tubeMm: lengthMm,
      idMm: tubeBoreMm(size),
      odMm: size.odMm,
      youngGPa,
      poisson,
    });
    const { id, name, corrosion, rule, costMinorPerM } = matter;
    return choice({
      id,
      name,
      corrosion,
      rule,
      takesMl,
      now: tube.material === id,
      flares: flareWords(plan.bench, matter),
      costMinor: (costMinorPerM * lengthMm) / 1000,
    });
  });
  const braid = hoseById(tube.odMm > 5.5 ? 'ptfe-4' : 'ptfe-3')!;
  const { id, name, corrosion, rule, costMinorPerM, endMinor } = BRAIDED;
  const takesMl = takes({
    hoseMm: lengthMm,
    idMm: braid.boreMm,
    odMm: braid.odMm,
    hoseMlPerMPaM: hoseMlPerM(braid, mpa)! / mpa,
  });
  const hose = choice({
    id,
    name,
    corrosion,
    rule,
    takesMl,
    now: false,
    flares: 'none: ends crimped by its maker',
    costMinor: (costMinorPerM * lengthMm) / 1000 + 2 * endMinor,
  });
  return [...tubes, hose];
}
