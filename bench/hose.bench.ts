import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { GSSolver } from 'cannon-es';
import { Body, DistanceConstraint, Particle, Vec3 as CannonVec3, World } from 'cannon-es';
import {
  hose,
  hoseShape,
  mover,
  posesOf,
  type Clamp,
  type Motion,
} from '../core/src/shape/rod/index.ts';
import { placeEnd } from '../core/src/stations/route/index.ts';
import { readPlan } from '../core/src/plan/file/index.ts';
import { viewPlan } from '../core/src/plan/results/index.ts';
import { add, distance, scale, sub, unit, type Vec3 } from '../core/src/lib/vec/index.ts';
import { ROOT } from '../e2e/browser.ts';
import { middleMs } from './lines.ts';

type Minimise = (
  f: (x: number[], slope: number[]) => number,
  start: number[],
  limits: { maxIterations: number },
) => { x: number[]; fx: number };
/** The library says that it is of the newer kind of module and is built as the older: it is loaded by hand. */
function conjugateGradient(): Minimise {
  const held = { exports: {} as { conjugateGradient: Minimise } };
  new Function(
    'exports',
    'module',
    readFileSync(createRequire(import.meta.url).resolve('fmin'), 'utf8'),
  )(held.exports, held);
  return held.exports.conjugateGradient;
}

const ARCS = 32;
const at = (x: readonly number[], i: number): Vec3 => [x[3 * i]!, x[3 * i + 1]!, x[3 * i + 2]!];

/** The same rod as the library is given it: unit tangents at the joints, bent energy and a growing price on missing the clamp. */
function byLibrary(
  minimise: Minimise,
  lengthMm: number,
  a: Clamp,
  b: Clamp,
): { radiusMm: number; energy: number } {
  const h = 1 / ARCS;
  const [first, last] = [unit(a.direction)!, scale(unit(b.direction)!, -1)];
  const chord = scale(sub(b.pointMm, a.pointMm), 1 / lengthMm);
  const tangents = (x: readonly number[]): Vec3[] => [
    first,
    ...Array.from({ length: ARCS - 1 }, (_, i) => unit(at(x, i))!),
    last,
  ];
  let price = 10;
  const f = (x: number[], slope: number[]): number => {
    const t = tangents(x);
    let miss = scale(chord, -1);
    t.forEach((one, i) => (miss = add(miss, scale(one, i === 0 || i === ARCS ? h / 2 : h))));
    let energy = (price / 2) * (miss[0] ** 2 + miss[1] ** 2 + miss[2] ** 2);
    for (let i = 0; i < ARCS; i++)
      energy +=
        (1 - (t[i]![0] * t[i + 1]![0] + t[i]![1] * t[i + 1]![1] + t[i]![2] * t[i + 1]![2])) / h;
    for (let i = 1; i < ARCS; i++) {
      const pull = add(scale(add(t[i - 1]!, t[i + 1]!), -1 / h), scale(miss, price * h));
      const along = pull[0] * t[i]![0] + pull[1] * t[i]![1] + pull[2] * t[i]![2];
      const long = Math.hypot(...at(x, i - 1));
      for (let k = 0; k < 3; k++) slope[3 * (i - 1) + k] = (pull[k]! - along * t[i]![k]!) / long;
    }
    return energy;
  };
  let x = Array.from({ length: ARCS - 1 }, (_, i) => {
    const share = (i + 1) / ARCS;
    const over = add(add(scale(first, 1 - share), scale(last, share)), scale(chord, 0.6));
    return unit(add(over, [0.02, 0.03, 0.01]))!;
  }).flat();
  for (price of [10, 100, 1e3, 1e4, 1e5]) x = minimise(f, x, { maxIterations: 600 }).x;
  const t = tangents(x);
  const bend = t.slice(1).map((one, i) => 2 * Math.asin(distance(one, t[i]!) / 2) * ARCS);
  const ends = [
    bend[0]! + (bend[0]! - bend[1]!) / 2,
    bend.at(-1)! + (bend.at(-1)! - bend.at(-2)!) / 2,
  ];
  return {
    radiusMm: lengthMm / Math.max(...bend, ...ends),
    energy: bend.reduce((sum, one) => sum + one * one, 0) / (2 * ARCS),
  };
}

/** A rope of the same length between the same ends, let hang until it is still: its least radius by three neighbors. */
function byRope(lengthMm: number, a: Clamp, b: Clamp): number {
  const count = 40;
  const step = lengthMm / count;
  const world = new World({ gravity: new CannonVec3(0, 0, -9810) });
  (world.solver as GSSolver).iterations = 60;
  const [first, last] = [unit(a.direction)!, unit(b.direction)!];
  const held: Vec3[] = [a.pointMm, add(a.pointMm, scale(first, step))];
  const far: Vec3[] = [add(b.pointMm, scale(last, step)), b.pointMm];
  const bodies = Array.from({ length: count + 1 }, (_, i) => {
    const fixed = i < 2 ? held[i] : i > count - 2 ? far[i - count + 1] : undefined;
    const share = i / count;
    const p = fixed ?? add(scale(a.pointMm, 1 - share), scale(b.pointMm, share));
    const body = new Body({
      mass: fixed ? 0 : 0.002,
      shape: new Particle(),
      position: new CannonVec3(...p),
      linearDamping: 0.3,
    });
    body.collisionFilterMask = 0;
    world.addBody(body);
    return body;
  });
  for (let i = 1; i <= count; i++)
    world.addConstraint(new DistanceConstraint(bodies[i - 1]!, bodies[i]!, step));
  for (let i = 0; i < 1500; i++) world.step(1 / 240);
  const points = bodies.map(({ position: { x, y, z } }): Vec3 => [x, y, z]);
  const radii = points.slice(2).map((p, i) => {
    const [u, v, w] = [
      distance(points[i]!, points[i + 1]!),
      distance(points[i + 1]!, p),
      distance(points[i]!, p),
    ];
    const s = (u + v + w) / 2;
    const area = Math.sqrt(Math.max(s * (s - u) * (s - v) * (s - w), 1e-12));
    return (u * v * w) / (4 * area);
  });
  return Math.min(...radii);
}

/** Hoses of the single-seater's front corner: nine states beside a library's minimiser, a rope beside it, and our own times. */
export function benchHoses(): void {
  const plan = readPlan(readFileSync(`${ROOT}/demo/wheatear.firmline.json`, 'utf8'));
  const { ports } = viewPlan(plan);
  const own = plan.hoses[0]!;
  const a = placeEnd(own.ends.a, ports).clamp;
  const b = placeEnd(own.ends.b, ports).clamp;
  const lengthMm = 266;
  const clamps = (motion: Motion, shares: readonly number[]): Clamp[] =>
    shares.flatMap((heave) =>
      (shares.length > 1 ? shares : [0]).map((lock) => {
        const moved = mover(motion, { heave, lock, roll: 0, float: 0 })!;
        return { pointMm: moved.place(b.pointMm), direction: moved.direction(b.direction) };
      }),
    );
  const nine = clamps(own.motion, [0, -1, 1]);
  const sweepOf = (states: readonly Clamp[]): { radiusMm: number; energy: number }[] => {
    let rods: Parameters<typeof hoseShape>[3];
    return states.map((end) => {
      const found = hoseShape(lengthMm, a, end, rods, true)!;
      rods = found.rods;
      return { radiusMm: found.shape.minRadiusMm!, energy: found.shape.energyPerMm * lengthMm };
    });
  };
  const ours = sweepOf(nine);
  const minimise = conjugateGradient();
  const theirs = nine.map((end) => byLibrary(minimise, lengthMm, a, end));
  const same = ours.filter(
    ({ radiusMm }, i) => Math.abs(theirs[i]!.radiusMm / radiusMm - 1) < 0.02,
  ).length;
  const worse = ours.filter(
    ({ energy, radiusMm }, i) =>
      Math.abs(theirs[i]!.radiusMm / radiusMm - 1) >= 0.02 && theirs[i]!.energy > energy,
  ).length;
  const [oursMs, theirsMs] = [
    middleMs(15, () => sweepOf(nine)),
    middleMs(3, () => nine.map((end) => byLibrary(minimise, lengthMm, a, end))),
  ];
  const ratio = theirsMs / oursMs;
  console.log(
    `hose, nine states: ${oursMs.toFixed(1)} ms, ${ratio.toFixed(0)} times as fast as fmin’s conjugate gradient on the same discrete energy (${theirsMs.toFixed(0)} ms; 20 asked)${ratio < 20 ? ' NOT MET' : ''}; radii within 2 % in ${same} of ${nine.length} states, in ${worse} it stopped at a shape of more energy`,
  );
  const rope = byRope(lengthMm, a, nine[0]!);
  console.log(
    `a rope of the same length, let hang: least radius ${rope.toFixed(1)} mm where the hose has ${ours[0]!.radiusMm.toFixed(1)} mm, ${Math.abs(100 * (rope / ours[0]!.radiusMm - 1)).toFixed(0)} % off: a rope has no stiffness`,
  );
  const warm = hoseShape(lengthMm, a, nine[0]!)!.rods;
  const near = clamps(own.motion, [0.1])[0]!;
  const warmMs = middleMs(60, () => hoseShape(lengthMm, a, near, warm));
  const six = nine.slice(0, 6);
  const coldMs = middleMs(15, () => six.map((end) => hoseShape(lengthMm, a, end)));
  const states = [0, 3].map((i) => ({ name: `s${i}`, endB: nine[i]! }));
  const findMs = middleMs(5, () =>
    hose({
      endA: a,
      states,
      minRadiusMm: 60,
      find: {
        stepMm: 5,
        maxMm: 5 * Math.ceil((distance(a.pointMm, nine[0]!.pointMm) * 1.02) / 5) + 495,
      },
    }),
  );
  console.log(
    `a warm state ${warmMs.toFixed(2)} ms (2 asked)${warmMs > 2 ? ' NOT MET' : ''}, six cold states ${coldMs.toFixed(0)} ms (100 asked)${coldMs > 100 ? ' NOT MET' : ''}, find over 100 lengths and two states ${findMs.toFixed(0)} ms (300 asked)${findMs > 300 ? ' NOT MET' : ''}`,
  );
  const grid = Array.from({ length: 9 }, (_, i) => (i - 4) / 4);
  const times = [clamps(own.motion, [0]), nine, clamps(own.motion, grid)].map(
    (ends) => [ends.length, middleMs(5, () => sweepOf(ends))] as const,
  );
  console.log(
    `time with states: ${times.map(([count, ms]) => `${count} in ${ms.toFixed(1)} ms`).join(', ')} (poses of one corner: ${posesOf(own.motion).length})`,
  );
}
