import type { Filling, FillRun } from '../../plan/index.ts';
import { replay } from './run.ts';

/** What a corner took in a run that was finished: kept for the next time. */
export interface FluidUse {
  readonly portId: string;
  readonly strokes: number;
  readonly ml: number;
  readonly minutes: number;
}
export interface RunFluidUse {
  readonly run: FillRun;
  readonly corners: readonly FluidUse[];
  readonly ml: number;
  readonly minutes: number;
  readonly felt: string | null;
}
/** Runs that are over, the newest first. */
export const lastFluidUse = ({ runs }: Pick<Filling, 'runs'>): RunFluidUse[] =>
  runs.toReversed().flatMap((run) => {
    const { state } = replay(run);
    if (state.phase !== 'done') return [];
    const corners = state.corners
      .filter(({ ml }) => ml > 0)
      .map(({ portId, strokes, ml, seconds }) => ({ portId, strokes, ml, minutes: seconds / 60 }));
    return [
      {
        run,
        corners,
        ml: corners.reduce((sum, c) => sum + c.ml, 0),
        minutes: state.seconds / 60,
        felt: state.felt,
      },
    ];
  });
/** The newest run: under way, or over until another is begun. */
export const runNow = ({ runs }: Pick<Filling, 'runs'>): FillRun | null => runs.at(-1) ?? null;
