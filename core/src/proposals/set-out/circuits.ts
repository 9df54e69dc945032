import type { Circuit, Part, PartKind, Plan, Port } from '../../plan/index.ts';
import type { Motion } from '../../shape/rod/index.ts';
import { addScaled, type Vec3 } from '../../lib/vec/index.ts';
import type { Answers } from './answers.ts';
import type { Dimensions } from './dimensions.ts';
import { PartBuilder, STILL } from './part-builder.ts';
import { AXLE_MM, HEAVE, KINGPIN_MM, LOCK_DEG } from './things.ts';

const FORE: Vec3 = [-1, 0, 0];
const AFT: Vec3 = [1, 0, 0];
const UP: Vec3 = [0, 0, 1];
const DOWN: Vec3 = [0, 0, -1];
const LEFT: Vec3 = [0, -1, 0];
const RIGHT: Vec3 = [0, 1, 0];
type Side = -1 | 1;
const SIDES: readonly Side[] = [-1, 1];
const sideName = (side: Side): string => (side < 0 ? 'left' : 'right');
const inward = (side: Side): Vec3 => (side < 0 ? RIGHT : LEFT);
const named = (part: Part, name: string): Port => part.ports.find((port) => port.name === name)!;

/** A port's place is guessed to this, 1σ, mm. */
const GUESS_MM = 60;
const HOSE = 'ptfe-3';
/** Fluid of a master's own reservoir, and its play at rest. Common practice; its sheet comes first. */
const RESERVOIR_ML = 120;
const FREE_PLAY_MM = 1;
const BRACKET = 'hose end at bracket';
const kindOf = (brake: Answers['front']): PartKind =>
  brake === 'drum' ? 'wheel-cylinder' : 'caliper';

/** What is on an axle goes along with it: between bracket and brake there is slide and lock alone. */
const ON_THE_AXLE = { heaveMm: [0, 0], rollDeg: 0 } as const;

interface Axle {
  readonly xMm: number;
  readonly name: string;
  readonly trackMm: number;
  readonly brake: Answers['front'];
  readonly isSolid: boolean;
  readonly steers: boolean;
}
/** A run that still has to be joined: where from. */
interface From {
  readonly part: Part;
  readonly port: string;
  readonly circuitId: string;
  readonly letter: string;
}

const SLIDES_MM = 4;
/** What is mounted on an axle stands so far over its middle. */
const ON_AXLE_MM = AXLE_MM / 2 + 15;
/** How a brake moves against the frame: with an arm of its own or with a solid axle. */
function motionOf(
  d: Dimensions,
  { xMm, trackMm, brake, isSolid, steers }: Axle,
  side: Side,
): Motion {
  const centre: Vec3 = [xMm, (side * trackMm) / 2, d.hubMm];
  const slides = { floatMm: brake === 'sliding' ? SLIDES_MM : 0, floatAxis: RIGHT };
  const steer = steers
    ? {
        aboutMm: [xMm, side * (trackMm / 2 - KINGPIN_MM), d.hubMm] as Vec3,
        axis: UP,
        lockDeg: [-LOCK_DEG, LOCK_DEG] as const,
      }
    : null;
  const common = { ...STILL, ...slides, heaveMm: HEAVE, measuredAtMm: centre, steer };
  return isSolid
    ? {
        ...common,
        kind: 'axle',
        rollDeg: 3,
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
function addHosedBrake(
  s: PartBuilder,
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
function addTee(
  s: PartBuilder,
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
function independent(s: PartBuilder, d: Dimensions, axle: Axle, from: From): void {
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
function solid(s: PartBuilder, d: Dimensions, axle: Axle, from: From): void {
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

const axleOf = (s: PartBuilder, d: Dimensions, axle: Axle, from: From): void =>
  axle.isSolid ? solid(s, d, axle, from) : independent(s, d, axle, from);

/** Makes the masters. Those under the floor draw from a reservoir on the bulkhead, by hoses. */
function mastersOf(
  s: PartBuilder,
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
function addFeed(
  s: PartBuilder,
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

/** Brakes of a car: two axles, two circuits. */
function car(s: PartBuilder, d: Dimensions): void {
  const { master, split, front, rear, frontAxle, rearAxle, wheelbaseMm, clutch, job } = d.answers;
  const isDiagonal = split === 'diagonal';
  const axles = {
    front: {
      xMm: 0,
      name: 'Front',
      trackMm: d.track.front,
      brake: front,
      isSolid: frontAxle === 'solid',
      steers: true,
    },
    rear: {
      xMm: wheelbaseMm,
      name: 'Rear',
      trackMm: d.track.rear,
      brake: rear,
      isSolid: rearAxle === 'solid',
      steers: false,
    },
  } as const;
  const words = isDiagonal ? (['First', 'Second'] as const) : (['Front', 'Rear'] as const);
  const circuits = isDiagonal
    ? words.map((word, i) => s.circuit(`${word} diagonal`, 'brake', null, i ? 'copper' : 'fluid'))
    : [
        s.circuit('Front brakes', 'brake', 'front', 'fluid'),
        s.circuit('Rear brakes', 'brake', 'rear', 'copper'),
      ];
  const outlets = words.map((word) => `${word.toLowerCase()} outlet`);
  const masters =
    master === 'tandem'
      ? mastersOf(s, d, [['Tandem master', outlets]])
      : mastersOf(
          s,
          d,
          words.map((word) => [`${word} master`, ['outlet']] as const),
        );
  const from = (i: 0 | 1): From => ({
    part: masters[i] ?? masters[0]!,
    port: master === 'tandem' ? outlets[i]! : 'outlet',
    circuitId: circuits[i]!,
    letter: isDiagonal ? 'DS'[i]! : 'FR'[i]!,
  });
  if (isDiagonal)
    for (const i of [0, 1] as const) {
      const x = 700 + 120 * i;
      // On the side that the exhaust leaves free.
      const y =
        (d.answers.exhaust === 'left' ? 1 : -1) * (d.rail.acrossMm - d.rail.widthMm / 2 - 80);
      const z = d.rail.midAt(x);
      const tee = s.put('tee', `${words[i]} tee`, {
        inlet: [[x, y, z], UP],
        left: [[x - 30, y, z - 25], FORE],
        right: [[x + 30, y, z - 25], AFT],
      });
      const side: Side = i ? 1 : -1;
      const brakes = [
        addHosedBrake(s, d, axles.front, side, circuits[i]!),
        addHosedBrake(s, d, axles.rear, -side as Side, circuits[i]!),
      ];
      addTee(s, from(i), tee, brakes, ['left', 'right']);
    }
  else {
    axleOf(s, d, axles.front, from(0));
    axleOf(s, d, axles.rear, from(1));
  }
  addFeed(
    s,
    d,
    masters,
    (feed) =>
      circuits[
        masters.length > 1
          ? masters.findIndex((part) => part.ports.includes(feed))
          : feed.name.startsWith(words[1].toLowerCase())
            ? 1
            : 0
      ]!,
  );
  if (clutch === 'hydraulic' || job === 'clutch') clutchOf(s, d);
}

function clutchOf(s: PartBuilder, d: Dimensions): void {
  const { engine, wheelbaseMm, masterAt, exhaust } = d.answers;
  const side: Side = masterAt.endsWith('left') ? -1 : 1;
  const circuitId = s.circuit('Clutch', 'clutch', null, 'slate');
  const x = d.bulkheadMm - 60;
  const y = side * (Math.max(d.rail.acrossMm, 300) + 75);
  const z = d.rail.topAt(x) + 280;
  const made = s.put('master', 'Clutch master', { outlet: [[x, y, z], FORE] });
  const master = s.change({
    ...made,
    figures: { freePlayMm: FREE_PLAY_MM, reservoirMl: 60, levelMm: z + 90 },
  });
  const isRear = engine === 'rear';
  const away: Side = exhaust === 'left' ? 1 : -1;
  const slaveAt: Vec3 = isRear
    ? [wheelbaseMm - 60, 130 * away, d.rail.midAt(800) + 150]
    : [engine === 'across' ? 260 : 560, 150 * away, d.rail.midAt(800) + 60];
  const bracketAt: Vec3 = [
    slaveAt[0] + (isRear ? -180 : 150),
    away * (d.rail.acrossMm - d.rail.widthMm / 2 - 45),
    d.rail.midAt(slaveAt[0]),
  ];
  const slave = s.put('slave', 'Clutch slave', {
    [BRACKET]: [bracketAt, isRear ? FORE : AFT],
    bleeder: [addScaled(slaveAt, UP, 40), UP],
  });
  s.hose(
    'To the clutch slave',
    circuitId,
    HOSE,
    { port: named(slave, BRACKET), through: true },
    { atMm: slaveAt, direction: away < 0 ? LEFT : RIGHT },
    ['bulkhead', 'straight-swivel'],
    STILL,
  );
  s.line(master, 'outlet', slave, BRACKET, circuitId, 'C');
}

function trailer(s: PartBuilder, d: Dimensions): void {
  const circuitId = s.circuit('Trailer brakes', 'brake', null, 'fluid');
  const actuator = s.put('actuator', 'Actuator', {
    outlet: [[250, 0, d.rail.midAt(1500) + 120], AFT],
  });
  s.change({ ...actuator, figures: { reservoirMl: 400 } });
  let from: From = { part: actuator, port: 'outlet', circuitId, letter: 'T' };
  for (const [i, xMm] of d.axlesMm.entries()) {
    const axle: Axle = {
      xMm,
      name: d.axlesMm.length > 1 ? `Axle ${i + 1}` : 'Axle',
      trackMm: d.track.rear,
      brake: d.answers.rear,
      isSolid: true,
      steers: false,
    };
    if (i < d.axlesMm.length - 1) {
      const x = xMm - 350;
      const z = d.rail.topAt(x) + 40;
      const tee = s.put('tee', `Tee ahead of axle ${i + 1}`, {
        inlet: [[x, -110, z], FORE],
        left: [[x + 25, -145, z], LEFT],
        right: [[x + 50, -110, z], AFT],
      });
      s.line(from.part, from.port, tee, 'inlet', circuitId, 'T');
      solid(s, d, axle, { ...from, part: tee, port: 'left' });
      from = { ...from, part: tee, port: 'right' };
    } else solid(s, d, axle, from);
  }
}

function motorcycle(s: PartBuilder, d: Dimensions): void {
  const { wheelbaseMm: wb, railUnderMm: under, railsOverMm, rear, exhaust } = d.answers;
  const [front, back] = [
    s.circuit('Front brake', 'brake', 'front', 'fluid'),
    s.circuit('Rear brake', 'brake', 'rear', 'copper'),
  ];
  const hand = s.put('master', 'Hand master', { outlet: [[150, 260, 1000], DOWN] });
  s.change({ ...hand, figures: { freePlayMm: FREE_PLAY_MM, reservoirMl: 20, levelMm: 1030 } });
  const caliperAt: Vec3 = [130, 60 + d.tyreWidthMm / 2, d.hubMm + 80];
  const caliper = s.put('caliper', 'Front caliper', {
    inlet: [caliperAt, UP],
    bleeder: [addScaled(caliperAt, UP, 20), UP],
  });
  s.hose(
    'Hand master to front caliper',
    front,
    HOSE,
    { port: named(hand, 'outlet') },
    { port: named(caliper, 'inlet') },
    ['straight-swivel', 'straight-swivel'],
    {
      ...STILL,
      kind: 'corner',
      heaveMm: HEAVE,
      aboutMm: [0, -3000, d.hubMm],
      measuredAtMm: [0, 0, d.hubMm],
    },
  );
  // The rear brake stands on the side that the exhaust leaves free.
  const side: Side = exhaust === 'right' ? -1 : 1;
  const y = side * (railsOverMm / 2 + 25);
  const foot = s.put('master', 'Foot master', { outlet: [[wb - 560, y, under + 120], UP] });
  s.change({ ...foot, figures: { freePlayMm: FREE_PLAY_MM, reservoirMl: 20, levelMm: 760 } });
  const seat: Vec3 = [wb - 130, side * (80 + d.tyreWidthMm / 2), d.hubMm + 90];
  const rearPart = s.put('caliper', 'Rear caliper', {
    [BRACKET]: [[wb - 430, y, 620], UP],
    bleeder: [addScaled(seat, UP, 45), UP],
  });
  const motion: Motion = {
    ...STILL,
    kind: 'corner',
    heaveMm: HEAVE,
    axis: RIGHT,
    aboutMm: [wb - 520, 0, under + 90],
    measuredAtMm: [wb, 0, d.hubMm],
    floatMm: rear === 'sliding' ? SLIDES_MM : 0,
  };
  s.hose(
    'To the rear caliper',
    back,
    HOSE,
    { port: named(rearPart, BRACKET), through: true },
    { atMm: seat, direction: FORE },
    ['bulkhead', 'straight-swivel'],
    motion,
  );
  s.line(foot, 'outlet', rearPart, BRACKET, back, 'R');
}

function aircraft(s: PartBuilder, d: Dimensions): void {
  const { wheelbaseMm: wb, railUnderMm: under } = d.answers;
  for (const [i, side] of SIDES.entries()) {
    const name = side < 0 ? 'Left' : 'Right';
    const circuitId = s.circuit(`${name} wheel`, 'brake', null, (['fluid', 'copper'] as const)[i]!);
    const toe = s.put('master', `${name} toe master`, {
      outlet: [[420, side * 180, under + 150], AFT],
    });
    s.change({
      ...toe,
      figures: { freePlayMm: FREE_PLAY_MM, reservoirMl: 40, levelMm: under + 240 },
    });
    const valve = s.put('parking-valve', `${name} parking valve`, {
      inlet: [[820, side * 180, under + 130], FORE],
      outlet: [[870, side * 180, under + 130], AFT],
    });
    const seat: Vec3 = [wb + 20, side * (d.track.rear / 2 - d.tyreWidthMm / 2 - 95), d.hubMm + 70];
    const caliper = s.put('caliper', `${name} caliper`, {
      [BRACKET]: [[wb - 70, side * (d.rail.acrossMm - 60), under + 40], FORE],
      bleeder: [addScaled(seat, UP, 45), UP],
    });
    s.line(toe, 'outlet', valve, 'inlet', circuitId, name[0]!);
    s.line(valve, 'outlet', caliper, BRACKET, circuitId, name[0]!);
    s.hose(
      `To the ${name.toLowerCase()} wheel`,
      circuitId,
      HOSE,
      { port: named(caliper, BRACKET), through: true },
      { atMm: seat, direction: AFT },
      ['bulkhead', 'banjo-45'],
      STILL,
    );
  }
}

const WORK: Record<Answers['vehicle'], (s: PartBuilder, d: Dimensions) => void> = {
  van: car,
  pickup: car,
  unibody: car,
  'space-frame': car,
  trailer,
  motorcycle,
  aircraft,
};

/** The plan with parts, hoses and lines in it; each line runs straight across until it is led. */
export function buildCircuits(plan: Plan, d: Dimensions): Plan {
  const s = new PartBuilder({ ...plan, circuits: [] as readonly Circuit[] }, GUESS_MM);
  WORK[d.answers.vehicle](s, d);
  return s.plan;
}
