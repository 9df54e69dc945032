import type { Circuit, Plan } from '../../plan/index.ts';
import { addScaled, type Vec3 } from '../../lib/vec/index.ts';
import type { Answers } from './answers.ts';
import type { Dimensions } from './dimensions.ts';
import { STILL } from '../../shape/rod/index.ts';
import { Sketch, withPurpose } from '../layouts/index.ts';
import {
  type From,
  UP,
  FORE,
  AFT,
  FREE_PLAY_MM,
  BRACKET,
  HOSE,
  named,
  LEFT,
  type Axle,
  solid,
  SIDES,
} from './circuit-parts.ts';
import { car } from './car-circuits.ts';
import { motorcycle } from './motorcycle-circuits.ts';

/** A port's place is guessed to this, 1σ, mm. */
const GUESS_MM = 60;

function trailer(s: Sketch, d: Dimensions): void {
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

function aircraft(s: Sketch, d: Dimensions): void {
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

const WORK: Record<Answers['vehicle'], (s: Sketch, d: Dimensions) => void> = {
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
  const s = new Sketch({ ...plan, circuits: [] as readonly Circuit[] }, GUESS_MM);
  WORK[d.answers.vehicle](s, d);
  return withPurpose(s.plan);
}
