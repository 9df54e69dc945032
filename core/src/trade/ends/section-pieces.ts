import type { FemaleHalf, MaleHalf, Thread } from '../stock/index.ts';
import { basicOf, TAPER, taperReach } from '../threads/index.ts';
import { FACE_MM, radiiOf, surfaceOf, type Surface } from './surface.ts';

/** A point of a half section: along the axis into the port, and away from the axis, mm. */
export type XR = readonly [xMm: number, rMm: number];
/** One piece of metal cut through, above the axis. */
export interface Piece {
  readonly role: 'port' | 'nut' | 'tube' | 'washer' | 'ring';
  readonly outline: readonly XR[];
}

/** Length of thread in a port and on a nut, in diameters; wall of a body; length of tube shown. Common practice. */
export const PORT_DIAMETERS = 0.95;
export const NUT_DIAMETERS = 0.9;
const BODY_MM = 3.5;
const TUBE_SHOWN_MM = 12;
const WASHER_MM = 1.5;
const EYE_MM = 8;
const HEAD_MM = 5;
/** Turns at a nut's front that carry no thread. */
const RELIEF_MM = 1;

/** Crests and roots between two places, outside for a male, inside for a female; `grow` is the change of radius along x. */
function zigzag(
  thread: Thread,
  fromMm: number,
  toMm: number,
  side: 'male' | 'female',
  phaseMm: number,
  growAt: (x: number) => number,
): XR[] {
  const { majorMm, minorMm } = basicOf(thread);
  const P = thread.pitchMm;
  const [outer, inner] =
    side === 'male' ? [majorMm / 2, minorMm / 2 - 0.05] : [majorMm / 2 + 0.05, minorMm / 2];
  const points: XR[] = [];
  const first = Math.ceil((fromMm - phaseMm) / (P / 2));
  for (let k = first; phaseMm + (k * P) / 2 <= toMm; k++) {
    const x = phaseMm + (k * P) / 2;
    points.push([x, (k % 2 === 0 ? outer : inner) + growAt(x)]);
  }
  return points;
}

const noGrow = (): number => 0;
/** Radius of a taper at x under its mouth, against its gauge plane there. */
export const taperAt = (thread: Thread): ((x: number) => number) =>
  thread.family === 'npt' || thread.family === 'rc' ? (x) => (-x * TAPER) / 2 : noGrow;
export const at = (surface: Surface, r: number, bottom: number): number =>
  bottom + surface.k * (r - surface.rInMm);

/** The port: thread, and what lies at its bottom, on its face or in its chamfer. */
export function femalePieces({ seat }: FemaleHalf, thread: Thread, bottomMm: number): Piece[] {
  const { boreMm, majorMm, minorMm } = radiiOf(thread);
  const surface = surfaceOf(seat, 'seat', thread);
  const depth = PORT_DIAMETERS * thread.dMm;
  const outer = majorMm + Math.max(BODY_MM, FACE_MM + 1);
  const end = bottomMm + 8;
  const lead: XR[] =
    surface.zone === 'chamfer'
      ? [
          [0, surface.rOutMm],
          [Math.abs(surface.k) * 0.5, surface.rInMm],
        ]
      : [[0, majorMm + 0.3]];
  const thread_ = zigzag(thread, 0.6, depth - 0.4, 'female', 0, taperAt(thread));
  const bottom: XR[] =
    surface.zone === 'bottom'
      ? [
          [depth, minorMm],
          [at(surface, surface.rOutMm, bottomMm), surface.rOutMm],
          [bottomMm, surface.rInMm],
        ]
      : [
          [depth, minorMm],
          [depth + 1.5, boreMm],
        ];
  const [tipX] = bottom.at(-1)!;
  const back = Math.max(end, tipX + 4);
  if (seat === 'flare-37' || seat === 'flare-45') {
    // A swivel or a sleeve: the nut turns round a tail that carries the cone.
    const [cone, nose] = bottom.slice(1) as [XR, XR];
    return [
      {
        role: 'port',
        outline: [
          [0, outer],
          ...lead,
          ...thread_,
          [depth, minorMm],
          [cone[0] + 0.6, minorMm],
          [cone[0] + 0.6, surface.rOutMm],
          [nose[0], boreMm + 1.2],
          [nose[0] + 2, boreMm + 1.2],
          [nose[0] + 2, outer],
        ],
      },
      {
        role: 'tube',
        outline: [
          cone,
          nose,
          [back + 6, boreMm],
          [back + 6, boreMm + 1.1],
          [nose[0], boreMm + 1.1],
          [cone[0] + 0.5, surface.rOutMm],
        ],
      },
    ];
  }
  return [
    {
      role: 'port',
      outline: [[0, outer], ...lead, ...thread_, ...bottom, [back, boreMm], [back, outer]],
    },
  ];
}

/** A flared tube with its nut behind it; `tip` is where the surface stands at the bore. */
function flaredTube(surface: Surface, thread: Thread, tipMm: number): Piece[] {
  const { boreMm, tubeMm, flareMm, majorMm } = radiiOf(thread);
  const wall = tubeMm - boreMm;
  const front = at(surface, surface.rInMm, tipMm);
  const edge = at(surface, flareMm, tipMm);
  // The flare is two walls thick where it is folded; its back is what the nut presses on.
  const back = Math.min(front, edge) - 2 * wall;
  const nutFront = back - 0.1;
  const nutBack = nutFront - NUT_DIAMETERS * thread.dMm - 3;
  const hex = nutBack - HEAD_MM;
  return [
    {
      role: 'tube',
      outline: [
        [front, boreMm],
        [edge, flareMm],
        [Math.max(back, edge - 1.6), flareMm],
        [back, tubeMm],
        [hex - TUBE_SHOWN_MM, tubeMm],
        [hex - TUBE_SHOWN_MM, boreMm],
      ],
    },
    {
      role: 'nut',
      outline: [
        [hex, tubeMm + 0.1],
        [nutFront, tubeMm + 0.1],
        [nutFront, Math.min(flareMm, majorMm - 0.4)],
        ...zigzag(thread, nutBack, nutFront - RELIEF_MM, 'male', 0, noGrow).reverse(),
        [nutBack, majorMm],
        [nutBack, majorMm + 1.2],
        [hex, majorMm + 1.2],
      ],
    },
  ];
}

/** A body with a thread in front: nose cone, plain tip, or taper. `shoulder` is where its collar stands. */
function threadedBody(
  thread: Thread,
  nose: readonly XR[],
  tipMm: number,
  shoulderMm: number,
  grow: (x: number) => number,
): XR[] {
  const { boreMm, majorMm } = radiiOf(thread);
  return [
    ...nose,
    ...zigzag(thread, shoulderMm + 0.3, tipMm - RELIEF_MM, 'male', 0, grow).reverse(),
    [shoulderMm, majorMm],
    [shoulderMm, majorMm + 1.8],
    [shoulderMm - HEAD_MM - 3, majorMm + 1.8],
    [shoulderMm - HEAD_MM - 3, boreMm],
  ];
}

const box = (
  role: Piece['role'],
  fromMm: number,
  toMm: number,
  inMm: number,
  outMm: number,
): Piece => ({
  role,
  outline: [
    [fromMm, inMm],
    [fromMm, outMm],
    [toMm, outMm],
    [toMm, inMm],
  ],
});

export function malePieces(
  { end }: MaleHalf,
  thread: Thread,
  bottomMm: number,
  tipInThreadMm: number,
): Piece[] {
  const { boreMm, majorMm, minorMm } = radiiOf(thread);
  const surface = surfaceOf(end, 'end', thread);
  const tip = 0.8 * thread.dMm;
  const plain = (x: number): XR[] => [
    [x, boreMm],
    [x, minorMm - 0.2],
  ];
  switch (end) {
    case 'double-flare-45':
    case 'bubble':
      return flaredTube(surface, thread, bottomMm);
    case 'cone-45':
    case 'cone-37': {
      const base = at(surface, surface.rOutMm, bottomMm);
      const nose: XR[] = [
        [bottomMm, surface.rInMm],
        [base, surface.rOutMm],
        [base - 0.6, minorMm - 0.2],
      ];
      return [
        {
          role: 'nut',
          outline: threadedBody(
            thread,
            nose,
            base - 0.6,
            Math.min(-1, base - PORT_DIAMETERS * thread.dMm - 1),
            noGrow,
          ),
        },
      ];
    }
    case 'banjo': {
      const eye = WASHER_MM + EYE_MM;
      return [
        { role: 'nut', outline: threadedBody(thread, plain(tip), tip, -eye - WASHER_MM, noGrow) },
        box('washer', -WASHER_MM, 0, surface.rInMm, surface.rOutMm),
        box('tube', -eye, -WASHER_MM, majorMm + 0.3, surface.rOutMm + 1),
        box('washer', -eye - WASHER_MM, -eye, surface.rInMm, surface.rOutMm),
      ];
    }
    case 'flat':
      return [
        { role: 'nut', outline: threadedBody(thread, plain(tip), tip, -WASHER_MM, noGrow) },
        box('washer', -WASHER_MM, 0, surface.rInMm, surface.rOutMm),
      ];
    case 'o-ring-boss': {
      const ring = Array.from({ length: 24 }, (_, i): XR => {
        const a = (2 * Math.PI * i) / 24;
        return [1.1 + 1.1 * Math.cos(a), majorMm - 0.2 + 0.8 * Math.sin(a)];
      });
      return [
        { role: 'nut', outline: threadedBody(thread, plain(tip), tip, 0, noGrow) },
        { role: 'ring', outline: ring },
      ];
    }
    case 'npt-taper':
    case 'bspt-taper': {
      const { beforeMm, behindMm } = taperReach(thread);
      // At its gauge plane, `before` from its tip, the male has its basic size.
      const grow = (x: number): number => ((tipInThreadMm - beforeMm - x) * TAPER) / 2;
      const shoulder = tipInThreadMm - beforeMm - behindMm - 1.5;
      return [
        {
          role: 'nut',
          outline: threadedBody(
            thread,
            [
              [tipInThreadMm, boreMm],
              [tipInThreadMm, minorMm - 0.4],
            ],
            tipInThreadMm,
            shoulder,
            grow,
          ),
        },
      ];
    }
  }
}
