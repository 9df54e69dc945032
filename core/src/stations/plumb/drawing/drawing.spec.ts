import fc from 'fast-check';
import { applyEdit, type Plan } from '../../../plan/index.ts';
import { viewPlan } from '../../../plan/results/index.ts';
import { defaultsFor, setOut, VEHICLES } from '../../../proposals/set-out/index.ts';
import { cases } from '../../../testing/cases.ts';
import { demo } from '../../../testing/demo-plans.ts';
import { boxWidthPx } from './drawn.ts';
import {
  circuitGraph,
  layOutCircuits,
  overlap,
  type Arrangement,
  type BoxToPlace,
  type DrawnCircuits,
  type Px,
  type PxBox,
  type WireToRoute,
} from './index.ts';

const FRESH = { id: 'p', now: '2026-01-01T00:00:00.000Z' };
const SET_OUT = new Map(
  VEHICLES.map((vehicle) => [
    vehicle,
    setOut({ answers: defaultsFor(vehicle), said: [], name: 'New', units: 'metric' }, FRESH),
  ]),
);
const fresh = (vehicle: (typeof VEHICLES)[number]): Plan => SET_OUT.get(vehicle)!;
/** A car with forty parts: a valve, a modulator, and three parts before every brake and the clutch. */
function many(): { boxes: BoxToPlace[]; wires: WireToRoute[] } {
  const boxes: BoxToPlace[] = [];
  const wires: WireToRoute[] = [];
  const add = (id: string, tops: number, bottoms: number, at: Partial<BoxToPlace> = {}): string => {
    const ports = [
      ...Array.from({ length: tops }, (_, i) => ({ id: `${id} in ${i}`, face: 'top' as const })),
      ...Array.from({ length: bottoms }, (_, i) => ({
        id: `${id} out ${i}`,
        face: 'bottom' as const,
      })),
    ];
    const width = boxWidthPx(Math.max(tops, bottoms));
    boxes.push({ id, width, height: 72, ports, aftMm: 0, rightMm: 0, corner: null, ...at });
    return id;
  };
  const join = (from: string, out: number, to: string, into = 0): void => {
    const name = `L${wires.length}`;
    wires.push({ id: name, name, from: `${from} out ${out}`, to: `${to} in ${into}` });
  };
  const [tank, master] = [add('reservoir', 0, 2), add('master', 2, 2)];
  const [valve, modulator] = [add('valve', 2, 2), add('modulator', 2, 4)];
  const [hand, spread] = [add('hand master', 0, 1), add('tee', 1, 2)];
  for (const way of [0, 1]) {
    join(tank, way, master, way);
    join(master, way, valve, way);
    join(valve, way, modulator, way);
  }
  join(hand, 0, spread);
  const chain = (from: string, out: number, names: readonly string[], last: string): void => {
    let [before, way] = [from, out];
    for (const id of names) {
      join(before, way, add(id, 1, 1));
      [before, way] = [id, 0];
    }
    join(before, way, last);
  };
  for (const [i, side] of (['left', 'right', 'left', 'right'] as const).entries()) {
    const [rear, rightMm] = [i > 1, side === 'left' ? -700 : 700];
    const place = { aftMm: rear ? 2600 : 0, rightMm, corner: side };
    const brake = add(`brake ${i}`, 1, 0, place);
    const names = ['union', 'bulkhead', 'switch', 'bracket', 'dry break'];
    chain(
      modulator,
      i,
      names.map((part) => `${part} ${i}`),
      brake,
    );
    if (rear) chain(spread, i - 2, [`hand bracket ${i}`], add(`parking brake ${i}`, 1, 0, place));
  }
  const clutch = add('clutch master', 0, 1);
  chain(clutch, 0, ['damper', 'clutch bracket', 'clutch hose'], add('slave', 1, 0));
  return { boxes, wires };
}
const PLANS = [
  ...VEHICLES.map((vehicle) => ({ name: vehicle as string, plan: fresh(vehicle) })),
  ...['gannet', 'wheatear', 'dunlin'].map((name) => ({ name, plan: demo(name) })),
].map(({ name, plan }) => ({ name, graph: circuitGraph(viewPlan(plan)) }));
const ROOM = { width: 848, height: 690 };

const stretchesOf = (points: readonly Px[]): PxBox[] =>
  points.slice(1).map((b, i) => {
    const a = points[i]!;
    return {
      x: Math.min(a.x, b.x),
      y: Math.min(a.y, b.y),
      width: Math.abs(a.x - b.x),
      height: Math.abs(a.y - b.y),
    };
  });
/** What is wrong with a drawing, in words. */
function faults(
  { boxes, wires }: { boxes: readonly BoxToPlace[]; wires: readonly WireToRoute[] },
  drawn: DrawnCircuits,
): string[] {
  const rects = boxes.map(({ id, width, height }) => ({
    id,
    box: { ...drawn.boxes.get(id)!, width, height },
  }));
  const pairs = <T>(all: readonly T[]): (readonly [T, T])[] =>
    all.flatMap((a, i) => all.slice(i + 1).map((b) => [a, b] as const));
  const said: string[] = [];
  for (const [a, b] of pairs(rects))
    if (overlap(a.box, b.box)) said.push(`${a.id} lies on ${b.id}`);
  for (const { id, name } of wires) {
    for (const stretch of stretchesOf(drawn.wires.get(id)!)) {
      if (stretch.width && stretch.height) said.push(`${name} runs aslant`);
      // Thick by a pixel: a wire that only ends at a box does not overlap it.
      const thick = {
        x: stretch.x - (stretch.width ? 0 : 1),
        y: stretch.y - (stretch.height ? 0 : 1),
        width: stretch.width || 2,
        height: stretch.height || 2,
      };
      for (const rect of rects)
        if (overlap(thick, rect.box)) said.push(`${name} runs through ${rect.id}`);
    }
  }
  for (const [a, b] of pairs([...drawn.names]))
    if (overlap(a[1], b[1])) said.push(`the names of ${a[0]} and ${b[0]} overlap`);
  for (const [id, name] of drawn.names)
    for (const { x, y } of drawn.ports.values())
      if (overlap(name, { x: x - 6, y: y - 6, width: 12, height: 12 }))
        said.push(`the name of ${id} lies on a port`);
  for (const [id, name] of drawn.names)
    for (const rect of rects)
      if (overlap(name, rect.box)) said.push(`the name of ${id} lies on ${rect.id}`);
  return said;
}
/** How often wires cross. */
function crossings(drawn: DrawnCircuits): number {
  const all = [...drawn.wires.values()].map(stretchesOf);
  let count = 0;
  all.forEach((a, i) => {
    for (const b of all.slice(i + 1))
      for (const p of a)
        for (const q of b) {
          const [flat, up] = p.height === 0 ? [p, q] : [q, p];
          if (flat.height || up.width) continue;
          const across = up.x > flat.x && up.x < flat.x + flat.width;
          if (across && flat.y > up.y && flat.y < up.y + up.height) count++;
        }
  });
  return count;
}

describe.each([...PLANS, { name: 'forty parts', graph: many() }])(
  'the circuits of $name',
  ({ name, graph }) => {
    const draw = (by: Arrangement): DrawnCircuits => layOutCircuits({ ...graph, by });

    test.each(['vehicle', 'flow'] as const)('by %s: nothing lies on anything', (by) => {
      expect(faults(graph, draw(by))).toEqual([]);
    });
    // A diagonal split crosses itself three times.
    test.each(['vehicle', 'flow'] as const)('by %s: few wires cross', (by) => {
      expect(crossings(draw(by))).toBeLessThanOrEqual(name === 'forty parts' ? 6 : 3);
    });
    test('as seen from above: left wheels left of right ones, the front axle over the rear one', () => {
      const drawn = draw('vehicle');
      const at = ({ id }: BoxToPlace): Px => drawn.boxes.get(id)!;
      const on = (side: BoxToPlace['corner']): BoxToPlace[] =>
        graph.boxes.filter(({ corner }) => corner === side);
      for (const left of on('left'))
        for (const other of graph.boxes.filter(({ corner }) => corner === 'right'))
          expect(at(left).x + left.width).toBeLessThan(at(other).x);
      const brakes = graph.boxes.filter(({ corner }) => corner);
      for (const front of brakes)
        for (const rear of brakes)
          if (rear.aftMm - front.aftMm > 600) expect(at(front).y).toBeLessThan(at(rear).y);
    });
    test('it can be read without moving it about', () => {
      const { width, height } = draw('vehicle');
      const shown = Math.min(ROOM.width / width, ROOM.height / height);
      expect(shown).toBeGreaterThan(name === 'forty parts' ? 0.45 : 0.75);
    });
  },
);

describe('the graph of circuits', () => {
  const { boxes, wires } = circuitGraph(viewPlan(demo('gannet')));

  test('every part is a box, every line a wire from where pressure comes to where it goes', () => {
    expect(boxes).toHaveLength(demo('gannet').parts.length);
    expect(wires).toHaveLength(demo('gannet').lines.length);
    const faces = new Map(boxes.flatMap((box) => box.ports.map(({ id, face }) => [id, face])));
    for (const { from, to } of wires)
      expect([faces.get(from), faces.get(to)]).toEqual(['bottom', 'top']);
  });
  test('bleeders are marks on the box, no ports of the drawing', () => {
    const ids = boxes.flatMap((box) => box.ports).map(({ id }) => id);
    expect(ids.filter((id) => id.startsWith('bleed'))).toEqual([]);
  });
  test('a hose leaves its bracket on the side away from the tube', () => {
    const plan = fresh('van');
    const hose = circuitGraph(viewPlan(plan)).wires.find(({ name }) => name === 'H3')!;
    expect(hose.from).toMatch(/\/far$/);
  });
});

test('a chain in which every part is joined to the next twice is drawn as fast as any', () => {
  const boxes = Array.from({ length: 60 }, (_, i): BoxToPlace => {
    const ports = (['top', 'bottom'] as const).flatMap((face) =>
      [0, 1].map((k) => ({ id: `${face} ${i} ${k}`, face })),
    );
    return {
      id: `b${i}`,
      width: boxWidthPx(2),
      height: 72,
      ports,
      aftMm: 0,
      rightMm: 0,
      corner: null,
    };
  });
  const wires = boxes.slice(1).flatMap((_, i) =>
    [0, 1].map((k): WireToRoute => ({
      id: `w${i} ${k}`,
      name: `W${i}${k}`,
      from: `bottom ${i} ${k}`,
      to: `top ${i + 1} ${k}`,
    })),
  );
  // By every way from the first to the last it would be 2 to the 59th.
  expect(faults({ boxes, wires }, layOutCircuits({ boxes, wires, by: 'vehicle' }))).toEqual([]);
});

test('a brake whose axle is set is drawn with that axle', () => {
  const plan = fresh('van');
  const [rear] = plan.parts.filter(({ name }) => name === 'Rear left');
  const moved = applyEdit(plan, {
    edit: 'changePart',
    with: { id: rear!.id, patch: { axle: 'front' } },
  });
  const drawn = layOutCircuits({ ...circuitGraph(viewPlan(moved)), by: 'vehicle' });
  const top = (name: string): number =>
    drawn.boxes.get(plan.parts.find((part) => part.name === name)!.id)!.y;
  expect(top('Rear left')).toBe(top('Front left'));
  expect(top('Rear right')).toBeGreaterThan(top('Front left'));
});

describe('circuits of any kind', () => {
  const port = (box: number, face: 'top' | 'bottom', i: number): string => `${box}-${face}-${i}`;
  const circuits = fc
    .record({
      corners: fc.array(fc.constantFrom(null, 'left', 'middle', 'right' as const), {
        minLength: 2,
        maxLength: 14,
      }),
      joins: fc.array(fc.tuple(fc.nat(13), fc.nat(13)), { maxLength: 16 }),
    })
    .map(({ corners, joins }) => {
      const wires = joins
        .map(([a, b]) => [a % corners.length, b % corners.length] as const)
        .filter(([a, b]) => a !== b)
        .map(([a, b], i): WireToRoute => ({
          id: `w${i}`,
          name: `W${i}`,
          from: port(a, 'bottom', i),
          to: port(b, 'top', i),
        }));
      const boxes = corners.map((corner, k): BoxToPlace => {
        const ports = wires.flatMap(({ from, to }) => [
          ...(from.startsWith(`${k}-`) ? [{ id: from, face: 'bottom' as const }] : []),
          ...(to.startsWith(`${k}-`) ? [{ id: to, face: 'top' as const }] : []),
        ]);
        const width = boxWidthPx(ports.length);
        return { id: `b${k}`, width, height: 72, ports, aftMm: k * 300, rightMm: 0, corner };
      });
      return { boxes, wires };
    });
  // With rings, several wires between two boxes, and boxes that nothing joins.
  test('no box lies on another and no wire runs through one', () => {
    fc.assert(
      fc.property(circuits, fc.constantFrom('vehicle', 'flow'), (graph, by) => {
        const said = faults(graph, layOutCircuits({ ...graph, by }));
        expect(said.filter((fault) => !/name/.test(fault))).toEqual([]);
      }),
      { numRuns: cases(40, 1000) },
    );
  });
});
