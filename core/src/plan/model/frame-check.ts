import { CORNERS, SPANS, type Corner, type Span } from '../../shape/survey/index.ts';
import { number, nullable, over, record, ref, each, told } from './field.ts';

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
const CORNER_NAMES: Record<Corner, string> = {
  frontLeft: 'Front left',
  frontRight: 'Front right',
  rearRight: 'Rear right',
  rearLeft: 'Rear left',
};
const SPAN_NAMES: Record<Span, string> = {
  front: 'Front, left to right',
  rear: 'Rear, left to right',
  left: 'Left, front to rear',
  right: 'Right, front to rear',
  diagonalLeft: 'Front left to rear right',
  diagonalRight: 'Front right to rear left',
};
export const FRAME_CHECK = record<FrameCheck>()({
  marks: told(
    'Marks',
    each(CORNER_NAMES, nullable(ref('point', 'is a mark of')), { none: 'no point' }),
  ),
  readMm: told(
    'Tapes',
    each(SPAN_NAMES, nullable(over(100_000)), { unit: 'length', none: 'not read' }),
  ),
  sigmaMm: told('± of a tape (1σ)', over(1000), { usual: [0.1, 1000] }),
  heightsMm: told(
    'Heights',
    each(
      {
        frontLeft: 'Front left, height',
        frontRight: 'Front right, height',
        rearRight: 'Rear right, height',
        rearLeft: 'Rear left, height',
      },
      nullable(number(-100_000, 100_000)),
      { unit: 'length', none: 'not read' },
    ),
  ),
  heightSigmaMm: told('± of a height (1σ)', over(1000), { usual: [0.1, 1000] }),
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
