import { expectedTravelMm, HARD_MPA, squeezed } from '@firm-line/core/physics/hydraulics';
import { formatLengthUnit, type Quantities, type UnitSystem } from '@firm-line/core/lib/units';
import { isAnotherPedal, type HeldAgainst, type judgeCurve } from '@firm-line/core/stations/prove';
import type { PedalPoint } from '@firm-line/core/plan';
import type { ChartLine } from '../../kit/line-chart';

type CurveFit = NonNullable<ReturnType<typeof judgeCurve>>;
interface Pedal {
  readonly ratio: number;
  readonly boreMm: number;
}

/** Pressures that curves are drawn at. */
const AT_MPA = Array.from({ length: 60 }, (_, i) => (8 * i) / 59);
/** What a millimetre of pedal moves through the master, mL. */
const mlPerMm = ({ boreMm, ratio }: Pedal): number => ((Math.PI / 4) * boreMm ** 2) / ratio / 1000;

/** What each cause costs at a hard stop, mm of pedal. */
export const costsAtStop = (fit: CurveFit, pedal: Pedal) => ({
  air: (Math.max(0, fit.airMl) / mlPerMm(pedal)) * squeezed(HARD_MPA),
  flex: HARD_MPA * Math.max(0, fit.flexMmPerMPa),
  play: Math.max(0, fit.t0Mm),
});

/** The words for figures in the units that are shown. */
interface ShownWords {
  readonly quantities: Quantities;
  readonly units: UnitSystem;
}
interface Said {
  readonly title: string;
  readonly detail: string;
}
export const tooFew = (readings: number, { quantities: { pressure } }: ShownWords): Said => ({
  title: `${readings} of 4 readings`,
  detail: `Take at least four readings at three pressures. Readings under ${pressure(0.4)} tell air from flex.`,
});

const VERDICTS = {
  flex: 'Flex',
  'free-play': 'Free play',
  'no-free-play': 'No free play',
  firm: 'Firm',
  'cannot-tell': 'Cannot tell',
} as const;

/** The verdict on a circuit's curve, with the air that Size assumes beside it. */
export function curveWords(
  { verdict, airMl, sigma, missing }: CurveFit,
  costs: ReturnType<typeof costsAtStop>,
  circuit: string,
  plannedMl: number | undefined,
  { quantities: { pressure, volume }, units }: ShownWords,
): Said {
  const length = (mm: number): string => formatLengthUnit(mm, units);
  const air = `${volume(airMl, 1)} of air, ± ${volume(2 * sigma.airMl, 1)}`;
  const title =
    verdict === 'air'
      ? `Air: ${volume(airMl, 1)} left in ${circuit.toLowerCase()}`
      : VERDICTS[verdict];
  if (verdict === 'cannot-tell') return { title, detail: `${missing ?? ''} (${air}.)` };
  const differs =
    plannedMl !== undefined && Math.abs(airMl - plannedMl) > 2 * sigma.airMl + 0.5
      ? ': the difference is air'
      : '';
  const beside = plannedMl === undefined ? '' : ` Size assumes ${volume(plannedMl, 1)}${differs}.`;
  const flex = `flex ${length(costs.flex)}`;
  const play = `free play ${length(costs.play)} ± ${length(2 * sigma.t0Mm)}`;
  return {
    title,
    detail: `${air}; adds ${length(costs.air)} of pedal travel at ${pressure(HARD_MPA, 0)}, ${flex}, ${play}.${beside}`,
  };
}

const HELD_TITLES = {
  flex: 'Flex: more than calculated',
  'free-play': 'Free play: more than calculated',
  'no-free-play': 'No free play: the pushrod may cover the compensating port',
  firm: 'Firm, as calculated',
  'cannot-tell': 'Cannot tell',
} as const;
/** What to do next, by the verdict. */
const NEXT = {
  air: 'Bleed this circuit again, then take the curve again.',
  flex: 'Check hoses and pedal box while someone presses hard, and the drum adjustment.',
  'free-play': 'Measure the play of the pushrod, and adjust the drums.',
  'no-free-play': 'Do not drive. Measure the play of the pushrod, and shorten it.',
  firm: 'Nothing to mend here. Save the curve.',
  'cannot-tell': '',
} as const;
/** The verdict on a curve that was held against what Size calculates: what to do, by how much each part is over, and what is allowed. */
export function heldWords(
  { verdict, airMl, sigma, excess, excessSigma, missing }: CurveFit,
  { referenceMPa, limitMm }: HeldAgainst,
  circuit: string,
  { quantities: { pressure, volume }, units }: ShownWords,
): Said {
  const length = (mm: number): string => formatLengthUnit(mm, units);
  const part = (name: string, mm: number, sigmaMm: number): string =>
    `${name} ${mm < -0.5 ? '−' : '+'}${length(Math.abs(mm))} ± ${length(2 * sigmaMm)}`;
  const over = [
    part('free play', excess!.freeMm, excessSigma!.freeMm),
    part('flex', excess!.flexMm, excessSigma!.flexMm),
    part('air', excess!.airMm, excessSigma!.airMm),
  ].join(', ');
  const compared = `Against the pedal that Size calculates, at ${pressure(referenceMPa, 1)}: ${over}.`;
  // So much firmer than calculated, no part of it can be told.
  if (isAnotherPedal({ excess, excessSigma }, { limitMm }))
    return {
      title: 'Size calculates another pedal',
      detail: `Check the figures in Size, and the gauge and sensor. ${compared}`,
    };
  return {
    title:
      verdict === 'air'
        ? `Air: ${volume(airMl, 1)} ± ${volume(2 * sigma.airMl, 1)} left in ${circuit.toLowerCase()}`
        : HELD_TITLES[verdict],
    detail: `${missing ?? NEXT[verdict]} ${compared} Up to ${length(limitMm)} more is allowed.`,
  };
}
/** How the pedal comes back, and what pumping does, where either was read. */
export function wayBackWords(
  lagMm: number | null,
  pumpedMm: number | null,
  units: UnitSystem,
): string {
  const length = (mm: number): string => formatLengthUnit(Math.abs(mm), units);
  return [
    lagMm === null ? '' : `On the way back the pedal lags by ${length(Math.max(0, lagMm))}.`,
    pumpedMm === null
      ? ''
      : `Pumped first, it is ${length(pumpedMm)} ${pumpedMm < 0 ? 'longer' : 'shorter'}.`,
  ]
    .filter(Boolean)
    .join(' ');
}

/** Less than this over is not drawn, mm. */
const DRAWN_MM = 1;
/**
 * The calculated pedal with twice its doubt as a band, what the readings have over it by cause, one over the other,
 * and the readings.
 */
export function heldLines(
  points: readonly PedalPoint[],
  fit: CurveFit | null,
  { expected, referenceMPa }: HeldAgainst,
): ChartLine[] {
  const { sigma, padMPa, flexMmPerMPa } = expected;
  const settles = (p: number): number => 1 - Math.exp(-p / padMPa);
  const draw = (of: (p: number) => number) => AT_MPA.map((x) => ({ x, y: Math.max(0, of(x)) }));
  const calculated = (p: number): number => expectedTravelMm(expected, p);
  const doubt = (p: number): number =>
    2 * Math.hypot(sigma.t0Mm, p * sigma.flexMmPerMPa, settles(p) * sigma.padMm);
  const band: ChartLine[] = [
    { name: '', ink: 'rule', points: draw((p) => calculated(p) - doubt(p)) },
    {
      name: 'calculated, and what is not known of it',
      ink: 'rule',
      filled: 'to-line-before',
      points: draw((p) => calculated(p) + doubt(p)),
    },
    { name: 'calculated', ink: 'ink', dashed: true, points: draw(calculated) },
  ];
  const dots = readingDots(points);
  if (!fit?.excess) return [...band, ...dots];
  const { freeMm, flexMm, airMm } = fit.excess;
  const slope = fit.flexMmPerMPa - flexMmPerMPa;
  const padMm = (flexMm - referenceMPa * slope) / settles(referenceMPa);
  const parts = [
    { name: 'free play over', ink: 'slate', mm: freeMm, at: () => freeMm },
    {
      name: 'flex over',
      ink: 'copper',
      mm: flexMm,
      at: (p: number) => slope * p + padMm * settles(p),
    },
    {
      name: 'air',
      ink: 'fluid',
      mm: airMm,
      at: (p: number) => (airMm * squeezed(p)) / squeezed(referenceMPa),
    },
  ] as const;
  const shown = parts.filter(({ mm }) => mm > DRAWN_MM);
  const over = shown.map(({ name, ink }, i): ChartLine => ({
    name,
    ink,
    filled: 'to-line-before',
    points: draw(
      (p) => calculated(p) + shown.slice(0, i + 1).reduce((sum, { at }) => sum + at(p), 0),
    ),
  }));
  return [...band, ...over, ...dots];
}
/** Readings on the way down, and on the way back where there are any. */
function readingDots(points: readonly PedalPoint[]): ChartLine[] {
  const dots = (name: string, ink: ChartLine['ink'], back: boolean): ChartLine => ({
    name,
    ink,
    dots: true,
    points: points
      .filter((one) => (one.back ?? false) === back)
      .map(({ pressureMPa: x, travelMm: y }) => ({ x, y })),
  });
  const [down, back] = [dots('readings', 'ink', false), dots('on the way back', 'slate', true)];
  return back.points.length ? [down, back] : [down];
}

/** The readings, and under them what free play, air and flexing each take of the pedal. */
export function curveLines(
  points: readonly PedalPoint[],
  fit: CurveFit | null,
  pedal: Pedal,
): ChartLine[] {
  const dots = readingDots(points);
  if (!fit) return dots;
  const line = (of: (p: number) => number) => AT_MPA.map((x) => ({ x, y: Math.max(0, of(x)) }));
  const withAir = (p: number): number => fit.t0Mm + (fit.airMl / mlPerMm(pedal)) * squeezed(p);
  const withFlex = (p: number): number => withAir(p) + fit.flexMmPerMPa * p;
  return [
    { name: 'free play', ink: 'slate', filled: true, points: line(() => fit.t0Mm) },
    { name: 'air', ink: 'fluid', filled: true, points: line(withAir) },
    { name: 'flex', ink: 'copper', filled: true, points: line(withFlex) },
    ...dots,
  ];
}
