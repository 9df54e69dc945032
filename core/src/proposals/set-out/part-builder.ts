import { Sketch } from '../layouts/index.ts';
import {
  freshId,
  type Hose,
  type HoseEnd,
  type Part,
  type PartKind,
  type Plan,
  type Port,
} from '../../plan/index.ts';
import type { Motion } from '../../shape/rod/index.ts';
import { hoseById, hoseFittingById } from '../../trade/stock/index.ts';
import { distance, sub, ZERO, type Vec3 } from '../../lib/vec/index.ts';

/** Where a port is and which way a tube leaves it. */
export type PortAt = readonly [atMm: Vec3, direction: Vec3];
/** An end of a hose: on a port (through its bracket or straight on it), or at a place of its own. */
export type HoseTo =
  | { readonly port: Port; readonly through?: boolean }
  | { readonly atMm: Vec3; readonly direction: Vec3 };

export const STILL: Motion = {
  kind: 'still',
  heaveMm: [0, 0],
  aboutMm: [0, 0, 0],
  axis: [1, 0, 0],
  measuredAtMm: [0, 0, 0],
  rollDeg: 0,
  steer: null,
  floatMm: 0,
  floatAxis: [0, 1, 0],
};
/** Hose over its straight line, to begin with; the lengths that serve are looked for after. Common practice. */
const SLACK = 1.25;

/** Puts parts with ports at their own places, and hoses, into a plan. */
export class PartBuilder extends Sketch {
  constructor(
    plan: Plan,
    readonly sigmaMm: number,
  ) {
    super(plan);
  }

  /** A part with these ports in this order; a port that its kind does not have by that name takes the role of the kind's at its place, or is an outlet. */
  put(kind: PartKind, name: string, ports: Readonly<Record<string, PortAt>>): Part {
    const made = this.part(kind, name, [0, 0, 0]);
    const { sigmaMm } = this;
    let part = this.change({ ...made, ports: [] });
    for (const [i, [portName, [atMm, direction]]] of Object.entries(ports).entries()) {
      const role =
        (made.ports.find((port) => port.name === portName) ?? made.ports[i])?.role ?? 'outlet';
      const known = { how: 'guessed', atMm, sigmaMm: [sigmaMm, sigmaMm, sigmaMm] } as const;
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
      name: `H${this.plan.hoses.length + 1}`,
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
