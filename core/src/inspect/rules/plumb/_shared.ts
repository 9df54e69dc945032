import { figure } from '../../../lib/faults/index.ts';

/** Source: NIST SP 811, 1 psi = 6.894757 kPa. */
const MPA_PER_PSI = 0.006894757;
/** Residual valves trade by psi. */
export const psi = (mpa: number): string => `${figure(mpa / MPA_PER_PSI, 0)} psi`;
