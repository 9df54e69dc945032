import { hoseFluid } from './hose-fluid.ts';
import { feedBare } from './feed-bare.ts';
import { feedFalls } from './feed-falls.ts';
import { hoseAged } from './hose-aged.ts';
import { hoseClass } from './hose-class.ts';
import { hoseHot } from './hose-hot.ts';
import { hoseKinks } from './hose-kinks.ts';
import { hoseRating } from './hose-rating.ts';
import { hoseReach } from './hose-reach.ts';
import { hoseRubs } from './hose-rubs.ts';
import { hoseTaut } from './hose-taut.ts';
import { hoseTooLong } from './hose-too-long.ts';
import { hoseTwisted } from './hose-twisted.ts';
import { hoseUnfixed } from './hose-unfixed.ts';
import { hoseUnjudged } from './hose-unjudged.ts';
import { hoseUnlocked } from './hose-unlocked.ts';
import { hosesTouch } from './hoses-touch.ts';
import { hosesUnlike } from './hoses-unlike.ts';
import { nearHose } from './near-hose.ts';
import { travelTwists } from './travel-twists.ts';
import { hoseMadeUp } from './hose-made-up.ts';

/** Rules of this station, in the order in which they are told. */
export const HOSES_RULES = [
  hoseReach,
  hoseTaut,
  hoseKinks,
  hoseRubs,
  nearHose,
  hosesTouch,
  hoseHot,
  hoseTwisted,
  travelTwists,
  hoseUnfixed,
  hoseUnlocked,
  hoseClass,
  hoseRating,
  hoseMadeUp,
  hoseTooLong,
  hoseAged,
  hoseUnjudged,
  feedFalls,
  feedBare,
  hosesUnlike,
  hoseFluid,
] as const;
