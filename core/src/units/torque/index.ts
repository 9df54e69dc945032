// Apart from the rest, since the first screen needs none of it.
export { formatTorque, parseTorque, type TorqueRead } from '../torque.ts';
