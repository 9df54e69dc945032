import { threadByName, type FemaleHalf, type MaleHalf, type Thread } from '../stock/index.ts';
import { basicOf, fit, TAPER, taperReach } from '../threads/index.ts';
import { degrees } from '../../lib/vec/index.ts';
import { touch, type Touch } from './contact.ts';
import { FACE_MM, INVERTED_SEAT_DEG, radiiOf, surfaceOf, type Surface } from './surface.ts';

/** A point of a half section: along the axis into the port, and away from the axis, mm. */
export type XR = readonly [xMm: number, rMm: number];
/** One piece of metal cut through, above the axis. */
export interface Piece {
  readonly role: 'port' | 'nut' | 'tube' | 'washer' | 'ring';
  readonly outline: readonly XR[];
}
export interface Section {
  /** The port's mouth is at x = 0. */
  readonly female: readonly Piece[];
  /** Drawn where the surfaces would meet. */
  readonly male: readonly Piece[];
  /** How far short of meeting the thread lets the male come, mm. */
  readonly shortMm: number;
  readonly touch: Touch;
  /** The touching surface as a line in the section, where there is one. */
  readonly contactLine: readonly [XR, XR] | null;
  /** How steep each surface stands to the axis, degrees; null for a face and for a thread. */
  readonly endDeg: number | null;
  readonly seatDeg: number | null;
}

/** Length of thread in a port and on a nut, in diameters; wall of a body; length of tube shown. Common practice. */
const PORT_DIAMETERS = 0.95;
const NUT_DIAMETERS = 0.9;
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
const taperAt = (thread: Thread): ((x: number) => number) =>
  thread.family === 'npt' || thread.family === 'rc' ? (x) => (-x * TAPER) / 2 : noGrow;

const steepDeg = ({ k }: Surface): number | null =>
  k === 0 ? null : degrees(Math.atan(1 / Math.abs(k)));
const at = (surface: Surface, r: number, bottom: number): number =>
  bottom + surface.k * (r - surface.rInMm);

/** The port: thread, and what lies at its bottom, on its face or in its chamfer. */
function femalePieces({ seat }: FemaleHalf, thread: Thread, bottomMm: number): Piece[] {
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

function malePieces(
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

/** How far short of home the thread stops the male: nothing where it holds, the whole way where it does not start. */
function shortOf(male: Thread, female: Thread, wayMm: number): number {
  const { starts, samePitch, overlap, turnsToBind } = fit(male, female);
  if (!starts) return overlap <= 0 ? 0 : wayMm;
  if (samePitch || turnsToBind === null) return 0;
  return Math.max(0, wayMm - turnsToBind * male.pitchMm);
}

function lineOf(
  { contact }: Touch,
  seat: Surface,
  bottomMm: number,
  female: Thread,
): readonly [XR, XR] | null {
  if (!contact) return null;
  if (contact.zone === 'thread') {
    const r = basicOf(female).pitchDiameterMm / 2;
    const grow = taperAt(female);
    return [
      [contact.fromMm, r + grow(contact.fromMm)],
      [contact.toMm, r + grow(contact.toMm)],
    ];
  }
  const x = (r: number): number =>
    contact.zone === 'bottom'
      ? at(seat, r, bottomMm)
      : seat.k === 0
        ? 0
        : (r - seat.rOutMm) * seat.k;
  return [
    [x(contact.fromMm), contact.fromMm],
    [x(contact.toMm), contact.toMm],
  ];
}

/** Two halves of a joint cut through along their axis, to scale, from the standards' angles and diameters. */
export function section(male: MaleHalf, female: FemaleHalf): Section {
  const [m, f] = [threadByName(male.thread)!, threadByName(female.thread)!];
  const touched = touch(male, female);
  const [end, seat] = [surfaceOf(male.end, 'end', m), surfaceOf(female.seat, 'seat', f)];
  // Deep enough that a raised seat does not stand in the thread.
  const bottomMm =
    PORT_DIAMETERS * f.dMm +
    (seat.zone === 'bottom' && seat.k > 0 ? 0.6 : 1.2) -
    Math.min(0, seat.k) * (seat.rOutMm - seat.rInMm);
  // Where both end at the bottom, the male goes until the first radii meet; else until its collar stands on the face.
  const meets = Math.max(end.rInMm, seat.rInMm);
  const parts = Math.min(end.rOutMm, seat.rOutMm);
  const home = Math.min(...[meets, parts].map((r) => at(seat, r, bottomMm) - at(end, r, 0)));
  const tip = touched.tipMm ?? 0.8 * f.dMm;
  const way = end.zone === 'bottom' ? home : tip;
  return {
    female: femalePieces(female, f, bottomMm),
    male: malePieces(male, m, end.zone === 'bottom' ? home : bottomMm, tip),
    shortMm: shortOf(m, f, Math.min(way, NUT_DIAMETERS * m.dMm)),
    touch: touched,
    contactLine: lineOf(touched, seat, bottomMm, f),
    endDeg: steepDeg(end),
    seatDeg: female.seat === 'inverted-flare-45' ? INVERTED_SEAT_DEG : steepDeg(seat),
  };
}
