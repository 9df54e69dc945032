import {
  choice,
  flag,
  id,
  nullable,
  number,
  oneOf,
  optional,
  over,
  record,
  text,
  time,
  told,
} from './field.ts';

export const LOCKED = ['none', 'front', 'rear'] as const;
export interface StopTest {
  readonly id: string;
  readonly at: string;
  readonly when: 'before' | 'after';
  readonly fromKmh: number;
  readonly distanceM: number;
  readonly locked: (typeof LOCKED)[number];
  /** Turns of the valve's adjuster from its stop; null: there is none, or it was not moved. */
  readonly valveTurns: number | null;
  /** Mean fully developed deceleration, where a decelerometer was at hand. */
  readonly mfddMs2?: number;
  /** What the vehicle slowed down by as the first axle locked. */
  readonly lockedAtMs2?: number;
  /** Grip of the road at its best. */
  readonly grip?: number;
  /** Laden; empty where it is not said. */
  readonly laden?: boolean;
  /** What was changed since the stop before, besides the valve. */
  readonly changed?: string;
}

export const STOP_TAKEN = record<StopTest>()(
  {
    id,
    at: told('Time', time),
    when: told('Bedded', choice({ before: 'Before', after: 'After' })),
    fromKmh: told('From', over(400), { usual: [1, 400], likely: [10, 160] }),
    distanceM: told('Stopping distance', over(10_000), { usual: [0.1, 10000], likely: [1, 200] }),
    locked: told(
      'Locked first',
      oneOf(LOCKED, { none: 'None locked', front: 'Front first', rear: 'Rear first' }),
    ),
    valveTurns: told('Valve turned in, turns', nullable(number(0, 100)), { likely: [0, 20] }),
    mfddMs2: told('Mean fully developed deceleration, m/s²', optional(over(30)), {
      none: 'no decelerometer',
      likely: [1, 12],
    }),
    lockedAtMs2: told('Deceleration as the axle locked, m/s²', optional(over(30)), {
      none: 'not read',
      likely: [0.5, 12],
    }),
    grip: told('Grip of the road', optional(over(2)), { none: 'as in Size', likely: [0.1, 1.2] }),
    laden: told('Laden', optional(flag)),
    changed: told('Changed since the stop before', optional(text)),
  },
  {
    about: {
      kind: 'stopTest',
      prefix: 'stop',
      noun: 'stop',
      named: ({ at, fromKmh }) => `Stop from ${fromKmh} km/h of ${at.slice(0, 10)}`,
    },
  },
);
