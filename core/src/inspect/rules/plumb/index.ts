import { bleederLow } from './bleeder-low.ts';
import { actuatorPressure } from './actuator-pressure.ts';
import { handInFront } from './hand-in-front.ts';
import { handTeed } from './hand-teed.ts';
import { oneSide } from './one-side.ts';
import { reservoirLow } from './reservoir-low.ts';
import { residualDoubled } from './residual-doubled.ts';
import { sidesCrossed } from './sides-crossed.ts';
import { slavesSized } from './slaves-sized.ts';
import { bothAxles } from './both-axles.ts';
import { circuitsJoined } from './circuits-joined.ts';
import { fedTwice } from './fed-twice.ts';
import { freePlay } from './free-play.ts';
import { levelUnknown } from './level-unknown.ts';
import { masterDry } from './master-dry.ts';
import { masterShared } from './master-shared.ts';
import { modulatorTuning } from './modulator-tuning.ts';
import { noParkingBrake } from './no-parking-brake.ts';
import { oneCircuit } from './one-circuit.ts';
import { partUnfed } from './part-unfed.ts';
import { portOpen } from './port-open.ts';
import { reservoirShared } from './reservoir-shared.ts';
import { residualMissing } from './residual-missing.ts';
import { residualNeedless } from './residual-needless.ts';
import { residualWrong } from './residual-wrong.ts';
import { rolesSwapped } from './roles-swapped.ts';
import { twinLeading } from './twin-leading.ts';
import { valveBackwards } from './valve-backwards.ts';
import { valveMisplaced } from './valve-misplaced.ts';
import { purposeUnknown } from './purpose-unknown.ts';

/** Rules of this station, in the order in which they are told. */
export const PLUMB_RULES = [
  partUnfed,
  circuitsJoined,
  oneCircuit,
  masterShared,
  reservoirShared,
  portOpen,
  rolesSwapped,
  bothAxles,
  sidesCrossed,
  oneSide,
  handInFront,
  handTeed,
  actuatorPressure,
  slavesSized,
  reservoirLow,
  twinLeading,
  valveBackwards,
  valveMisplaced,
  masterDry,
  fedTwice,
  bleederLow,
  residualWrong,
  residualMissing,
  residualNeedless,
  residualDoubled,
  purposeUnknown,
  levelUnknown,
  freePlay,
  modulatorTuning,
  noParkingBrake,
] as const;
