import type { Thing } from '../../shape/obstacles/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import type { Dimensions } from './dimensions.ts';
import { thing, block, pipe, EXHAUST_C, both, bar, HEAVE, LOCK_DEG } from './thing-shapes.ts';

export function motorcycle(d: Dimensions): Thing[] {
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
