import type { Bender, Card } from '../shape/tube/index.ts';
import {
  add,
  addScaled,
  cross,
  dot,
  rotate,
  scale,
  sub,
  unit,
  type Vec3,
} from '../lib/vec/index.ts';

/** A bender as a piece of iron: what it really does to tube, which the card can only know from test bends. */
export interface Iron {
  readonly dieRadiusMm: number;
  readonly referenceMm: number;
  readonly clampSide: Bender['clampSide'];
  /** What the tube keeps of a dialled angle. */
  readonly kept: (dialDeg: number) => number;
}
/** What a worker reads off the card, as exact or as rounded as it is given. */
export type Reading = (value: number) => number;

interface Formed {
  readonly startMm: number;
  readonly arcMm: number;
  readonly gotDeg: number;
}
const AXIS: Vec3 = [1, 0, 0];
const PLANE: Vec3 = [0, 0, 1];

function formed(card: Card, iron: Iron, read: Reading, readDeg: Reading): Formed[] {
  return card.bends.map((bend) => {
    const dial = readDeg(bend.dialDeg);
    const arcMm = (iron.dieRadiusMm * dial * Math.PI) / 180;
    const mark = read(bend.drawMarkMm);
    const startMm =
      iron.clampSide === 'a' ? mark + iron.referenceMm : mark - iron.referenceMm - arcMm;
    return { startMm, arcMm, gotDeg: iron.kept(dial) };
  });
}

/** From one tangent point to the next on an arc that turns `along` about `plane`. */
const round = (at: Vec3, along: Vec3, plane: Vec3, { arcMm, gotDeg }: Formed): Vec3 => {
  const r = arcMm / ((gotDeg * Math.PI) / 180);
  const center = addScaled(at, cross(plane, along), r);
  return add(center, rotate(sub(at, center), plane, gotDeg));
};

export interface MadeTube {
  readonly a: Vec3;
  readonly b: Vec3;
  /** Directions of the first two straights, to lay the tube between its ports. */
  readonly first: Vec3;
  readonly second: Vec3;
}

/** The bench of a hand bender: the tube stays put, the bender is walked along it and turned round it by the card's rotation. */
export function withHandBender(
  card: Card,
  iron: Iron,
  extraA: number,
  extraB: number,
  read: Reading = (v) => v,
  readDeg: Reading = read,
): MadeTube {
  let [at, along, plane]: Vec3[] = [[0, 0, 0], AXIS, PLANE];
  let run = extraA;
  let second: Vec3 = AXIS;
  formed(card, iron, read, readDeg).forEach((bend, i) => {
    at = addScaled(at!, along!, bend.startMm - run);
    plane = rotate(plane!, along!, readDeg(card.bends[i]!.rotateDeg));
    at = round(at, along!, plane, bend);
    along = rotate(along!, plane, bend.gotDeg);
    run = bend.startMm + bend.arcMm;
    if (i === 0) second = along;
  });
  const b = addScaled(at!, along!, read(card.stockCutMm) - read(card.trimMm) - extraB - run);
  return { a: [0, 0, 0], b, first: AXIS, second };
}

/** The bench of a bender that stays put: the tube is fed through it, turned in it, and its far end swings about the die. */
export function withFixedBender(
  card: Card,
  iron: Iron,
  extraA: number,
  extraB: number,
  read: Reading = (v) => v,
  readDeg: Reading = read,
): MadeTube {
  // What is formed already, in the die's own frame: the tube lies along x, the die turns it about z.
  let points: Vec3[] = [[0, 0, 0]];
  let ways: Vec3[] = [AXIS];
  let run = extraA;
  for (const [i, bend] of formed(card, iron, read, readDeg).entries()) {
    const feed = bend.startMm - run;
    const turn = readDeg(card.bends[i]!.tubeTurnDeg);
    points = points.map((p) => rotate([p[0] - feed, p[1], p[2]], AXIS, turn));
    ways = ways.map((way) => rotate(way, AXIS, turn));
    const end = round([0, 0, 0], AXIS, PLANE, bend);
    points = points.map((p) => rotate(sub(p, end), PLANE, -bend.gotDeg));
    ways = ways.map((way) => rotate(way, PLANE, -bend.gotDeg));
    if (i === 0) ways.push(AXIS);
    run = bend.startMm + bend.arcMm;
  }
  const b = scale(AXIS, read(card.stockCutMm) - read(card.trimMm) - extraB - run);
  return { a: points[0]!, b, first: ways[0]!, second: ways[1] ?? AXIS };
}

/** How far end B lands from its port when end A sits in its port and the first bend lies in its plane. */
export function missMm(tube: MadeTube, nodesMm: readonly Vec3[], firstBend: number): number {
  const local = (a: Vec3, b: Vec3, first: Vec3, second: Vec3): Vec3 => {
    const e1 = unit(first)!;
    const e3 = unit(cross(first, second)) ?? PLANE;
    const e2 = cross(e3, e1);
    const d = sub(b, a);
    return [dot(d, e1), dot(d, e2), dot(d, e3)];
  };
  const made = local(tube.a, tube.b, tube.first, tube.second);
  const wanted = local(
    nodesMm[0]!,
    nodesMm.at(-1)!,
    sub(nodesMm[firstBend]!, nodesMm[0]!),
    sub(nodesMm[firstBend + 1]!, nodesMm[firstBend]!),
  );
  return Math.hypot(...sub(made, wanted));
}
