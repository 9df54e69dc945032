export type FlareForm = 'double-flare-45' | 'bubble' | 'cone-37';
export const FLARES: Record<
  FlareForm,
  { readonly name: string; readonly flareExtraMm: number; readonly clampMm: number }
> = {
  // Tube used up and clamp depth differ from tool to tool: common practice, to be replaced by the user's own test piece.
  'double-flare-45': { name: 'Double flare', flareExtraMm: 3, clampMm: 22 },
  bubble: { name: 'Bubble flare', flareExtraMm: 2, clampMm: 22 },
  'cone-37': { name: 'Single 37° flare', flareExtraMm: 2, clampMm: 22 },
};

export interface TubeNut {
  readonly id: string;
  readonly name: string;
  readonly thread: string;
  readonly flare: FlareForm;
  /** Size of tube it is drilled for, as `TubeStock.id` begins. */
  readonly tubeOdMm: number;
  readonly lengthMm: number;
  readonly wrench: string;
  readonly source: string;
}

const INCH = 'SAE J512 (from memory); length: common practice, measure your own';
const METRIC = 'ISO 4038 / DIN 74233 (from memory); length: common practice, measure your own';
const AN = 'SAE J514 (from memory); length over the sleeve: common practice, measure your own';

/** Tube nuts by thread and flare. */
export const NUTS: readonly TubeNut[] = [
  { id: '3/8-24-inverted', name: '3/8-24 nut', thread: '3/8-24 UNF', flare: 'double-flare-45', tubeOdMm: 4.7625, lengthMm: 16, wrench: '3/8 in wrench', source: INCH },
  { id: '7/16-24-inverted', name: '7/16-24 nut', thread: '7/16-24 UNS', flare: 'double-flare-45', tubeOdMm: 6.35, lengthMm: 16, wrench: '7/16 in wrench', source: INCH },
  { id: '1/2-20-inverted', name: '1/2-20 nut', thread: '1/2-20 UNF', flare: 'double-flare-45', tubeOdMm: 7.9375, lengthMm: 18, wrench: '1/2 in wrench', source: INCH },
  { id: '5/8-18-inverted', name: '5/8-18 nut', thread: '5/8-18 UNF', flare: 'double-flare-45', tubeOdMm: 9.525, lengthMm: 20, wrench: '5/8 in wrench', source: INCH },
  // Step-up nuts: the tube of one size in the port of the next. SAE J512 (from memory).
  { id: '7/16-24-inverted-3/16', name: '7/16-24 step-up nut', thread: '7/16-24 UNS', flare: 'double-flare-45', tubeOdMm: 4.7625, lengthMm: 16, wrench: '7/16 in wrench', source: INCH },
  { id: '1/2-20-inverted-3/16', name: '1/2-20 step-up nut', thread: '1/2-20 UNF', flare: 'double-flare-45', tubeOdMm: 4.7625, lengthMm: 18, wrench: '1/2 in wrench', source: INCH },
  { id: '9/16-18-inverted-3/16', name: '9/16-18 step-up nut', thread: '9/16-18 UNF', flare: 'double-flare-45', tubeOdMm: 4.7625, lengthMm: 18, wrench: '9/16 in wrench', source: INCH },
  { id: 'M12x1-bubble-4.75', name: 'M12x1 step-up nut', thread: 'M12x1', flare: 'bubble', tubeOdMm: 4.75, lengthMm: 18, wrench: '13 mm wrench', source: METRIC },
  { id: 'M10x1-inverted', name: 'M10x1 nut, inverted flare', thread: 'M10x1', flare: 'double-flare-45', tubeOdMm: 4.75, lengthMm: 16, wrench: '11 mm wrench', source: METRIC },
  { id: 'M10x1-bubble', name: 'M10x1 nut', thread: 'M10x1', flare: 'bubble', tubeOdMm: 4.75, lengthMm: 16, wrench: '11 mm wrench', source: METRIC },
  { id: 'M10x1-bubble-5', name: 'M10x1 nut, 5 mm', thread: 'M10x1', flare: 'bubble', tubeOdMm: 5, lengthMm: 16, wrench: '11 mm wrench', source: METRIC },
  { id: 'M14x1.5-bubble', name: 'M14x1.5 nut', thread: 'M14x1.5', flare: 'bubble', tubeOdMm: 8, lengthMm: 20, wrench: '17 mm wrench', source: METRIC },
  { id: 'M12x1-bubble', name: 'M12x1 nut', thread: 'M12x1', flare: 'bubble', tubeOdMm: 6, lengthMm: 18, wrench: '13 mm wrench', source: METRIC },
  { id: '3/8-24-bubble', name: '3/8-24 nut, bubble flare', thread: '3/8-24 UNF', flare: 'bubble', tubeOdMm: 4.7625, lengthMm: 16, wrench: '3/8 in wrench', source: INCH },
  { id: '-3-sleeve', name: '-3 sleeve nut', thread: '3/8-24 UNF', flare: 'cone-37', tubeOdMm: 4.7625, lengthMm: 18, wrench: '1/2 in wrench', source: AN },
  { id: '-4-sleeve', name: '-4 sleeve nut', thread: '7/16-20 UNF', flare: 'cone-37', tubeOdMm: 6.35, lengthMm: 20, wrench: '9/16 in wrench', source: AN },
  { id: '-5-sleeve', name: '-5 sleeve nut', thread: '1/2-20 UNF', flare: 'cone-37', tubeOdMm: 7.9375, lengthMm: 21, wrench: '5/8 in wrench', source: AN },
  { id: '-6-sleeve', name: '-6 sleeve nut', thread: '9/16-18 UNF', flare: 'cone-37', tubeOdMm: 9.525, lengthMm: 23, wrench: '11/16 in wrench', source: AN },
]; // prettier-ignore

export const nutById = (id: string): TubeNut | undefined => NUTS.find((nut) => nut.id === id);

/** Two tube sizes that one nut's bore takes: 3/16 in (4.7625) and 4.75 mm are the same to a nut. */
export const nutFitsTube = (nut: TubeNut, odMm: number): boolean =>
  Math.abs(nut.tubeOdMm - odMm) <= 0.1;
