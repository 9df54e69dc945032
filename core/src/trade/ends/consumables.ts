import { isTaper, threadByName } from '../stock/index.ts';
import type { Joint } from './choose.ts';

/** What a joint uses up each time it is made. */
export interface Consumable {
  readonly what: string;
  readonly count: number;
}

/** Two washers a banjo and one more for each further eye on its bolt, one washer or ring where one seals, sealant on tapers only. Common practice. */
export function consumablesOf({ join }: Joint, eyes = 1): Consumable[] {
  if (!join) return [];
  const { thread, end } = join.male;
  const bore = thread.split(/[-x ]/)[0] === 'G' ? thread : thread.split(/[-x ]/)[0]!;
  if (end === 'banjo') return [{ what: `Sealing washer, ${bore} bore`, count: eyes + 1 }];
  if (end === 'flat') return [{ what: `Crush washer, ${bore} bore`, count: 1 }];
  if (end === 'o-ring-boss') return [{ what: `O-ring for ${thread}`, count: 1 }];
  return isTaper(threadByName(thread)!)
    ? [{ what: 'Thread sealant for brake fluid', count: 1 }]
    : [];
}

/** Flats of the hex past the point where the wrench meets resistance, steel nuts of -3 to -6. Source: tables after SAE J514 (from memory; -3 is often not in them). */
const FLATS_37: Readonly<Record<string, string>> = {
  '3/8-24 UNF': 'about two flats of the hex',
  '7/16-20 UNF': 'about two flats of the hex',
  '1/2-20 UNF': 'about two flats of the hex',
  '9/16-18 UNF': 'about one and a quarter flats of the hex',
};
/** How it is tightened where no sheet gives a figure. Common practice; the maker's sheet comes first. */
export function guidanceFor({ join }: Joint): string {
  switch (join?.male.end) {
    case 'double-flare-45':
    case 'bubble':
      return 'Snug with a flare wrench, then about 1/6 turn.';
    case 'cone-45':
      return 'Snug, then one flat of the hex, holding the tube still.';
    case 'cone-37': {
      const flats = FLATS_37[join.male.thread];
      return flats
        ? `Until the wrench meets resistance, then ${flats}, a steel nut, holding the tube still. Tables differ: the maker’s figure comes first.`
        : 'Until the wrench meets resistance, then by the maker’s figure, holding the tube still.';
    }
    case 'npt-taper':
    case 'bspt-taper':
      return 'Hand tight, then 1 1/2 to 3 turns. Never back off to line up.';
    case 'banjo':
    case 'flat':
      return 'Snug on new washers, then the maker’s torque: copper and aluminum washers differ.';
    case 'o-ring-boss':
      return 'Ring oiled and undamaged, then the maker’s torque.';
    default:
      return 'See the maker’s sheet.';
  }
}

type Range = readonly [leastNm: number, mostNm: number];
/** By the thread's diameter: under 9, under 11, under 13.5 mm, and above. Common practice. */
const LIKELY_NM: Record<'nut' | 'washer' | 'cone' | 'other', readonly Range[]> = {
  // Tube nuts over a flare.
  nut: [
    [6, 15],
    [11, 22],
    [14, 32],
    [20, 60],
  ],
  // Banjo bolts and crush washers: aluminum bolts take half of what steel ones do.
  washer: [
    [6, 20],
    [12, 40],
    [15, 50],
    [20, 90],
  ],
  cone: [
    [5, 12],
    [8, 18],
    [11, 27],
    [18, 70],
  ],
  other: [
    [6, 20],
    [10, 30],
    [12, 45],
    [18, 90],
  ],
};

/** Torques that a joint mostly takes, N·m, by its kind and its thread. Outside it a figure is questioned, not refused. */
export function likelyTorqueNm({
  join,
}: Joint): { readonly least: number; readonly most: number } | null {
  if (!join) return null;
  const { thread, end } = join.male;
  const { dMm } = threadByName(thread)!;
  const kind =
    end === 'double-flare-45' || end === 'bubble'
      ? 'nut'
      : end === 'banjo' || end === 'flat'
        ? 'washer'
        : end === 'cone-37' || end === 'cone-45'
          ? 'cone'
          : 'other';
  const [least, most] = LIKELY_NM[kind][dMm < 9 ? 0 : dMm < 11 ? 1 : dMm < 13.5 ? 2 : 3]!;
  return { least, most };
}
