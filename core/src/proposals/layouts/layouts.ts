import { addScaled, type Vec3 } from '../../lib/vec/index.ts';
import { STILL } from '../../shape/rod/index.ts';
import { Sketch } from './sketch.ts';
import { withPurpose } from './with-purpose.ts';
import type { Plan } from '../../plan/model/index.ts';

const AFT: Vec3 = [1, 0, 0];
const FORE: Vec3 = [-1, 0, 0];
const LEFT: Vec3 = [0, -1, 0];
const DOWN: Vec3 = [0, 0, -1];
const UP: Vec3 = [0, 0, 1];
const FRONT_TEE: Vec3 = [200, -60, 470];
const REAR_TEE: Vec3 = [2500, -60, 500];
const MASTER: Vec3 = [500, -420, 450];
const frontCircuit = (s: Sketch): string => s.circuit('Front brakes', 'brake', 'front', 'fluid');
const rearCircuit = (s: Sketch): string => s.circuit('Rear brakes', 'brake', 'rear', 'copper');

function clutchIn(s: Sketch): void {
  const circuit = s.circuit('Clutch', 'clutch', null, 'slate');
  s.line(
    s.part('master', 'Clutch master', [380, -520, 690], { outlet: AFT }),
    'outlet',
    s.part('slave', 'Clutch slave', [1180, -60, 420]),
    'inlet',
    circuit,
    'C',
  );
}

export interface Layout {
  readonly id: string;
  readonly name: string;
  readonly draw: (plan: Plan) => Plan;
}

const layout = (id: string, name: string, draw: (s: Sketch) => void): Layout => ({
  id,
  name,
  draw: (plan) => {
    const sketch = new Sketch(plan);
    draw(sketch);
    return withPurpose(sketch.plan);
  },
});

/** Circuits to start from. Each is a whole plan of guesses: measure, and the guesses go. */
export const LAYOUTS: readonly Layout[] = [
  layout('front-rear', 'Front and rear split, tandem master', (s) => {
    const master = s.part('master', 'Tandem master', MASTER, {}, ['front outlet', 'rear outlet']);
    s.pair(
      master,
      'front outlet',
      'Front tee',
      FRONT_TEE,
      AFT,
      'caliper',
      'Front',
      frontCircuit(s),
      'F',
    );
    s.pair(
      master,
      'rear outlet',
      'Rear tee',
      REAR_TEE,
      FORE,
      'wheel-cylinder',
      'Rear',
      rearCircuit(s),
      'R',
    );
  }),
  layout('diagonal', 'Diagonal split, tandem master', (s) => {
    const master = s.part('master', 'Tandem master', MASTER, {}, ['first outlet', 'second outlet']);
    for (const [i, [name, outlet, front, rear]] of (
      [
        ['First diagonal', 'first outlet', 'left', 'right'],
        ['Second diagonal', 'second outlet', 'right', 'left'],
      ] as const
    ).entries()) {
      const circuit = s.circuit(name, 'brake', null, i ? 'copper' : 'fluid');
      const y = (side: string, mm: number): number => (side === 'left' ? -mm : mm);
      const at: Vec3 = [300 + 460 * i, -300 + 120 * i, 470 + 60 * i];
      const tee = s.put('tee', `Tee ${i + 1}`, {
        inlet: [at, LEFT],
        left: [addScaled(at, FORE, 25), FORE],
        right: [addScaled(at, AFT, 25), AFT],
      });
      s.line(master, outlet, tee, 'inlet', circuit, i ? 'S' : 'F');
      s.line(
        tee,
        'left',
        s.corner('caliper', `Front ${front}`, [80, y(front, 420), 520]),
        'hose end at bracket',
        circuit,
        i ? 'S' : 'F',
      );
      s.line(
        tee,
        'right',
        s.corner('caliper', `Rear ${rear}`, [2400, y(rear, 430), 540]),
        'hose end at bracket',
        circuit,
        i ? 'S' : 'F',
      );
    }
  }),
  layout('twin', 'Two masters with a balance bar', (s) => {
    s.pair(
      s.part('master', 'Front master', MASTER),
      'outlet',
      'Front tee',
      FRONT_TEE,
      AFT,
      'caliper',
      'Front',
      frontCircuit(s),
      'F',
    );
    s.pair(
      s.part('master', 'Rear master', [500, -340, 520]),
      'outlet',
      'Rear tee',
      REAR_TEE,
      FORE,
      'caliper',
      'Rear',
      rearCircuit(s),
      'R',
    );
  }),
  layout('trailer', 'Trailer: one circuit on an actuator', (s) => {
    const circuit = s.circuit('Trailer brakes', 'brake', null, 'fluid');
    const actuator = s.part('actuator', 'Actuator', [0, 0, 600]);
    s.pair(actuator, 'outlet', 'Axle tee', [2500, -60, 450], FORE, 'caliper', 'Axle', circuit, 'T');
  }),
  layout('clutch', 'Clutch only', clutchIn),
  layout('motorcycle', 'Motorcycle, front and rear', (s) => {
    const hand = s.part('master', 'Hand master', [150, 350, 1000], { outlet: DOWN });
    const front = s.put('caliper', 'Front caliper', {
      inlet: [[0, 90, 420], UP],
      bleeder: [[0, 90, 440], UP],
    });
    // The fork goes up and down and turns: what leads to it bends.
    s.hose(
      'Hand master to front caliper',
      frontCircuit(s),
      'ptfe-3',
      { port: hand.ports[0]! },
      { port: front.ports[0]! },
      ['straight-swivel', 'straight-swivel'],
      STILL,
    );
    s.line(
      s.part('master', 'Foot master', [900, 180, 420], { outlet: AFT }),
      'outlet',
      s.part('caliper', 'Rear caliper', [1400, 120, 380], { 'hose end at bracket': FORE }),
      'hose end at bracket',
      rearCircuit(s),
      'R',
    );
  }),
  layout('handbrake', 'Front and rear split with an inline hydraulic handbrake', (s) => {
    const master = s.part('master', 'Tandem master', MASTER, {}, ['front outlet', 'rear outlet']);
    s.pair(
      master,
      'front outlet',
      'Front tee',
      FRONT_TEE,
      AFT,
      'caliper',
      'Front',
      frontCircuit(s),
      'F',
    );
    const handbrake = s.part('handbrake-cylinder', 'Hydraulic handbrake', [1300, -60, 600]);
    s.line(master, 'rear outlet', handbrake, 'inlet', rearCircuit(s), 'R');
    s.pair(handbrake, 'outlet', 'Rear tee', REAR_TEE, FORE, 'caliper', 'Rear', rearCircuit(s), 'R');
  }),
  layout('aircraft', 'Light aircraft: two toe masters and a parking valve each', (s) => {
    for (const [side, y, ink] of [
      ['Left', -200, 'fluid'],
      ['Right', 200, 'copper'],
    ] as const) {
      const circuit = s.circuit(`${side} wheel`, 'brake', null, ink);
      const master = s.part('master', `${side} toe master`, [300, y, 500], { outlet: AFT });
      const valve = s.part('parking-valve', `${side} parking valve`, [800, y, 450]);
      s.line(master, 'outlet', valve, 'inlet', circuit, side.slice(0, 1));
      s.line(
        valve,
        'outlet',
        s.part('caliper', `${side} caliper`, [1600, 4 * y, 350], { 'hose end at bracket': FORE }),
        'hose end at bracket',
        circuit,
        side.slice(0, 1),
      );
    }
  }),
];
