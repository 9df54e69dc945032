import type { Plan } from '../../plan/index.ts';
import { limitsOf } from '../../plan/results/index.ts';

/** Whether rules or makers ask a parking brake of such a vehicle, drawn or not. */
export const needsParking = ({ parking, sizing }: Plan): boolean =>
  parking !== null || (sizing !== null && limitsOf(sizing) !== null);
