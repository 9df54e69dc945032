import type { PartKind, WantedTorque, Ref } from '../../../plan/index.ts';
import { boltThread } from '../../../trade/stock/index.ts';
import { boltTorqueNm } from './bolt-torque.ts';

/** Bolts and nuts that hold a thing, tightened together: no joint of the plan. */
export interface Fastener {
  readonly key: string;
  /** "Bracket bolts". */
  readonly what: string;
  /** How many such things mostly have, until the user says otherwise. */
  readonly count: number;
  readonly place: Ref;
  /** Tightened once more after so many kilometers. */
  readonly againKm: number | null;
  /** Its thread, where a record of its own has it: `M12x1.5`, `9/16-18`. */
  readonly thread?: string;
}

/** What holds a part, and how many of it. Common practice: the part in the hand is counted. */
const MOUNTS: Partial<Record<PartKind, readonly [what: string, count: number]>> = {
  master: ['Flange nuts', 2],
  reservoir: ['Screws', 2],
  tee: ['Bolt', 1],
  block: ['Bolt', 1],
  'proportioning-valve': ['Bolts', 2],
  'combination-valve': ['Bolts', 2],
  'metering-valve': ['Bolts', 2],
  'load-valve': ['Bolts', 2],
  'parking-valve': ['Bolts', 2],
  'clutch-damper': ['Bolts', 2],
  modulator: ['Nuts of its bracket', 3],
  'handbrake-cylinder': ['Bolts', 2],
  caliper: ['Bracket bolts', 2],
  'wheel-cylinder': ['Cylinder bolts', 2],
  slave: ['Bolts', 2],
  'release-bearing': ['Bolts', 3],
  actuator: ['Bolts', 4],
  bracket: ['Bolts', 2],
};
export function mountOf(kind: PartKind, key: string, place: Ref): Fastener | null {
  const mount = MOUNTS[kind];
  return mount ? { key, what: mount[0], count: mount[1], place, againKm: null } : null;
}

/** Shares of its proof load that a bolt mostly holds. Common practice. */
const LIKELY_SHARES = [0.45, 0.9] as const;
/** What a solid bolt of this thread and class mostly takes, N·m; null where these were not set down. */
export function likelyBoltNm({
  thread,
  propertyClass,
  state,
}: Pick<WantedTorque, 'thread' | 'propertyClass' | 'state'>): {
  readonly least: number;
  readonly most: number;
} | null {
  const size = thread ? boltThread(thread) : null;
  if (!size || !propertyClass) return null;
  const surface = state === 'dry' ? 'zinc' : 'oiled';
  const [least, most] = LIKELY_SHARES.map((share) =>
    boltTorqueNm({ ...size, propertyClass, surface, share }),
  ) as [number, number];
  return { least, most };
}

/**
 * The order in which bolts round a center are drawn up, by their places counted round it from 0: each as far
 * from the one before as it can be. Common practice: five go 1, 3, 5, 2, 4; four and six go across.
 */
export function starOrder(count: number): number[] {
  if (count % 2) return Array.from({ length: count }, (_, i) => (i * ((count - 1) / 2)) % count);
  return count ? starOrder(count / 2).flatMap((i) => [i, i + count / 2]) : [];
}
