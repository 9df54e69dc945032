import type { FluidFamily } from '../../trade/stock/index.ts';
import {
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
  type Field,
  type FieldFault,
} from './field.ts';
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

interface FigureSpec {
  readonly kinds: readonly PartKind[] | 'all';
  readonly unit: 'length' | 'MPa' | 'mL';
  readonly least: number;
  readonly most: number;
}
/** Figures that a part may have, and the kinds of part that have them. */
export const PART_FIGURES = {
  ratingMPa: { kinds: 'all', unit: 'MPa', least: 0.01, most: 200 },
  levelMm: { kinds: ['master', 'reservoir'], unit: 'length', least: -1000, most: 10_000 },
  reservoirMl: { kinds: ['master', 'reservoir', 'actuator'], unit: 'mL', least: 0, most: 10_000 },
  freePlayMm: { kinds: ['master'], unit: 'length', least: 0, most: 50 },
  residualMPa: { kinds: ['residual-valve'], unit: 'MPa', least: 0.001, most: 1 },
} as const satisfies Record<string, FigureSpec>;

export type PartFigure = keyof typeof PART_FIGURES;
export type PartFigures = Readonly<Partial<Record<PartFigure, number>>>;

export const figuresOf = (kind: PartKind): PartFigure[] =>
  (Object.keys(PART_FIGURES) as PartFigure[]).filter((figure) => {
    const { kinds } = PART_FIGURES[figure] as FigureSpec;
    return kinds === 'all' || kinds.includes(kind);
  });

/** What its sheet, or a look at it, says yes or no to; what is not there is not known. */
export const PART_FACTS = {
  cupExpanders: { kinds: ['wheel-cylinder'] },
  thinFluid: { kinds: ['modulator'] },
  copied: { kinds: ['other'] },
} as const satisfies Record<string, { readonly kinds: readonly PartKind[] }>;
export type PartFact = keyof typeof PART_FACTS;
export type PartFacts = Readonly<Partial<Record<PartFact, boolean>>>;
export const factsOf = (kind: PartKind): PartFact[] =>
  (Object.keys(PART_FACTS) as PartFact[]).filter((fact) =>
    (PART_FACTS[fact].kinds as readonly PartKind[]).includes(kind),
  );

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
  /** Fluid its seals are made for or that it has held; null where that is not known. */
  readonly family: FluidFamily | null;
  readonly ports: readonly Port[];
  /** Which of its ports are connected inside, where that is otherwise than in its kind: by gallery, the ids of its ports. */
  readonly passages?: readonly (readonly string[])[];
}

const FIGURES = Object.fromEntries(
  Object.entries(PART_FIGURES).map(([figure, { least, most }]) => [
    figure,
    optional(number(least, most)),
  ]),
) as { readonly [K in PartFigure]-?: { readonly type: 'optional' } & Field<number | undefined> };

const FACTS = Object.fromEntries(Object.keys(PART_FACTS).map((fact) => [fact, optional(flag)])) as {
  readonly [K in PartFact]-?: { readonly type: 'optional' } & Field<boolean | undefined>;
};

/** Each gallery is of the part's own ports, and each port is in one. */
function passagesFault({ ports, passages = [] }: Part): FieldFault | null {
  const own = new Set(ports.map((port) => port.id));
  const seen = new Set<string>();
  for (const [i, gallery] of passages.entries())
    for (const [k, port] of gallery.entries()) {
      if (!own.has(port))
        return {
          at: `passages[${i}][${k}]`,
          message: 'A gallery connects ports of its own part alone.',
        };
      if (seen.has(port))
        return {
          at: `passages[${i}][${k}]`,
          message: 'A port is in one gallery: two that share it are one.',
        };
      seen.add(port);
    }
  return null;
}
export const PART = record<Part>()(
  {
    id,
    name,
    kind: oneOf(PART_KINDS),
    cavityMl: number(0, 1e6),
    figures: record<PartFigures>()(FIGURES),
    facts: optional(record<PartFacts>()(FACTS)),
    kept: optional(flag),
    family: nullable(oneOf(['glycol', 'silicone', 'mineral'])),
    ports: list(PORT, 200),
    passages: optional(list(once(ref('port'), 200), 50)),
  },
  {
    check: passagesFault,
    about: { kind: 'part', prefix: 'part', noun: 'part', named: ({ name }) => name },
  },
);
/** What a part is before anybody has said more of it. */
export const FRESH_PART = { figures: {}, family: null } as const;
