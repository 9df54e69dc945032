export { MM_PER, formatLength, formatLengthUnit, parseLength, type Parsed, type UnitSystem } from './length.ts';
export { formatDirection, formatMove, parseDirection, parseMove } from './move.ts';
export { parseQuantity, unitIn, type QuantityRead } from './quantity.ts';
export { ML_PER_US_FL_OZ, formatVolume } from './volume.ts';
export { formatTorque, parseTorque, type TorqueRead } from './torque.ts';
