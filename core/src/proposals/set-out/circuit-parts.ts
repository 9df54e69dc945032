import type { Part, PartKind, Port } from '../../plan/index.ts';
import { STILL, type Motion } from '../../shape/rod/index.ts';
import { addScaled, type Vec3 } from '../../lib/vec/index.ts';
import type { Answers } from './answers.ts';
import type { Dimensions } from './dimensions.ts';
import type { Sketch } from '../layouts/index.ts';
import { AXLE_MM, HEAVE, KINGPIN_MM, LOCK_DEG, ROLL_DEG } from './thing-shapes.ts';

export const FORE: Vec3 = [-1, 0, 0];
export const AFT: Vec3 = [1, 0, 0];
export const UP: Vec3 = [0, 0, 1];
export const DOWN: Vec3 = [0, 0, -1];
export const LEFT: Vec3 = [0, -1, 0];
export const RIGHT: Vec3 = [0, 1, 0];
export type Side = -1 | 1;
export const SIDES: readonly Side[] = [-1, 1];
const sideName = (side: Side): string => (side < 0 ? 'left' : 'right');
const inward = (side: Side): Vec3 => (side < 0 ? RIGHT : LEFT);
export const named = (part: Part, name: string): Port =>
  part.ports.find((port) => port.name === name)!;
export const HOSE = 'ptfe-3';
/** Fluid of a master's own reservoir, and its play at rest. Common practice; its sheet comes first. */
const RESERVOIR_ML = 120;
export const FREE_PLAY_MM = 1;
export const BRACKET = 'hose end at bracket';
const kindOf = (brake: Answers['front']): PartKind =>
  brake === 'drum' ? 'wheel-cylinder' : 'caliper';

/** What is on an axle goes along with it: between bracket and brake there is slide and lock alone. */
const ON_THE_AXLE = { heaveMm: [0, 0], rollDeg: 0 } as const;

export interface Axle {
  readonly xMm: number;
  readonly name: string;
  readonly trackMm: number;
  readonly brake: Answers['front'];
  readonly isSolid: boolean;
  readonly steers: boolean;
}
/** A run that still has to be joined: where from. */
export interface From {
  readonly part: Part;
  readonly port: string;
  readonly circuitId: string;
  readonly letter: string;
}

export const SLIDES_MM = 4;
/** What is mounted on an axle stands so far over its middle. */
const ON_AXLE_MM = AXLE_MM / 2 + 15;
/** How a brake moves against the frame: with an arm of its own or with a solid axle. */
function motionOf(
  d: Dimensions,
  { xMm, trackMm, brake, isSolid, steers }: Axle,
  side: Side,
): Motion {
  const center: Vec3 = [xMm, (side * trackMm) / 2, d.hubMm];
  const slides = { floatMm: brake === 'sliding' ? SLIDES_MM : 0, floatAxis: RIGHT };
  const steer = steers
    ? {
        aboutMm: [xMm, side * (trackMm / 2 - KINGPIN_MM), d.hubMm] as Vec3,
        axis: UP,
        lockDeg: [-LOCK_DEG, LOCK_DEG] as const,
      }
    : null;
  const common = { ...STILL, ...slides, heaveMm: HEAVE, measuredAtMm: center, steer };
  return isSolid
    ? {
        ...common,
        kind: 'axle',
        rollDeg: ROLL_DEG,
        aboutMm: [xMm, 0, d.hubMm],
        measuredAtMm: [xMm, 0, d.hubMm],
      }
    : {
        ...common,
        kind: 'corner',
        aboutMm: [xMm, side * Math.min(d.rail.acrossMm, 0.25 * trackMm), d.hubMm + 20],
      };
}

/** Where a brake takes its fluid: at the inner side of its wheel, behind the axle. */
const brakeAt = (d: Dimensions, { xMm, trackMm, brake }: Axle, side: Side): Vec3 => [
  xMm + (brake === 'drum' ? 10 : 90),
  side * (trackMm / 2 - 0.5 * d.tyreWidthMm - 70),
  d.hubMm + 50,
];

/** A brake behind a hose from a bracket on the rail beside it. */
export function addHosedBrake(
  s: Sketch,
  d: Dimensions,
  axle: Axle,
  side: Side,
  circuitId: string,
): Part {
  const x = axle.xMm + 70;
  const at: Vec3 = [x, side * (d.rail.acrossMm + 10), d.rail.topAt(x) + 65];
  const seat = brakeAt(d, axle, side);
  const part = s.put(kindOf(axle.brake), `${axle.name} ${sideName(side)}`, {
    [BRACKET]: [at, inward(side)],
    bleeder: [addScaled(seat, UP, 45), UP],
  });
  s.hose(
    `To ${part.name.toLowerCase()}`,
    circuitId,
    HOSE,
    { port: named(part, BRACKET), through: true },
    { atMm: seat, direction: inward(side) },
    ['bulkhead', 'banjo-45'],
    motionOf(d, axle, side),
  );
  return part;
}

/** A tee with a line to each of two brakes, fed from a port. */
export function addTee(
  s: Sketch,
  from: From,
  tee: Part,
  brakes: readonly Part[],
  outlets: readonly [string, string],
): void {
  s.line(from.part, from.port, tee, 'inlet', from.circuitId, from.letter);
  for (const [i, brake] of brakes.entries())
    s.line(tee, outlets[i]!, brake, brake.ports[0]!.name, from.circuitId, from.letter);
}

/** Both brakes of an axle behind a tee on the member beside it. */
function independent(s: Sketch, d: Dimensions, axle: Axle, from: From): void {
  const isFront = axle.xMm === 0;
  const x = isFront ? 250 : axle.xMm - (d.answers.engine === 'rear' ? 640 : 140);
  const z = isFront ? d.rail.midAt(x) : d.rail.topAt(x) + 40;
  const tee = s.put('tee', `${axle.name} tee`, {
    inlet: [[x, -60, z], isFront ? AFT : FORE],
    left: [[x - 25, -95, z], LEFT],
    right: [[x - 25, -25, z], RIGHT],
  });
  const brakes = SIDES.map((side) => addHosedBrake(s, d, axle, side, from.circuitId));
  addTee(s, from, tee, brakes, ['left', 'right']);
}

/** One hose from the frame to a tee on a solid axle, and tube along the axle. */
export function solid(s: Sketch, d: Dimensions, axle: Axle, from: From): void {
  const isFront = axle.xMm === 0;
  const bracketX = isFront ? 190 : axle.xMm - 130;
  const away = d.answers.exhaust === 'left' ? 1 : -1;
  const bracketAt: Vec3 = [
    bracketX,
    180 * away,
    isFront ? d.rail.midAt(bracketX) : d.rail.topAt(bracketX) + 50,
  ];
  const bracket = s.put('bracket', `${axle.name} hose bracket`, {
    'near side': [bracketAt, isFront ? AFT : FORE],
  });
  const teeAt: Vec3 = [axle.xMm, 150 * away, d.hubMm + ON_AXLE_MM];
  const tee = s.put('tee', `${axle.name} tee`, {
    inlet: [teeAt, UP],
    left: [addScaled(teeAt, LEFT, 30), LEFT],
    right: [addScaled(teeAt, RIGHT, 30), RIGHT],
  });
  s.line(from.part, from.port, bracket, 'near side', from.circuitId, from.letter);
  s.hose(
    `Frame to ${tee.name.toLowerCase()}`,
    from.circuitId,
    HOSE,
    { port: named(bracket, 'near side'), through: true },
    { port: named(tee, 'inlet') },
    ['bulkhead', 'angled-90'],
    { ...motionOf(d, axle, -1), floatMm: 0, steer: null },
  );
  for (const side of SIDES) {
    // A brake that slides or steers on its axle has a hose of its own.
    const slides = axle.brake === 'sliding' || axle.steers;
    const [x, y, z] = brakeAt(d, axle, side);
    const name = `${axle.name} ${sideName(side)}`;
    // A tube on the axle ends at a bracket where the caliper slides, and in the brake itself where it does not.
    const endAt: Vec3 = slides
      ? [axle.xMm + 30, y - side * 220, d.hubMm + ON_AXLE_MM]
      : [axle.xMm, y, d.hubMm + ON_AXLE_MM];
    const part = s.put(kindOf(axle.brake), name, {
      [slides ? BRACKET : 'inlet']: [endAt, inward(side)],
      bleeder: [[x, y, z + 60], UP],
    });
    if (slides)
      s.hose(
        `To ${name.toLowerCase()}`,
        from.circuitId,
        HOSE,
        { port: part.ports[0]!, through: true },
        { atMm: [x, y, z], direction: inward(side) },
        ['bulkhead', 'banjo-45'],
        { ...motionOf(d, axle, side), ...ON_THE_AXLE },
      );
    s.line(tee, sideName(side), part, part.ports[0]!.name, from.circuitId, from.letter);
  }
}

export const axleOf = (s: Sketch, d: Dimensions, axle: Axle, from: From): void =>
  axle.isSolid ? solid(s, d, axle, from) : independent(s, d, axle, from);

/** Makes the masters. Those under the floor draw from a reservoir on the bulkhead, by hoses. */
export function mastersOf(
  s: Sketch,
  d: Dimensions,
  names: readonly (readonly [name: string, outlets: readonly string[]])[],
): Part[] {
  const { masterAt } = d.answers;
  const isLow = masterAt.startsWith('floor');
  const side: Side = masterAt.endsWith('left') ? -1 : 1;
  return names.map(([name, outlets], i) => {
    const x = isLow ? 620 : d.bulkheadMm - 60;
    const y =
      side *
      (isLow
        ? d.rail.acrossMm + d.rail.widthMm / 2 + 60 + 75 * i
        : Math.max(d.rail.acrossMm, 300) - 20 - 75 * i);
    const z = isLow ? d.rail.midAt(x) + 10 : d.rail.topAt(x) + 280;
    const at = (k: number): Vec3 => [x - 65 * k, y, z];
    const out = isLow ? FORE : inward(side);
    const feeds = isLow
      ? outlets.map(
          (outlet, k) => [feedName(outlet, outlets), [addScaled(at(k), UP, 40), UP]] as const,
        )
      : [];
    const made = s.put('master', name, {
      ...Object.fromEntries(
        outlets.map(
          (outlet, k) =>
            [
              outlet,
              [isLow ? addScaled(addScaled(at(0), FORE, 90), inward(side), 40 * k) : at(k), out],
            ] as const,
        ),
      ),
      ...Object.fromEntries(feeds),
    });
    const part = s.change({
      ...made,
      figures: {
        freePlayMm: FREE_PLAY_MM,
        ...(isLow ? {} : { reservoirMl: RESERVOIR_ML, levelMm: z + 90 }),
      },
      ports: made.ports.map((port) => ({
        ...port,
        role: feeds.some(([feed]) => feed === port.name) ? 'feed' : 'outlet',
      })),
    });
    return part;
  });
}
const feedName = (outlet: string, outlets: readonly string[]): string =>
  outlets.length > 1 ? outlet.replace('outlet', 'feed') : 'feed';

/** A reservoir over masters that have none of their own, with a chamber for each. */
export function addFeed(
  s: Sketch,
  d: Dimensions,
  masters: readonly Part[],
  circuitOf: (feed: Port) => string,
): void {
  const feeds = masters.flatMap((part) => part.ports.filter(({ role }) => role === 'feed'));
  if (!feeds.length) return;
  const side: Side = d.answers.masterAt.endsWith('left') ? -1 : 1;
  for (const [i, feed] of feeds.entries()) {
    const [x, y] = feed.known.atMm;
    const z = d.rail.topAt(x) + 330;
    const bottle = s.put('reservoir', feeds.length > 1 ? `Reservoir ${i + 1}` : 'Reservoir', {
      feed: [[d.bulkheadMm - 60 - 80 * i, y + side * 10, z], DOWN],
    });
    s.change({ ...bottle, figures: { reservoirMl: RESERVOIR_ML, levelMm: z + 60 } });
    s.hose(
      `Feed from ${bottle.name.toLowerCase()}`,
      circuitOf(feed),
      'feed-8',
      { port: named(bottle, 'feed') },
      { port: feed },
      ['barb-8', 'barb-8'],
      STILL,
    );
  }
}
