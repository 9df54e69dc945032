import { derive } from '../../lib/derive/index.ts';
import type {
  ClutchSize,
  Heating,
  SingleSize,
  TrailerSize,
} from '../../physics/hydraulics/index.ts';
import type { LineView } from '../layout/line-view.ts';
import { clutchView, parkingView, singleView, trailerView, type ParkingHeld } from './sheets.ts';
import { trailerHeatView } from './heat-view.ts';
import type { Plan, TrailerSheet } from '../model/index.ts';

/** What follows from the sheets beside the one from foot to road; null for one that is not begun. */
export interface SheetResults {
  readonly trailer: {
    readonly at: (share: number) => TrailerSize;
    readonly empty: TrailerSize;
    readonly laden: TrailerSize;
    /** Laden; null while its drums are not set down. */
    readonly heat: readonly Heating[] | null;
  } | null;
  /** In the order of the plan's `singles`. */
  readonly singles: readonly SingleSize[];
  readonly clutch: ClutchSize | null;
  readonly parking: ParkingHeld | null;
}

function trailerResults(
  sheet: TrailerSheet,
  at: (share: number) => TrailerSize,
): SheetResults['trailer'] {
  const laden = at(1);
  return { at, empty: at(0), laden, heat: trailerHeatView(sheet, laden) };
}

type Sheets = Pick<
  Plan,
  'trailer' | 'singles' | 'clutch' | 'parking' | 'sizing' | 'circuits' | 'hoses'
>;
export const sheetResults = derive(
  'sheets beside foot to road',
  (
    { trailer, singles, clutch, parking, sizing, circuits, hoses }: Sheets,
    lines: readonly LineView[],
  ) => [lines, trailer, singles, clutch, parking, sizing, circuits, hoses],
  (lines, trailer, singles, clutch, parking, sizing, circuits, hoses): SheetResults => {
    const feeding = { circuits, hoses };
    const at = (share: number): TrailerSize => trailerView(feeding, trailer!, lines, share);
    return {
      trailer: trailer && trailerResults(trailer, at),
      singles: singles.map((sheet) => singleView(feeding, sheet, lines)),
      clutch: clutch && clutchView(feeding, clutch, lines),
      parking: parkingView({ sizing, parking }),
    };
  },
);
