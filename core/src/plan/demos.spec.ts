import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { inspect } from '../inspect/index.ts';
import { missMm, withFixedBender, withHandBender, type Iron } from '../testing/bench-work.ts';
import { gapTo, obstaclesOf, type Shape } from '../shape/obstacles/index.ts';
import { springback } from '../shape/tube/index.ts';
import { angleDeg, distance, sub, type Vec3 } from '../lib/vec/index.ts';
import { toolingOf, writePlan, type LineView, type Plan } from './index.ts';
import { readPlan } from './file/index.ts';
import { viewPlan } from './results/index.ts';

const FOLDER = join(__dirname, '../../../demo');
const plans: Plan[] = readdirSync(FOLDER).map((file) =>
  readPlan(readFileSync(join(FOLDER, file), 'utf8')),
);
const named = (name: string): Plan => plans.find((plan) => plan.name === name)!;
/** What docs/demo-plans.md lists of a plan. */
const planted = (name: string): string[] => {
  const page = readFileSync(join(FOLDER, '../docs/demo-plans.md'), 'utf8');
  const section = page.split('\n## ').find((text) => text.startsWith(`${name}:`))!;
  return [...section.matchAll(/^\| (stop|caution|note) \| `([a-z0-9-]+)` \| (.*?) \|/gm)].map(
    ([, level, rule, where]) => `${level} ${rule} ${where}`,
  );
};

describe('the demo plans', () => {
  test('three of them, each read back as it is written', () => {
    expect(plans.map((plan) => plan.name).sort()).toEqual(['Dunlin', 'Gannet', 'Wheatear']);
    for (const plan of plans) expect(readPlan(writePlan(plan))).toEqual(plan);
  });

  test.each(['Gannet', 'Dunlin', 'Wheatear'])(
    '%s shows what is planted in it and nothing else',
    (name) => {
      expect(planted(name).length).toBeGreaterThan(3);
      expect(
        inspect(named(name)).map(({ level, rule, where }) => `${level} ${rule} ${where}`),
      ).toEqual(planted(name));
    },
  );
  test('no exhaust runs through an axle, nor comes near one that goes up and down', () => {
    for (const { things } of plans)
      for (const exhaust of obstaclesOf({ things }).filter(({ thing }) => thing.kind === 'exhaust'))
        for (const axle of obstaclesOf({ things }).filter(({ thing }) => thing.kind === 'axle')) {
          const { pathMm, diameterMm } = exhaust.thing.shape as Extract<Shape, { kind: 'pipe' }>;
          const gaps = pathMm
            .slice(1)
            .map((to, i) => gapTo(axle, pathMm[i]!, to, 500)?.distanceMm ?? Infinity);
          expect(Math.min(...gaps) - diameterMm / 2).toBeGreaterThan(25);
        }
  });

  test('Wheatear: two masters on a balance bar, the handbrake in the rear line', () => {
    const view = viewPlan(named('Wheatear'));
    expect(view.plan.sizing!.master.kind).toBe('twin');
    const [brake] = view.bleeding;
    expect(brake!.result!.order).toHaveLength(4);
    const through = view.lines.filter((line) =>
      [line.ports.a, line.ports.b].some((port) => port!.part.kind === 'handbrake-cylinder'),
    );
    expect(through.map((line) => view.circuits.get(line.line.circuitId)!.axle)).toEqual([
      'rear',
      'rear',
    ]);
  });

  test('Dunlin: one circuit from the actuator over two tees, 1/4 in trunk and 3/16 in branches', () => {
    const view = viewPlan(named('Dunlin'));
    const sizes = view.lines.map((line) => line.tube.name);
    expect(sizes.filter((size) => size === '1/4 in')).toHaveLength(2);
    expect(sizes.filter((size) => size === '3/16 in')).toHaveLength(4);
    // Measured from the actuator, the second axle is the furthest.
    expect(
      view.bleeding[0]!.result!.order.slice(0, 2).map((step) => view.ports.get(step.id)!.part.name),
    ).toEqual(expect.arrayContaining(['Second axle left', 'Second axle right']));
  });
});

/** The user's own bender as iron: it keeps just what the test bends say. */
const ironOf = ({ bender }: LineView): Iron => {
  const { offsetDeg, slope } = springback(bender.testBends);
  return {
    dieRadiusMm: bender.dieRadiusMm,
    referenceMm: bender.referenceMm,
    clampSide: bender.clampSide,
    kept: (dialDeg) => (dialDeg - offsetDeg) / slope,
  };
};

describe.each(plans.map((plan) => [plan.name, plan] as const))(
  'the cards of %s followed step by step',
  (_, plan) => {
    const lines = viewPlan(plan).lines.filter((line) => line.card!.bends.length);

    test.each(lines.map((line) => [line.line.name, line] as const))(
      '%s ends at both ports',
      (__, line) => {
        const card = line.card!;
        const extra = (end: 'a' | 'b'): number =>
          toolingOf(line.line.ends[end], plan.bench).flareExtraMm;
        for (const make of [withFixedBender, withHandBender]) {
          expect(
            missMm(
              make(card, ironOf(line), extra('a'), extra('b')),
              line.nodesMm,
              card.bends[0]!.node,
            ),
          ).toBeLessThan(0.5);
        }
      },
    );

    test.each(lines.map((line) => [line.line.name, line] as const))(
      '%s with the figures as they are printed, to a tenth, ends within 3 mm',
      (__, line) => {
        const card = line.card!;
        const extra = (end: 'a' | 'b'): number =>
          toolingOf(line.line.ends[end], plan.bench).flareExtraMm;
        const tenth = (value: number): number => Math.round(value * 10) / 10;
        expect(
          missMm(
            withHandBender(card, ironOf(line), extra('a'), extra('b'), tenth),
            line.nodesMm,
            card.bends[0]!.node,
          ),
        ).toBeLessThan(3);
      },
    );

    test('the iron, dialled as the card says, keeps the angle that the corner has', () => {
      for (const line of lines) {
        const { kept } = ironOf(line);
        for (const { node, dialDeg } of line.card!.bends) {
          const [before, at, after] = [-1, 0, 1].map((by) => line.nodesMm[node + by]!) as [
            Vec3,
            Vec3,
            Vec3,
          ];
          expect(kept(dialDeg)).toBeCloseTo(angleDeg(sub(at, before), sub(after, at)), 6);
        }
      }
    });

    test('tip to tip after the last bend is what a tape reads on the tube that the iron made, B not trimmed yet', () => {
      const bentFirst = lines.filter(({ card }) => card!.flareBBefore === null);
      expect(bentFirst.length).toBeGreaterThan(0);
      for (const { card, line, ...view } of bentFirst) {
        const { flareExtraMm } = toolingOf(line.ends.a, plan.bench);
        const tube = withHandBender(
          { ...card!, trimMm: 0 },
          ironOf({ card, line, ...view }),
          flareExtraMm,
          0,
        );
        expect(card!.bends.at(-1)!.check.tipToTipMm).toBeCloseTo(distance(tube.a, tube.b), 1);
      }
    });
  },
);
