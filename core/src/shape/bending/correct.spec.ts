import type { InputError } from '../../lib/faults/index.ts';
import { seeded, normal } from '../../lib/random/index.ts';
import { bendTable, unbend } from '../tube/index.ts';
import {
  addScaled,
  angleDeg,
  cross,
  distance,
  dot,
  sub,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';
import {
  bent,
  bestRoll,
  correct,
  goalOf,
  guide,
  homeWith,
  oneChange,
  readingOf,
  SLIP,
  type CorrectInput,
  type Guidance,
  type MadeBend,
  type Reading,
} from './index.ts';

/** A general minimizer, of npm's `fmin`. */
type Minimise = (
  of: (x: number[]) => number,
  from: number[],
  settings?: object,
) => { x: number[]; fx: number };
const { nelderMead } = jest.requireActual<{ nelderMead: Minimise }>('fmin');

const NODES: Vec3[] = [
  [0, 0, 0],
  [200, 0, 0],
  [200, 150, 0],
  [200, 150, 120],
  [420, 150, 160],
];
const CLR = 15;
const OD = 4.7625;
const CUT = 696.558;

/** The reading after a tube's last bend by another way: its nodes from the inverse bend table, then plain geometry. */
function byNodes(bends: readonly MadeBend[], cutMm: number): Reading {
  const arc = (deg: number): number => (CLR * deg * Math.PI) / 180;
  const ends = bends.map(({ markMm, bendDeg }) => markMm + arc(bendDeg));
  const { nodesMm } = unbend({
    startMm: [0, 0, 0],
    direction: [1, 0, 0],
    normal: [0, 0, 1],
    clrMm: CLR,
    tailMm: cutMm - ends.at(-1)!,
    bends: bends.map(({ markMm, rotateDeg, bendDeg }, i) => ({
      feedMm: markMm - (ends[i - 1] ?? 0),
      rotateDeg,
      bendDeg,
    })),
  });
  const [before, corner, tip] = nodesMm.slice(-3) as [Vec3, Vec3, Vec3];
  const along = unit(sub(tip, corner))!;
  const plane = unit(cross(sub(corner, before), sub(tip, corner)))!;
  const [toA, square] = [sub(nodesMm[0]!, corner), cross(plane, along)];
  return {
    endToBendMm: Math.abs(dot(toA, square)) + OD / 2,
    heightMm: Math.abs(dot(toA, plane)),
    tipToTipMm: distance(nodesMm[0]!, tip),
  };
}
const planned = bendTable({ nodesMm: NODES, clrMm: CLR }).bends;
const input = (readings: Reading[], more: Partial<CorrectInput> = {}): CorrectInput => ({
  nodesMm: NODES,
  clrMm: CLR,
  odMm: OD,
  cutMm: CUT,
  readings,
  sigmaMm: 0.5,
  reachMm: 2,
  ...more,
});
const readAll = (bends: readonly MadeBend[], of: typeof byNodes = byNodes): Reading[] =>
  bends.map((_, k) => of(bends.slice(0, k + 1), CUT));

describe('what the tape said after each bend', () => {
  test('a reading is what the nodes of the inverse bend table give', () => {
    const made = [
      { markMm: 183, rotateDeg: 0, bendDeg: 92 },
      { markMm: 330, rotateDeg: 86, bendDeg: 88 },
      { markMm: 440, rotateDeg: -80, bendDeg: 75 },
    ];
    for (let k = 1; k <= 3; k++) {
      const [mine, theirs] = [
        readingOf(bent(made.slice(0, k), CLR, CUT), [0, 0, 0], OD),
        byNodes(made.slice(0, k), CUT),
      ];
      for (const field of ['endToBendMm', 'heightMm', 'tipToTipMm'] as const)
        expect(mine[field]).toBeCloseTo(theirs[field], 9);
    }
  });

  test('a tube bent as planned is on, and nothing of it is to be changed', () => {
    const out = correct(input(readAll(planned.slice(0, 2))));
    expect(out.verdict).toBe('on');
    for (const { markOffMm, rotateOffDeg, bendOffDeg } of out.made)
      for (const off of [markOffMm, rotateOffDeg, bendOffDeg]) expect(off).toBeCloseTo(0, 5);
    expect(out.rest[0]!.markMm).toBeCloseTo(planned[2]!.markMm, 4);
    expect(out.rest[0]!.bendDeg).toBeCloseTo(planned[2]!.bendDeg, 4);
    expect(out.unmendedMissMm).toBeCloseTo(0, 5);
    // The tube is cut to what the line needs and this much over.
    expect(out.trimMm).toBeCloseTo(CUT - bendTable({ nodesMm: NODES, clrMm: CLR }).developedMm, 4);
  });

  test('no bends are more probable than those found: a general minimizer (fmin) finds none', () => {
    const off = [
      { ...planned[0]!, bendDeg: planned[0]!.bendDeg + 2.1 },
      { ...planned[1]!, markMm: planned[1]!.markMm - 1.4, rotateDeg: planned[1]!.rotateDeg + 2.5 },
    ];
    const readings = readAll(off);
    const { made } = correct(input(readings));
    const cost = ([m1, a1, m2, r2, a2]: number[]): number => {
      const bends = [
        { markMm: m1!, rotateDeg: 0, bendDeg: a1! },
        { markMm: m2!, rotateDeg: r2!, bendDeg: a2! },
      ];
      const square = (value: number, sigma: number): number => (value / sigma) ** 2;
      const read = bends.flatMap((_, k) => {
        const got = byNodes(bends.slice(0, k + 1), CUT);
        return (Object.keys(got) as (keyof Reading)[]).map((field) =>
          square(got[field] - readings[k]![field], 0.5),
        );
      });
      const slips = bends.flatMap((bend, k) => [
        square(bend.markMm - planned[k]!.markMm, 1),
        square(bend.rotateDeg - planned[k]!.rotateDeg, 2),
        square(bend.bendDeg - planned[k]!.bendDeg, 1.5),
      ]);
      return [...read, ...slips].reduce((sum, value) => sum + value, 0);
    };
    const mine = [
      made[0]!.markMm,
      made[0]!.bendDeg,
      made[1]!.markMm,
      made[1]!.rotateDeg,
      made[1]!.bendDeg,
    ];
    const start = [
      planned[0]!.markMm,
      planned[0]!.bendDeg,
      planned[1]!.markMm,
      planned[1]!.rotateDeg,
      planned[1]!.bendDeg,
    ];
    const found = nelderMead(cost, start, {
      maxIterations: 20_000,
      minErrorDelta: 1e-13,
      minTolerance: 1e-10,
    });
    expect(cost(mine)).toBeLessThanOrEqual(found.fx + 1e-7);
    mine.forEach((value, i) => expect(value).toBeCloseTo(found.x[i]!, 3));
    // What really was off is named: the first bend's angle, the second's turn.
    expect(made[0]!.bendOffDeg).toBeGreaterThan(1.5);
    expect(made[1]!.rotateOffDeg).toBeGreaterThan(1.5);
  });

  test('the new rest brings B home: bent so, the last straight runs through the port as planned', () => {
    const off = [
      { ...planned[0]!, bendDeg: planned[0]!.bendDeg + 3 },
      { ...planned[1]!, rotateDeg: planned[1]!.rotateDeg - 3 },
    ];
    const out = correct(input(readAll(off)));
    expect(out.verdict).toBe('mended');
    expect(out.unmendedMissMm).toBeGreaterThan(2);
    const { lastMm, way } = bent([...out.made, ...out.rest], CLR, CUT, {
      atMm: [0, 0, 0],
      direction: [1, 0, 0],
      normal: [
        0,
        -Math.sin((out.rollDeg * Math.PI) / 180),
        Math.cos((out.rollDeg * Math.PI) / 180),
      ],
    });
    const port = NODES.at(-1)!;
    expect(distance(addScaled(lastMm, way, dot(sub(port, lastMm), way)), port)).toBeLessThan(1e-4);
    expect(angleDeg(way, sub(port, NODES.at(-2)!))).toBeLessThan(1e-4);
  });

  test('with two bends left the changes are the smallest there are: no step along them is smaller', () => {
    const out = correct(input(readAll([{ ...planned[0]!, bendDeg: planned[0]!.bendDeg + 2 }])));
    const of = (x: readonly number[]): MadeBend[] =>
      [0, 3].map((i) => ({ markMm: x[i]!, rotateDeg: x[i + 1]!, bendDeg: x[i + 2]! }));
    const at = (bends: readonly MadeBend[]): number[] =>
      bends.flatMap((b) => [b.markMm, b.rotateDeg, b.bendDeg]);
    const start = at(planned.slice(1));
    const changes = (x: readonly number[]): number =>
      x.reduce((sum, v, i) => sum + (v - start[i]!) ** 2, 0);
    const port = NODES.at(-1)!;
    const cost = ([roll, ...x]: number[]): number => {
      const turn = (roll! * Math.PI) / 180;
      const { lastMm, way } = bent([...out.made, ...of(x)], CLR, CUT, {
        atMm: [0, 0, 0],
        direction: [1, 0, 0],
        normal: [0, -Math.sin(turn), Math.cos(turn)],
      });
      const miss = distance(addScaled(lastMm, way, dot(sub(port, lastMm), way)), port);
      return 1e6 * (miss ** 2 + angleDeg(way, sub(port, NODES.at(-2)!)) ** 2) + changes(x);
    };
    const mine = [out.rollDeg, ...at(out.rest)];
    const draw = normal(seeded(2));
    for (let i = 0; i < 20; i++) {
      const found = nelderMead(
        cost,
        mine.map((v) => v + draw()),
        { maxIterations: 4000 },
      );
      expect(cost(mine)).toBeLessThanOrEqual(found.fx + 1e-6);
    }
  });

  test('a made bend that no rest makes good is said: too far round with no bend left, or cut too short', () => {
    const off = planned.map((bend, i) => (i === 1 ? { ...bend, bendDeg: bend.bendDeg + 8 } : bend));
    expect(correct(input(readAll(off))).verdict).toBe('cannot');
    // All bends made as planned of a tube cut short: nothing is left to change.
    const cut = CUT - 25;
    const out = correct(
      input(
        planned.map((_, k) => byNodes(planned.slice(0, k + 1), cut)),
        { cutMm: cut },
      ),
    );
    const shortMm = bendTable({ nodesMm: NODES, clrMm: CLR }).developedMm - cut;
    expect([out.verdict, out.trimMm]).toEqual(['cannot', expect.closeTo(-shortMm, 0)]);
  });

  test('what cannot be is named at its place', () => {
    const fails = (with_: Partial<CorrectInput>): unknown => {
      try {
        return correct(input(readAll(planned.slice(0, 1)), with_)).verdict;
      } catch (error) {
        return (error as InputError).path;
      }
    };
    const one = readAll(planned.slice(0, 1))[0]!;
    expect(
      fails({
        nodesMm: [
          [0, 0, 0],
          [100, 0, 0],
        ],
      }),
    ).toBe('nodesMm');
    expect(fails({ readings: [one, one, one, one] })).toBe('readings[3]');
    expect(fails({ readings: [{ ...one, tipToTipMm: CUT + 1 }] })).toBe('readings[0].tipToTipMm');
    expect(fails({ cutMm: 640 })).toBe('cutMm');
  });
});

describe('offered up', () => {
  test('a bend that was taken too little is the one change that brings B home', () => {
    const goal = goalOf(NODES, planned, CLR, CUT);
    const made = planned.map((bend, k) =>
      k === 1 ? { ...bend, bendDeg: bend.bendDeg - 3 } : bend,
    );
    const { miss } = homeWith(made, 0, goal);
    const [best] = oneChange(made, miss, goal);
    expect(best).toEqual({
      bend: 1,
      kind: 'angle',
      byDeg: expect.closeTo(3, 1),
      leftMm: expect.closeTo(0, 1),
    });
    // A turn that was off is told from an angle.
    const turned = planned.map((bend, k) =>
      k === 2 ? { ...bend, rotateDeg: bend.rotateDeg + 4 } : bend,
    );
    const change = oneChange(turned, homeWith(turned, 0, goal).miss, goal)[0]!;
    expect(change).toEqual({
      bend: 2,
      kind: 'turn',
      byDeg: expect.closeTo(-4, 1),
      leftMm: expect.closeTo(0, 1),
    });
  });
});

/** How far short of its angle each bend is made at first, to be taken home when it has been read. */
const SHY_DEG = 3;
interface Making {
  readonly missMm: number;
  readonly said: boolean;
  readonly named: boolean;
}
/**
 * A bender that slips: 1 mm in marks, 2 degrees in turns, 1.5 degrees in angles over the whole of a
 * bend (so less over the little that one is taken further), 0.5 mm in readings. Each bend is read
 * while it is in the die and taken home by what the card says; at the end the tube is offered up.
 */
function makeAtRandom(seed: number): Making {
  const draw = normal(seeded(seed));
  const made: MadeBend[] = [];
  const aimed: MadeBend[] = [];
  const readings: Reading[] = [];
  const read = (): Reading => {
    const { endToBendMm, heightMm, tipToTipMm } = byNodes(made, CUT);
    const at = (mm: number): number => Math.min(CUT, Math.max(0, mm + draw() / 2));
    return { endToBendMm: at(endToBendMm), heightMm: at(heightMm), tipToTipMm: at(tipToTipMm) };
  };
  const further = (k: number, byDeg: number): void => {
    const bend = made[k]!;
    made[k] = {
      ...bend,
      bendDeg: bend.bendDeg + byDeg + draw() * SLIP.bendDeg * Math.sqrt(byDeg / bend.bendDeg),
    };
  };
  let rest: readonly MadeBend[] = planned;
  let last!: Guidance;
  for (let k = 0; k < planned.length; k++) {
    const { markMm, rotateDeg, bendDeg } = rest[0]!;
    aimed.push({ markMm, rotateDeg: k ? rotateDeg : 0, bendDeg: bendDeg - SHY_DEG });
    made.push({
      markMm: markMm + draw() * SLIP.markMm,
      rotateDeg: k ? rotateDeg + draw() * SLIP.rotateDeg : 0,
      bendDeg: bendDeg - SHY_DEG + draw() * SLIP.bendDeg,
    });
    for (let i = 0; i < 3; i++) {
      readings[k] = read();
      last = guide(input(readings), aimed);
      if (last.furtherDeg < 0.2) break;
      further(k, last.furtherDeg);
      aimed[k] = { ...aimed[k]!, bendDeg: last.made[k]!.bendDeg + last.furtherDeg };
    }
    readings[k] = read();
    last = guide(input(readings), aimed);
    rest = last.rest;
  }
  const goal = goalOf(NODES, planned, CLR, CUT);
  // Held at A and rolled for the best, as it is offered up; a bend may still go back into the die.
  const home = () => homeWith(made, bestRoll(made, goal), goal);
  for (let i = 0; i < 2 && home().missMm > 1; i++) {
    const change = oneChange(
      made,
      home().miss.map((v) => v + draw() / 2) as unknown as Vec3,
      goal,
    ).find(({ kind, byDeg }) => kind === 'angle' && byDeg > 0);
    if (!change || change.leftMm > home().missMm) break;
    further(change.bend, change.byDeg);
  }
  const { missMm } = home();
  const seen = Math.hypot(...home().miss.map((v) => v + draw() / 2));
  const largest = (of: number[]): number =>
    of.reduce((best, v, i) => (Math.abs(v) > Math.abs(of[best]!) ? i : best), 0);
  const slips = made.flatMap((bend, k) => [
    bend.markMm - aimed[k]!.markMm,
    (bend.rotateDeg - aimed[k]!.rotateDeg) / 2,
    (bend.bendDeg - aimed[k]!.bendDeg) / 1.5,
  ]);
  const found = last.made.flatMap((bend, k) => [
    bend.markMm - aimed[k]!.markMm,
    (bend.rotateDeg - aimed[k]!.rotateDeg) / 2,
    (bend.bendDeg - aimed[k]!.bendDeg) / 1.5,
  ]);
  return { missMm, said: seen > 2, named: largest(slips) === largest(found) };
}

test('a bender whose errors are known: in 95 of 100 makings B ends within 2 mm, or the card said that it cannot', () => {
  const runs = Array.from({ length: 100 }, (_, i) => makeAtRandom(i + 1));
  const good = runs.filter(({ missMm, said }) => said || missMm <= 2).length;
  const within = runs.filter(({ missMm }) => missMm <= 2).length;
  const named = runs.filter((run) => run.named).length;
  const said = runs.filter((run) => run.said).length;
  console.info(
    `Of 100 makings ${within} ended within 2 mm, of ${said} it was said that they would not (${good} in all); the largest slip was named in ${named}.`,
  );
  expect(good).toBeGreaterThanOrEqual(95);
});
