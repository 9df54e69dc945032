import { fluidsMeet } from './fluids-meet.ts';
import { notBled } from './not-bled.ts';
import { siliconeModulator } from './silicone-modulator.ts';
import { fluidThick } from './fluid-thick.ts';
import { pushrodUnlooked } from './pushrod-unlooked.ts';
import { drumsUnset } from './drums-unset.ts';
import { padsOut } from './pads-out.ts';
import { benchOpen } from './bench-open.ts';
import { jointLooseFilled } from './joint-loose-filled.ts';
import { gravityUphill } from './gravity-uphill.ts';
import { orderNotSheet } from './order-not-sheet.ts';
import { reservoirShort } from './reservoir-short.ts';
import { fluidUnknown } from './fluid-unknown.ts';
import { bottleOld } from './bottle-old.ts';
import { fluidDue } from './fluid-due.ts';
import { fluidWet } from './fluid-wet.ts';
import { fluidSources } from './fluid-sources.ts';
import { fluidChange } from './fluid-change.ts';
import { airStays } from './air-stays.ts';
import { potFell } from './pot-fell.ts';
import { runLeft } from './run-left.ts';

/** Rules of this station, in the order in which they are told. */
export const FILL_RULES = [
  runLeft,
  siliconeModulator,
  fluidThick,
  fluidsMeet,
  fluidChange,
  fluidSources,
  fluidUnknown,
  notBled,
  gravityUphill,
  orderNotSheet,
  reservoirShort,
  airStays,
  potFell,
  padsOut,
  jointLooseFilled,
  pushrodUnlooked,
  drumsUnset,
  benchOpen,
  bottleOld,
  fluidDue,
  fluidWet,
] as const;
