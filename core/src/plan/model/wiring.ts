import {
  WIRE_JOBS,
  WIRE_NAMES,
  WIRE_SIZES,
  wireSizeName,
  type SupplyRun,
  type WireJob,
  type WireSize,
  type WireTest,
} from '../../physics/wheel-ends/index.ts';
import { choice, id, noted, nullable, number, oneOf, over, record, text, told } from './field.ts';

/** A wire of a trailer's actuator. */
export interface Wire {
  readonly id: string;
  readonly job: WireJob;
  readonly colour: string;
  readonly terminal: string;
  readonly volts: Readonly<Record<WireTest, number | null>>;
}

const volts = nullable(number(-50, 50));
/** Of vehicles on 12 and 24 V. */
const VOLTS = { unit: 'V', likely: [0, 30] } as const;
export const WIRE = record<Wire>()(
  {
    id,
    job: told('Function', oneOf(WIRE_JOBS, WIRE_NAMES)),
    colour: told('Color as found', text),
    terminal: told('Terminal', noted(text)),
    volts: told(
      'Volts',
      record<Wire['volts']>()({
        rest: told('At rest', volts, VOLTS),
        half: told('Half braking', volts, VOLTS),
        full: told('Full braking', volts, VOLTS),
        pulled: told('Breakaway pulled', volts, VOLTS),
      }),
    ),
  },
  {
    about: {
      kind: 'wire',
      prefix: 'wire',
      noun: 'wire',
      named: ({ job, colour }) => `${job} ${colour}`.trim(),
    },
  },
);
const WIRE_SIZE = choice(
  Object.fromEntries(
    (Object.keys(WIRE_SIZES) as WireSize[]).map((size) => [size, wireSizeName(size)]),
  ) as Record<WireSize, string>,
);
export const SUPPLY_RUN = record<SupplyRun>()({
  currentA: told('Current at most', nullable(over(1000)), { none: 'not known', usual: [1, 200] }),
  wayMm: told('Battery to actuator, one way', nullable(over(100_000)), {
    none: 'not measured',
    usual: [100, 30_000],
  }),
  wire: told('Supply wire', nullable(WIRE_SIZE), { none: 'not known' }),
  ground: told('Ground wire', nullable(WIRE_SIZE), { none: 'not known' }),
  breakerA: told('Breaker', nullable(over(1000)), { none: 'none', usual: [1, 200] }),
  breakerAtMm: told('Breaker from the battery', nullable(number(0, 100_000)), {
    none: 'not measured',
  }),
  mostDropV: told('Drop at most, by the sheet', nullable(over(50)), { none: 'not known' }),
});
