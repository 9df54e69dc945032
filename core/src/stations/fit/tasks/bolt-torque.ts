/** Nut factors K: black steel dry, zinc dry, oiled; thread locker counts like oil until it sets. Source: Shigley, table of torque factors (from memory). */
export const NUT_FACTOR = { black: 0.3, zinc: 0.2, oiled: 0.18 } as const;
/** Proof strength by property class, MPa. Source: ISO 898-1 (from memory; 8.8 as over 16 mm). */
export const PROOF_MPA = { '8.8': 600, '10.9': 830, '12.9': 970 } as const;

export interface BoltTorque {
  readonly dMm: number;
  readonly pitchMm: number;
  readonly propertyClass: keyof typeof PROOF_MPA;
  readonly surface: keyof typeof NUT_FACTOR;
  /** Of its proof load; three quarters where it is to come off again. */
  readonly share?: number;
}
/** Stress area of a metric thread, mm². Source: ISO 898-1, As = π/4·(d − 0.9382·P)². */
export const stressAreaMm2 = ({ dMm, pitchMm }: Pick<BoltTorque, 'dMm' | 'pitchMm'>): number =>
  (Math.PI / 4) * (dMm - 0.9382 * pitchMm) ** 2;

/** T = K·d·F, N·m, for a solid bolt: never for a tube nut, a taper or a hollow bolt, which go by tables of their own. */
export const boltTorqueNm = (bolt: BoltTorque): number =>
  (NUT_FACTOR[bolt.surface] *
    bolt.dMm *
    (bolt.share ?? 0.75) *
    stressAreaMm2(bolt) *
    PROOF_MPA[bolt.propertyClass]) /
  1000;
