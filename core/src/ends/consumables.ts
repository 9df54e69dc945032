import { isTaper, threadByName } from '../stock/index.ts';
import type { Joint } from './choose.ts';

/** What a joint uses up each time it is made. */
export interface Consumable {
  readonly what: string;
  readonly count: number;
}

/** Two washers a banjo, one washer or ring where one seals, sealant on tapers only. Common practice. */
export function consumablesOf({ join }: Joint): Consumable[] {
  if (!join) return [];
  const { thread, end } = join.male;
  const bore = thread.split(/[-x ]/)[0] === 'G' ? thread : thread.split(/[-x ]/)[0]!;
  if (end === 'banjo') return [{ what: `Sealing washer, ${bore} bore`, count: 2 }];
  if (end === 'flat') return [{ what: `Crush washer, ${bore} bore`, count: 1 }];
  if (end === 'o-ring-boss') return [{ what: `O-ring for ${thread}`, count: 1 }];
  return isTaper(threadByName(thread)!) ? [{ what: 'Thread sealant for brake fluid', count: 1 }] : [];
}

/** How it is tightened where no sheet gives a figure. Common practice; the maker's sheet comes first. */
export function guidanceFor({ join }: Joint): string {
  switch (join?.male.end) {
    case 'double-flare-45':
    case 'bubble':
      return 'Snug with a flare wrench, then about a sixth of a turn.';
    case 'cone-45':
    case 'cone-37':
      return 'Snug, then one flat of the hex, the tube held still.';
    case 'npt-taper':
    case 'bspt-taper':
      return 'Hand tight, then one and a half to three turns; never back off to line up.';
    case 'banjo':
    case 'flat':
      return 'Snug on new washers, then the sheet: washers of copper and of aluminium differ.';
    case 'o-ring-boss':
      return 'Ring oiled and whole, then the sheet.';
    default:
      return "The maker's sheet.";
  }
}

/** Torques that such a thread mostly takes, N·m, by its diameter. Common practice: outside it a figure is questioned, not refused. */
export function likelyTorqueNm({ join }: Joint): { readonly least: number; readonly most: number } | null {
  const dMm = join && threadByName(join.male.thread)!.dMm;
  if (!dMm) return null;
  if (dMm < 9) return { least: 6, most: 20 };
  if (dMm < 11) return { least: 10, most: 30 };
  if (dMm < 13.5) return { least: 12, most: 45 };
  return { least: 18, most: 90 };
}
