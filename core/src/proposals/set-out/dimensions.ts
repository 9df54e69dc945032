import type { Vec3 } from '../../lib/vec/index.ts';
import type { Answers, Ask } from './answers.ts';
import { tyreOf } from './tyre.ts';

/** Lengths that follow from the answers, in the vehicle's frame. Where no answer says, ordinary proportions: guesses, mm. */
export interface Dimensions {
  readonly answers: Answers;
  readonly hubMm: number;
  readonly tyreRadiusMm: number;
  readonly tyreWidthMm: number;
  readonly rail: {
    readonly widthMm: number;
    readonly heightMm: number;
    /** Middle of the rail from the vehicle's middle. */
    readonly acrossMm: number;
    readonly fromMm: number;
    readonly toMm: number;
    /** Height of its middle at a place along the vehicle. */
    readonly midAt: (xMm: number) => number;
    readonly topAt: (xMm: number) => number;
  };
  readonly bulkheadMm: number;
  /** Wheel center to wheel center, by axle. */
  readonly track: { readonly front: number; readonly rear: number };
  /** Where each axle stands. */
  readonly axlesMm: readonly number[];
}

const KICK_MM = 110;
const KICK_OVER_MM = 180;
/** A trailer's axles stand so far apart. Common practice. */
const AXLE_PITCH_MM = 850;
const RAIL_WIDTHS = { box: 70, channel: 60 } as const;

/** Corners of a rail seen from the side: how far along, and how much higher than its lowest middle. */
function railProfile(
  { wheelbaseMm, kickUp, vehicle }: Answers,
  from: number,
  to: number,
): readonly (readonly [number, number])[] {
  if (kickUp === 'none' || vehicle === 'trailer')
    return [
      [from, 0],
      [to, 0],
    ];
  const rear = [
    [wheelbaseMm - 600, 0],
    [wheelbaseMm - 600 + KICK_OVER_MM, KICK_MM],
    [to, KICK_MM],
  ] as const;
  return kickUp === 'rear'
    ? [[from, 0], ...rear]
    : [[from, KICK_MM], [300, KICK_MM], [300 + KICK_OVER_MM, 0], ...rear];
}

export function dimensionsOf(answers: Answers): Dimensions {
  const { vehicle, wheelbaseMm, railsOverMm, railHeightMm, railUnderMm, section, axles } = answers;
  const tyre = tyreOf(answers.tyre);
  const isTrailer = vehicle === 'trailer';
  const axlesMm = isTrailer
    ? Array.from({ length: Number(axles) }, (_, i) => wheelbaseMm + AXLE_PITCH_MM * i)
    : [0, wheelbaseMm];
  const [from, to] = isTrailer ? [1300, axlesMm.at(-1)! + 700] : [-450, wheelbaseMm + 600];
  const widthMm =
    section === 'round' ? railHeightMm : Math.min(RAIL_WIDTHS[section], railsOverMm / 4);
  const profile = railProfile(answers, from, to);
  const midAt = (xMm: number): number => {
    const next = profile.findIndex(([x]) => x >= xMm);
    const [a, b] = [
      profile[Math.max(0, next - 1)]!,
      profile[next < 0 ? profile.length - 1 : next]!,
    ];
    const share = b[0] > a[0] ? Math.min(1, Math.max(0, (xMm - a[0]) / (b[0] - a[0]))) : 0;
    return railUnderMm + railHeightMm / 2 + a[1] + share * (b[1] - a[1]);
  };
  return {
    answers,
    hubMm: tyre.radiusMm,
    tyreRadiusMm: tyre.freeRadiusMm,
    tyreWidthMm: tyre.widthMm,
    rail: {
      widthMm,
      heightMm: railHeightMm,
      acrossMm: (railsOverMm - widthMm) / 2,
      fromMm: from,
      toMm: to,
      midAt,
      topAt: (xMm) => midAt(xMm) + railHeightMm / 2,
    },
    bulkheadMm: 480,
    track: { front: answers.frontTrackMm, rear: answers.rearTrackMm },
    axlesMm,
  };
}

/** Places along a rail, for its path. */
export function railPath({ rail, answers }: Dimensions, acrossMm: number): Vec3[] {
  return railProfile(answers, rail.fromMm, rail.toMm).map(
    ([x]) => [x, acrossMm, rail.midAt(x)] as const,
  );
}

/** Answers that say where the frame is: with these said a datum on it is no guess. */
export const FRAME_ASKS: readonly Ask[] = [
  'wheelbaseMm',
  'railsOverMm',
  'railHeightMm',
  'railUnderMm',
];
