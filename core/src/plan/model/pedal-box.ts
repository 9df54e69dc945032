import { nullable, number, record } from './field.ts';

/** Room round the pedals, edge to edge of the pads; null where it was not measured or there is no such pedal. */
export interface PedalBox {
  readonly clutchToBrakeMm: number | null;
  readonly brakeToThrottleMm: number | null;
  /** From the outer pedal to wall or tunnel. */
  readonly toWallMm: number | null;
  /** Brake pad over throttle pad, toward the driver. */
  readonly brakeOverThrottleMm: number | null;
  /** From the brake pad, all the way down, to what is behind it. */
  readonly behindMm: number | null;
}
/** A pad may stand behind another: that much the other way. */
export const PEDAL_ROOM_MM = number(-500, 2000);
const room = nullable(PEDAL_ROOM_MM);
export const PEDAL_BOX = record<PedalBox>()({
  clutchToBrakeMm: room,
  brakeToThrottleMm: room,
  toWallMm: room,
  brakeOverThrottleMm: room,
  behindMm: room,
});
export const FRESH_PEDALS: PedalBox = {
  clutchToBrakeMm: null,
  brakeToThrottleMm: null,
  toWallMm: null,
  brakeOverThrottleMm: null,
  behindMm: null,
};
