import type { Category } from '../../trade/categories.ts';
import {
  IRON,
  radiatesWm2K,
  warmThrough,
  type Slab,
  type Spell,
  type Warmth,
} from './heat-through.ts';
import { HILL, RULES, TRAILER_HILL, type FadeRule, type HillRule } from './rules.ts';
import { GRAVITY_MS2, type Brake } from './types.ts';

/** One disc or drum as a store of heat. */
export interface Rotor {
  readonly massKg: number;
  /** Outside diameter of a disc; inside diameter of a drum. */
  readonly diameterMm: number;
  /** Width of the ring that the pads sweep, or of the drum. */
  readonly widthMm: number;
  /** Where its pads or linings begin to fade, by their sheet. */
  readonly fadeC: number;
  /** A disc with vanes that draw air through its middle; not there: it has none. */
  readonly vented?: boolean;
}
/** The two discs or drums of an axle. */
export interface HotAxle {
  readonly name: string;
  readonly rotor: Rotor;
  readonly kind: Brake['kind'];
  /** Share of the braking that this axle does. */
  readonly share: number;
}
export interface HeatInput {
  /** All that these brakes slow, what is towed without brakes included. */
  readonly massKg: number;
  readonly topKmh: number;
  readonly ambientC: number;
  readonly axles: readonly HotAxle[];
}
/** A way of heating brakes, and how hot they become along it. */
export interface Heating {
  readonly id: 'stop' | 'repeated' | 'hill';
  readonly name: string;
  readonly source: string;
  /** Temperatures in the order of the axles. */
  readonly curve: readonly { readonly minutes: number; readonly celsius: readonly number[] }[];
  /** Rubbed faces and the fluid behind the pads along it, and while the vehicle stands after it. */
  readonly through: readonly (readonly Warmth[])[];
  readonly axles: readonly HotPeak[];
}
/** The hottest an axle becomes, and whether it fades there. */
export interface HotPeak {
  readonly name: string;
  readonly peakC: number;
  readonly fadeC: number;
  readonly fades: boolean;
  /** The rubbed face at its hottest, which is over the whole disc or drum. */
  readonly faceC: number;
  /** The fluid behind the pads at its hottest, mostly minutes after the stop; known to about a third of its rise. */
  readonly fluidC: number;
}

/** Rotating masses raise the energy by so much. Common practice for a car in a high gear. */
const ROTATING = 1.05;
/** Air: conductivity W/(m·K), kinematic viscosity m²/s, near 60 °C. Source: handbook tables (from memory). */
const AIR_W_MK = 0.028;
const AIR_M2_S = 1.8e-5;
/** Rolling resistance over weight. Common practice. */
const ROLLING = 0.01;
/** Still air round a hot disc, W/(m²·K). Source: handbook tables (from memory). */
const STILL_WM2K = 8;
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

/** One wheel's disc or drum as a slab: as thick as its mass makes it. */
function slabOf(kind: Brake['kind'], rotor: Rotor): Slab {
  const isDisc = kind === 'disc';
  const faceM2 = isDisc
    ? coolsM2('disc', rotor)
    : (Math.PI * rotor.diameterMm * rotor.widthMm) / 1e6;
  return { faceM2, depthM: rotor.massKg / (IRON.kgM3 * faceM2), coolsAtFace: isDisc };
}
/** Time for which a vehicle stands after it was braked hot: the heat goes on into its fluid. */
const STANDS_S = 1800;
/** Deceleration of a full stop and of repeated braking, m/s². Source: UN R13 type I, 3 m/s² (from memory); a full stop is common practice. */
const FULL_MS2 = 7;
const REPEATED_MS2 = 3;

/** Vanes give about as much heat to the air again as the faces do. Source: R. Limpert, Brake Design and Safety, chapter 3: about twice a solid disc (from memory). */
const VANES = 2;
const coolsWm2K = ({ rotor, kind }: HotAxle, kmh: number): number =>
  (rotor.vented && kind === 'disc' ? VANES : 1) * coolingWm2K(kind, rotor.diameterMm, kmh);

interface Wheel {
  readonly share: number;
  readonly joulesPerK: number;
  /** The whole of it after so many seconds of so many watts, °C. */
  readonly after: (fromC: number, seconds: number, watts: number, kmh: number) => number;
}
/** Short against the minutes in which a disc cools, s. */
const STEP_S = 1;
const wheelOf = (axle: HotAxle, ambientC: number): Wheel => {
  const joulesPerK = axle.rotor.massKg * IRON.jKgK;
  const areaM2 = coolsM2(axle.kind, axle.rotor);
  return {
    share: axle.share / 2,
    joulesPerK,
    after: (fromC, seconds, watts, kmh) => {
      const steps = Math.ceil(seconds / STEP_S);
      const perStep = (joulesPerK * steps) / seconds;
      const air = coolsWm2K(axle, kmh);
      let now = fromC;
      for (let i = 0; i < steps; i++) {
        const lost = areaM2 * (air + radiatesWm2K(now, ambientC));
        now = (perStep * now + watts + lost * ambientC) / (perStep + lost);
      }
      return now;
    },
  };
};

/** Repeated brakings begin at this share of the top speed. Source: UN R13 (from memory). */
const TOP_SHARE = 0.8;
/** Mean speed between two of the repeated brakings over the speed they begin at: down to half, and up again. */
const MEAN_SPEED = 0.75;
const TIME_STEPS = 60;

/** Slowing at a steady rate: power falls with the speed. */
const slows = (massKg: number, fromKmh: number, toKmh: number, ms2: number): Happening => ({
  seconds: (fromKmh - toKmh) / 3.6 / ms2,
  stepS: 0.1,
  fromW: (ROTATING * massKg * ms2 * fromKmh) / 3.6,
  toW: (ROTATING * massKg * ms2 * toKmh) / 3.6,
  kmh: (fromKmh + toKmh) / 2,
  pressed: true,
});
const idles = (seconds: number, kmh: number, stepS: number): Happening => ({
  seconds,
  stepS,
  fromW: 0,
  toW: 0,
  kmh,
  pressed: false,
});
/** What happens to all brakes together for a while. */
type Happening = Omit<Spell, 'coolsWm2K'>;
type Curve = Heating['curve'];
/** A way of heating as it is told, and what happens in it. */
interface Way extends Pick<Heating, 'id' | 'name' | 'source' | 'curve'> {
  readonly happens: readonly Happening[];
}

/** Faces and fluid along a way, and while the vehicle stands after it, with the hottest of each. */
function withThrough({ axles, ambientC }: HeatInput, { happens, ...way }: Way): Heating {
  const through = axles.map((axle) => {
    const { kind, rotor, share } = axle;
    return warmThrough(
      slabOf(kind, rotor),
      kind,
      ambientC,
      [...happens, idles(STANDS_S, 0, 10)].map((one) => ({
        ...one,
        fromW: (one.fromW * share) / 2,
        toW: (one.toW * share) / 2,
        coolsWm2K: Math.max(STILL_WM2K, coolsWm2K(axle, one.kmh)),
      })),
    );
  });
  const peaks = axles.map(({ name, rotor: { fadeC } }, i): HotPeak => {
    const peakC = Math.max(...way.curve.map(({ celsius }) => celsius[i]!));
    return {
      name,
      peakC,
      fadeC,
      fades: peakC > fadeC,
      faceC: Math.max(...through[i]!.map((one) => one.faceC)),
      fluidC: Math.max(...through[i]!.map((one) => one.fluidC)),
    };
  });
  return { ...way, through, axles: peaks };
}

const add = (a: readonly number[], b: readonly number[]): number[] => a.map((v, i) => v + b[i]!);
const risesBy = (wheels: readonly Wheel[], joules: number): number[] =>
  wheels.map(({ joulesPerK, share }) => (joules * share) / joulesPerK);

function oneStop({ massKg, topKmh, ambientC }: HeatInput, wheels: readonly Wheel[]): Way {
  const cold = wheels.map(() => ambientC);
  return {
    id: 'stop',
    name: `One stop from ${Math.round(topKmh)} km/h`,
    source: 'energy, no cooling',
    curve: [
      { minutes: 0, celsius: cold },
      { minutes: 0, celsius: add(cold, risesBy(wheels, slowingJ(massKg, topKmh, 0))) },
    ],
    happens: [slows(massKg, topKmh, 0, FULL_MS2)],
  };
}
function brakedAgain(
  { massKg, topKmh, ambientC }: HeatInput,
  wheels: readonly Wheel[],
  { times, everyS, mostKmh, source }: FadeRule,
): Way {
  const from = Math.min(TOP_SHARE * topKmh, mostKmh);
  const each = risesBy(wheels, slowingJ(massKg, from, from / 2));
  const laps: Curve[number][] = [];
  let now: readonly number[] = wheels.map(() => ambientC);
  for (let i = 0; i < times; i++) {
    const hot = add(now, each);
    const minutes = (i * everyS) / 60;
    laps.push({ minutes, celsius: now }, { minutes, celsius: hot });
    now = hot.map((v, k) => wheels[k]!.after(v, everyS, 0, MEAN_SPEED * from));
  }
  const braking = slows(massKg, from, from / 2, REPEATED_MS2);
  const between = idles(Math.max(1, everyS - braking.seconds), MEAN_SPEED * from, 2);
  return {
    id: 'repeated',
    name: `${times} brakings from ${Math.round(from)} to ${Math.round(from / 2)} km/h, every ${everyS} s`,
    source,
    curve: laps,
    happens: Array.from({ length: times }, () => [braking, between]).flat(),
  };
}
function downHill(
  { massKg, ambientC }: HeatInput,
  wheels: readonly Wheel[],
  { m, kmh, grade, source }: HillRule,
): Way {
  const lastsS = m / (kmh / 3.6);
  const watts = (massKg * GRAVITY_MS2 * (grade - ROLLING) * kmh) / 3.6;
  const curve = [{ minutes: 0, celsius: wheels.map(() => ambientC) }];
  for (let i = 1; i <= TIME_STEPS; i++) {
    const was = curve.at(-1)!.celsius;
    curve.push({
      minutes: (lastsS * i) / TIME_STEPS / 60,
      celsius: wheels.map(({ after, share }, k) =>
        after(was[k]!, lastsS / TIME_STEPS, watts * share, kmh),
      ),
    });
  }
  return {
    id: 'hill',
    name: `${m / 1000} km down ${Math.round(100 * grade)} % at ${kmh} km/h`,
    source,
    curve,
    happens: [{ seconds: lastsS, stepS: 2, fromW: watts, toW: watts, kmh, pressed: true }],
  };
}

/**
 * How hot the discs or drums become: one stop from top speed, repeated braking, a long hill. Each is one
 * mass of iron that takes all of its share (the pads take a little: hotter rather than cooler) and gives it
 * to the air and by radiation. Temperatures are of the whole disc; its face is hotter while the pads press.
 * Source: energy and cooling as in R. Limpert, Brake Design and Safety, chapter 3 (from memory).
 */
export function heating(
  input: HeatInput,
  category: Category,
  fade: FadeRule | null = null,
): Heating[] {
  const wheels = input.axles.map((axle) => wheelOf(axle, input.ambientC));
  // A trailer's rule asks the hill and no repeated braking; what has no rule of its own is braked as a car.
  const isTrailer = category === 'trailer';
  return [
    oneStop(input, wheels),
    ...(isTrailer ? [] : [brakedAgain(input, wheels, fade ?? RULES.M1.fade)]),
    downHill(input, wheels, isTrailer ? TRAILER_HILL : HILL),
  ].map((way) => withThrough(input, way));
}
