import {
  add,
  addScaled,
  cross,
  dot,
  length,
  scale,
  squareTo,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';
import type { Rod } from './rod.ts';

/** A point of the shorter great arc from one unit vector to another. */
function between(from: Vec3, to: Vec3, share: number): Vec3 {
  const cos = dot(from, to);
  const off = addScaled(to, from, -cos);
  // Of two that are nearly one, or nearly opposite, what is left is mostly rounding: squared once more.
  const near = unit(off) ?? squareTo(from);
  const side = unit(addScaled(near, from, -dot(near, from))) ?? squareTo(from);
  const angle = Math.atan2(length(off), cos) * share;
  return add(scale(from, Math.cos(angle)), scale(side, Math.sin(angle)));
}

/** Tangents that go from one stop to the next and rest a while at each between the ends. */
function through(stops: readonly Vec3[], arcs: number): Float64Array {
  const out = new Float64Array(3 * (arcs + 1));
  const legs = stops.length - 1;
  for (let i = 0; i <= arcs; i++) {
    const at = (i / arcs) * legs;
    const leg = Math.min(legs - 1, Math.floor(at));
    const share = at - leg;
    // Slow at the stops, so that the rod runs their way for a while.
    const eased = share * share * (3 - 2 * share);
    out.set(between(stops[leg]!, stops[leg + 1]!, eased), 3 * i);
  }
  return out;
}

/** Rods of equal arcs to start from: straight over, and by way of directions all round, one or two of them; the likeliest first. */
export function startsBetween(from: Vec3, to: Vec3, chord: Vec3, arcs: number): Rod[] {
  const z = unit(chord) ?? unit(add(from, to)) ?? from;
  const sum = add(from, to);
  const x =
    unit(addScaled(sum, z, -dot(sum, z))) ?? unit(addScaled(from, z, -dot(from, z))) ?? squareTo(z);
  const y = cross(z, x);
  // A little off the axes of the ends, so that no start lies on a ridge between two shapes.
  const place = (a: number, b: number, c: number): Vec3 =>
    unit(add(add(scale(x, a + 0.013), scale(y, b + 0.029)), scale(z, c - 0.017)))!;
  const sides = [1, -1].flatMap((k) => [place(k, 0, 0), place(0, k, 0), place(0, 0, k)]);
  const corners = [1, -1].flatMap((a) =>
    [1, -1].flatMap((b) => [1, -1].map((c) => place(a, b, c))),
  );
  const ways: Vec3[][] = [
    [from, to],
    ...sides.map((way) => [from, way, to]),
    ...sides.map((way) => [from, way, scale(way, -1), to]),
    ...corners.map((way) => [from, way, to]),
  ];
  const lengths = new Float64Array(arcs).fill(1 / arcs);
  return ways.map((stops) => ({ lengths, tangents: through(stops, arcs) }));
}

/** Below this an end points along the chord and has nothing to turn, rad. */
const LEAST_TURN = 0.02;
/** Half lengths at which a drawn rod is told, shortest first: each so many times the one before. */
const GROWTH = 1.2;

/**
 * A rod drawn nearly straight: its bends crowd at the clamps, as those of a long rod under pull do,
 * tan(θ/4) falling by 1/e over a length that the slack sets. Null where neither end has anything to turn.
 * Source: the elastica's borderline case, A. Love, Mathematical Theory of Elasticity, § 262–263, from memory.
 */
export function drawnStart(from: Vec3, to: Vec3, chord: Vec3, arcs: number): Rod | null {
  const z = unit(chord);
  if (!z) return null;
  const angles = [from, to].map((end) => Math.acos(Math.min(1, Math.max(-1, dot(end, z)))));
  if (Math.max(...angles) < LEAST_TURN) return null;
  const slack = 1 - length(chord);
  // Each end takes 4·fall·sin²(θ/4)… of the slack.
  const fall = Math.min(
    0.2,
    slack / (4 * angles.reduce((sum, angle) => sum + Math.sin(angle / 4) ** 2, 0)),
  );
  const halves = [0];
  for (let at = fall * 0.05; at < 0.5; at *= GROWTH) halves.push(at);
  halves.push(0.5);
  const leaning = (end: Vec3, angle: number, at: number): Vec3 => {
    const left = 4 * Math.atan(Math.tan(angle / 4) * Math.exp(-at / fall));
    return between(z, end, angle > 1e-9 ? left / angle : 0);
  };
  const first = halves.map((at) => leaning(from, angles[0]!, at));
  const second = halves.map((at) => leaning(to, angles[1]!, at)).reverse();
  const tangents = [
    ...first.slice(0, -1),
    unit(add(first.at(-1)!, second[0]!)) ?? z,
    ...second.slice(1),
  ];
  const steps = halves.slice(1).map((at, i) => at - halves[i]!);
  return remeshed(
    {
      lengths: Float64Array.from([...steps, ...steps.toReversed()]),
      tangents: Float64Array.from(tangents.flat()),
    },
    arcs,
  );
}

/** The same rod on other arcs, shorter where it bends more. */
export function remeshed({ lengths, tangents }: Rod, arcs: number): Rod {
  const turns = Array.from(lengths, (_, i) => {
    const k = 3 * i;
    const cos =
      tangents[k]! * tangents[k + 3]! +
      tangents[k + 1]! * tangents[k + 4]! +
      tangents[k + 2]! * tangents[k + 5]!;
    return Math.acos(Math.min(1, Math.max(-1, cos)));
  });
  const all = turns.reduce((sum, one) => sum + one, 0);
  // Half of the arcs by length, half by bend, evened over neighbors.
  const shares = turns.map((one, i) => {
    const near = (one + (turns[i - 1] ?? one) + (turns[i + 1] ?? one)) / 3;
    return 0.5 * lengths[i]! + (all > 0 ? (0.5 * near) / all : 0.5 * lengths[i]!);
  });
  const total = shares.reduce((sum, one) => sum + one, 0);
  const places = new Float64Array(arcs + 1);
  const out = new Float64Array(3 * (arcs + 1));
  let [i, run, at] = [0, 0, 0];
  for (let n = 0; n <= arcs; n++) {
    const want = (total * n) / arcs;
    while (i < shares.length - 1 && run + shares[i]! < want) {
      run += shares[i]!;
      at += lengths[i]!;
      i++;
    }
    const share = Math.min(1, Math.max(0, (want - run) / shares[i]!));
    const tangent = (k: number): Vec3 => [
      tangents[3 * k]!,
      tangents[3 * k + 1]!,
      tangents[3 * k + 2]!,
    ];
    places[n] = at + share * lengths[i]!;
    out.set(between(tangent(i), tangent(i + 1), share), 3 * n);
  }
  out.set(tangents.subarray(-3), 3 * arcs);
  places[arcs] = 1;
  return {
    lengths: Float64Array.from({ length: arcs }, (_, n) => places[n + 1]! - places[n]!),
    tangents: out,
  };
}
