import { boxOf, solidsOf, type Thing } from '../../shape/obstacles/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import { defaultsFor, dimensionsOf, sketchOut, tyreOf, VEHICLES, type Answers } from './index.ts';

const FRESH = { id: 'p', now: '2026-01-01T00:00:00.000Z' };
const planOf = (answers: Answers) =>
  sketchOut({ answers, said: [], name: 'New', units: 'metric' }, FRESH);
/** How far a thing reaches along an axis, from its solids alone. */
function reach(things: readonly Thing[], axis: 0 | 1 | 2): [number, number] {
  const boxes = things.flatMap(({ shape }) => solidsOf(shape).map(boxOf));
  return [
    Math.min(...boxes.map(({ min }) => min[axis])),
    Math.max(...boxes.map(({ max }) => max[axis])),
  ];
}

test('levers of a motorcycle and an aircraft: together they carry what it weighs laden, or nearly', () => {
  const carried = (vehicle: 'motorcycle' | 'aircraft'): number => {
    const answers = defaultsFor(vehicle);
    const { singles } = planOf(answers);
    expect(singles.length).toBeGreaterThan(1);
    return singles.reduce((sum, { loadKg }) => sum + loadKg, 0) / answers.ladenKg;
  };
  expect(carried('motorcycle')).toBeCloseTo(1, 2);
  // The nose wheel of an aircraft has no brake and stands on a tenth of it. Common practice.
  expect(carried('aircraft')).toBeCloseTo(0.9, 2);
});

describe('what is drawn is what was said', () => {
  const answers: Answers = {
    ...defaultsFor('van'),
    railsOverMm: 812,
    railHeightMm: 120,
    railUnderMm: 505,
    wheelbaseMm: 2711,
    frontTrackMm: 1444,
    rearTrackMm: 1502,
    kickUp: 'none',
  };
  const { things, points } = planOf(answers);
  const of = (kind: Thing['kind']) => things.filter((one) => one.kind === kind);
  test('rails: width over their outsides, height, lower face', () => {
    const [left, right] = reach(of('rail'), 1);
    expect(right - left).toBeCloseTo(812, 6);
    const [low, high] = reach(of('rail'), 2);
    expect([low, high - low]).toEqual([expect.closeTo(505, 6), expect.closeTo(120, 6)]);
  });
  test('wheels: wheelbase, tracks, the tyre’s own size, standing on the ground but for what it gives', () => {
    const centers = of('wheel').map(({ shape }) =>
      shape.kind === 'wheel' ? shape.centreMm : ([0, 0, 0] as Vec3),
    );
    const at = (x: number) => centers.filter((center) => center[0] === x);
    expect([at(0).length, at(2711).length]).toEqual([2, 2]);
    expect(Math.abs(at(0)[0]![1] - at(0)[1]![1])).toBeCloseTo(1444, 9);
    expect(Math.abs(at(2711)[0]![1] - at(2711)[1]![1])).toBeCloseTo(1502, 9);
    // 205/65 R16 is 336.45 off its hub; standing, 3 % less.
    expect(of('wheel').map(({ shape }) => shape.kind === 'wheel' && shape.radiusMm)).toEqual(
      Array(4).fill(expect.closeTo(336.45, 6)),
    );
    for (const [, , z] of centers) expect(z).toBeCloseTo(0.97 * 336.45, 6);
  });
  test('wheels in front turn about a kingpin inboard of them, those behind turn about none', () => {
    for (const { shape, travel } of of('wheel')) {
      if (shape.kind !== 'wheel') throw new Error('No wheel.');
      const [x, y] = shape.centreMm;
      expect(travel!.lockDeg > 0).toBe(x === 0);
      const inboardMm = Math.abs(y) - Math.abs(travel!.aboutMm[1]);
      expect(inboardMm).toBeGreaterThan(20);
      expect(inboardMm).toBeLessThan(120);
      expect(Math.sign(travel!.aboutMm[1])).toBe(Math.sign(y));
    }
  });
  test('datums lie on top of the rails, one off the plane of the others', () => {
    const rails = points.slice(0, -1).map(({ known }) => known.atMm);
    for (const at of rails)
      expect([Math.abs(at[1]), at[2]]).toEqual([expect.closeTo((812 - 70) / 2, 1), 625]);
    expect(points.at(-1)!.known.atMm[2]).toBeGreaterThan(1000);
    expect(points.map(({ name }) => name.slice(0, 2))).toEqual([
      'A,',
      'B,',
      'C,',
      'D,',
      'E,',
      'F,',
      'G,',
    ]);
  });
  test('a kick-up lifts the rail behind its foot and nowhere else', () => {
    const { rail } = dimensionsOf({ ...answers, kickUp: 'rear' });
    expect([rail.midAt(0), rail.midAt(1500), rail.midAt(2711)]).toEqual([565, 565, 675]);
    const both = dimensionsOf({ ...answers, kickUp: 'both' }).rail;
    expect([both.midAt(0), both.midAt(1500), both.midAt(2711)]).toEqual([675, 565, 675]);
    // Half way up its slope of 180.
    expect(rail.midAt(2711 - 600 + 90)).toBeCloseTo(620, 9);
  });
});

test('a trailer has as many axles as were said, 850 apart, and its x begins at the coupling', () => {
  for (const axles of ['1', '2', '3'] as const) {
    const { things, parts, lines } = planOf({ ...defaultsFor('trailer'), axles });
    const at = things
      .filter(({ kind }) => kind === 'axle')
      .map((one) => reach([one], 0))
      .map(([a, b]) => (a + b) / 2);
    expect(at).toEqual(
      Array.from({ length: Number(axles) }, (_, i) => expect.closeTo(2600 + 850 * i, 6)),
    );
    expect(parts.filter(({ kind }) => kind === 'caliper')).toHaveLength(2 * Number(axles));
    expect(lines.length).toBe(4 * Number(axles) - 1);
  }
});

test.each(VEHICLES)(
  '%s: each brake takes its fluid inside its own wheel’s track, and every port points somewhere',
  (vehicle) => {
    const { frontTrackMm, ...others } = defaultsFor(vehicle);
    // The rear stands 60 mm narrower, so that a brake laid to the wrong track sticks out.
    const answers = { ...others, frontTrackMm, rearTrackMm: frontTrackMm - 60 };
    const { parts, hoses } = planOf(answers);
    const halfMm = (trackMm: number): number => trackMm / 2 - tyreOf(answers.tyre).widthMm / 2;
    const ports = parts.flatMap((part) => part.ports);
    for (const { name, ports: own } of parts)
      for (const { known, direction } of own) {
        const track = /^Rear/.test(name) ? answers.rearTrackMm : answers.frontTrackMm;
        expect(Math.hypot(...direction)).toBeCloseTo(1, 9);
        if (vehicle !== 'motorcycle')
          expect([name, Math.abs(known.atMm[1]) < halfMm(track) + 1e-9]).toEqual([name, true]);
      }
    for (const { ends } of hoses)
      expect(Math.hypot(...ends.a.atMm.map((v, i) => v - ends.b.atMm[i]!))).toBeGreaterThan(60);
    expect(new Set(ports.map(({ id }) => id)).size).toBe(ports.length);
    expect(new Set(parts.map(({ name }) => name)).size).toBe(parts.length);
  },
);
