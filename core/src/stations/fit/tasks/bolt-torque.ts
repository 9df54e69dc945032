import { INCH_MM } from '../../../lib/units/index.ts';
import type { BoltClass } from '../../../plan/index.ts';

/** Nut factors K: black steel dry, zinc dry, oiled; thread locker counts like oil until it sets. Source: Shigley, table of torque factors (from memory). */
export const NUT_FACTOR = { black: 0.3, zinc: 0.2, oiled: 0.18 } as const;
/** Proof strength by class or grade, MPa: up to a diameter, and above it. Sources: ISO 898-1, SAE J429 (55 and 33, 85 and 74, 120 ksi), from memory. */
const PROOF_MPA = {
  '8.8': [16, 580, 600],
  '10.9': [Infinity, 830, 830],
  '12.9': [Infinity, 970, 970],
  'grade-2': [0.75 * INCH_MM, 379, 228],
  'grade-5': [INCH_MM, 586, 510],
  'grade-8': [Infinity, 827, 827],
} as const;
export function proofMPa({
  dMm,
  propertyClass,
}: Pick<BoltTorque, 'dMm' | 'propertyClass'>): number {
  const [toMm, thin, thick] = PROOF_MPA[propertyClass];
  return dMm <= toMm + 1e-9 ? thin : thick;
}

export interface BoltTorque {
  readonly dMm: number;
  readonly pitchMm: number;
  readonly propertyClass: BoltClass;
  readonly surface: keyof typeof NUT_FACTOR;
  /** Of its proof load; three quarters where it is to come off again. */
  readonly share?: number;
}
/** Stress area of a thread, mm². Source: ISO 898-1, As = π/4·(d − 0.9382·P)²; ASME B1.1, inch threads with 0.9743·P (from memory). */
export const stressAreaMm2 = ({
  dMm,
  pitchMm,
  propertyClass,
}: Pick<BoltTorque, 'dMm' | 'pitchMm' | 'propertyClass'>): number =>
  (Math.PI / 4) * (dMm - (propertyClass.startsWith('grade') ? 0.9743 : 0.9382) * pitchMm) ** 2;

/** T = K·d·F, N·m, for a solid bolt: never for a tube nut, a taper or a hollow bolt, which go by tables of their own. */
export const boltTorqueNm = (bolt: BoltTorque): number =>
  (NUT_FACTOR[bolt.surface] *
    bolt.dMm *
    (bolt.share ?? 0.75) *
    stressAreaMm2(bolt) *
    proofMPa(bolt)) /
  1000;
