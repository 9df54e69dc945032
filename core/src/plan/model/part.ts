import type { FluidFamily } from '../../trade/stock/index.ts';
import {
  choice,
  flag,
  id,
  list,
  name,
  nullable,
  number,
  once,
  oneOf,
  optional,
  record,
  ref,
  told,
  yesNo,
} from './field.ts';
import { type FieldFault } from './field-types.ts';
import { PORT, type Port } from './port.ts';

export const PART_KINDS = [
  'master',
  'reservoir',
  'tee',
  'block',
  'proportioning-valve',
  'residual-valve',
  'combination-valve',
  'modulator',
  'handbrake-cylinder',
  'parking-valve',
  'metering-valve',
  'load-valve',
  'delay-valve',
  'clutch-damper',
  'pressure-switch',
  'dry-break',
  'caliper',
  'wheel-cylinder',
  'slave',
  'release-bearing',
  'actuator',
  'bracket',
  'other',
] as const;
export type PartKind = (typeof PART_KINDS)[number];

/** Figures that a part may have, and the kinds of part that have them. */
const FIGURE_KINDS = {
  ratingMPa: PART_KINDS,
  levelMm: ['master', 'reservoir'],
  reservoirMl: ['master', 'reservoir', 'actuator'],
  freePlayMm: ['master'],
  residualMPa: ['residual-valve'],
} as const satisfies Record<string, readonly PartKind[]>;
export type PartFigure = keyof typeof FIGURE_KINDS;
export type PartFigures = Readonly<Partial<Record<PartFigure, number>>>;
export const PART_FIGURES = record<PartFigures>()({
  ratingMPa: told('Rated pressure', optional(number(0.01, 200))),
  levelMm: told('Fluid level above ground, at the lower mark', optional(number(-1000, 10_000))),
  reservoirMl: told('Fluid between the two marks', optional(number(0, 10_000))),
  freePlayMm: told('Free play of the pushrod', optional(number(0, 50))),
  residualMPa: told('Residual pressure', optional(number(0.001, 1))),
});

export const figuresOf = (kind: PartKind): PartFigure[] =>
  (Object.keys(FIGURE_KINDS) as PartFigure[]).filter((figure) =>
    (FIGURE_KINDS[figure] as readonly PartKind[]).includes(kind),
  );

/** What its sheet, or a look at it, says yes or no to; what is not there is not known. */
const FACT_KINDS = {
  cupExpanders: ['wheel-cylinder'],
  thinFluid: ['modulator'],
  tuned: ['modulator'],
  copied: ['other'],
} as const satisfies Record<string, readonly PartKind[]>;
export type PartFact = keyof typeof FACT_KINDS;
export type PartFacts = Readonly<Partial<Record<PartFact, boolean>>>;
export const PART_FACTS = record<PartFacts>()({
  cupExpanders: told('Cups have expanders', optional(flag)),
  thinFluid: told('Sheet calls for low-viscosity fluid', optional(flag)),
  tuned: told('Its maker confirms the tuning for these brakes, tires and masses', optional(flag)),
  copied: told('Purpose not known: kept as found', optional(flag)),
});
export const factsOf = (kind: PartKind): PartFact[] =>
  (Object.keys(FACT_KINDS) as PartFact[]).filter((fact) =>
    (FACT_KINDS[fact] as readonly PartKind[]).includes(kind),
  );

/** What a master cylinder is worked by. */
export const PEDALS = [
  'foot',
  'clutch',
  'hand',
  'hand-left',
  'hand-right',
  'toe-left',
  'toe-right',
  'trailer',
] as const;
export type Pedal = (typeof PEDALS)[number];

export interface Part {
  readonly id: string;
  readonly name: string;
  readonly kind: PartKind;
  /** Fluid it holds besides its lines, reservoir included. */
  readonly cavityMl: number;
  /** What its sheet or its plate says; what is not there is not known. */
  readonly figures: PartFigures;
  readonly facts?: PartFacts;
  /** Stays on the vehicle as it is. */
  readonly kept?: boolean;
  /** Of a brake: the wheel it is in, a thing on the vehicle; the nearest to its ports where none is named. */
  readonly wheelId?: string | null;
  /** Of a brake: its axle and its side of the vehicle, where its position does not tell. */
  readonly axle?: 'front' | 'rear' | null;
  readonly side?: 'left' | 'right' | null;
  /** Of a caliper: slides on pins, so that its fluid inlet moves as the pads wear. */
  readonly slides?: boolean | null;
  /** Of a drum's cylinder: its drum has two leading shoes, and is made for this side. */
  readonly leadingOn?: 'left' | 'right' | null;
  /** Of a master or an actuator: what works it. Not there: as its circuit and its name have it. */
  readonly pedal?: Pedal | null;
  /** Fluid its seals are made for or that it has held; null where that is not known. */
  readonly family: FluidFamily | null;
  readonly ports: readonly Port[];
  /** Which of its ports are connected inside, where that is otherwise than in its kind: by gallery, the ids of its ports. */
  readonly passages?: readonly (readonly string[])[];
}

/** Each gallery is of the part's own ports, and each port is in one. */
function passagesFault({ ports, passages = [] }: Part): FieldFault | null {
  const own = new Set(ports.map((port) => port.id));
  const seen = new Set<string>();
  for (const [i, gallery] of passages.entries())
    for (const [k, port] of gallery.entries()) {
      if (!own.has(port))
        return {
          at: `passages[${i}][${k}]`,
          message: 'A gallery connects ports of one part only.',
        };
      if (seen.has(port))
        return {
          at: `passages[${i}][${k}]`,
          message: 'A port belongs to one gallery. Two galleries that share a port are one.',
        };
      seen.add(port);
    }
  return null;
}
export const PART = record<Part>()(
  {
    id,
    name,
    kind: told('Kind', oneOf(PART_KINDS)),
    cavityMl: told('Fluid in the part', number(0, 1e6)),
    figures: told('Figures', PART_FIGURES),
    facts: told('Facts', optional(PART_FACTS)),
    kept: told('Stays on the vehicle', optional(flag)),
    wheelId: told('Wheel of this brake', optional(nullable(ref('thing'))), {
      none: 'the nearest one',
    }),
    axle: told('Axle of this brake', optional(nullable(oneOf(['front', 'rear']))), {
      none: 'by its position',
    }),
    side: told('Side of the vehicle', optional(nullable(oneOf(['left', 'right']))), {
      none: 'by its position',
    }),
    slides: told('Caliper', optional(nullable(yesNo('slides on pins', 'is fixed'))), {
      none: 'not known',
    }),
    leadingOn: told(
      'Twin leading shoes',
      optional(nullable(choice({ left: 'made for the left', right: 'made for the right' }))),
      { none: 'no, or not known' },
    ),
    pedal: told(
      'Worked by',
      optional(
        nullable(
          choice({
            foot: 'brake pedal',
            clutch: 'clutch pedal or lever',
            hand: 'hand lever',
            'hand-left': 'hand lever, left wheel',
            'hand-right': 'hand lever, right wheel',
            'toe-left': 'left toe pedal',
            'toe-right': 'right toe pedal',
            trailer: 'trailer signal',
          }),
        ),
      ),
      { none: 'by circuit and name' },
    ),
    family: told(
      'Seals made for',
      nullable(
        choice({
          glycol: 'glycol (DOT 3, 4, 5.1)',
          silicone: 'silicone (DOT 5)',
          mineral: 'mineral oil',
        }),
      ),
      {
        none: 'not known',
      },
    ),
    ports: told('Ports', list(PORT, 200)),
    passages: told('Galleries', optional(list(once(ref('port'), 200), 50))),
  },
  {
    check: passagesFault,
    about: { kind: 'part', prefix: 'part', noun: 'part', named: ({ name }) => name },
  },
);
/** What a part is before anybody has said more of it. */
export const FRESH_PART = { figures: {}, family: null } as const;
