import { InputError } from '../../lib/faults/index.ts';
import {
  figureAt,
  freshFluid,
  withAt,
  withFigure,
  type Bench,
  type Bleeding,
  type ClipSettings,
  type Plan,
  type EstimatedFigures,
} from '../model/index.ts';

type SheetName = 'sizing' | 'trailer' | 'singles' | 'clutch' | 'parking' | 'frame' | 'pedals';
/** A sheet of figures by its place in the plan, with what it becomes. */
type Sheets = { [K in SheetName]: { sheet: K; to: Plan[K] } }[SheetName];

/** Edits of what a plan has one of: its settings, its bench, its sheets of figures. */
export const SHEET_EDITS = {
  rename: (plan: Plan, { name }: { name: string }): Plan => ({ ...plan, name }),
  /** A preset of units, which replaces those that were chosen by themselves, or one more of those. */
  setUnits: (
    plan: Plan,
    { units, ownUnits = {} }: { units: Plan['units']; ownUnits?: Plan['ownUnits'] },
  ): Plan => ({ ...plan, units, ownUnits }),
  /** What shakes lines and how far apart their clips may be. */
  changeClipSettings: (plan: Plan, { patch }: { patch: Partial<ClipSettings> }): Plan => ({
    ...plan,
    clipSettings: { ...plan.clipSettings, ...patch },
  }),
  changeBench: (plan: Plan, { patch }: { patch: Partial<Bench> }): Plan => ({
    ...plan,
    bench: { ...plan.bench, ...patch },
  }),
  changeBleeding: (plan: Plan, { patch }: { patch: Partial<Bleeding> }): Plan => ({
    ...plan,
    bleeding: { ...plan.bleeding, ...patch },
  }),
  /** One fluid for several reservoirs; what else was recorded of them stays. */
  chooseFluid: (
    plan: Plan,
    { parts, fluidId }: { parts: readonly string[]; fluidId: string },
  ): Plan => ({
    ...plan,
    filling: {
      ...plan.filling,
      fluids: [
        ...plan.filling.fluids.map((one) => (parts.includes(one.part) ? { ...one, fluidId } : one)),
        ...parts
          .filter((id) => !plan.filling.fluids.some(({ part }) => part === id))
          .map((id) => freshFluid(id, fluidId)),
      ],
    },
  }),
  /** One ordered length for several hoses. */
  equalizeHoseLengths: (
    plan: Plan,
    { ids, orderMm }: { ids: readonly string[]; orderMm: number },
  ): Plan => ({
    ...plan,
    hoses: plan.hoses.map((hose) => (ids.includes(hose.id) ? { ...hose, orderMm } : hose)),
  }),
  /** Begins a sheet of figures, puts another in its place, or (null) takes it away. */
  setSheet: (plan: Plan, { sheet, to }: Sheets): Plan => ({ ...plan, [sheet]: to }),
  /** One figure or part of a sheet (`sizing`, or `singles.0`) by its path; it is no guess any more, unless `open` says which of it is. */
  setFigure: (
    plan: Plan,
    {
      of,
      path,
      to,
      open = [],
    }: { of: string; path: string; to: unknown; open?: readonly string[] },
  ): Plan => {
    const sheet = figureAt(plan, of) as EstimatedFigures | null | undefined;
    if (!sheet) throw new InputError(of, 'These figures are not in the plan yet.');
    const changed = withFigure(sheet, path, to);
    return withAt(plan, of.split('.'), { ...changed, open: [...changed.open, ...open] });
  },
} as const;
