import { CORNERS, SPANS, type Corner, type Span } from '../../shape/survey/index.ts';
import { number, nullable, over, record, ref, type Field } from './field.ts';

/** Four marks on a frame, the six tapes between them and their heights: what is not read yet is null. */
export interface FrameCheck {
  /** Points that the marks are, which can be moved to where they were found. */
  readonly marks: Readonly<Record<Corner, string | null>>;
  readonly readMm: Readonly<Record<Span, number | null>>;
  readonly sigmaMm: number;
  /** By water level or laser, over any level line. */
  readonly heightsMm: Readonly<Record<Corner, number | null>>;
  readonly heightSigmaMm: number;
}
const each = <K extends string, T>(
  keys: readonly K[],
  of: Field<T>,
): Field<Readonly<Record<K, T>>> => ({
  type: 'record',
  fields: Object.fromEntries(keys.map((key) => [key, of])) as Readonly<Record<K, Field<T>>>,
});
export const FRAME_CHECK = record<FrameCheck>()({
  marks: each(CORNERS, nullable(ref('point', 'is a mark of'))),
  readMm: each(SPANS, nullable(over(100_000))),
  sigmaMm: over(1000),
  heightsMm: each(CORNERS, nullable(number(-100_000, 100_000))),
  heightSigmaMm: over(1000),
});

const none = <K extends string>(keys: readonly K[]): Readonly<Record<K, null>> =>
  Object.fromEntries(keys.map((key) => [key, null])) as Record<K, null>;
/** Nothing read yet. */
export const FRESH_FRAME: FrameCheck = {
  marks: none(CORNERS),
  readMm: none(SPANS),
  sigmaMm: 2,
  heightsMm: none(CORNERS),
  heightSigmaMm: 1,
};
