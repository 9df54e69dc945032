import type { Symptom } from './fault-tables.ts';

/** The key under which a check of a circuit is recorded. */
export const checkKey = (circuitId: string, symptom: Symptom): string =>
  `check:${circuitId}/${symptom}`;
