import {
  LININGS,
  NATURES,
  SECTIONS,
  THING_KINDS,
  type Hole,
  type Shape,
  type Thing,
  type Travel,
} from '../../shape/obstacles/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import {
  byKind,
  direction,
  flag,
  id,
  list,
  name,
  nullable,
  number,
  oneOf,
  optional,
  over,
  place,
  record,
  ref,
  type FieldFault,
} from './field.ts';
import { HEAVE } from './hose.ts';

/** Of two corners, the second lies nowhere before the first. */
export function cornersTrouble({
  minMm,
  maxMm,
}: {
  readonly minMm: Vec3;
  readonly maxMm: Vec3;
}): FieldFault | null {
  const axis = minMm.findIndex((low, i) => low > maxMm[i]!);
  return axis < 0
    ? null
    : {
        at: `maxMm[${axis}]`,
        message: `This corner lies at ${maxMm[axis]} mm and the lower one at ${minMm[axis]}: swap them.`,
      };
}
const path = list(place, 200, 2);
export const SHAPE = byKind<Shape>()(
  'kind',
  {
    bar: {
      section: oneOf(SECTIONS),
      pathMm: path,
      widthMm: over(10_000),
      heightMm: over(10_000),
      wallMm: over(1000),
      opens: oneOf(['left', 'right']),
    },
    block: { minMm: place, maxMm: place },
    pipe: { pathMm: path, diameterMm: over(10_000) },
    wheel: {
      centreMm: place,
      axis: direction('A wheel turns about an axis: this one has no length.'),
      radiusMm: over(10_000),
      widthMm: over(10_000),
    },
    mesh: { digest: id, scale: over(1000), atMm: place },
  },
  (shape) => (shape.kind === 'block' ? cornersTrouble(shape) : null),
);
export const TRAVEL = record<Travel>()({
  heaveMm: HEAVE,
  rollDeg: number(0, 45),
  lockDeg: number(0, 80),
  aboutMm: place,
});
export const HOLE = record<Hole>()({ atMm: place, diameterMm: over(1000), lined: oneOf(LININGS) });
export const THING = record<Thing>()(
  {
    id,
    name,
    kind: oneOf(THING_KINDS),
    shape: SHAPE,
    nature: oneOf(NATURES),
    keepMm: number(0, 10_000),
    holds: flag,
    surfaceC: nullable(number(-100, 2000)),
    travel: nullable(TRAVEL),
    partId: optional(nullable(ref('part', 'has as its body'))),
    holes: optional(list(HOLE, 50)),
  },
  {
    about: {
      kind: 'thing',
      prefix: 'thing',
      noun: 'thing on the vehicle',
      named: ({ name }) => name,
    },
  },
);
