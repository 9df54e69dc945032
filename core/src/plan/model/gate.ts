import type { Vec3 } from '../../lib/vec/index.ts';
import {
  day,
  flag,
  id,
  name,
  nullable,
  optional,
  place,
  record,
  text,
  anyOf,
  told,
} from './field.ts';
import { cornersTrouble } from './thing.ts';

/** Something that closes access: the bed on, the dash in. */
export interface Gate {
  readonly id: string;
  readonly name: string;
  /** What it closes. */
  readonly minMm: Vec3;
  readonly maxMm: Vec3;
  readonly closed: boolean;
  /** Day on which it closes; not there while nobody has said. */
  readonly on?: string | null;
  /** What was looked at before it closes, in the user's words. */
  readonly looked?: Readonly<Partial<Record<GateLook, string>>>;
}
/** What is asked of every gate. Common practice. */
const GATE_LOOKS = {
  photographed: 'Photographs: every joint, clip and hose inside, with a tape in the picture',
  bushes: 'Bushes worn or mounts cracked where lines hang?',
  later: 'A second line or a pull string wanted later?',
  holes: 'Holes left open, unused grommets?',
  forced: 'Anything added later that would force parts off again?',
} as const;
export type GateLook = keyof typeof GATE_LOOKS;
/** What was found of each, where it was looked at. */
export const GATE_LOOKED = anyOf(GATE_LOOKS, text);
export const GATE_LOOK_KEYS = Object.keys(GATE_LOOKS) as readonly GateLook[];
export const GATE = record<Gate>()(
  {
    id,
    name,
    minMm: told('Lower corner', place),
    maxMm: told('Upper corner', place),
    closed: told('closed', flag),
    on: told('Closes on', optional(nullable(day))),
    looked: told('Checked before', optional(GATE_LOOKED)),
  },
  {
    check: cornersTrouble,
    about: { kind: 'gate', prefix: 'gate', noun: 'gate', named: ({ name }) => name },
  },
);
