import { lineSpace, type LineView, type Near, type PlanView } from '../../plan/index.ts';
import { LEAST_KEPT_MM, lineView, obstaclesOf } from '../../plan/index.ts';
import { gapTo, type Nature } from '../../frame/index.ts';
import { add, scale, type Vec3 } from '../../vec/index.ts';
import { eachSpace, lengthWords, nodeNear, onLine, type Rule, type Snag } from '../snag.ts';

/** How near a port must lie to a thing to be mounted on it, mm. Common practice. */
const ON_MM = 30;

/** Things that an end of a line is mounted on, as they stand. */
export function mountedOn(view: PlanView, line: LineView, end: 'a' | 'b'): ReadonlySet<string> {
  const at = line.nodesMm.at(end === 'a' ? 0 : -1);
  if (!at) return new Set();
  const still = view.plan.things.map((thing) => ({ ...thing, travel: null }));
  return new Set(obstaclesOf({ things: still }).flatMap((o) => (gapTo(o, at, at, ON_MM) ? [o.thing.id] : [])));
}
const mounted = new WeakMap<LineView, { things: unknown; on: readonly [ReadonlySet<string>, ReadonlySet<string>] }>();
/** The same for both ends, computed once. */
export function mountedOnBoth(view: PlanView, line: LineView): readonly [ReadonlySet<string>, ReadonlySet<string>] {
  const before = mounted.get(line);
  if (before?.things === view.plan.things) return before.on;
  const on = [mountedOn(view, line, 'a'), mountedOn(view, line, 'b')] as const;
  mounted.set(line, { things: view.plan.things, on });
  return on;
}

const tooNear = ({ distanceMm, wantedMm }: Near): boolean => distanceMm < wantedMm - 1e-6 || (wantedMm === 0 && distanceMm === 0);

/** Near ones of a line that are too near, without what it is mounted on. */
export function tooNearOf(view: PlanView, line: LineView, nature: Nature): Near[] {
  const space = lineSpace(view.plan, line);
  if (!space) return [];
  const [a, b] = mountedOnBoth(view, line);
  return space.near.filter(
    (near) =>
      near.thing.nature === nature && tooNear(near) && (nature === 'hot' || (!a.has(near.thing.id) && !b.has(near.thing.id))),
  );
}

const WAYS: readonly (readonly [string, Vec3])[] = [['up', [0, 0, 1]], ['down', [0, 0, -1]], ['right', [0, 1, 0]], ['left', [0, -1, 0]]]; // prettier-ignore

/** The straight at a length along a line, by the corners at its two ends; null where one of them is a port. */
function straightAt(line: LineView, atMm: number): readonly [number, number] | null {
  const arcs = line.pieces.filter((piece) => piece.kind === 'arc');
  const next = arcs.findIndex((arc) => (arc.startMm + arc.endMm) / 2 > atMm);
  const [before, after] = [arcs[(next < 0 ? arcs.length : next) - 1], next < 0 ? undefined : arcs[next]];
  return before && after ? [before.node, after.node] : null;
}

/** Moves the straight that is too near, up, down or sideways, by as little as clears it; only a move after which the same rule is silent and every bend has room. */
function movedAway(view: PlanView, line: LineView, near: Near, nature: Nature): Snag['mend'] {
  const straight = straightAt(line, near.atMm);
  if (!straight) return undefined;
  const byMm = Math.ceil((near.wantedMm - near.distanceMm) / 10) * 10 || 10;
  for (const factor of [1, 2, 3]) {
    for (const [word, way] of WAYS) {
      const cornersMm = line.line.cornersMm.map((corner, i) =>
        i + 1 >= straight[0] && i + 1 <= straight[1] ? add(corner, scale(way, factor * byMm)) : corner,
      );
      const moved = lineView({ ...line.line, cornersMm }, view.plan.bench, view.ports);
      if (!moved.card || moved.card.room.a.room === 'trapped' || moved.card.room.b.room === 'trapped') continue;
      const natures: Nature[] = ['hot', 'moving', 'sharp', 'reserved', 'solid'];
      const worse = natures.some(
        (other) => tooNearOf(view, moved, other).length > (other === nature ? 0 : tooNearOf(view, line, other).length),
      );
      if (worse) continue;
      return {
        label: `Move ${word} ${lengthWords(view).bare(factor * byMm)}`,
        call: { edit: 'setCorners', with: { id: line.line.id, cornersMm } },
      };
    }
  }
  return undefined;
}

/** A heat sleeve over what is too near something hot, where its own floor is kept. */
function underSleeve(view: PlanView, line: LineView, near: Near): Snag['mend'] {
  if (near.thing.nature !== 'hot' || near.distanceMm < LEAST_KEPT_MM) return undefined;
  const points = lineSpace(view.plan, line)!;
  for (const reach of [100, 200, 400, 800]) {
    const sleeve = {
      fromMm: Math.max(0, Math.round(near.atMm - reach)),
      toMm: Math.min(Math.ceil(points.lengthMm), Math.round(near.atMm + reach)),
      kind: 'heat' as const,
    };
    const sleeves = [...line.line.sleeves, sleeve];
    const covered = lineView({ ...line.line, sleeves }, view.plan.bench, view.ports);
    if (!tooNearOf(view, covered, 'hot').some((other) => other.thing === near.thing))
      return {
        label: `Heat sleeve from ${lengthWords(view).bare(sleeve.fromMm)} to ${lengthWords(view).bare(sleeve.toMm)}`,
        call: { edit: 'changeLine', with: { id: line.line.id, patch: { sleeves } } },
      };
  }
  return undefined;
}

/** A rule about things of one nature that lines come too near to. */
export const nearness = (rule: string, nature: Nature, level: Snag['level'], why: (near: Near) => string): Rule =>
  eachSpace((line, _space, view) => {
    const { full, bare } = lengthWords(view);
    return tooNearOf(view, line, nature).map((near): Snag => {
      const mend = movedAway(view, line, near, nature) ?? underSleeve(view, line, near);
      const text =
        near.distanceMm > 0
          ? `${full(near.distanceMm)} from ${near.thing.name}, ${bare(near.wantedMm)} wanted${why(near)}.`
          : `It runs into ${near.thing.name} at ${full(near.atMm)} of its length${why(near)}.`;
      return {
        rule,
        level,
        station: 'route',
        place: onLine(line, nodeNear(line, near.atMm)),
        where: line.line.name,
        text,
        ...(mend ? { mend } : {}),
      };
    });
  });
