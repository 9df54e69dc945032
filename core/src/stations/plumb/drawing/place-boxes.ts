import {
  GRID_PX,
  portOffsetPx,
  type Arrangement,
  type BoxToPlace,
  type DrawnPort,
  type Px,
  type WireToRoute,
} from './drawn.ts';
import { ranksOf, type Edge } from './ranks.ts';
import { lowerMedian, spreadLefts } from './spread.ts';

const GAP_PX = 2 * GRID_PX;
/** Between two ranks: room for a wire's name, and more where wires turn. */
const CHANNEL = { least: 4, most: 12 };
const SWEEPS = 8;
const ZONES = ['left', 'middle', 'right'] as const;
type Zone = (typeof ZONES)[number];

/** A port's partner at the other end of a wire. */
interface Partner {
  readonly box: string;
  readonly port: string;
}
export interface Placed {
  readonly width: number;
  readonly height: number;
  readonly boxes: ReadonlyMap<string, Px>;
  /** Ports with the side of their box that they are on. */
  readonly ports: ReadonlyMap<string, Px & { readonly face: DrawnPort['face'] }>;
}

const snapped = (px: number): number => Math.round(px / GRID_PX) * GRID_PX;

/** What is joined, by box: boxes of one circuit have one number. */
function circuitsOf(boxes: readonly BoxToPlace[], edges: readonly Edge[]): Map<string, number> {
  const circuits = new Map(boxes.map(({ id }, i) => [id, i]));
  for (const [a, b] of edges) {
    const [kept, dropped] = [circuits.get(a)!, circuits.get(b)!];
    for (const [id, circuit] of circuits) if (circuit === dropped) circuits.set(id, kept);
  }
  return circuits;
}

/** One drawing while it is being placed: the left edge of each box, and how its ports are spread, so far. */
class Placing {
  private readonly owner: ReadonlyMap<string, BoxToPlace>;
  private readonly partners = new Map<string, Partner[]>();
  private readonly ranks: ReadonlyMap<string, number>;
  private readonly joined: readonly BoxToPlace[];
  private readonly loose: readonly BoxToPlace[];
  private readonly rankCount: number;
  private readonly zones = new Map<string, Zone>();
  private readonly circuits: ReadonlyMap<string, number>;
  private readonly lefts = new Map<string, number>();
  /** How far a port is from the left edge of its box. */
  private readonly offsets = new Map<string, number>();

  constructor(
    private readonly boxes: readonly BoxToPlace[],
    private readonly wires: readonly WireToRoute[],
    by: Arrangement,
  ) {
    this.owner = new Map(boxes.flatMap((box) => box.ports.map(({ id }) => [id, box] as const)));
    const edges: Edge[] = [];
    for (const { from, to } of wires) {
      const [a, b] = [this.owner.get(from)!.id, this.owner.get(to)!.id];
      edges.push([a, b]);
      this.partners.set(from, [...(this.partners.get(from) ?? []), { box: b, port: to }]);
      this.partners.set(to, [...(this.partners.get(to) ?? []), { box: a, port: from }]);
    }
    this.ranks = ranksOf(boxes, edges, by);
    this.circuits = circuitsOf(boxes, edges);
    const held = new Set(edges.flat());
    this.joined = boxes.filter((box) => held.has(box.id) || (by === 'vehicle' && box.corner));
    this.loose = boxes.filter((box) => !this.joined.includes(box));
    this.rankCount = 1 + Math.max(-1, ...this.joined.map(({ id }) => this.ranks.get(id)!));
    for (const box of boxes) {
      this.spreadPorts(box, (_, i) => i);
      this.zones.set(box.id, by === 'vehicle' ? this.zoneOf(box) : 'middle');
    }
  }

  place(): Placed {
    this.lineUp();
    this.settle();
    for (let sweep = 0; sweep < SWEEPS; sweep++) {
      this.align(sweep % 2 === 0 ? 'up' : 'down', sweep < SWEEPS - 2);
      this.turnPorts();
      this.settle();
    }
    return this.finish();
  }

  /** A brake's is its side of the vehicle; another part's the one side that all the brakes it feeds are on. */
  private zoneOf(box: BoxToPlace): Zone {
    if (box.corner) return box.corner;
    const sides = new Set<Zone>();
    const passed = new Set([box]);
    // What is added while it runs is gone through as well.
    for (const { ports } of passed)
      for (const { id, face } of ports)
        for (const partner of face === 'bottom' ? (this.partners.get(id) ?? []) : []) {
          const next = this.owner.get(partner.port)!;
          if (next.corner) sides.add(next.corner);
          else passed.add(next);
        }
    const [only = 'middle'] = sides;
    return sides.size > 1 ? 'middle' : only;
  }
  /** The boxes of a rank in one zone, from the left. */
  private row(rank: number, zone: Zone): BoxToPlace[] {
    return this.joined
      .filter((box) => this.ranks.get(box.id) === rank && this.zones.get(box.id) === zone)
      .sort((a, b) => this.left(a) - this.left(b));
  }
  private rows(zone: Zone): BoxToPlace[][] {
    return Array.from({ length: this.rankCount }, (_, rank) => this.row(rank, zone));
  }
  private left({ id }: { readonly id: string }): number {
    return this.lefts.get(id) ?? 0;
  }
  private portX({ box, port }: Partner): number {
    return this.left({ id: box }) + this.offsets.get(port)!;
  }

  /** To begin with: as the parts are on the vehicle, from its left side to its right. */
  private lineUp(): void {
    for (const zone of ZONES)
      for (const row of this.rows(zone)) {
        let x = 0;
        for (const box of row.sort((a, b) => a.rightMm - b.rightMm)) {
          this.lefts.set(box.id, x);
          x += box.width + GAP_PX;
        }
      }
  }

  /**
   * Moves boxes toward what they are joined to in the ranks already passed. Their order may change while it is
   * looked for; what one circuit is stays together.
   */
  private align(way: 'down' | 'up', mayReorder: boolean): void {
    for (let i = 0; i < this.rankCount; i++) {
      const rank = way === 'down' ? i : this.rankCount - 1 - i;
      for (const zone of ZONES) {
        const wanted = this.row(rank, zone).map((box) => ({
          id: box.id,
          width: box.width,
          wantedX: this.wantedLeft(box, way) ?? this.left(box),
          circuitX: zone === 'middle' ? this.circuitX(box) : 0,
        }));
        if (mayReorder) wanted.sort((a, b) => a.circuitX - b.circuitX || a.wantedX - b.wantedX);
        for (const [id, left] of spreadLefts(wanted, GAP_PX)) this.lefts.set(id, left);
      }
    }
  }
  /** Where the left edge of a box would be for its wires from the ranks passed to run straight. */
  private wantedLeft(box: BoxToPlace, way: 'down' | 'up'): number | null {
    const rank = this.ranks.get(box.id)!;
    return lowerMedian(
      box.ports.flatMap(({ id }) =>
        (this.partners.get(id) ?? [])
          .filter((partner) => {
            const other = this.ranks.get(partner.box)!;
            return way === 'down' ? other < rank : other > rank;
          })
          .map((partner) => this.portX(partner) - this.offsets.get(id)!),
      ),
    );
  }
  /** The middle of what is joined to a box, of that which is no corner. */
  private circuitX(box: BoxToPlace): number {
    const circuit = this.circuits.get(box.id);
    const xs = this.joined
      .filter(({ id }) => this.circuits.get(id) === circuit && this.zones.get(id) === 'middle')
      .map((one) => this.left(one) + one.width / 2);
    return xs.reduce((sum, x) => sum + x, 0) / xs.length;
  }
  /** Orders the ports on each side of a box as what they are joined to stands; the others come after them. */
  private turnPorts(): void {
    for (const box of this.joined)
      this.spreadPorts(box, (id, i) => {
        const xs = (this.partners.get(id) ?? []).map((partner) => this.portX(partner));
        return lowerMedian(xs) ?? 1e6 + i;
      });
  }
  private spreadPorts(box: BoxToPlace, order: (port: string, i: number) => number): void {
    for (const face of ['top', 'bottom'] as const) {
      const ports = box.ports
        .filter((port) => port.face === face)
        .map(({ id }, i) => ({ id, order: order(id, i) }))
        .sort((a, b) => a.order - b.order);
      ports.forEach(({ id }, i) => this.offsets.set(id, portOffsetPx(box.width, i, ports.length)));
    }
  }

  /** Puts the zones side by side; of a side with one box in each rank, those stand under one another. */
  private settle(): void {
    let from = 0;
    for (const zone of ZONES) {
      const rows = this.rows(zone);
      const all = rows.flat();
      if (!all.length) continue;
      const oneEach = zone !== 'middle' && rows.every((row) => row.length <= 1);
      if (oneEach) for (const { id } of all) this.lefts.set(id, from);
      else this.closeUp(rows, from);
      from = GAP_PX + Math.max(...all.map((box) => this.left(box) + box.width));
    }
  }
  /** A zone on the grid, without bands that no box stands in. */
  private closeUp(rows: readonly BoxToPlace[][], from: number): void {
    const all = rows.flat().sort((a, b) => this.left(a) - this.left(b));
    let [taken, reached] = [this.left(all[0]!) - from, -Infinity];
    for (const box of all) {
      const left = this.left(box);
      if (reached !== -Infinity) taken += Math.max(0, left - reached - GAP_PX);
      reached = Math.max(reached, left + box.width);
      this.lefts.set(box.id, snapped(left - taken));
    }
    // Rounding to the grid may have pushed two together.
    for (const row of rows) {
      let least = -Infinity;
      for (const box of row) {
        this.lefts.set(box.id, Math.max(least, this.left(box)));
        least = this.left(box) + box.width + GAP_PX;
      }
    }
  }

  /** Tops of the ranks: a channel between two is as high as the wires that turn in it want. */
  private tops(): number[] {
    const tops = [0];
    for (let rank = 0; rank < this.rankCount; rank++) {
      const turning = this.wires.filter(({ from, to }) => {
        const [a, b] = [this.owner.get(from)!.id, this.owner.get(to)!.id];
        const leaves = this.ranks.get(a) === rank;
        const enters = this.ranks.get(b) === rank + 1;
        const straight =
          leaves &&
          enters &&
          this.portX({ box: a, port: from }) === this.portX({ box: b, port: to });
        return (leaves || enters) && !straight;
      }).length;
      const highest = Math.max(0, ...this.boxes.map(({ height }) => height));
      const channel = Math.min(CHANNEL.most, Math.max(CHANNEL.least, turning + 2));
      tops.push(tops[rank]! + highest + channel * GRID_PX);
    }
    return tops;
  }
  private finish(): Placed {
    const tops = this.tops();
    const at = new Map<string, Px>();
    for (const box of this.joined)
      at.set(box.id, { x: this.left(box), y: tops[this.ranks.get(box.id)!]! });
    this.putLoose(at, tops[this.rankCount]!);
    const ports = this.boxes.flatMap((box) =>
      box.ports.map(({ id, face }) => {
        const { x, y } = at.get(box.id)!;
        const px = { x: x + this.offsets.get(id)!, y: face === 'top' ? y : y + box.height, face };
        return [id, px] as const;
      }),
    );
    const far = (edge: (box: BoxToPlace) => number): number => Math.max(0, ...this.boxes.map(edge));
    return {
      width: far(({ id, width }) => at.get(id)!.x + width),
      height: far(({ id, height }) => at.get(id)!.y + height),
      boxes: at,
      ports: new Map(ports),
    };
  }
  /** What nothing joins yet stands below, in rows as wide as the rest. */
  private putLoose(at: Map<string, Px>, top: number): void {
    const room = Math.max(800, ...this.joined.map((box) => this.left(box) + box.width));
    let [x, y] = [0, top];
    for (const { id, width, height } of this.loose) {
      if (x > 0 && x + width > room) [x, y] = [0, y + height + GAP_PX];
      at.set(id, { x, y });
      x += width + GAP_PX;
    }
  }
}

/** Where each box and port of a drawing of circuits lies, px, all of it on the grid. */
export const placeBoxes = (
  boxes: readonly BoxToPlace[],
  wires: readonly WireToRoute[],
  by: Arrangement,
): Placed => new Placing(boxes, wires, by).place();
