import { STILL } from '../../shape/rod/index.ts';
import { addScaled, type Vec3 } from '../../lib/vec/index.ts';
import type { Dimensions } from './dimensions.ts';
import type { Sketch } from '../layouts/index.ts';
import {
  mastersOf,
  type From,
  type Axle,
  UP,
  FORE,
  AFT,
  type Side,
  addHosedBrake,
  addTee,
  axleOf,
  addFeed,
  FREE_PLAY_MM,
  BRACKET,
  HOSE,
  named,
  LEFT,
  RIGHT,
} from './circuit-parts.ts';

/** A tee on the side that the exhaust leaves free, and from it one brake in front and one behind, crosswise. */
function addDiagonal(
  s: Sketch,
  d: Dimensions,
  from: From,
  name: string,
  i: 0 | 1,
  [front, rear]: readonly [Axle, Axle],
): void {
  const x = 820 - 120 * i;
  const y = (d.answers.exhaust === 'left' ? 1 : -1) * (d.rail.acrossMm - d.rail.widthMm / 2 - 80);
  const z = d.rail.midAt(x);
  const tee = s.put('tee', name, {
    inlet: [[x, y, z], UP],
    left: [[x - 30, y, z - 25], FORE],
    right: [[x + 30, y, z - 25], AFT],
  });
  const side: Side = i ? 1 : -1;
  const brakes = [
    addHosedBrake(s, d, front, side, from.circuitId),
    addHosedBrake(s, d, rear, -side as Side, from.circuitId),
  ];
  addTee(s, from, tee, brakes, ['left', 'right']);
}

/** Brakes of a car: two axles, two circuits. */
export function car(s: Sketch, d: Dimensions): void {
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
    for (const i of [0, 1] as const)
      addDiagonal(s, d, from(i), `${words[i]} tee`, i, [axles.front, axles.rear]);
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

function clutchOf(s: Sketch, d: Dimensions): void {
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
