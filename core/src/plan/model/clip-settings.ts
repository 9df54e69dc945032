import { number, over, record, told } from './field.ts';

/** How lines are held on this vehicle. */
export interface ClipSettings {
  /** What shakes a tube on the frame, and near engine or gearbox. */
  readonly frameHz: number;
  readonly engineHz: number;
  /** How near is near the engine. */
  readonly nearMm: number;
  /** Times the excitation that a span must ring at or above. */
  readonly margin: number;
  readonly maxSpanMm: number;
  readonly endMm: number;
  /** How far a bracket may stand off what it is fixed to. */
  readonly reachMm: number;
}
export const CLIP_SETTINGS = record<ClipSettings>()({
  frameHz: told('Shakes the frame', number(0, 100_000)),
  engineHz: told('Near the engine', number(0, 100_000)),
  nearMm: told('Near is within', number(0, 10_000)),
  margin: told('Margin, times', number(1, 100)),
  maxSpanMm: told('Span at most', over(100_000)),
  endMm: told('End to first clip', over(100_000)),
  reachMm: told('Bracket reach', number(0, 10_000)),
});
/** Limits to begin with; common practice, but for the excitation: the user picks or types it. */
export const DEFAULT_CLIP_SETTINGS: ClipSettings = {
  frameHz: 60,
  engineHz: 120,
  nearMm: 300,
  margin: 1.2,
  maxSpanMm: 450,
  endMm: 150,
  reachMm: 150,
};
