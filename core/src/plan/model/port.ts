import { InputError } from '../../lib/faults/index.ts';
import { END_FORMS, SEAT_FORMS, type Half } from '../../trade/stock/index.ts';
import { threadOf } from '../../trade/threads/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import {
  byKind,
  choice,
  direction,
  flag,
  id,
  name,
  nullable,
  number,
  oneOf,
  optional,
  over,
  record,
  told,
} from './field.ts';
import { type FieldFault } from './field-types.ts';
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
export const CORNERS = [
  'front-left',
  'front-right',
  'rear-left',
  'rear-right',
  'front',
  'rear',
] as const;
export type Corner = (typeof CORNERS)[number];
export interface Port {
  readonly id: string;
  readonly name: string;
  readonly role: PortRole;
  /** Out of the port: the way a tube leaves it. */
  readonly direction: Vec3;
  readonly known: PositionSource;
  /** Of a master's outlet: the residual valve built into it. */
  readonly residualMPa?: number;
  /** Of a master's feed: made for brake pressure, so that another master may press through it. */
  readonly takesPressure?: boolean;
  /** Of a modulator's outlet: the wheels it serves. Not there: as its name has it. */
  readonly serves?: Corner | null;
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
  {
    male: { thread: told('Thread', id), end: told('End', oneOf(END_FORMS)) },
    female: { thread: told('Thread', id), seat: told('Seat', oneOf(SEAT_FORMS)) },
  },
  threadTrouble,
);
export const READINGS = record<NonNullable<Fitting['readings']>>()({
  diameterMm: told('Diameter over the thread', over(1000), { unit: 'mm' }),
  pitchMm: told('Pitch', nullable(over(100)), { unit: 'mm' }),
});
export const FITTING = record<Fitting>()({
  half: told('Half of the joint', HALF),
  how: told(
    'Known by',
    choice({ measured: 'measuring it', sheet: 'the part’s sheet', trusted: 'trust' }),
  ),
  readings: told('Readings', nullable(READINGS)),
});
export const PORT = record<Port>()(
  {
    id,
    name,
    role: told('Role', oneOf(PORT_ROLES)),
    direction: told('Tube leaves toward', direction()),
    known: told('Position', POSITION_SOURCE),
    residualMPa: told('Residual valve built in', optional(number(0, 1)), { none: 'none' }),
    takesPressure: told('Feed is made for brake pressure', optional(flag)),
    serves: told(
      'Serves',
      optional(
        nullable(
          choice({
            'front-left': 'front left wheel',
            'front-right': 'front right wheel',
            'rear-left': 'rear left wheel',
            'rear-right': 'rear right wheel',
            front: 'front wheels',
            rear: 'rear wheels',
          }),
        ),
      ),
      { none: 'by its name' },
    ),
    fitting: told('Thread and seat', nullable(FITTING)),
  },
  { about: { kind: 'port', prefix: 'port', noun: 'port', named: ({ name }) => name } },
);

/** Ports that the ends of lines or hoses hold. */
export const portsHeldBy = (
  of: readonly {
    readonly ends: Readonly<Record<'a' | 'b', { readonly portId: string | null }>>;
  }[],
): ReadonlySet<string> =>
  new Set(
    of.flatMap(({ ends }) => [ends.a.portId, ends.b.portId]).filter((portId) => portId !== null),
  );
