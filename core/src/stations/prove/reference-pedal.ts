import type { PedalReading } from '../../plan/index.ts';

/** Forces within this share of one another are called equal. Ours, said to be a judgement: a foot on scales does no better. */
const EQUAL_SHARE = 0.1;

/** The newest reading of this vehicle beside the newest of the reference vehicle, felt alike. */
export interface PedalBeside {
  readonly own: PedalReading;
  readonly reference: PedalReading;
  /** How much longer this vehicle's pedal is, mm. */
  readonly longerMm: number;
}
/** Pedals that can be compared: engine, heat and force alike. Null where there is no such pair. */
export function besideReference(pedal: readonly PedalReading[]): PedalBeside | null {
  for (const own of pedal.filter(({ vehicle }) => vehicle === 'this').toReversed()) {
    const reference = pedal.findLast(
      (one) =>
        one.vehicle === 'reference' &&
        one.engine === own.engine &&
        one.hot === own.hot &&
        one.forceN !== null &&
        own.forceN !== null &&
        Math.abs(one.forceN - own.forceN) <= EQUAL_SHARE * own.forceN,
    );
    if (reference) return { own, reference, longerMm: own.travelMm - reference.travelMm };
  }
  return null;
}
