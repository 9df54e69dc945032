import type { Vec3 } from '../../vec/index.ts';
import { flag, id, list, name, nullable, optional, place, record, text, written, type Field } from './field.ts';
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
  readonly looked?: Partial<Readonly<Record<GateLook, string>>>;
  /** What is ticked of its list. */
  readonly done?: readonly string[];
}
/** What is asked of every gate. Common practice. */
export const GATE_LOOKS = {
  photographed: 'Photographs: every joint, clip and hose inside, with a tape in the picture',
  bushes: 'Bushes worn or mounts cracked where lines hang?',
  later: 'A second line or a pull string wanted later?',
  holes: 'Holes left open, unused grommets?',
  forced: 'What is added later and would force something off again?',
} as const;
export type GateLook = keyof typeof GATE_LOOKS;
const LOOKED = Object.fromEntries(Object.keys(GATE_LOOKS).map((look) => [look, optional(text)])) as {
  readonly [K in GateLook]-?: { readonly type: 'optional' } & Field<string | undefined>;
};
export const GATE = record<Gate>()(
  {
    id,
    name,
    minMm: place,
    maxMm: place,
    closed: flag,
    on: optional(nullable(written(/^\d{4}-\d\d-\d\d$/, 'a day'))),
    looked: optional(record<NonNullable<Gate['looked']>>()(LOOKED)),
    done: optional(list(id, 1000)),
  },
  { check: cornersTrouble, about: { kind: 'gate', prefix: 'gate', noun: 'gate', named: ({ name }) => name } },
);
