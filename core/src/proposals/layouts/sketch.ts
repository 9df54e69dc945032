import { distance, sub, ZERO, type Vec3 } from '../../lib/vec/index.ts';
import type { Motion } from '../../shape/rod/index.ts';
import { hoseById, hoseFittingById } from '../../trade/stock/index.ts';
import { newLine } from '../../plan/edits/new-line.ts';
import {
  freshHoseName,
  freshId,
  newPart,
  type Circuit,
  type Hose,
  type HoseEnd,
  type Line,
  type Part,
  type PartKind,
  type Plan,
  type Port,
} from '../../plan/index.ts';

/** Where a port is and which way a tube leaves it. */
export type PortAt = readonly [atMm: Vec3, direction: Vec3];
/** An end of a hose: on a port (through its bracket or straight on it), or at a place of its own. */
export type HoseTo =
  | { readonly port: Port; readonly through?: boolean }
  | { readonly atMm: Vec3; readonly direction: Vec3 };

/** Hose over its straight line, to begin with; the lengths that serve are looked for after. Common practice. */
const SLACK = 1.1;

/** Puts parts and lines into a plan one after another; every place is a guess. */
export class Sketch {
  /** Where things mostly stand, to begin with: guesses, known to so much. */
  constructor(
    public plan: Plan,
    readonly sigmaMm = 150,
  ) {}

  private guess(atMm: Vec3): Port['known'] {
    return { how: 'guessed', atMm, sigmaMm: [this.sigmaMm, this.sigmaMm, this.sigmaMm] };
  }

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
    const known = this.guess(atMm);
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
        const shifted = this.guess([atMm[0] + 60 * i, atMm[1], atMm[2]]);
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

  /** A part with these ports in this order; a port that its kind does not have by that name takes the role of the kind's at its place, or is an outlet. */
  put(kind: PartKind, name: string, ports: Readonly<Record<string, PortAt>>): Part {
    const made = this.part(kind, name, [0, 0, 0]);
    let part = this.change({ ...made, ports: [] });
    for (const [i, [portName, [atMm, direction]]] of Object.entries(ports).entries()) {
      const role =
        (made.ports.find((port) => port.name === portName) ?? made.ports[i])?.role ?? 'outlet';
      const known = this.guess(atMm);
      const id = freshId(this.plan, 'port');
      part = this.change({
        ...part,
        ports: [...part.ports, { id, name: portName, role, direction, known, fitting: null }],
      });
    }
    return part;
  }

  change(part: Part): Part {
    this.plan = {
      ...this.plan,
      parts: this.plan.parts.map((one) => (one.id === part.id ? part : one)),
    };
    return part;
  }

  hose(
    title: string,
    circuitId: string,
    stockId: string,
    a: HoseTo,
    b: HoseTo,
    fittings: readonly [string, string],
    motion: Motion,
  ): Hose {
    const end = (to: HoseTo, fittingId: string): HoseEnd =>
      'port' in to
        ? {
            portId: to.port.id,
            through: to.through ?? false,
            atMm: to.port.known.atMm,
            direction: to.through ? sub(ZERO, to.port.direction) : to.port.direction,
            fittingId,
            turnDeg: 0,
          }
        : {
            portId: null,
            through: false,
            atMm: to.atMm,
            direction: to.direction,
            fittingId,
            turnDeg: 0,
          };
    const ends = { a: end(a, fittings[0]), b: end(b, fittings[1]) };
    const fitted = fittings.reduce(
      (sum, id) => sum + hoseFittingById(id)!.stemMm + hoseFittingById(id)!.legMm,
      0,
    );
    const isFeed = hoseById(stockId)!.kind === 'feed';
    const hose: Hose = {
      id: freshId(this.plan, 'hose'),
      name: freshHoseName(this.plan),
      title,
      circuitId,
      stockId,
      service: isFeed ? 'feed' : 'pressure',
      ends,
      orderMm: Math.ceil((SLACK * distance(ends.a.atMm, ends.b.atMm) + fitted) / 5) * 5,
      motion,
      fixing: 'port' in a && a.through ? 'bracket' : 'part',
      locked: true,
      gauze: isFeed,
      madeOn: null,
    };
    this.plan = { ...this.plan, hoses: [...this.plan.hoses, hose] };
    return hose;
  }
}
