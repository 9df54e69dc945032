import { id, name, record } from './field.ts';
import { KNOWN, type Known } from './place.ts';

/** A named place on the vehicle. Any point may serve as a datum for tapes. */
export interface Point {
  readonly id: string;
  readonly name: string;
  readonly known: Known;
}

export const POINT = record<Point>()(
  { id, name, known: KNOWN },
  { about: { kind: 'point', prefix: 'point', noun: 'point', named: ({ name }) => name } },
);
