import { ATMOSPHERE_MPA } from '../../lib/units/index.ts';
import { normal } from '../../lib/random/index.ts';
import type { PedalPoint } from '../../plan/index.ts';

/** Faults that a simulated vehicle can have, with how often one comes through a door. Made up, and not what the finder assumes. */
export const TRUE_FAULTS = {
  air: 22,
  drums: 8,
  weep: 9,
  sticking: 7,
  hose: 6,
  long: 5,
  short: 5,
  cup: 5,
  bore: 3,
  box: 5,
  pads: 5,
  knock: 3,
  boiled: 3,
  collapsed: 3,
  booster: 3,
  checkValve: 3,
  modulator: 2,
  feed: 2,
} as const;
export type TrueFault = keyof typeof TRUE_FAULTS;
export const TRUE_FAULT_NAMES = Object.keys(TRUE_FAULTS) as TrueFault[];

/** The pedal that a vehicle was built to: ratio, master's bore, and its travel without air in free play, gaps and flex. */
export interface BuiltTo {
  readonly ratio: number;
  readonly boreMm: number;
  readonly t0Mm: number;
  readonly gapMm: number;
  readonly flexMmPerMPa: number;
}
/**
 * The vehicle behind the simulated instruments. It is built by another model than the one that judges: gaps that close
 * bit by bit, hoses that stiffen, hysteresis, air squeezed neither slowly nor fast, a gauge that rounds, a sensor that
 * jitters, and faults each as bad as chance made it.
 */
export interface TrueVehicle extends BuiltTo {
  readonly faults: readonly TrueFault[];
  /** How bad each fault is, 0 to 1. */
  readonly bad: Readonly<Partial<Record<TrueFault, number>>>;
  readonly airMl: number;
  /** Of it, what is in the master itself. */
  readonly masterAirMl: number;
  readonly polytropic: number;
  readonly gapMPa: number;
  readonly gaugeStepMPa: number;
  readonly jitterMm: number;
  readonly hysteresis: number;
  readonly boosterMPa: number;
}

function drawFault(random: () => number, not: readonly TrueFault[]): TrueFault {
  const left = TRUE_FAULT_NAMES.filter((name) => !not.includes(name));
  let at = random() * left.reduce((sum, name) => sum + TRUE_FAULTS[name], 0);
  return left.find((name) => (at -= TRUE_FAULTS[name]) < 0) ?? left[0]!;
}
/** A third is sound, every fifth has more than one fault. */
function drawFaults(random: () => number): TrueFault[] {
  const is = random();
  const faults: TrueFault[] = [];
  for (let count = is < 0.35 ? 0 : is < 0.8 ? 1 : is < 0.97 ? 2 : 3; count > 0; count--)
    faults.push(drawFault(random, faults));
  return faults;
}
/** A common pedal, where no plan says which. */
function drawBuild(random: () => number): BuiltTo {
  const between = (a: number, b: number): number => a + (b - a) * random();
  return {
    ratio: between(4.5, 6.5),
    boreMm: [19.05, 20.64, 22.22, 23.81, 25.4][Math.floor(random() * 5)]!,
    t0Mm: between(4, 14),
    gapMm: between(4, 14),
    flexMmPerMPa: between(1.2, 3),
  };
}

/** A vehicle out of random numbers in [0, 1): built to a pedal, never quite, with the faults given or such as chance has it. */
export function trueVehicle(
  random: () => number,
  faults: readonly TrueFault[] = drawFaults(random),
  to: BuiltTo = drawBuild(random),
): TrueVehicle {
  const draw = normal(random);
  const between = (a: number, b: number): number => a + (b - a) * random();
  const bad = Object.fromEntries(faults.map((name) => [name, between(0.25, 1)]));
  const by = (name: TrueFault): number => bad[name] ?? 0;
  const play = to.t0Mm + 0.35 * to.ratio * draw();
  const airMl = between(0, 0.15) + by('air') * 7 + by('feed') * 2;
  return {
    ...to,
    faults,
    bad,
    airMl,
    masterAirMl: airMl * random() ** 2,
    polytropic: between(1, 1.4),
    t0Mm:
      Math.max(0.5, play) * (1 - (by('long') ? between(0.75, 1) : 0)) + by('short') * to.ratio * 8,
    gapMm: Math.max(0.5, to.gapMm * (1 + 0.1 * draw())) + by('drums') * 50,
    gapMPa: between(0.3, 0.5),
    flexMmPerMPa:
      to.flexMmPerMPa * (1 + 0.1 * draw()) +
      Math.abs(0.12 * draw()) +
      by('hose') * 6 +
      by('box') * 5,
    gaugeStepMPa: [0.01, 0.02, 0.05][Math.floor(random() * 3)]!,
    jitterMm: between(0.1, 0.5),
    hysteresis: between(0.01, 0.03),
    boosterMPa: between(5, 9),
  };
}

/** What a millimetre of pedal moves through the master, mL. */
export const movedMlPerMm = ({ boreMm, ratio }: Pick<BuiltTo, 'boreMm' | 'ratio'>): number =>
  ((Math.PI / 4) * boreMm ** 2) / ratio / 1000;
/** Pedal travel at its pad for a pressure, mm. */
export const trueTravelMm = (v: TrueVehicle, p: number): number =>
  v.t0Mm +
  v.gapMm * (1 - Math.exp(-((p / v.gapMPa) ** 1.15))) +
  v.flexMmPerMPa * p * (1.05 - 0.012 * p) +
  (v.airMl * (1 - (ATMOSPHERE_MPA / (ATMOSPHERE_MPA + p)) ** (1 / v.polytropic))) / movedMlPerMm(v);

/** What of a push past the booster's help still comes out as pressure. */
const BEYOND = 0.35;
/** Readings as the instruments give them: rounded, jittered, the gauge a little behind on the way up and ahead on the way back. */
export function readPedal(
  v: TrueVehicle,
  pressuresMPa: readonly number[],
  random: () => number,
  way: 'down' | 'back' = 'down',
): PedalPoint[] {
  const jitter = normal(random);
  /** Past what the booster helps to, the foot adds little. */
  const reached = (p: number): number =>
    p <= v.boosterMPa ? p : v.boosterMPa + BEYOND * (p - v.boosterMPa);
  const lag =
    way === 'down'
      ? 0
      : 100 * v.hysteresis + 11 * (v.bad.sticking ?? 0) + 13 * (v.bad.collapsed ?? 0);
  return pressuresMPa.map(reached).map((p) => ({
    pressureMPa: Math.max(
      0,
      Math.round((p * (1 - v.hysteresis * random())) / v.gaugeStepMPa) * v.gaugeStepMPa,
    ),
    travelMm:
      Math.round((trueTravelMm(v, p) + lag * Math.tanh(p) + v.jitterMm * jitter()) * 10) / 10,
    ...(way === 'back' ? { back: true } : {}),
  }));
}
