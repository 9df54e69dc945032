import { fluidsMeet } from './fluids-meet.ts';
import { notBled } from './not-bled.ts';
import { siliconeModulator } from './silicone-modulator.ts';
import { fluidThick } from './fluid-thick.ts';

/** Rules of this station, in the order in which they are told. */
export const FILL_RULES = [siliconeModulator, fluidThick, fluidsMeet, notBled] as const;
