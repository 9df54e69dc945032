import type { Category } from '../categories/index.ts';
import { AXLES, GRAVITY_MS2, perAxle, type Axles, type Brake } from './types.ts';

/** One disc or drum as a store of heat. */
export interface Rotor {
  readonly massKg: number;
  /** Outside diameter of a disc; inside diameter of a drum. */
  readonly diameterMm: number;
  /** Width of the ring that the pads sweep, or of the drum. */
  readonly widthMm: number;
  /** Where its pads or linings begin to fade, by their sheet. */
  readonly fadeC: number;
}
export interface HeatInput {
  /** All that these brakes slow, what is towed without brakes included. */
  readonly massKg: number;
  readonly topKmh: number;
  readonly ambientC: number;
  readonly rotor: Axles<Rotor>;
  readonly kind: Axles<Brake['kind']>;
  /** Share of the braking that each axle does. */
  readonly share: Axles<number>;
}
/** A way of heating brakes, and how hot they become along it. */
export interface Heating {
  readonly id: 'stop' | 'repeated' | 'hill';
  readonly name: string;
  readonly source: string;
  readonly curve: readonly { readonly minutes: number; readonly celsius: Axles<number> }[];
  readonly peakC: Axles<number>;
  /** Axles that pass the temperature at which theirs fade. */
  readonly fades: readonly (keyof Axles<number>)[];
}

/** Specific heat of grey cast iron, J/(kg·K). Source: handbook tables, warm (from memory). */
const IRON_J_KGK = 500;
/** Rotating masses raise the energy by so much. Common practice for a car in a high gear. */
const ROTATING = 1.05;
/** Air: conductivity W/(m·K), kinematic viscosity m²/s, near 60 °C. Source: handbook tables (from memory). */
const AIR_W_MK = 0.028;
const AIR_M2_S = 1.8e-5;
/** Rolling resistance over weight. Common practice. */
const ROLLING = 0.01;
/** Where the air's flow over a disc turns over. */
const TURBULENT = 2.4e5;

/**
 * Heat that a square metre of a disc or drum gives to the air at a speed, W/(m²·K). Source: R. Limpert,
 * Brake Design and Safety, chapter 3: solid disc and drum (from memory).
 */
export function coolingWm2K(kind: Brake['kind'], diameterMm: number, kmh: number): number {
  const d = diameterMm / 1000;
  const reynolds = ((kmh / 3.6) * d) / AIR_M2_S;
  const by = AIR_W_MK / d;
  if (kind === 'drum') return 0.1 * by * reynolds ** (2 / 3);
  return reynolds > TURBULENT ? 0.04 * by * reynolds ** 0.8 : 0.7 * by * reynolds ** 0.55;
}
/** What gives heat to the air: both faces of the swept ring, or the drum's outside, m². */
export const coolsM2 = (kind: Brake['kind'], { diameterMm, widthMm }: Rotor): number =>
  (Math.PI * (kind === 'drum' ? diameterMm : 2 * (diameterMm - widthMm)) * widthMm) / 1e6;

/** Joules that a slowing from one speed to another turns into heat. */
export const slowingJ = (massKg: number, fromKmh: number, toKmh: number): number =>
  (ROTATING * massKg * ((fromKmh / 3.6) ** 2 - (toKmh / 3.6) ** 2)) / 2;

interface Wheel {
  readonly joulesPerK: number;
  readonly cools: (kmh: number) => number;
}
const wheelOf = ({ rotor, kind }: HeatInput, axle: keyof Axles<number>): Wheel => ({
  joulesPerK: rotor[axle].massKg * IRON_J_KGK,
  cools: (kmh) => coolingWm2K(kind[axle], rotor[axle].diameterMm, kmh) * coolsM2(kind[axle], rotor[axle]),
});

/** Repeated braking as a category's rule has it: how often, how many seconds apart, from which speed to which share of it. */
interface Repeated {
  readonly times: number;
  readonly everyS: number;
  readonly fromKmh: (topKmh: number) => number;
  readonly source: string;
}
const LIGHT: Repeated = {
  times: 15,
  everyS: 45,
  fromKmh: (top) => Math.min(0.8 * top, 120),
  source: 'UN R13-H type I (from memory)',
};
const HEAVY: Repeated = {
  times: 15,
  everyS: 55,
  fromKmh: (top) => Math.min(0.8 * top, 120),
  source: 'UN R13 type I, N1 (from memory)',
};
const repeatedOf = (category: Category): Repeated => (category === 'heavy' ? HEAVY : LIGHT);
interface Hill {
  readonly m: number;
  readonly kmh: number;
  readonly grade: number;
  readonly source: string;
}
const HILL: Hill = { m: 6000, kmh: 30, grade: 0.06, source: 'UN R13 type II (from memory), no engine braking' };
const TRAILER_HILL: Hill = { m: 1700, kmh: 40, grade: 0.07, source: 'UN R13 annex 4, trailers (from memory)' };
/** Mean speed between two of the repeated brakings over the speed they begin at: down to half, and up again. */
const MEAN_SPEED = 0.75;
const STEPS = 60;

/**
 * How hot the discs or drums become: one stop from top speed, repeated braking, a long hill. Each is one
 * mass of iron that takes all of its share (the pads take a little, radiation is left out: hotter rather
 * than cooler). Temperatures are of the whole disc; its face is hotter while the pads press.
 * Source: energy and exponential cooling as in R. Limpert, Brake Design and Safety, chapter 3 (from memory).
 */
export function heating(input: HeatInput, category: Category): Heating[] {
  const wheels = perAxle((axle) => wheelOf(input, axle));
  const each = <T>(make: (wheel: Wheel, axle: keyof Axles<number>) => T): Axles<T> => perAxle((axle) => make(wheels[axle], axle));
  const rise = (joules: number): Axles<number> => each(({ joulesPerK }, axle) => (joules * input.share[axle]) / 2 / joulesPerK);
  const told = (id: Heating['id'], name: string, source: string, curve: Heating['curve']): Heating => {
    const peakC = perAxle((axle) => Math.max(...curve.map(({ celsius }) => celsius[axle])));
    return { id, name, source, curve, peakC, fades: AXLES.filter((axle) => peakC[axle] > input.rotor[axle].fadeC) };
  };
  const cold = perAxle(() => input.ambientC);

  const once = rise(slowingJ(input.massKg, input.topKmh, 0));
  const stop = told('stop', `One stop from ${Math.round(input.topKmh)} km/h`, 'energy, no cooling', [
    { minutes: 0, celsius: cold },
    { minutes: 0, celsius: perAxle((axle) => cold[axle] + once[axle]) },
  ]);

  const { times, everyS, fromKmh, source } = repeatedOf(category);
  const from = fromKmh(input.topKmh);
  const each_ = rise(slowingJ(input.massKg, from, from / 2));
  const keeps = each(({ joulesPerK, cools }) => Math.exp((-cools(MEAN_SPEED * from) * everyS) / joulesPerK));
  const laps: Heating['curve'][number][] = [];
  let now = cold;
  for (let i = 0; i < times; i++) {
    const before = now;
    const hot = perAxle((axle) => before[axle] + each_[axle]);
    laps.push({ minutes: (i * everyS) / 60, celsius: before }, { minutes: (i * everyS) / 60, celsius: hot });
    now = perAxle((axle) => input.ambientC + (hot[axle] - input.ambientC) * keeps[axle]);
  }
  const repeated = told('repeated', `${times} brakings from ${Math.round(from)} to ${Math.round(from / 2)} km/h, every ${everyS} s`, source, laps);

  const hill = category === 'trailer' ? TRAILER_HILL : HILL;
  const metresPerS = hill.kmh / 3.6;
  const watts = input.massKg * GRAVITY_MS2 * (hill.grade - ROLLING) * metresPerS;
  const down = Array.from({ length: STEPS + 1 }, (_, i) => {
    const seconds = (hill.m / metresPerS) * (i / STEPS);
    const celsius = each(({ joulesPerK, cools }, axle) => {
      const lost = cools(hill.kmh);
      return input.ambientC + ((watts * input.share[axle]) / 2 / lost) * (1 - Math.exp((-lost * seconds) / joulesPerK));
    });
    return { minutes: seconds / 60, celsius };
  });
  return [stop, repeated, told('hill', `${hill.m / 1000} km down ${Math.round(100 * hill.grade)} % at ${hill.kmh} km/h`, hill.source, down)];
} // prettier-ignore
