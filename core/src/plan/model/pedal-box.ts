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
export const FRESH_PEDALS: PedalBox = { clutchToBrakeMm: null, brakeToThrottleMm: null, toWallMm: null, brakeOverThrottleMm: null, behindMm: null }; // prettier-ignore

interface Room {
  readonly name: string;
  /** No less than this; a shoe's edge fits between. */
  readonly leastMm: number;
  /** More than this is far to reach; null where that does not matter. */
  readonly mostMm: number | null;
  readonly why: string;
}
/** Room that pedals want. Common practice: the sole of a work shoe is some 110 mm wide and is set down across no more than one pad. */
export const PEDAL_ROOM: Readonly<Record<keyof PedalBox, Room>> = {
  clutchToBrakeMm: { name: 'Clutch to brake', leastMm: 50, mostMm: 150, why: 'a shoe on the one catches the other' },
  brakeToThrottleMm: { name: 'Brake to throttle', leastMm: 50, mostMm: 110, why: 'one shoe presses both' },
  toWallMm: { name: 'Outer pedal to wall', leastMm: 30, mostMm: null, why: 'the shoe jams against the wall' },
  brakeOverThrottleMm: { name: 'Brake over throttle', leastMm: 10, mostMm: 60, why: 'the foot coming over from the throttle goes under the brake' },
  behindMm: { name: 'Behind the brake, pressed down', leastMm: 15, mostMm: null, why: 'the pedal stops on the floor before the master does' },
}; // prettier-ignore
