import { likelyTorqueNm, type Joint } from '../ends/index.ts';
import type { JointEnd } from '../joints/index.ts';
import type { Floor } from '../plan/index.ts';

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
  (NUT_FACTOR[bolt.surface] * bolt.dMm * (bolt.share ?? 0.75) * stressAreaMm2(bolt) * PROOF_MPA[bolt.propertyClass]) / 1000;

/** How a joint or a fastener stands: what is wanted and by whose word, what the wrench said. */
export interface TorqueView {
  readonly key: string;
  readonly wantedNm: number | null;
  readonly source: string;
  /** What such a joint mostly takes; null where that is not known. */
  readonly likely: { readonly least: number; readonly most: number } | null;
  readonly saidNm: number | null;
  readonly opened: boolean;
  /** In a few words: tight, open, too little, too much, no figure. */
  readonly verdict: 'good' | 'low' | 'high' | 'no-figure' | 'open' | 'opened';
}
/** A click wrench is good to this. Source: ISO 6789 (4 %, from memory). */
export const WRENCH_SHARE = 0.04;

/** A reading held against what is wanted, the wrench's own error allowed. */
export function verdictOf(wantedNm: number | null, saidNm: number | null, opened: boolean): TorqueView['verdict'] {
  if (opened) return 'opened';
  if (saidNm === null) return 'open';
  if (wantedNm === null) return 'no-figure';
  if (saidNm < wantedNm * (1 - WRENCH_SHARE) - 1e-9) return 'low';
  return saidNm > wantedNm * (1 + WRENCH_SHARE) + 1e-9 ? 'high' : 'good';
}

/** A joint of the plan as it is tightened: its figure stands with the joint, what the wrench said with the floor. */
export function torqueOf(key: string, joint: JointEnd, floor: Floor): TorqueView {
  const said = floor.tight.filter((one) => one.key === key).at(-1);
  const nearest: Joint | undefined = joint.joints?.at(-1);
  const { torqueNm, torqueSource } = joint.work;
  return {
    key,
    wantedNm: torqueNm,
    source: torqueSource,
    likely: nearest ? likelyTorqueNm(nearest) : null,
    saidNm: said?.nm ?? null,
    opened: said?.opened ?? false,
    verdict: verdictOf(torqueNm, said?.nm ?? null, said?.opened ?? false),
  };
}
