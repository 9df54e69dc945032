import type { Thing } from '../../shape/obstacles/index.ts';
import { radians, type Vec3 } from '../../lib/vec/index.ts';
import type { Dimensions } from './dimensions.ts';
import {
  AXLE_MM,
  HEAVE,
  OVER_RAILS_MM,
  across,
  thing,
  block,
  pipe,
  EXHAUST_C,
  EXHAUST_MM,
  ROLL_DEG,
  both,
  bar,
  rails,
  member,
  wheels,
  beam,
} from './thing-shapes.ts';
import { motorcycle } from './motorcycle-things.ts';

/** An exhaust over a solid axle keeps its distance from the tube on that axle at full bump. */
const CLEAR_OF_AXLE_MM = AXLE_MM / 2 + 25 + HEAVE[1] + 150 + EXHAUST_MM / 2;
/** So much higher, for each mm off the middle, an axle's end stands when it is rolled. */
const ROLLED = Math.sin(radians(ROLL_DEG));

function exhaustPath(d: Dimensions, tail: number): Vec3[] {
  const { engine, exhaust, rearAxle, wheelbaseMm: wb } = d.answers;
  const mid = d.rail.midAt(800);
  const side = exhaust === 'left' ? -1 : 1;
  const y = side * Math.max(120, d.rail.acrossMm - d.rail.widthMm / 2 - 90);
  const z = mid - 10;
  const overAxle = Math.max(d.rail.midAt(wb), d.hubMm + CLEAR_OF_AXLE_MM + ROLLED * Math.abs(y));
  return engine === 'rear'
    ? [
        [wb - 300, side * 150, z + 300],
        [wb - 100, side * 150, z + 320],
        [wb + 500, side * 150, z + 320],
      ]
    : [
        engine === 'across' ? [tail - 40, side * 120, z + 80] : [tail - 200, side * 230, z + 130],
        [tail + 120, y, z],
        ...(rearAxle === 'solid'
          ? ([
              [wb - 500, y, z],
              [wb - 300, y, overAxle],
              [wb + 500, y, overAxle],
            ] as const)
          : ([[wb + 500, y, z]] as const)),
      ];
}

/** Engine, gearbox, shaft and exhaust of a vehicle that has them. */
function drive(d: Dimensions): Thing[] {
  const { engine, exhaust, rearAxle, wheelbaseMm: wb } = d.answers;
  const mid = d.rail.midAt(800);
  const over = d.rail.midAt(0) + OVER_RAILS_MM;
  const found: Thing[] = [];
  const tail = { lengthwise: 500, across: 260, rear: wb - 120, none: 600 }[engine];
  if (engine === 'lengthwise') {
    found.push(
      thing('engine', 'Engine', 'engine', block([-150, -200, over], [500, 200, over + 330])),
    );
    found.push(
      thing('gearbox', 'Gearbox', 'gearbox', block([500, -100, mid - 40], [1020, 100, mid + 200])),
    );
    if (rearAxle === 'solid')
      found.push(
        thing(
          'prop-shaft',
          'Prop shaft',
          'prop-shaft',
          pipe(
            [
              [1020, 0, mid + 40],
              [wb - 90, 0, d.hubMm + 10],
            ],
            70,
          ),
          { travel: { heaveMm: [-35, 35], rollDeg: 0, lockDeg: 0, aboutMm: [1020, 0, mid + 40] } },
        ),
      );
  }
  if (engine === 'across')
    found.push(
      thing('engine', 'Engine', 'engine', block([-260, -250, over], [220, 250, over + 350])),
    );
  if (engine === 'rear') {
    found.push(
      thing(
        'engine',
        'Engine',
        'engine',
        block([wb - 560, -180, mid + 40], [wb - 120, 180, mid + 420]),
      ),
    );
    found.push(
      thing(
        'gearbox',
        'Gearbox',
        'gearbox',
        block([wb - 120, -100, mid + 60], [wb + 280, 100, mid + 260]),
      ),
    );
  }
  if (exhaust !== 'none')
    found.push(
      thing('exhaust', 'Exhaust', 'exhaust', pipe(exhaustPath(d, tail), EXHAUST_MM), {
        surfaceC: EXHAUST_C,
      }),
    );
  return found;
}

function onFourWheels(d: Dimensions): Thing[] {
  const { wheelbaseMm: wb, frontAxle, rearAxle, vehicle } = d.answers;
  const top = d.rail.topAt(900);
  const isTubes = vehicle === 'space-frame';
  const floorZ = isTubes ? d.answers.railUnderMm + d.rail.heightMm : top + 180;
  const halfFloor = d.rail.acrossMm + (isTubes ? 0 : 250);
  const upper: Thing[] = isTubes
    ? [
        ...both('upper', 'Upper tube', 'rail', (side) =>
          bar(
            [
              [-300, side * d.rail.acrossMm, top + 340],
              [wb + 300, side * d.rail.acrossMm, top + 340],
            ],
            d.rail.widthMm,
            d.rail.widthMm,
            'round',
          ),
        ),
        thing(
          'hoop-front',
          'Front hoop',
          'member',
          bar(across(d.bulkheadMm, d.rail.acrossMm, top + 300), 30, 30, 'round'),
        ),
        thing(
          'hoop-rear',
          'Rear hoop',
          'member',
          bar(across(wb - 110, d.rail.acrossMm, top + 300), 30, 30, 'round'),
        ),
      ]
    : [
        thing(
          'bulkhead',
          'Bulkhead',
          'floor',
          block([d.bulkheadMm, -halfFloor, top + 60], [d.bulkheadMm + 15, halfFloor, top + 520]),
        ),
      ];
  return [
    ...rails(d),
    member(d, 'member-front', 'Front cross member', 180),
    member(d, 'member-middle', 'Middle cross member', wb * 0.55, d.rail.midAt(wb * 0.55) - 20),
    member(d, 'member-rear', 'Rear cross member', wb - 110),
    ...upper,
    thing(
      'floor',
      'Floor',
      'floor',
      block([d.bulkheadMm + 15, -halfFloor, floorZ], [wb - 650, halfFloor, floorZ + 15]),
    ),
    ...drive(d),
    ...wheels(d, 0, 'Front', d.track.front, true),
    ...wheels(d, wb, 'Rear', d.track.rear, false),
    ...(frontAxle === 'solid' ? [beam(d, 0, 'Front axle', d.track.front)] : []),
    ...(rearAxle === 'solid' ? [beam(d, wb, 'Rear axle', d.track.rear)] : []),
  ];
}

function trailer(d: Dimensions): Thing[] {
  const z = d.rail.midAt(1500);
  return [
    thing(
      'spine',
      'Drawbar',
      'rail',
      bar(
        [
          [-150, 0, z],
          [d.rail.fromMm + 100, 0, z],
          [d.rail.toMm, 0, z],
        ],
        80,
        100,
      ),
    ),
    ...rails(d),
    ...d.axlesMm.flatMap((x, i) => [
      member(d, `member-${i + 1}`, `Member ahead of axle ${i + 1}`, x - 160),
      beam(d, x, `Axle ${i + 1}`, d.track.rear),
      ...wheels(d, x, `Axle ${i + 1}`, d.track.rear, false),
    ]),
  ];
}

export function aircraft(d: Dimensions): Thing[] {
  const { wheelbaseMm: wb, railUnderMm: under } = d.answers;
  const leg = (side: -1 | 1): Vec3[] => [
    [wb, side * d.rail.acrossMm, under],
    [wb, side * (d.track.rear / 2 - d.tyreWidthMm / 2 - 60), d.hubMm],
  ];
  return [
    ...rails(d),
    ...[400, wb * 0.6, wb].map((x, i) => member(d, `frame-${i + 1}`, `Frame ${i + 1}`, x)),
    thing(
      'floor',
      'Floor',
      'floor',
      block([200, -d.rail.acrossMm, under + 60], [wb + 200, d.rail.acrossMm, under + 68]),
    ),
    ...both('leg', 'Gear leg', 'member', (side) => bar(leg(side), 60, 30)),
    thing('engine', 'Engine', 'engine', block([-500, -250, under], [-50, 250, under + 400])),
    ...wheels(d, wb, 'Main', d.track.rear, false).map((one) => ({
      ...one,
      travel: null,
      nature: 'solid' as const,
    })),
    thing('wheel-nose', 'Nose wheel', 'wheel', {
      kind: 'wheel',
      centreMm: [0, 0, d.hubMm],
      axis: [0, 1, 0],
      radiusMm: d.tyreRadiusMm,
      widthMm: d.tyreWidthMm,
    }),
  ];
}

/** What stands on a vehicle that lines are held by and must keep from. */
export function thingsOf(d: Dimensions): Thing[] {
  const { vehicle } = d.answers;
  if (vehicle === 'trailer') return trailer(d);
  if (vehicle === 'motorcycle') return motorcycle(d);
  return vehicle === 'aircraft' ? aircraft(d) : onFourWheels(d);
}
