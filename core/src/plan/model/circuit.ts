import type { Axle } from '../../physics/hydraulics/index.ts';
import { id, name, nullable, oneOf, record, told } from './field.ts';

export const CIRCUIT_INKS = ['fluid', 'copper', 'slate'] as const;
export interface Circuit {
  readonly id: string;
  readonly name: string;
  readonly work: 'brake' | 'clutch';
  readonly ink: (typeof CIRCUIT_INKS)[number];
  /** The axle its brakes stand on; null for both, for a clutch, or while it is not said. */
  readonly axle: Axle | null;
}

export const CIRCUIT = record<Circuit>()(
  {
    id,
    name,
    work: told('Work', oneOf(['brake', 'clutch'])),
    ink: told('Color', oneOf(CIRCUIT_INKS)),
    axle: told('Axle', nullable(oneOf(['front', 'rear']))),
  },
  { about: { kind: 'circuit', prefix: 'circuit', noun: 'circuit', named: ({ name }) => name } },
);
