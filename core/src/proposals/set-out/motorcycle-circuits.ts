import { STILL, type Motion } from '../../shape/rod/index.ts';
import { addScaled, type Vec3 } from '../../lib/vec/index.ts';
import type { Dimensions } from './dimensions.ts';
import type { Sketch } from '../layouts/index.ts';
import { HEAVE } from './thing-shapes.ts';
import {
  UP,
  FORE,
  type Side,
  FREE_PLAY_MM,
  BRACKET,
  HOSE,
  named,
  RIGHT,
  DOWN,
  SLIDES_MM,
} from './circuit-parts.ts';

export function motorcycle(s: Sketch, d: Dimensions): void {
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
  const foot = s.put('master', 'Foot master', {
    outlet: [[wb - 520, y + 45 * side, under + 120], UP],
  });
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
