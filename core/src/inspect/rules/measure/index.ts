import { gateUnseen } from './gate-unseen.ts';
import { guessUnmeasured } from './guess-unmeasured.ts';
import { pedalRoom } from './pedal-room.ts';
import { pointUnfixed } from './point-unfixed.ts';
import { tapeSuspect } from './tape-suspect.ts';
import { tapesDisagree } from './tapes-disagree.ts';

/** Rules of this station, in the order in which they are told. */
export const MEASURE_RULES = [
  pointUnfixed,
  tapeSuspect,
  tapesDisagree,
  guessUnmeasured,
  pedalRoom,
  gateUnseen,
] as const;
