import {
  THING_SPECS,
  type Shape,
  type Thing,
  type ThingKind,
  type Travel,
} from '../../shape/obstacles/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import { railPath, type Dimensions } from './dimensions.ts';

type Bar = Extract<Shape, { kind: 'bar' }>;
const bar = (
  pathMm: readonly Vec3[],
  widthMm: number,
  heightMm: number,
  section: Bar['section'] = 'box',
): Bar => ({
  kind: 'bar',
  section,
  pathMm,
  widthMm,
  heightMm,
  wallMm: 4,
  opens: 'right',
});
/** A block between two corners, whichever of an unlikely vehicle's lies lower. */
const block = (a: Vec3, b: Vec3): Shape => ({
  kind: 'block',
  minMm: each(Math.min, a, b),
  maxMm: each(Math.max, a, b),
});
const each = (of: (a: number, b: number) => number, a: Vec3, b: Vec3): Vec3 => [
  of(a[0], b[0]),
  of(a[1], b[1]),
  of(a[2], b[2]),
];
const pipe = (pathMm: readonly Vec3[], diameterMm: number): Shape => ({
  kind: 'pipe',
  pathMm,
  diameterMm,
});
const across = (x: number, half: number, z: number): Vec3[] => [
  [x, -half, z],
  [x, half, z],
];

function thing(
  id: string,
  name: string,
  kind: ThingKind,
  shape: Shape,
  more: Partial<Thing> = {},
): Thing {
  const { nature, keepMm, holds } = THING_SPECS[kind];
  return { id, name, kind, shape, nature, keepMm, holds, surfaceC: null, travel: null, ...more };
}
const both = (
  id: string,
  name: string,
  kind: ThingKind,
  shape: (side: -1 | 1) => Shape,
  more: Partial<Thing> = {},
): Thing[] => [
  thing(`${id}-left`, `${name}, left`, kind, shape(-1), more),
  thing(`${id}-right`, `${name}, right`, kind, shape(1), more),
];

/** How far wheels go up and down, and how far they are locked over. Ordinary figures. */
export const HEAVE: readonly [number, number] = [-60, 60];
export const LOCK_DEG = 30;
/** Kingpins stand so far inside their wheel's middle. */
export const KINGPIN_MM = 60;
const EXHAUST_C = 350;
/** How far over the rails' middle an engine's underside stands. An ordinary figure. */
const OVER_RAILS_MM = 130;
/** How thick a solid axle is. An ordinary figure. */
export const AXLE_MM = 80;

function wheels(d: Dimensions, x: number, name: string, track: number, steers: boolean): Thing[] {
  const shape = (side: -1 | 1): Shape => ({
    kind: 'wheel',
    centreMm: [x, (side * track) / 2, d.hubMm],
    axis: [0, 1, 0],
    radiusMm: d.tyreRadiusMm,
    widthMm: d.tyreWidthMm,
  });
  const travel = (side: -1 | 1): Travel => ({
    heaveMm: HEAVE,
    rollDeg: 0,
    lockDeg: steers ? LOCK_DEG : 0,
    aboutMm: [x, side * (track / 2 - KINGPIN_MM), d.hubMm],
  });
  return ([-1, 1] as const).map((side) =>
    thing(
      `wheel-${x}-${side}`,
      `${name} ${side < 0 ? 'left' : 'right'} wheel`,
      'wheel',
      shape(side),
      { travel: travel(side) },
    ),
  );
}
/** A beam from wheel to wheel; lines that are mounted on it at both ends are clipped to it. */
const beam = (d: Dimensions, x: number, name: string, track: number): Thing =>
  thing(
    `axle-${x}`,
    name,
    'axle',
    bar(across(x, track / 2 - d.tyreWidthMm / 2 - 30, d.hubMm), AXLE_MM, AXLE_MM, 'round'),
    {
      holds: true,
      travel: { heaveMm: HEAVE, rollDeg: 3, lockDeg: 0, aboutMm: [x, 0, d.hubMm] },
    },
  );

function rails(d: Dimensions): Thing[] {
  const { section, vehicle } = d.answers;
  const name =
    { unibody: 'Leg and sill', 'space-frame': 'Lower tube', aircraft: 'Longeron' }[
      vehicle as string
    ] ?? 'Rail';
  return both('rail', name, 'rail', (side) =>
    bar(railPath(d, side * d.rail.acrossMm), d.rail.widthMm, d.rail.heightMm, section),
  );
}
const member = (d: Dimensions, id: string, name: string, x: number, z = d.rail.midAt(x)): Thing =>
  thing(
    id,
    name,
    'member',
    d.answers.section === 'round'
      ? bar(across(x, d.rail.acrossMm, z), d.rail.widthMm, d.rail.widthMm, 'round')
      : bar(across(x, d.rail.acrossMm - d.rail.widthMm / 2, z), 60, Math.min(50, d.rail.heightMm)),
  );

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
  if (exhaust !== 'none') {
    const side = exhaust === 'left' ? -1 : 1;
    const y = side * Math.max(120, d.rail.acrossMm - d.rail.widthMm / 2 - 90);
    const z = mid - 10;
    const path: Vec3[] =
      engine === 'rear'
        ? [
            [wb - 300, side * 150, z + 300],
            [wb - 100, side * 150, z + 320],
            [wb + 500, side * 150, z + 320],
          ]
        : [
            engine === 'across'
              ? [tail - 40, side * 120, z + 80]
              : [tail - 200, side * 230, z + 130],
            [tail + 120, y, z],
            ...(rearAxle === 'solid'
              ? ([
                  [wb - 500, y, z],
                  [wb - 300, y, d.rail.midAt(wb)],
                  [wb + 500, y, d.rail.midAt(wb)],
                ] as const)
              : ([[wb + 500, y, z]] as const)),
          ];
    found.push(thing('exhaust', 'Exhaust', 'exhaust', pipe(path, 55), { surfaceC: EXHAUST_C }));
  }
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

function motorcycle(d: Dimensions): Thing[] {
  const { wheelbaseMm: wb, railUnderMm: under, railsOverMm, exhaust } = d.answers;
  const y = railsOverMm / 2 - 20;
  const cradle = (side: -1 | 1): Vec3[] => [
    [250, side * 30, 760],
    [380, side * y, under + 16],
    [wb - 520, side * y, under + 16],
    [wb - 430, side * y, 700],
  ];
  const wheel = (id: string, name: string, x: number, lockDeg: number): Thing =>
    thing(
      id,
      name,
      'wheel',
      {
        kind: 'wheel',
        centreMm: [x, 0, d.hubMm],
        axis: [0, 1, 0],
        radiusMm: d.tyreRadiusMm,
        widthMm: d.tyreWidthMm,
      },
      {
        travel: { heaveMm: HEAVE, rollDeg: 0, lockDeg, aboutMm: [x, 0, d.hubMm] },
      },
    );
  return [
    ...both('cradle', 'Cradle tube', 'rail', (side) => bar(cradle(side), 30, 30, 'round')),
    thing(
      'backbone',
      'Backbone',
      'rail',
      bar(
        [
          [240, 0, 840],
          [wb - 430, 0, 760],
          [wb - 100, 0, 780],
        ],
        45,
        45,
        'round',
      ),
    ),
    ...both('seat-tube', 'Seat tube', 'rail', (side) =>
      bar(
        [
          [wb - 430, side * y, 700],
          [wb - 20, side * y, 760],
        ],
        25,
        25,
        'round',
      ),
    ),
    thing('engine', 'Engine', 'engine', block([400, -150, under + 50], [wb - 560, 150, 690])),
    ...both(
      'swing-arm',
      'Swing arm',
      'axle',
      (side) =>
        bar(
          [
            [wb - 520, side * 85, under + 90],
            [wb, side * 85, d.hubMm],
          ],
          30,
          60,
        ),
      {
        travel: { heaveMm: HEAVE, rollDeg: 0, lockDeg: 0, aboutMm: [wb - 520, 0, under + 90] },
      },
    ),
    ...(exhaust === 'none'
      ? []
      : [
          thing(
            'exhaust',
            'Exhaust',
            'exhaust',
            pipe(
              [
                [380, 0, under + 20],
                [420, 40, under - 30],
                [wb - 450, exhaust === 'left' ? -130 : 130, under - 40],
                [wb + 100, exhaust === 'left' ? -190 : 190, under + 40],
              ],
              45,
            ),
            { surfaceC: EXHAUST_C },
          ),
        ]),
    wheel('wheel-front', 'Front wheel', 0, LOCK_DEG),
    wheel('wheel-rear', 'Rear wheel', wb, 0),
  ];
}

function aircraft(d: Dimensions): Thing[] {
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
