import {
  LEAST_KEPT_MM,
  lineSpace,
  lineView,
  mountedOn,
  type LineView,
  type Near,
  type Plan,
} from '../../../plan/index.ts';
import { obstaclesOf, type Nature } from '../../../shape/obstacles/index.ts';

import { add, scale, type Vec3 } from '../../../lib/vec/index.ts';
import { defineRule, type Finding, type Fix, type Rule } from '../../define-rule.ts';
import { LEADS, severity, type Grades } from '../../rule-kit/severity.ts';
import { lengthWords, nodeNear, onLine, type Bent } from '../../rule-kit/places.ts';

/** What decides how near a line comes to anything. */
export type Surrounded = Bent & {
  readonly plan: Pick<Plan, 'bench' | 'clipSettings' | 'things' | 'units' | 'ownUnits'>;
};
export const mountedOnBoth = (
  { plan }: { readonly plan: Pick<Plan, 'things'> },
  line: LineView,
): readonly [ReadonlySet<string>, ReadonlySet<string>] =>
  mountedOn(line.nodesMm, obstaclesOf(plan));

const tooNear = ({ distanceMm, wantedMm }: Near): boolean =>
  distanceMm < wantedMm - 1e-6 || (wantedMm === 0 && distanceMm === 0);

/** Near ones of a line that are too near, without what it is mounted on. */
export function tooNearOf(view: Surrounded, line: LineView, nature: Nature): Near[] {
  const space = lineSpace(view.plan, line);
  if (!space) return [];
  const [a, b] = mountedOnBoth(view, line);
  return space.near.filter(
    (near) =>
      near.thing.nature === nature &&
      tooNear(near) &&
      (nature === 'hot' || (!a.has(near.thing.id) && !b.has(near.thing.id))),
  );
}

const NAMED_WAYS: readonly (readonly [string, Vec3])[] = [
  ['up', [0, 0, 1]],
  ['down', [0, 0, -1]],
  ['right', [0, 1, 0]],
  ['left', [0, -1, 0]],
];

/** The straight at a length along a line, by the corners at its two ends; null where one of them is a port. */
function straightAt(line: LineView, atMm: number): readonly [number, number] | null {
  const arcs = line.pieces.filter((piece) => piece.kind === 'arc');
  const next = arcs.findIndex((arc) => (arc.startMm + arc.endMm) / 2 > atMm);
  const [before, after] = [
    arcs[(next < 0 ? arcs.length : next) - 1],
    next < 0 ? undefined : arcs[next],
  ];
  return before && after ? [before.node, after.node] : null;
}

/** Moves the straight that is too near, up, down or sideways, by as little as clears it; only a move after which the same rule is silent and every bend has room. */
function movedAway(view: Surrounded, line: LineView, near: Near, nature: Nature): Fix | undefined {
  const straight = straightAt(line, near.atMm);
  if (!straight) return undefined;
  const byMm = Math.ceil((near.wantedMm - near.distanceMm) / 10) * 10 || 10;
  for (const factor of [1, 2, 3]) {
    for (const [word, way] of NAMED_WAYS) {
      const cornersMm = line.line.cornersMm.map((corner, i) =>
        i + 1 >= straight[0] && i + 1 <= straight[1]
          ? add(corner, scale(way, factor * byMm))
          : corner,
      );
      const moved = lineView({ ...line.line, cornersMm }, view.plan.bench, view.ports);
      if (
        !moved.card ||
        moved.card.room.a.room === 'trapped' ||
        moved.card.room.b.room === 'trapped'
      )
        continue;
      const natures: Nature[] = ['hot', 'moving', 'sharp', 'reserved', 'solid'];
      const worse = natures.some(
        (other) =>
          tooNearOf(view, moved, other).length >
          (other === nature ? 0 : tooNearOf(view, line, other).length),
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
function underSleeve(view: Surrounded, line: LineView, near: Near): Fix | undefined {
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

/** How well a line's place is known, mm: as its less certain end. */
export const placeSigmaMm = ({ ports }: LineView): number =>
  Math.max(0, ...[ports.a, ports.b].flatMap((at) => at?.fixed.sigmaMm ?? []));

/** A rule about things of one nature that lines come too near to; in a reserved zone nothing stands yet. */
export const nearness = (
  id: string,
  nature: Nature,
  grades: Grades | 'reserved',
  why: (near: Near) => string,
): Rule =>
  defineRule({
    id,
    station: 'route',
    about: 'space',
    reads: ['obstacles', 'plan.bench', 'plan.clipSettings', 'plan.things', 'ports'],
    judge: (line, _space, view) => {
      const { full, bare } = lengthWords(view);
      // What hangs on the engine rocks with it: only where its travel is in the gap is the gap sure.
      const sigmaOf = ({ thing }: Near): number =>
        nature === 'hot' && !thing.travel ? Infinity : placeSigmaMm(line);
      return tooNearOf(view, line, nature).map((near): Finding => {
        const { distanceMm, wantedMm, atMm, thing, state } = near;
        const when = state && state !== 'ride' ? `At ${state}: ` : '';
        const graded =
          grades === 'reserved' ? null : severity(distanceMm, wantedMm, sigmaOf(near), grades);
        const text =
          when +
          (distanceMm > 0
            ? `${graded ? LEADS[graded.grade] : ''}${full(distanceMm)} from ${thing.name}, ${bare(wantedMm)} required${why(near)}.`
            : `The line runs into ${thing.name} at ${full(atMm)} of its length${why(near)}.`);
        return {
          // What touches metal rubs through or burns.
          level: graded?.level ?? (grades === 'reserved' ? 'caution' : 'stop'),
          place: onLine(line, nodeNear(line, atMm)),
          text,
          fix: () => movedAway(view, line, near, nature) ?? underSleeve(view, line, near),
        };
      });
    },
  });
