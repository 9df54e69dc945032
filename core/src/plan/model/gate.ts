import type { Vec3 } from '../../vec/index.ts';
import { flag, id, name, place, record } from './field.ts';
import { cornersTrouble } from './thing.ts';

/** Something that closes access: the bed on, the dash in. */
export interface Gate {
  readonly id: string;
  readonly name: string;
  /** What it closes. */
  readonly minMm: Vec3;
  readonly maxMm: Vec3;
  readonly closed: boolean;
}
export const GATE = record<Gate>()(
  { id, name, minMm: place, maxMm: place, closed: flag },
  { check: cornersTrouble, about: { kind: 'gate', prefix: 'gate', noun: 'gate', named: ({ name }) => name } },
);
