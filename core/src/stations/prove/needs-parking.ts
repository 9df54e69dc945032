import { parkingLimit } from '../../physics/hydraulics/index.ts';
import type { Plan } from '../../plan/index.ts';

/** Whether rules or makers ask a parking brake of such a vehicle, drawn or not. */
export const needsParking = ({ parking, sizing }: Plan): boolean =>
  parking !== null || (sizing !== null && parkingLimit(sizing.category) !== null);
