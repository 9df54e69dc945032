import {
  boreArea,
  DEFAULT_MU,
  GRAVITY_MS2,
  type Axle,
  type Axles,
  type Booster,
  type Brake,
  type Master,
  type Pedal,
  type RearValve,
  type SizeInput,
  type SizeVehicle,
} from './types.ts';

/** Push on the master from the foot: lever, efficiency and what the booster adds: its jump-in, then a share of the push, until its vacuum is used up. */
export function pushN(
  { forceN, ratio, efficiency }: Omit<Pedal, 'strokeMm'>,
  booster?: Booster | null,
): number {
  const lever = forceN * ratio * efficiency;
  if (!booster || lever <= 0) return lever;
  return lever + Math.min((booster.jumpInN ?? 0) + (booster.gain - 1) * lever, mostHelpN(booster));
}
/** The most that a booster adds, N. */
export const mostHelpN = ({ vacuumKPa, diaphragmMm2 }: Booster): number =>
  (vacuumKPa * diaphragmMm2) / 1000;
/** Foot force from which the booster helps no further; null where it adds nothing to what is pushed. */
export function runOutN(
  { ratio, efficiency }: Pick<Pedal, 'ratio' | 'efficiency'>,
  booster: Booster,
): number | null {
  const more = (booster.gain - 1) * ratio * efficiency;
  return more > 0 ? Math.max(0, mostHelpN(booster) - (booster.jumpInN ?? 0)) / more : null;
}

/** Pressure behind a proportioning valve. */
export const pastValve = (pMPa: number, valve?: RearValve | null): number =>
  valve && pMPa > valve.kneeMPa ? valve.kneeMPa + valve.slope * (pMPa - valve.kneeMPa) : pMPa;

/** Pressure that a push of one newton makes in each circuit, before any valve. */
export const pressurePerN = (master: Master): Axles<number> =>
  master.kind === 'tandem'
    ? { front: 1 / boreArea(master.boreMm), rear: 1 / boreArea(master.boreMm) }
    : {
        front: master.frontShare / boreArea(master.frontBoreMm),
        rear: (1 - master.frontShare) / boreArea(master.rearBoreMm),
      };

/** Force at the road of an axle's two wheels for each MPa. Source: disc 2·µ·p·A·r, drum p·A·C·r. */
export function forcePerMPa(brake: Brake, tyreRadiusMm: number): number {
  const torque =
    brake.kind === 'disc'
      ? 2 *
        brake.padMu *
        brake.pistonsMm.reduce((sum, d) => sum + boreArea(d), 0) *
        brake.effectiveRadiusMm
      : boreArea(brake.cylinderMm) * brake.brakeFactor * brake.drumRadiusMm;
  return (2 * torque) / tyreRadiusMm;
}

export interface Braking {
  readonly pressureMPa: Axles<number>;
  readonly forceN: Axles<number>;
  readonly z: number;
  readonly loadN: Axles<number>;
  /** Force over load; null where an axle has lifted. */
  readonly adhesion: Axles<number | null>;
}

const weightN = (vehicle: SizeVehicle): number => vehicle.massKg * GRAVITY_MS2;

/** Loads of both axles at a deceleration of z. Source: moments about the tyre contacts. */
export function loadsN(vehicle: SizeVehicle, z: number): Axles<number> {
  const transfer = (z * vehicle.cgHeightMm) / vehicle.wheelbaseMm;
  return {
    front: weightN(vehicle) * (vehicle.frontFraction + transfer),
    rear: weightN(vehicle) * (1 - vehicle.frontFraction - transfer),
  };
}

type Balance = Pick<SizeInput, 'vehicle' | 'master' | 'front' | 'rear' | 'rearValve'>;

/** What a push on the master does at the road. */
export function braking(input: Balance, push: number): Braking {
  const per = pressurePerN(input.master);
  const pressureMPa = {
    front: per.front * push,
    rear: pastValve(per.rear * push, input.rearValve),
  };
  const force = (axle: Axle): number =>
    pressureMPa[axle] * forcePerMPa(input[axle], input.vehicle.tyreRadiusMm[axle]);
  const forceN = { front: force('front'), rear: force('rear') };
  const z = (forceN.front + forceN.rear) / weightN(input.vehicle);
  const loadN = loadsN(input.vehicle, z);
  const used = (axle: Axle): number | null => (loadN[axle] > 0 ? forceN[axle] / loadN[axle] : null);
  return { pressureMPa, forceN, z, loadN, adhesion: { front: used('front'), rear: used('rear') } };
}

/** The least push at which an axle uses `mu`; adhesion rises steadily with the push. Infinity where it never does. */
function pushToUse(input: Balance, axle: Axle, mu: number): number {
  const reached = (push: number): boolean =>
    (braking(input, push).adhesion[axle] ?? Infinity) >= mu;
  let high = 1;
  while (!reached(high)) {
    high *= 2;
    if (high > 1e12) return Infinity;
  }
  let low = 0;
  for (let i = 0; i < 100 && high - low > high * 1e-14; i++) {
    const middle = (low + high) / 2;
    if (reached(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** Two axles that reach the limit within this of one another lock together (contract of `size`). */
const TOGETHER = 0.005;

/** Which axle first uses all of `mu` as the pedal is raised. */
export function locksFirst(input: Balance, mu: number = DEFAULT_MU): Axle | 'together' {
  const at = { front: pushToUse(input, 'front', mu), rear: pushToUse(input, 'rear', mu) };
  const first: Axle = at.front <= at.rear ? 'front' : 'rear';
  const other =
    braking(input, at[first]).adhesion[first === 'front' ? 'rear' : 'front'] ?? Infinity;
  return Math.abs(other - mu) <= TOGETHER * mu ? 'together' : first;
}

/** Real roots of a·x² + b·x + c, rising; none where all three vanish. */
function roots(a: number, b: number, c: number): number[] {
  if (Math.abs(a) < 1e-300) return Math.abs(b) < 1e-300 ? [] : [-c / b];
  const d = b * b - 4 * a * c;
  if (d < 0) return [];
  const q = -0.5 * (b + (b < 0 ? -1 : 1) * Math.sqrt(d));
  const found = q === 0 ? [0] : [q / a, c / q];
  return found.sort((x, y) => x - y);
}

const BALANCE_MOST_Z = 1.5;

/**
 * The smallest z in (0, 1.5] at which both axles use the same adhesion as the pedal is raised; null
 * where there is none or they always agree. Between the valve's knee and beyond, both forces are
 * straight lines of the push, so equal adhesion is a quadratic in the push.
 */
export function balancePointZ(input: Balance): number | null {
  const { vehicle, rearValve } = input;
  const per = pressurePerN(input.master);
  const f = per.front * forcePerMPa(input.front, vehicle.tyreRadiusMm.front);
  const r = forcePerMPa(input.rear, vehicle.tyreRadiusMm.rear);
  const weight = weightN(vehicle);
  const lever = vehicle.cgHeightMm / vehicle.wheelbaseMm;
  const knee = rearValve ? rearValve.kneeMPa / per.rear : Infinity;
  const pieces = [
    { from: 0, to: knee, base: 0, slope: r * per.rear },
    ...(rearValve
      ? [
          {
            from: knee,
            to: Infinity,
            base: r * rearValve.kneeMPa * (1 - rearValve.slope),
            slope: r * rearValve.slope * per.rear,
          },
        ]
      : []),
  ];
  for (const { from, to, base, slope } of pieces) {
    // F_f·(1 − φ − z·h/L) − F_r·(φ + z·h/L) = 0 with F_f = f·Q, F_r = base + slope·Q, z = (F_f + F_r)/W; the common W left out.
    const front = vehicle.frontFraction;
    const z0 = base / weight;
    const z1 = (f + slope) / weight;
    const a = -(f + slope) * z1 * lever;
    const b = f * (1 - front - z0 * lever) - slope * (front + z0 * lever) - base * z1 * lever;
    const c = -base * (front + z0 * lever);
    const scale = f + slope;
    if (Math.abs(a) < 1e-15 * scale && Math.abs(b) < 1e-12 * scale && c === 0) return null;
    for (const push of roots(a, b, c)) {
      const z = z0 + z1 * push;
      const inside = push > from * (1 - 1e-12) && push <= to * (1 + 1e-12) && push > 0;
      if (inside && z > 1e-12 && z <= BALANCE_MOST_Z && 1 - front - z * lever > 0) return z;
    }
  }
  return null;
}
