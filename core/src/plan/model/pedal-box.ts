import { nullable, number, record, told } from './field.ts';

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
const room = { ...nullable(number(-500, 2000)), none: 'not measured' };
export const PEDAL_BOX = record<PedalBox>()({
  clutchToBrakeMm: told('Clutch to brake', room),
  brakeToThrottleMm: told('Brake to throttle', room),
  toWallMm: told('Outer pedal to wall', room),
  brakeOverThrottleMm: told('Brake over throttle', room),
  behindMm: told('Behind the brake, pressed down', room),
});
export const FRESH_PEDALS: PedalBox = {
  clutchToBrakeMm: null,
  brakeToThrottleMm: null,
  toWallMm: null,
  brakeOverThrottleMm: null,
  behindMm: null,
};
