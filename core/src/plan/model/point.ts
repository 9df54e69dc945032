import { id, name, record, told } from './field.ts';
import { POSITION_SOURCE, type PositionSource } from './position.ts';

/** A named place on the vehicle. Any point may serve as a datum for tapes. */
export interface Point {
  readonly id: string;
  readonly name: string;
  readonly known: PositionSource;
}

export const POINT = record<Point>()(
  { id, name, known: told('Position', POSITION_SOURCE) },
  { about: { kind: 'point', prefix: 'point', noun: 'point', named: ({ name }) => name } },
);
