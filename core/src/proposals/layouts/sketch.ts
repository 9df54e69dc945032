import type { Vec3 } from '../../lib/vec/index.ts';
import { newLine } from '../../plan/edits/new-line.ts';
import {
  freshId,
  newPart,
  type Circuit,
  type Line,
  type Part,
  type PartKind,
  type Plan,
  type Port,
} from '../../plan/index.ts';

/** Where things mostly stand, to begin with: guesses, known to 150 mm. */
const SIGMA: Vec3 = [150, 150, 150];

/** Puts parts and lines into a plan one after another; every place is a guess. */
export class Sketch {
  constructor(public plan: Plan) {}

  circuit(name: string, work: Circuit['work'], axle: Circuit['axle'], ink: Circuit['ink']): string {
    const same = this.plan.circuits.find(
      (circuit) => circuit.work === work && circuit.axle === axle && circuit.name === name,
    );
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

  line(
    from: Part,
    fromPort: string,
    to: Part,
    toPort: string,
    circuitId: string,
    letter: string,
  ): Line {
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
    return line;
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
