import { readFileSync } from 'node:fs';
import { type Plan } from '../core/src/plan/index.ts';
import { readPlan } from '../core/src/plan/file/index.ts';
import { viewPlan } from '../core/src/plan/results/index.ts';
import { seeded } from '../core/src/lib/random/index.ts';
import { unbend } from '../core/src/shape/tube/index.ts';
import type { Vec3 } from '../core/src/lib/vec/index.ts';
import { ROOT } from '../e2e/browser.ts';

/** Center lines of 8 corners with radius 15 that can be bent. */
export function randomLines(count: number): Vec3[][] {
  const next = seeded(7);
  const between = (low: number, high: number): number => low + next() * (high - low);
  return Array.from({ length: count }, () => {
    const bends = Array.from({ length: 8 }, (_, i) => ({
      feedMm: between(20, 600),
      rotateDeg: i ? between(-180, 180) : 0,
      bendDeg: between(5, 120),
    }));
    return unbend({
      startMm: [0, 0, 0],
      direction: [1, 0, 0],
      normal: [0, 0, 1],
      clrMm: 15,
      bends,
      tailMm: between(20, 300),
    }).nodesMm;
  });
}

export const demo = (name: string): Plan =>
  readPlan(readFileSync(`${ROOT}/demo/${name}.firmline.json`, 'utf8'));
export const gannet = (): Plan => demo('gannet');

/** Each copy of the demo stands so much above the one before, mm: lines that lie in one another are no plan. */
const APART_MM = 12;

const PLACES = ['atMm', 'aboutMm', 'measuredAtMm'];
/** Figures with all that names a place in them put elsewhere. */
const moved = <T>(value: T, to: (at: Vec3) => Vec3): T =>
  JSON.parse(JSON.stringify(value), (key, inner: unknown) =>
    PLACES.includes(key) && inner ? to(inner as Vec3) : inner,
  ) as T;

/** The hoses of another demo plan, with the parts they begin at, `sets` times over. */
function hosesOf(
  name: string,
  circuitId: string,
  sets: number,
  lift: (at: Vec3, k: number) => Vec3,
): Pick<Plan, 'parts' | 'hoses'> {
  const from = demo(name);
  const begin = new Set(from.hoses.flatMap(({ ends }) => [ends.a.portId, ends.b.portId]));
  const again = (id: string, k: number): string => `${name}-${id}~${k}`;
  const each = Array.from({ length: sets }, (_, k) => ({
    parts: from.parts
      .filter((part) => part.ports.some((port) => begin.has(port.id)))
      .map((part) => ({
        ...moved(part, (at) => lift(at, k)),
        id: again(part.id, k),
        ports: part.ports.map((port) => ({
          ...moved(port, (at) => lift(at, k)),
          id: again(port.id, k),
        })),
      })),
    hoses: from.hoses.map((hose) => {
      const { a, b } = moved(hose.ends, (at) => lift(at, k));
      const end = <E extends { readonly portId: string | null }>(one: E): E => ({
        ...one,
        portId: one.portId && again(one.portId, k),
      });
      return {
        ...hose,
        id: again(hose.id, k),
        name: `${hose.name}.${k}`,
        circuitId,
        ends: { a: end(a), b: end(b) },
        motion: moved(hose.motion, (at) => lift(at, k)),
      };
    }),
  }));
  return { parts: each.flatMap(({ parts }) => parts), hoses: each.flatMap(({ hoses }) => hoses) };
}

/**
 * The demo plan over and over, until it holds `count` lines, each held by `clips` clips where that is said;
 * among its things as they are, with five hoses to every 60 lines.
 */
export function bigPlan(count: number, clips?: number): Plan {
  const plan = gannet();
  const view = viewPlan(plan);
  const lifted = ([x, y, z]: Vec3, k: number): Vec3 => [x, y, z + APART_MM * k];
  const clipsOf = (id: string): number[] => {
    const long = view.lines.find((line) => line.line.id === id)!.pieces.at(-1)!.endMm;
    return Array.from({ length: clips! }, (_, i) => Math.round((long * (i + 1)) / (clips! + 1)));
  };
  const again = (k: number): Pick<Plan, 'parts' | 'lines'> => ({
    parts: plan.parts.map((part) => ({
      ...part,
      id: `${part.id}~${k}`,
      name: `${part.name} ${k}`,
      ports: part.ports.map((port) => ({
        ...port,
        id: `${port.id}~${k}`,
        known: {
          how: 'typed' as const,
          atMm: lifted(view.ports.get(port.id)!.fixed.atMm, k),
          sigmaMm: [1, 1, 1] as const,
        },
      })),
    })),
    lines: plan.lines.map((line) => ({
      ...line,
      id: `${line.id}~${k}`,
      name: `${line.name}.${k}`,
      cornersMm: line.cornersMm.map((at) => lifted(at, k)),
      ...(clips ? { clipsMm: clipsOf(line.id) } : {}),
      ends: {
        a: { ...line.ends.a, portId: `${line.ends.a.portId}~${k}` },
        b: { ...line.ends.b, portId: `${line.ends.b.portId}~${k}` },
      },
    })),
  });
  const copies = Array.from({ length: Math.ceil(count / plan.lines.length) }, (_, k) => again(k));
  const { parts, hoses } = hosesOf('wheatear', plan.circuits[0]!.id, Math.ceil(count / 60), lifted);
  return {
    ...plan,
    id: 'big',
    name: 'Big',
    parts: [...copies.flatMap((c) => c.parts), ...parts],
    hoses,
    lines: copies.flatMap((c) => c.lines).slice(0, count),
    bleeding: { ...plan.bleeding, listed: [] },
    // Its reservoirs have other names here.
    filling: { ...plan.filling, fluids: [] },
  };
}

/** The middle of `rounds` timings of `work`, ms. */
export function middleMs(rounds: number, work: () => void): number {
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)]!;
}
export const percentile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[
    Math.min(values.length - 1, Math.floor(values.length * share))
  ]!;
