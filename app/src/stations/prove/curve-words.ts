import { expectedTravelMm, HARD_MPA, squeezed } from '@firm-line/core/physics/hydraulics';
import { formatLengthUnit, type Quantities, type UnitSystem } from '@firm-line/core/lib/units';
import type { HeldAgainst, judgeCurve } from '@firm-line/core/stations/prove';
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
/** The verdict on a curve that was held against what Size calculates: by how much each part is over, and what is allowed. */
export function heldWords(
  { verdict, airMl, sigma, excess, excessSigma, missing }: CurveFit,
  { referenceMPa, limitMm }: HeldAgainst,
  circuit: string,
  { quantities: { pressure, volume }, units }: ShownWords,
): Said {
  const length = (mm: number): string => formatLengthUnit(mm, units);
  const part = (name: string, mm: number, sigmaMm: number): string =>
    `${name} ${mm < 0 ? '−' : '+'}${length(Math.abs(mm))} ± ${length(2 * sigmaMm)}`;
  const over = [
    part('free play', excess!.freeMm, excessSigma!.freeMm),
    part('flex', excess!.flexMm, excessSigma!.flexMm),
    part('air', excess!.airMm, excessSigma!.airMm),
  ].join(', ');
  const compared = `Against the pedal that Size calculates, at ${pressure(referenceMPa, 1)}: ${over}.`;
  // So much firmer than calculated, no part of it can be told.
  if (excess!.flexMm + 2 * excessSigma!.flexMm < -limitMm)
    return {
      title: 'Size calculates another pedal',
      detail: `${compared} Check the figures in Size, and the gauge and sensor.`,
    };
  return {
    title:
      verdict === 'air'
        ? `Air: ${volume(airMl, 1)} ± ${volume(2 * sigma.airMl, 1)} left in ${circuit.toLowerCase()}`
        : HELD_TITLES[verdict],
    detail: `${compared} Up to ${length(limitMm)} more is allowed.${missing ? ` ${missing}` : ''}`,
  };
}

/** The pedal that Size calculates without air. */
export const calculatedLine = ({ expected }: HeldAgainst): ChartLine => ({
  name: 'calculated',
  ink: 'ink',
  points: AT_MPA.map((x) => ({ x, y: expectedTravelMm(expected, x) })),
});

/** The readings, and under them what free play, air and flexing each take of the pedal. */
export function curveLines(
  points: readonly PedalPoint[],
  fit: CurveFit | null,
  pedal: Pedal,
): ChartLine[] {
  const dots: ChartLine = {
    name: 'readings',
    ink: 'ink',
    dots: true,
    points: points.map(({ pressureMPa: x, travelMm: y }) => ({ x, y })),
  };
  if (!fit) return [dots];
  const line = (of: (p: number) => number) => AT_MPA.map((x) => ({ x, y: Math.max(0, of(x)) }));
  const withAir = (p: number): number => fit.t0Mm + (fit.airMl / mlPerMm(pedal)) * squeezed(p);
  const withFlex = (p: number): number => withAir(p) + fit.flexMmPerMPa * p;
  return [
    { name: 'free play', ink: 'slate', filled: true, points: line(() => fit.t0Mm) },
    { name: 'air', ink: 'fluid', filled: true, points: line(withAir) },
    { name: 'flex', ink: 'copper', filled: true, points: line(withFlex) },
    dots,
  ];
}
