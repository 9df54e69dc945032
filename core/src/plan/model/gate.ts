import type { Vec3 } from '../../lib/vec/index.ts';
import {
  flag,
  id,
  list,
  name,
  nullable,
  optional,
  place,
  record,
  text,
  written,
  type Field,
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
  readonly looked?: Partial<Readonly<Record<GateLook, string>>>;
  /** What is ticked of its list. */
  readonly done?: readonly string[];
}
/** What is asked of every gate, by name. */
export const GATE_LOOK_KEYS = ['photographed', 'bushes', 'later', 'holes', 'forced'] as const;
export type GateLook = (typeof GATE_LOOK_KEYS)[number];
const LOOKED = Object.fromEntries(GATE_LOOK_KEYS.map((look) => [look, optional(text)])) as {
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
  {
    check: cornersTrouble,
    about: { kind: 'gate', prefix: 'gate', noun: 'gate', named: ({ name }) => name },
  },
);
