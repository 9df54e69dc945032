import { tubeStrength } from './tube-strength.ts';
import { boosterWeak } from './booster-weak.ts';
import { clutchTravel } from './clutch-travel.ts';
import { drawingDiffers } from './drawing-differs.ts';
import { figureUnlikely } from './figure-unlikely.ts';
import { figuresGuessed } from './figures-guessed.ts';
import { footTooHard } from './foot-too-hard.ts';
import { leverStroke } from './lever-stroke.ts';
import { overRating } from './over-rating.ts';
import { parkingHydraulic } from './parking-hydraulic.ts';
import { parkingMissing } from './parking-missing.ts';
import { diagonalScrub } from './diagonal-scrub.ts';
import { motorcycleWeak } from './motorcycle-weak.ts';
import { parkingTravel } from './parking-travel.ts';
import { parkingWeak } from './parking-weak.ts';
import { pedalStroke } from './pedal-stroke.ts';
import { rearLocksFirst } from './rear-locks-first.ts';
import { reservoirSmall } from './reservoir-small.ts';
import { stopsTooLong } from './stops-too-long.ts';
import { trailerBrakes } from './trailer-brakes.ts';
import { valveNeeded } from './valve-needed.ts';
import { lampMissing } from './lamp-missing.ts';
import { brakesFade } from './brakes-fade.ts';
import { fluidBoils } from './fluid-boils.ts';
import { boosterReserve } from './booster-reserve.ts';
import { boosterCoding } from './booster-coding.ts';

/** Rules of this station, in the order in which they are told. */
export const SIZE_RULES = [
  pedalStroke,
  rearLocksFirst,
  stopsTooLong,
  brakesFade,
  fluidBoils,
  footTooHard,
  boosterWeak,
  boosterReserve,
  boosterCoding,
  valveNeeded,
  leverStroke,
  trailerBrakes,
  clutchTravel,
  parkingWeak,
  parkingTravel,
  motorcycleWeak,
  diagonalScrub,
  parkingMissing,
  lampMissing,
  drawingDiffers,
  parkingHydraulic,
  reservoirSmall,
  overRating,
  figureUnlikely,
  figuresGuessed,
  tubeStrength,
] as const;
