export { FLARES, NUTS, nutById, nutFitsTube, type FlareForm, type TubeNut } from './ends.ts';
export { boltThread, boltThreadName, type BoltThread } from './bolt-thread.ts';
export { FLUIDS, fluidById, type Fluid, type FluidFamily } from './fluids.ts';
export {
  MATERIAL_NAMES,
  REFUSED_TUBE,
  TUBES,
  tubeById,
  tubeBoreMm,
  tubeLabel,
  tubeVolumeMl,
  type TubeMaterial,
  type TubeStock,
} from './tubes.ts';
export {
  END_FORMS,
  END_NAMES,
  formsSeal,
  SEAT_FORMS,
  SEAT_NAMES,
  threadTakes,
  type EndForm,
  type FemaleHalf,
  type MaleHalf,
  type SeatForm,
} from './joints.ts';
export {
  comesAs,
  isTaper,
  threadByName,
  THREADS,
  type Gender,
  type Thread,
  type ThreadFamily,
} from './threads.ts';
export {
  ADAPTERS,
  adapterById,
  halfWords,
  isPipeFitting,
  type Adapter,
  type Half,
} from './adapters.ts';
export {
  HOSE_CLASS_NAMES,
  HOSE_FITTINGS,
  hoseById,
  hoseFittingById,
  hoseMlPerM,
  allowedMlPerM,
  HOSES,
  type HoseClass,
  type HoseFitting,
  type HoseFittingKind,
  type HoseStock,
  HOSE_HOLDS_MPA,
  TWIST_BY_BEND,
} from './hoses.ts';
