import { InputError } from '../../lib/faults/index.ts';
import {
  applyEdit,
  drawnBackMm,
  lineSpace,
  toolingOf,
  type EditCall,
  type LineView,
  type Plan,
} from '../../plan/index.ts';
import { placeClips } from '../../plan/layout/place-clips.ts';
import { viewPlan, type PlanView } from '../../plan/results/index.ts';
import { obstaclesOf } from '../../shape/obstacles/index.ts';
import { findWays, type Hooks, type WayEnd } from '../../shape/pathfinding/index.ts';
import { tubeBoreMm } from '../../trade/stock/index.ts';
import { formatLengthUnit } from '../../lib/units/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import { inspect, mountedOnBoth, type Snag } from '../../inspect/index.ts';

/** A way for a line as it would be taken: its corners and clips, what the rules say of it, and why one would. */
export interface FoundWay {
  readonly cornersMm: readonly Vec3[];
  readonly lengthMm: number;
  readonly bends: number;
  readonly nearest: { readonly name: string; readonly distanceMm: number } | null;
  /** Snags of Route that this line would have, and that others would have by it. */
  readonly snags: readonly Snag[];
  readonly why: string;
  readonly calls: readonly EditCall[];
}

/** Bores in which a bubble climbs back to a hump; see the rule `high-point`. */
const WIDE_MM = 3.5;
/** A bend springs back to a radius wider than its die by no more than this. Common practice. */
const FORMED = 1.15;
const RANK: Record<Snag['level'], number> = { stop: 1000, caution: 10, note: 1 };

function endOf(view: PlanView, line: LineView, end: 'a' | 'b'): WayEnd {
  const port = line.ports[end];
  if (!port)
    throw new InputError(
      line.line.id,
      `A route runs between two ports. End ${end.toUpperCase()} of ${line.line.name} has no port yet.`,
    );
  const { nutLengthMm, clampMm } = toolingOf(line.line.ends[end], view.plan.bench);
  const at = line.nodesMm.at(end === 'a' ? 0 : -1) ?? port.fixed.atMm;
  return {
    atMm: at,
    direction: port.port.direction,
    leadMm: Math.ceil(
      Math.max(nutLengthMm + Math.max(clampMm, line.bender.shoeMm), drawnBackMm(nutLengthMm)) +
        FORMED * line.bender.dieRadiusMm,
    ),
  };
}

/** What holds most of a line, and how much of it. */
function heldBy(plan: Plan, line: LineView): string {
  const count = new Map<string, number>();
  const { clips } = lineSpace(plan, line)!;
  for (const clip of clips)
    if (clip.to) count.set(clip.to.name, (count.get(clip.to.name) ?? 0) + 1);
  const [most] = [...count].sort((a, b) => b[1] - a[1]);
  return most ? `${clips.length} clips, most of them on ${most[0]}` : 'nothing nearby to clip to';
}

/**
 * Up to three ways for a line that really differ, best first: fewest stops, then fewest other snags,
 * then the shortest. Each is put into the plan, clipped, and looked at by every rule. Throws
 * InputError where an end joins no port.
 */
export function waysFor(plan: Plan, lineId: string, pitchMm = 40, hooks: Hooks = {}): FoundWay[] {
  const view = viewPlan(plan);
  const line = view.lines.find((v) => v.line.id === lineId);
  if (!line) throw new InputError(lineId, 'This line is no longer in the plan.');
  const on = mountedOnBoth(view, line);
  const ways = findWays(
    {
      a: endOf(view, line, 'a'),
      b: endOf(view, line, 'b'),
      odMm: line.tube.odMm,
      pitchMm,
      obstacles: obstaclesOf(plan),
      straightMm: 2 * FORMED * line.bender.dieRadiusMm + line.bender.leastFeedMm,
      reachMm: plan.clipSettings.reachMm,
      wide: tubeBoreMm(line.tube) > WIDE_MM,
      mountedOn: new Set([...on[0], ...on[1]]),
    },
    3,
    hooks,
  );
  const before = new Set(inspect(plan).map(({ key }) => key));
  const found = ways.map(({ cornersMm, lengthMm, bends }): FoundWay => {
    const corners: EditCall = { edit: 'setCorners', with: { id: lineId, cornersMm } };
    const calls = [corners, clipped(applyEdit(plan, corners), lineId)];
    const taken = calls.reduce(applyEdit, plan);
    const own = viewPlan(taken).lines.find((v) => v.line.id === lineId)!;
    const near = lineSpace(taken, own)
      ?.near.filter(({ thing }) => !thing.holds)
      .sort((a, b) => a.distanceMm - a.wantedMm - b.distanceMm + b.wantedMm)[0];
    const snags = inspect(taken).filter(
      (s) =>
        s.station === 'route' &&
        s.place.kind === 'line' &&
        (s.place.id === lineId || !before.has(s.key)),
    );
    const why = `${formatLengthUnit(lengthMm, plan.units)}, ${bends} bends; ${own.card ? heldBy(taken, own) : 'no room for its bends'}.`;
    return {
      cornersMm,
      lengthMm,
      bends,
      nearest: near ? { name: near.thing.name, distanceMm: near.distanceMm } : null,
      snags,
      why,
      calls,
    };
  });
  const weight = ({ snags, lengthMm }: FoundWay): number =>
    snags.reduce((sum, s) => sum + RANK[s.level], 0) * 1e5 + lengthMm;
  return found.sort((a, b) => weight(a) - weight(b));
}

/** Clips for a line on its new way; none where they cannot be placed, which the rules then say. */
export function clipped(plan: Plan, id: string): EditCall {
  const line = viewPlan(plan).lines.find((v) => v.line.id === id)!;
  let clipsMm: number[] = [];
  try {
    clipsMm = line.card ? placeClips(plan, line) : [];
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
  }
  return { edit: 'changeLine', with: { id, patch: { clipsMm } } };
}
