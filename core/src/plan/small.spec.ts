import fc from 'fast-check';
import { InputError } from '../lib/faults/index.ts';
import { nutById, nutFitsTube, NUTS, tubeById, TUBES } from '../trade/stock/index.ts';
import {
  angleDeg,
  cross,
  distance,
  dot,
  length,
  rotate,
  squareTo,
  turnDeg,
  unit,
  type Vec3,
} from '../lib/vec/index.ts';
import { fnv32 } from './layout/digest.ts';
import {
  emptyPlan,
  freshId,
  newPart,
  PART_KINDS,
  planFileName,
  type PartKind,
  type Plan,
  type PortRole,
} from './index.ts';
import { newLine } from './edits/new-line.ts';
import { LAYOUTS } from '../proposals/layouts/index.ts';
import { viewPlan } from './results/index.ts';

const empty = (name = 'P'): Plan => emptyPlan('p', name, '2026-01-01T00:00:00.000Z');

describe('names and digests', () => {
  test.each([
    ['Gannet', 'gannet'],
    ['Step van, No. 2', 'step-van-no-2'],
    ['***', 'plan'],
  ])('a plan called %s is the file %s', (name, file) => {
    expect(planFileName(empty(name))).toBe(`${file}.firmline.json`);
  });
  test('ids are the least that is free', () => {
    const plan = empty();
    expect([freshId(plan, 'part'), freshId(plan, 'circuit'), freshId(plan, 'bender')]).toEqual([
      'part-1',
      'circuit-4',
      'bender-4',
    ]);
  });
  // FNV-1a 32 bit, published test vectors: "" 811c9dc5, "a" e40c292c, "foobar" bf9cf968.
  test.each([
    ['', '811c9dc5'],
    ['a', 'e40c292c'],
    ['foobar', 'bf9cf968'],
  ])('digest of "%s"', (text, digest) => expect(fnv32([text])).toBe(digest));
});

describe('parts and joins', () => {
  test.each(PART_KINDS)('a %s comes with its ports, each once and named apart', (kind) => {
    const part = newPart(empty(), kind);
    expect(new Set(part.ports.map((port) => port.name)).size).toBe(part.ports.length);
    expect(new Set(part.ports.map((port) => port.id)).size).toBe(part.ports.length);
    expect(part.ports.every((port) => Math.abs(length(port.direction) - 1) < 1e-12)).toBe(true);
  });
  // What such a part has when it is taken in hand. Common practice.
  test.each<[PartKind, Partial<Record<PortRole, number>>]>([
    ['master', { outlet: 1 }],
    ['reservoir', { feed: 1 }],
    ['tee', { inlet: 1, outlet: 2 }],
    ['combination-valve', { inlet: 2, outlet: 2 }],
    ['modulator', { inlet: 2, outlet: 3 }],
    ['proportioning-valve', { inlet: 1, outlet: 1 }],
    ['residual-valve', { inlet: 1, outlet: 1 }],
    ['handbrake-cylinder', { inlet: 1, outlet: 1 }],
    ['dry-break', { inlet: 1, outlet: 1 }],
    ['pressure-switch', { inlet: 1 }],
    ['caliper', { inlet: 1, bleeder: 1 }],
    ['wheel-cylinder', { inlet: 1, bleeder: 1 }],
    ['slave', { inlet: 1, bleeder: 1 }],
    ['release-bearing', { inlet: 1, bleeder: 1 }],
    ['actuator', { outlet: 1 }],
    ['bracket', { inlet: 1, outlet: 1 }],
  ])('a %s has %o', (kind, wanted) => {
    const roles = newPart(empty(), kind).ports.map(({ role }) => role);
    expect(
      Object.fromEntries(
        [...new Set(roles)].map((role) => [role, roles.filter((r) => r === role).length]),
      ),
    ).toEqual(wanted);
  });
  test('a bleeder leaves upward, where the air is', () => {
    for (const kind of PART_KINDS)
      for (const port of newPart(empty(), kind).ports)
        if (port.role === 'bleeder') expect(port.direction[2]).toBe(1);
  });
  test('a second one of a kind is numbered', () => {
    const plan = { ...empty(), parts: [newPart(empty(), 'tee')] };
    expect(newPart(plan, 'tee').name).toBe('Tee 2');
  });
  test('a joined line leads straight out of both ports and can be bent', () => {
    const plan = LAYOUTS[0]!.draw(empty());
    const bare = { ...plan, lines: [] };
    const [a, b] = [plan.parts[0]!.ports[0]!, plan.parts[1]!.ports[0]!];
    const line = newLine(bare, a, b, plan.circuits[0]!.id);
    const view = viewPlan({ ...bare, lines: [line] }).lines[0]!;
    expect([line.name, view.fault, view.card!.bends.length > 0]).toEqual(['L1', null, true]);
    expect(
      angleDeg(
        a.direction,
        [0, 1, 2].map((i) => line.cornersMm[0]![i]! - view.nodesMm[0]![i]!) as unknown as Vec3,
      ),
    ).toBeLessThan(1);
  });
});

describe('a new line where the bench or the stock lacks something', () => {
  const plan = LAYOUTS[0]!.draw(empty());
  const [a, b] = [plan.parts[0]!.ports[0]!, plan.parts[1]!.ports[0]!];
  const bareOfNuts = TUBES.filter((tube) => !NUTS.some((nut) => nutFitsTube(nut, tube.odMm)));
  test.each(TUBES.map((tube) => [tube.name, tube] as const))(
    'after one of %s it is made in a tube that has a nut',
    (_, tube) => {
      const last = { ...plan.lines.at(-1)!, tubeId: tube.id };
      const line = newLine({ ...plan, lines: [last] }, a, b, plan.circuits[0]!.id);
      expect(nutFitsTube(nutById(line.ends.a.nutId)!, tubeById(line.tubeId)!.odMm)).toBe(true);
      expect(line.tubeId === tube.id).toBe(!bareOfNuts.includes(tube));
    },
  );
  test('without a bender on the bench it says so', () => {
    expect(() =>
      newLine({ ...plan, bench: { ...plan.bench, benders: [] } }, a, b, plan.circuits[0]!.id),
    ).toThrow(
      new InputError('bench.benders', 'No bender on the bench. Add one before you add a line.'),
    );
  });
});

describe('vectors', () => {
  const component = fc.double({ min: -1000, max: 1000, noNaN: true });
  const vectors = fc.tuple(component, component, component).filter((v) => length(v) > 1e-3);

  test('a turn keeps length and angle, and a whole turn comes back', () => {
    fc.assert(
      fc.property(
        vectors,
        vectors,
        fc.double({ min: -360, max: 360, noNaN: true }),
        (v, axis, deg) => {
          const about = unit(axis)!;
          const turned = rotate(v, about, deg);
          expect(length(turned)).toBeCloseTo(length(v), 6);
          expect(dot(turned, about)).toBeCloseTo(dot(v, about), 6);
          expect(distance(rotate(turned, about, 360 - deg), v)).toBeLessThan(
            1e-6 * (1 + length(v)),
          );
        },
      ),
    );
  });
  test('the turn between two directions about an axis is the one that was made', () => {
    fc.assert(
      fc.property(vectors, fc.double({ min: -179, max: 179, noNaN: true }), (axis, deg) => {
        const about = unit(axis)!;
        const from = squareTo(about);
        expect(Math.abs(dot(from, about))).toBeLessThan(1e-9);
        expect(turnDeg(from, rotate(from, about, deg), about)).toBeCloseTo(deg, 6);
      }),
    );
  });
  test('right hand: x, y, z', () => {
    expect(cross([1, 0, 0], [0, 1, 0])).toEqual([0, 0, 1]);
    expect(rotate([1, 0, 0], [0, 0, 1], 90).map((v) => Math.round(v))).toEqual([0, 1, 0]);
    expect([unit([0, 0, 0]), angleDeg([1, 0, 0], [0, 2, 0])]).toEqual([null, 90]);
  });
});
