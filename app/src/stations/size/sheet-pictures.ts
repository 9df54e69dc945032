import { formatLengthUnit } from '@firm-line/core/lib/units';
import { boreArea, forcePerMPa, GRAVITY_MS2 } from '@firm-line/core/physics/hydraulics';
import { limitsOf, type PlanView } from '@firm-line/core/plan/results';
import type { ChartLine } from '../../kit/line-chart';

/** A sheet drawn: two named axes and what runs between them, with what it says in a line. */
export interface SheetPicture {
  readonly title: string;
  readonly xName: string;
  readonly yName: string;
  readonly lines: readonly ChartLine[];
  readonly words: string;
}
const CURVE_STEPS = 40;
const along = (most: number): number[] =>
  Array.from({ length: CURVE_STEPS + 1 }, (_, i) => (most * i) / CURVE_STEPS);
const level = (name: string, y: number, xMax: number, ink: ChartLine['ink']): ChartLine => ({
  name,
  ink,
  dashed: true,
  points: [
    { x: 0, y },
    { x: xMax, y },
  ],
});
const INKS = ['fluid', 'copper', 'slate'] as const;

/** Pressure at which each axle locks, from empty to laden, against what the actuator makes. */
function trailerPicture({ plan: { trailer } }: PlanView): SheetPicture {
  const { axles, mu, actuatorMPa } = trailer!;
  const lines = axles.map(({ brake, tyreRadiusMm, emptyKg, ladenKg }, i): ChartLine => ({
    name: `axle ${i + 1} locks`,
    ink: INKS[i]!,
    // Axles that are alike lie on one another.
    dashed: i > 0,
    points: along(100).map((x) => ({
      x,
      y:
        (mu * (emptyKg + (x / 100) * (ladenKg - emptyKg)) * GRAVITY_MS2) /
        forcePerMPa(brake, tyreRadiusMm),
    })),
  }));
  return {
    title: 'Wheel lock by axle load',
    xName: 'loaded, %',
    yName: 'MPa',
    lines: [...lines, level('actuator', actuatorMPa, 100, 'stop')],
    words: `Where the actuator line is above an axle’s line, those wheels lock on a road with grip ${mu}: turn the gain down for that load.`,
  };
}

/** Bearing travel against pedal travel, with where it frees and how far it may go. */
function clutchPicture({ plan, works }: PlanView): SheetPicture {
  const { units } = plan;
  const { pedal, strokeMm, deadMm, releaseMm, mostMm } = plan.clutch!;
  const far = works.clutch!.bearingStrokeMm;
  // What the lines take is taken before the bearing moves; the rest goes in proportion to the master.
  const master = Math.min(strokeMm, pedal.strokeMm / pedal.ratio);
  const moves =
    plan.clutch!.forkRatio *
    far *
    (boreArea(plan.clutch!.slaveBoreMm) / boreArea(plan.clutch!.masterBoreMm));
  const begins = Math.max(deadMm, master - moves);
  const bearing = (pedalMm: number): number =>
    (far * Math.max(0, Math.min(pedalMm / pedal.ratio, master) - begins)) /
    Math.max(master - begins, 1e-9);
  const frees =
    far >= releaseMm ? pedal.ratio * (begins + ((master - begins) * releaseMm) / far) : null;
  return {
    title: 'Clutch release',
    xName: 'pedal, mm',
    yName: 'bearing, mm',
    lines: [
      {
        name: 'bearing',
        ink: 'fluid',
        points: along(pedal.strokeMm).map((x) => ({ x, y: bearing(x) })),
      },
      level('frees', releaseMm, pedal.strokeMm, 'ink'),
      level('limit', mostMm, pedal.strokeMm, 'stop'),
    ],
    words:
      frees === null
        ? 'The clutch does not release within the pedal travel.'
        : `The clutch releases at ${formatLengthUnit(frees, units)} of ${formatLengthUnit(pedal.strokeMm, units)} of pedal.`,
  };
}

/** Force at the road against the hand or foot, with where its wheels lock. */
function singlePicture({ plan, works }: PlanView, index: number): SheetPicture {
  const [sheet, at] = [plan.singles[index]!, works.singles[index]!];
  const most = 1.5 * sheet.lever.forceN;
  const mu = plan.sizing?.mu ?? plan.trailer?.mu ?? 0.8;
  const grip = mu * sheet.loadKg * GRAVITY_MS2;
  const locks = (grip * sheet.lever.forceN) / at.forceN;
  return {
    title: 'From hand to road',
    xName: 'at the lever, N',
    yName: 'at the road, kN',
    lines: [
      {
        name: 'brake',
        ink: 'fluid',
        points: along(most).map((x) => ({ x, y: (at.forceN * x) / sheet.lever.forceN / 1000 })),
      },
      {
        name: 'as planned',
        ink: 'stop',
        dots: true,
        points: [{ x: sheet.lever.forceN, y: at.forceN / 1000 }],
      },
      level(`wheels lock, grip ${mu}`, grip / 1000, most, 'ink'),
    ],
    words: `Wheels lock from ${locks.toFixed(0)} N, at static load.`,
  };
}

/** What a slope asks of the parking brake, against what it holds and what the wheels grip. */
function parkingPicture({ plan: { sizing, parking }, works }: PlanView): SheetPicture | null {
  const at = works.parking;
  if (!at || parking?.by !== 'lever' || !sizing) return null;
  const limit = limitsOf(sizing)?.parking;
  const { massKg } = sizing.laden;
  const asks = (percent: number): number =>
    massKg * GRAVITY_MS2 * Math.sin(Math.atan(percent / 100));
  const MOST = 50;
  return {
    title: 'Holding on a slope',
    xName: 'slope, %',
    yName: 'kN',
    lines: [
      {
        name: 'slope demands',
        ink: 'copper',
        points: along(MOST).map((x) => ({ x, y: asks(x) / 1000 })),
      },
      level('lever gives', at.forceN / 1000, MOST, 'fluid'),
      ...(at.gripGrade
        ? [
            level(
              'rear wheels slide, nose down',
              asks(100 * at.gripGrade.down) / 1000,
              MOST,
              'stop',
            ),
          ]
        : []),
      ...(limit
        ? [
            {
              name: 'required by rule',
              ink: 'ink' as const,
              dots: true,
              points: [{ x: 100 * limit.grade, y: asks(100 * limit.grade) / 1000 }],
            },
          ]
        : []),
    ],
    words: 'The brake holds where both level lines are above the slope line.',
  };
}

/** The picture of the sheet at a place in the plan; null where its figures cannot be reckoned with. */
export function pictureOf(of: string, view: PlanView): SheetPicture | null {
  if (of === 'trailer') return trailerPicture(view);
  if (of === 'clutch') return clutchPicture(view);
  if (of === 'parking') return parkingPicture(view);
  return singlePicture(view, Number(of.split('.')[1]));
}
