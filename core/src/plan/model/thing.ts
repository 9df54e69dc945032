import {
  LININGS,
  NATURES,
  NATURE_NAMES,
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
  choice,
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
  told,
} from './field.ts';
import { type FieldFault } from './field-types.ts';
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
      section: told('Section', oneOf(SECTIONS)),
      pathMm: told('Path', path),
      widthMm: told('Across, level', over(10_000)),
      heightMm: told('Across, upright', over(10_000)),
      wallMm: told('Wall', over(1000)),
      opens: told('Open face looks', choice({ left: 'left', right: 'right' })),
    },
    block: { minMm: told('Lower corner', place), maxMm: told('Upper corner', place) },
    pipe: { pathMm: told('Path', path), diameterMm: told('Diameter', over(10_000)) },
    wheel: {
      centreMm: told('Center', place),
      axis: told('Axis', direction('Enter a wheel axis that is not zero.')),
      radiusMm: told('Radius', over(10_000)),
      widthMm: told('Width', over(10_000)),
    },
    mesh: {
      digest: told('File', id),
      scale: told('Scale', over(1000)),
      atMm: told('Position', place),
    },
  },
  (shape) => (shape.kind === 'block' ? cornersTrouble(shape) : null),
);
export const TRAVEL = record<Travel>()({
  heaveMm: told('Droop and bump', HEAVE),
  rollDeg: told('Roll each way', number(0, 45)),
  lockDeg: told('Lock each way', number(0, 80)),
  aboutMm: told('Pivot', place),
});
export const HOLE = record<Hole>()({
  atMm: told('Position', place),
  diameterMm: told('Across', over(1000)),
  lined: told(
    'Edge',
    oneOf(LININGS, { none: 'bare edge', grommet: 'grommet', bulkhead: 'bulkhead fitting' }),
  ),
});
export const THING = record<Thing>()(
  {
    id,
    name,
    kind: told('Kind', oneOf(THING_KINDS)),
    shape: told('Shape', SHAPE),
    nature: told('Role', oneOf(NATURES, NATURE_NAMES)),
    keepMm: told('Lines keep from it', number(0, 10_000)),
    holds: told('Lines may be clipped to it', flag),
    surfaceC: told('Surface temperature', nullable(number(-100, 2000))),
    travel: told('Movement', nullable(TRAVEL)),
    partId: told('Part', optional(nullable(ref('part', 'has as its body')))),
    holes: told('Holes', optional(list(HOLE, 50))),
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
