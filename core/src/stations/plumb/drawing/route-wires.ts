import FlatQueue from 'flatqueue';
import { GRID_PX, type Px, type PxBox, type WireToRoute } from './drawn.ts';
import type { Placed } from './place-boxes.ts';

/** Room for wires around the boxes, in steps of the grid. */
const AROUND = 5;
/** What a wire is spared, in steps of its length. */
const BEND = 10;
const CROSSING = 16;
const OVER_ANOTHER = 200;
const STEPS = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
] as const;
const ALONG = { across: 1, down: 2 } as const;

/** The grid that wires run on: cells under a box are closed, cells with wires say which way those run. */
class Board {
  readonly columns: number;
  readonly rows: number;
  private readonly closed: Uint8Array;
  private readonly used: Uint8Array;
  constructor(size: { readonly width: number; readonly height: number }) {
    this.columns = Math.ceil(size.width / GRID_PX) + 2 * AROUND + 1;
    this.rows = Math.ceil(size.height / GRID_PX) + 2 * AROUND + 1;
    this.closed = new Uint8Array(this.columns * this.rows);
    this.used = new Uint8Array(this.columns * this.rows);
  }
  cellAt({ x, y }: Px): number {
    return (Math.round(y / GRID_PX) + AROUND) * this.columns + Math.round(x / GRID_PX) + AROUND;
  }
  pxOf(cell: number): Px {
    return {
      x: ((cell % this.columns) - AROUND) * GRID_PX,
      y: (Math.floor(cell / this.columns) - AROUND) * GRID_PX,
    };
  }
  close({ x, y, width, height }: PxBox): void {
    for (let dy = 0; dy <= height; dy += GRID_PX)
      for (let dx = 0; dx <= width; dx += GRID_PX)
        this.closed[this.cellAt({ x: x + dx, y: y + dy })] = 1;
  }
  mark(cells: readonly number[]): void {
    cells.forEach((cell, i) => {
      for (const near of [cells[i - 1], cells[i + 1]])
        if (near !== undefined)
          this.used[cell]! |= Math.abs(near - cell) === 1 ? ALONG.across : ALONG.down;
    });
  }
  next(cell: number, direction: number): number | null {
    const [dx, dy] = STEPS[direction]!;
    const column = (cell % this.columns) + dx;
    const row = Math.floor(cell / this.columns) + dy;
    if (column < 0 || row < 0 || column >= this.columns || row >= this.rows) return null;
    const to = row * this.columns + column;
    return this.closed[to] ? null : to;
  }
  /** What it costs to come into a cell by a direction, after another; a wire crosses others straight. */
  cost(from: number, to: number, before: number, direction: number): number {
    const axis = direction % 2 === 0 ? ALONG.across : ALONG.down;
    const turns = before !== direction;
    let cost = 1 + (turns ? BEND : 0);
    if (turns && this.used[from]) cost += OVER_ANOTHER;
    if (this.used[to]! & axis) cost += OVER_ANOTHER;
    else if (this.used[to]) cost += CROSSING;
    return cost;
  }
  stepsBetween(a: number, b: number): number {
    return (
      Math.abs((a % this.columns) - (b % this.columns)) +
      Math.abs(Math.floor(a / this.columns) - Math.floor(b / this.columns))
    );
  }
}

/** The cheapest way of cells from one to another, by A*: leaves by one direction and comes in by another. */
function wayBetween(
  board: Board,
  start: number,
  leaves: number,
  goal: number,
  enters: number,
): number[] {
  const best = new Map<number, number>();
  const came = new Map<number, number>();
  const queue = new FlatQueue();
  const first = start * 4 + leaves;
  best.set(first, 0);
  queue.push(first, board.stepsBetween(start, goal));
  while (queue.length) {
    const state = queue.pop()!;
    const [cell, direction] = [state >> 2, state & 3];
    if (cell === goal && direction === enters) {
      const cells = [cell];
      for (let s = came.get(state); s !== undefined; s = came.get(s)) cells.unshift(s >> 2);
      return cells.filter((one, i) => one !== cells[i - 1]);
    }
    const soFar = best.get(state)!;
    const reach = (to: number, onward: number, cost: number): void => {
      const next = to * 4 + onward;
      if (soFar + cost >= (best.get(next) ?? Infinity)) return;
      best.set(next, soFar + cost);
      came.set(next, state);
      queue.push(next, soFar + cost + board.stepsBetween(to, goal));
    };
    if (cell === goal) reach(cell, enters, BEND);
    for (let onward = 0; onward < 4; onward++) {
      if (onward === (direction + 2) % 4) continue;
      const to = board.next(cell, onward);
      if (to !== null) reach(to, onward, board.cost(cell, to, direction, onward));
    }
  }
  return [start, goal];
}

/** Only the corners of a way, and its ends. */
const cornersOf = (points: readonly Px[]): Px[] =>
  points.filter((p, i) => {
    const [a, b] = [points[i - 1], points[i + 1]];
    return !a || !b || !((a.x === p.x && p.x === b.x) || (a.y === p.y && p.y === b.y));
  });

/** The corners of each wire, px: around the boxes, straight where it can, and over another wire only across it. */
export function routeWires(
  placed: Placed,
  boxes: readonly PxBox[],
  wires: readonly WireToRoute[],
): ReadonlyMap<string, readonly Px[]> {
  const board = new Board(placed);
  for (const box of boxes) board.close(box);
  /** The cell before a port, off its box, and the direction away from the box. */
  const exit = (id: string): { at: Px; cell: number; away: number } => {
    const { x, y, face } = placed.ports.get(id)!;
    const by = face === 'top' ? -GRID_PX : GRID_PX;
    return { at: { x, y }, cell: board.cellAt({ x, y: y + by }), away: face === 'top' ? 3 : 1 };
  };
  const ends = wires.map((wire) => ({ wire, from: exit(wire.from), to: exit(wire.to) }));
  const steps = ({ from, to }: (typeof ends)[number]): number =>
    board.stepsBetween(from.cell, to.cell);
  const routed = new Map<string, readonly Px[]>();
  for (const { wire, from, to } of ends.sort((a, b) => steps(a) - steps(b))) {
    const cells = wayBetween(board, from.cell, from.away, to.cell, (to.away + 2) % 4);
    board.mark(cells);
    routed.set(wire.id, cornersOf([from.at, ...cells.map((cell) => board.pxOf(cell)), to.at]));
  }
  return routed;
}
