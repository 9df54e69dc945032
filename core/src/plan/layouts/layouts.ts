import type { Vec3 } from '../../vec/index.ts';
import { newLine } from '../edits/join.ts';
import { newPart } from '../edits/new-part.ts';
import { freshId } from '../edits/fresh-id.ts';
import type { Circuit, Part, PartKind, Plan, Port } from '../model/index.ts';

/** Where things mostly stand, to begin with: guesses, known to 150 mm. */
const SIGMA: Vec3 = [150, 150, 150];

/** Puts parts and lines into a plan one after another; every place is a guess. */
class Sketch {
  constructor(public plan: Plan) {}

  circuit(name: string, work: Circuit['work'], axle: Circuit['axle'], ink: Circuit['ink']): string {
    const same = this.plan.circuits.find((circuit) => circuit.work === work && circuit.axle === axle && circuit.name === name);
    if (same) return same.id;
    const circuit: Circuit = { id: freshId(this.plan, 'circuit'), name, work, axle, ink };
    this.plan = { ...this.plan, circuits: [...this.plan.circuits, circuit] };
    return circuit.id;
  }

  /** A part at a place; `ports` renames its ports in order, and adds outlets where there are more names than ports. */
  part(
    kind: PartKind,
    name: string,
    atMm: Vec3,
    turn: Readonly<Record<string, Vec3>> = {},
    outlets: readonly string[] = [],
  ): Part {
    const known = { how: 'guessed', atMm, sigmaMm: SIGMA } as const;
    const made = newPart(this.plan, kind, known);
    let part: Part = {
      ...made,
      name,
      ports: made.ports.map((port) => ({ ...port, direction: turn[port.name] ?? port.direction })),
    };
    if (outlets.length) {
      const [first] = part.ports as [Port, ...Port[]];
      part = { ...part, ports: [] };
      for (const [i, outlet] of outlets.entries()) {
        const id = freshId({ ...this.plan, parts: [...this.plan.parts, part] }, 'port');
        const shifted = { ...known, atMm: [atMm[0] + 60 * i, atMm[1], atMm[2]] as const };
        part = { ...part, ports: [...part.ports, { ...first, id, name: outlet, known: shifted }] };
      }
    }
    this.plan = { ...this.plan, parts: [...this.plan.parts, part] };
    return part;
  }

  line(from: Part, fromPort: string, to: Part, toPort: string, circuitId: string, letter: string): void {
    const port = (part: Part, name: string): Port => part.ports.find((p) => p.name === name)!;
    const line = newLine(
      this.plan,
      port(from, fromPort),
      port(to, toPort),
      circuitId,
      letter,
      `${from.name} to ${to.name.toLowerCase()}`,
    );
    this.plan = { ...this.plan, lines: [...this.plan.lines, line] };
  }

  corner(kind: PartKind, name: string, atMm: Vec3): Part {
    return this.part(kind, name, atMm, {
      'hose end at bracket': [0, -Math.sign(atMm[1]), 0],
      inlet: [0, -Math.sign(atMm[1]), 0],
    });
  }

  /** A tee with a corner at either hand, fed from a port. */
  pair(
    from: Part,
    fromPort: string,
    tee: string,
    teeAt: Vec3,
    inlet: Vec3,
    kind: PartKind,
    axle: string,
    circuitId: string,
    letter: string,
  ): void {
    const joint = this.part('tee', tee, teeAt, { inlet });
    this.line(from, fromPort, joint, 'inlet', circuitId, letter);
    for (const [side, y] of [
      ['left', -420],
      ['right', 420],
    ] as const) {
      this.line(
        joint,
        side,
        this.corner(kind, `${axle} ${side}`, [teeAt[0] - 120, y, teeAt[2] + 40]),
        kind === 'caliper' ? 'hose end at bracket' : 'inlet',
        circuitId,
        letter,
      );
    }
  }
}

const AFT: Vec3 = [1, 0, 0];
const FORE: Vec3 = [-1, 0, 0];
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
    return sketch.plan;
  },
});

/** Circuits to start from. Each is a whole plan of guesses: measure, and the guesses go. */
export const LAYOUTS: readonly Layout[] = [
  layout('front-rear', 'Front and rear split, tandem master', (s) => {
    const master = s.part('master', 'Tandem master', MASTER, {}, ['front outlet', 'rear outlet']);
    s.pair(master, 'front outlet', 'Front tee', FRONT_TEE, AFT, 'caliper', 'Front', frontCircuit(s), 'F');
    s.pair(master, 'rear outlet', 'Rear tee', REAR_TEE, FORE, 'wheel-cylinder', 'Rear', rearCircuit(s), 'R');
  }),
  layout('diagonal', 'Diagonal split, tandem master', (s) => {
    const master = s.part('master', 'Tandem master', MASTER, {}, ['first outlet', 'second outlet']);
    for (const [i, [name, outlet, front, rear]] of ([['First diagonal', 'first outlet', 'left', 'right'], ['Second diagonal', 'second outlet', 'right', 'left']] as const).entries()) {
      const circuit = s.circuit(name, 'brake', null, i ? 'copper' : 'fluid');
      const y = (side: string, mm: number): number => (side === 'left' ? -mm : mm);
      const tee = s.part('tee', `Tee ${i + 1}`, [700, -300 + 120 * i, 470 + 60 * i], { inlet: FORE, left: FORE, right: AFT });
      s.line(master, outlet, tee, 'inlet', circuit, i ? 'S' : 'F');
      s.line(tee, 'left', s.corner('caliper', `Front ${front}`, [80, y(front, 420), 520]), 'hose end at bracket', circuit, i ? 'S' : 'F');
      s.line(tee, 'right', s.corner('caliper', `Rear ${rear}`, [2400, y(rear, 430), 540]), 'hose end at bracket', circuit, i ? 'S' : 'F');
    }
  }),
  layout('twin', 'Two masters with a balance bar', (s) => {
    s.pair(s.part('master', 'Front master', MASTER), 'outlet', 'Front tee', FRONT_TEE, AFT, 'caliper', 'Front', frontCircuit(s), 'F');
    s.pair(s.part('master', 'Rear master', [500, -340, 520]), 'outlet', 'Rear tee', REAR_TEE, FORE, 'caliper', 'Rear', rearCircuit(s), 'R');
  }),
  layout('trailer', 'Trailer: one circuit on an actuator', (s) => {
    const circuit = s.circuit('Trailer brakes', 'brake', null, 'fluid');
    const actuator = s.part('actuator', 'Actuator', [0, 0, 600]);
    s.pair(actuator, 'outlet', 'Axle tee', [2500, -60, 450], FORE, 'caliper', 'Axle', circuit, 'T');
  }),
  layout('clutch', 'Clutch only', clutchIn),
  layout('motorcycle', 'Motorcycle, front and rear', (s) => {
    s.line(s.part('master', 'Hand master', [150, 350, 1000], { outlet: FORE }), 'outlet', s.part('caliper', 'Front caliper', [0, 90, 420], { 'hose end at bracket': AFT }), 'hose end at bracket', frontCircuit(s), 'F');
    s.line(s.part('master', 'Foot master', [900, 180, 420], { outlet: AFT }), 'outlet', s.part('caliper', 'Rear caliper', [1400, 120, 380], { 'hose end at bracket': FORE }), 'hose end at bracket', rearCircuit(s), 'R');
  }),
  layout('handbrake', 'Front and rear split with an inline hydraulic handbrake', (s) => {
    const master = s.part('master', 'Tandem master', MASTER, {}, ['front outlet', 'rear outlet']);
    s.pair(master, 'front outlet', 'Front tee', FRONT_TEE, AFT, 'caliper', 'Front', frontCircuit(s), 'F');
    const handbrake = s.part('handbrake-cylinder', 'Hydraulic handbrake', [1300, -60, 600]);
    s.line(master, 'rear outlet', handbrake, 'inlet', rearCircuit(s), 'R');
    s.pair(handbrake, 'outlet', 'Rear tee', REAR_TEE, FORE, 'caliper', 'Rear', rearCircuit(s), 'R');
  }),
  layout('aircraft', 'Light aircraft: two toe masters and a parking valve each', (s) => {
    for (const [side, y, ink] of [['Left', -200, 'fluid'], ['Right', 200, 'copper']] as const) {
      const circuit = s.circuit(`${side} wheel`, 'brake', null, ink);
      const master = s.part('master', `${side} toe master`, [300, y, 500], { outlet: AFT });
      const valve = s.part('parking-valve', `${side} parking valve`, [800, y, 450]);
      s.line(master, 'outlet', valve, 'inlet', circuit, side.slice(0, 1));
      s.line(valve, 'outlet', s.part('caliper', `${side} caliper`, [1600, 4 * y, 350], { 'hose end at bracket': FORE }), 'hose end at bracket', circuit, side.slice(0, 1));
    }
  }),
]; // prettier-ignore
