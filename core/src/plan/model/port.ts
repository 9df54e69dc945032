import { InputError } from '../../lib/faults/index.ts';
import { END_FORMS, SEAT_FORMS, type Half } from '../../trade/stock/index.ts';
import { threadOf } from '../../trade/threads/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import {
  byKind,
  direction,
  id,
  name,
  nullable,
  number,
  oneOf,
  optional,
  over,
  record,
  type FieldFault,
} from './field.ts';
import { POSITION_SOURCE, type PositionSource } from './position.ts';

/** Which half of a joint a port is, and how that is known. */
export interface Fitting {
  readonly half: Half;
  readonly how: 'measured' | 'sheet' | 'trusted';
  /** What vernier and pitch gauge said, where it was measured. */
  readonly readings: { readonly diameterMm: number; readonly pitchMm: number | null } | null;
}

export const PORT_ROLES = ['outlet', 'inlet', 'feed', 'bleeder', 'spare'] as const;
export type PortRole = (typeof PORT_ROLES)[number];
export interface Port {
  readonly id: string;
  readonly name: string;
  readonly role: PortRole;
  /** Out of the port: the way a tube leaves it. */
  readonly direction: Vec3;
  readonly known: PositionSource;
  /** Of a master's outlet: the residual valve built into it. */
  readonly residualMPa?: number;
  /** Thread and seat; null while nobody has looked. */
  readonly fitting: Fitting | null;
}

/** That a half's thread is one and comes with its form. */
function threadTrouble(half: Half): FieldFault | null {
  try {
    threadOf(half, '');
    return null;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { at: error.path.replace(/^\./, ''), message: error.message };
  }
}
/** A half of a joint. */
export const HALF = byKind<Half>()(
  'gender',
  { male: { thread: id, end: oneOf(END_FORMS) }, female: { thread: id, seat: oneOf(SEAT_FORMS) } },
  threadTrouble,
);
export const READINGS = record<NonNullable<Fitting['readings']>>()({
  diameterMm: over(1000),
  pitchMm: nullable(over(100)),
});
export const PORT = record<Port>()(
  {
    id,
    name,
    role: oneOf(PORT_ROLES),
    direction: direction(),
    known: POSITION_SOURCE,
    residualMPa: optional(number(0, 1)),
    fitting: nullable(
      record<Fitting>()({
        half: HALF,
        how: oneOf(['measured', 'sheet', 'trusted']),
        readings: nullable(READINGS),
      }),
    ),
  },
  { about: { kind: 'port', prefix: 'port', noun: 'port', named: ({ name }) => name } },
);
