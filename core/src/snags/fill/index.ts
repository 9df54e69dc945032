import { fluidsMeet } from './fluids-meet.ts';
import { notBled } from './not-bled.ts';
import { siliconeModulator } from './silicone-modulator.ts';

/** Rules of this station, in the order in which they are told. */
export const FILL_RULES = [siliconeModulator, fluidsMeet, notBled] as const;
