import type { ClutchSize, ParkingSize, SingleSize, TrailerSize } from '../../hydraulics/index.ts';
import type { LineView } from './line-view.ts';
import { clutchView, parkingView, singleView, trailerView } from './sheets.ts';
import type { Plan } from '../model/index.ts';

/** What follows from the sheets beside the one from foot to road; null for one that is not begun. */
export interface SheetResults {
  readonly trailer: {
    readonly at: (share: number) => TrailerSize;
    readonly empty: TrailerSize;
    readonly laden: TrailerSize;
  } | null;
  /** In the order of the plan's `singles`. */
  readonly singles: readonly SingleSize[];
  readonly clutch: ClutchSize | null;
  readonly parking: ParkingSize | null;
}

export function sheetResults(plan: Plan, lines: readonly LineView[]): SheetResults {
  const { trailer, singles, clutch } = plan;
  const at = (share: number): TrailerSize => trailerView(plan, trailer!, lines, share);
  return {
    trailer: trailer && { at, empty: at(0), laden: at(1) },
    singles: singles.map((sheet) => singleView(plan, sheet, lines)),
    clutch: clutch && clutchView(plan, clutch, lines),
    parking: parkingView(plan),
  };
}
