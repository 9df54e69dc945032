import { figure } from '../faults/index.ts';

/** mL in one US fluid ounce. Source: NIST SP 811 (29.5735 mL). */
export const ML_PER_US_FL_OZ = 29.5735;

/** A volume for the screen with its unit: `38.8 mL`, liters from 1,000 mL, or `1.3 fl oz`. */
export function formatVolume(ml: number, unit: 'mL' | 'fl oz' = 'mL'): string {
  if (unit === 'fl oz') return `${figure(ml / ML_PER_US_FL_OZ)} fl oz`;
  return ml >= 1000 ? `${figure(ml / 1000, 2)} L` : `${figure(ml, ml < 100 ? 1 : 0)} mL`;
}
