/** What a vehicle is to the rules that limit its brakes. */
export const CATEGORIES = [
  'light',
  'heavy',
  'trailer',
  'motorcycle',
  'aircraft',
  'competition',
] as const;
export type Category = (typeof CATEGORIES)[number];
