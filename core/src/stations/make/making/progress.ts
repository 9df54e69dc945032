import {
  bent,
  goalOf,
  guide,
  oneChange,
  readingOf,
  type BendOrder,
  type Guidance,
  type MadeBend,
  type OneChange,
  type Reading,
} from '../../../shape/bending/index.ts';
import { toolingOf, type BendReading, type LineView } from '../../../plan/index.ts';
import {
  bendTable,
  dialFor,
  seenSpringback,
  type Card,
  type SeenSpringback,
} from '../../../shape/tube/index.ts';
import { addScaled, sub, unit, type Vec3 } from '../../../lib/vec/index.ts';

/** A tube as the tape reads it: from the end that its bends begin at, as that end now is. */
export interface Run {
  /** The end that the tape is held to. */
  readonly end: 'a' | 'b';
  readonly nodesMm: readonly Vec3[];
  readonly clrMm: readonly number[];
  /** Bends in the order they are made, marks from that end. */
  readonly planned: readonly MadeBend[];
  /** Which bend of the card each is. */
  readonly bends: readonly number[];
  /** How long the tube is when each has been made. */
  readonly cutsMm: readonly number[];
  /** From a mark of the run to where it is drawn from the cut end A: added to it, or it is taken from this. */
  readonly fromA: (markMm: number, arcMm: number) => number;
}

/** The run of an order from an end; null from a middle bend outwards, where no one end stands still. */
export function runOf(view: LineView, order: BendOrder): Run | null {
  const { card, nodesMm, line, bench } = view;
  if (!card || typeof order.start === 'number') return null;
  const extraA = toolingOf(line.ends.a, bench).flareExtraMm;
  const count = card.bends.length;
  const early = card.flareBBefore !== null;
  const cutsMm = (flaredAt: number | null, offMm: number): number[] =>
    card.bends.map(
      (_, i) => card.stockCutMm - extraA - (flaredAt !== null && i >= flaredAt ? offMm : 0),
    );
  const extraB = card.stockCutMm - extraA - card.developedMm;
  const radii = card.bends.map((bend) => bend.formedRadiusMm);
  if (order.start === 'a')
    return {
      end: 'a',
      nodesMm,
      clrMm: radii,
      planned: card.bends.map(({ markMm, rotateDeg, bendDeg }) => ({
        markMm: markMm - extraA,
        rotateDeg,
        bendDeg,
      })),
      bends: card.bends.map((_, k) => k),
      cutsMm: cutsMm(card.flareBBefore, extraB),
      fromA: (markMm) => markMm + extraA,
    };
  // From B: the same tube seen from its other end, which still has its trim where it is not flared yet.
  const turned = nodesMm.toReversed();
  const out = unit(sub(turned[0]!, turned[1]!))!;
  const nodes = early ? turned : [addScaled(turned[0]!, out, extraB), ...turned.slice(1)];
  const clrMm = radii.toReversed();
  const arcs = new Map(card.bends.map((bend) => [bend.node, bend.formedRadiusMm]));
  const { bends } = bendTable({
    nodesMm: nodes,
    clrMm: nodes.slice(1, -1).map((_, i) => arcs.get(nodes.length - 2 - i) ?? 1),
  });
  const totalMm = card.stockCutMm - (early ? extraB : 0);
  return {
    end: 'b',
    nodesMm: nodes,
    clrMm,
    planned: bends.map(({ markMm, rotateDeg, bendDeg }) => ({ markMm, rotateDeg, bendDeg })),
    bends: card.bends.map((_, k) => count - 1 - k),
    cutsMm: card.bends.map(() => totalMm - extraA),
    fromA: (markMm, arcMm) => totalMm - markMm - arcMm,
  };
}

/** What the tape must read after each bend of a run. */
export const readingsPlanned = ({ planned, clrMm, cutsMm }: Run, odMm: number): Reading[] =>
  planned.map((_, k) => {
    const bends = planned.slice(0, k + 1);
    return readingOf(bent(bends, clrMm, cutsMm[k]!), [0, 0, 0], odMm);
  });

/** The bend to make next, as the readings have it. */
export interface NextBend {
  readonly bend: number;
  readonly markMm: number;
  /** Where the die's mark is laid, from the cut end A. */
  readonly drawMarkMm: number;
  readonly rotateDeg: number;
  readonly bendDeg: number;
  readonly dialDeg: number;
  /** One sigma of what to dial. */
  readonly dialSigmaDeg: number;
}
export interface Progress {
  readonly run: Run;
  readonly readings: readonly BendReading[];
  /** Readings that were taken to an older card: they tell nothing of this one. */
  readonly stale: number;
  readonly guidance: Guidance | null;
  readonly springback: SeenSpringback;
  /** What the last bend's dial must show when it is taken further; null where it is far enough. */
  readonly furtherDialDeg: number | null;
  readonly next: NextBend | null;
}
/** A bend that is this little short is left. */
export const LEAST_FURTHER_DEG = 0.3;

/** How far a line has been bent, what its readings say, and what comes next. */
export function progressOf(view: LineView, order: BendOrder): Progress | null {
  const run = runOf(view, order);
  if (!run) return null;
  const card = view.card!;
  const all = view.line.readings ?? [];
  const readings = all.filter((one) => one.digest === view.digest).slice(0, run.planned.length);
  const made = readings.length;
  const guidance = made
    ? guide(
        {
          nodesMm: run.nodesMm,
          clrMm: run.clrMm,
          odMm: view.tube.odMm,
          cutMm: run.cutsMm[made - 1]!,
          cutsMm: run.cutsMm.slice(0, made),
          readings,
        },
        readings.map(({ markMm, rotateDeg, bendDeg }) => ({ markMm, rotateDeg, bendDeg })),
      )
    : null;
  const springback = seenSpringback(
    view.bender.testBends,
    (guidance?.made ?? []).map(({ bendDeg }, k) => ({
      dialDeg: readings[k]!.dialDeg,
      gotDeg: bendDeg,
      sigmaDeg: Math.max(0.1, guidance!.bendSigmaDeg[k]!),
    })),
  );
  const rest = guidance ? guidance.rest[0] : run.planned[0];
  const last = guidance?.made.at(-1);
  return {
    run,
    readings,
    stale: all.length - all.filter((one) => one.digest === view.digest).length,
    guidance,
    springback,
    furtherDialDeg:
      last && guidance!.furtherDeg > LEAST_FURTHER_DEG
        ? readings.at(-1)!.dialDeg + springback.slope * guidance!.furtherDeg
        : null,
    next:
      rest && made < run.planned.length
        ? nextOf(view, card, run, made, rest, springback, order)
        : null,
  };
}

function nextOf(
  { bender }: LineView,
  card: Card,
  run: Run,
  made: number,
  rest: MadeBend,
  springback: SeenSpringback,
  order: BendOrder,
): NextBend {
  const bend = run.bends[made]!;
  const { arcMm } = card.bends[bend]!;
  const startMm = run.fromA(rest.markMm, arcMm);
  const { clamped } = order.sequence[made]!;
  return {
    bend,
    markMm: rest.markMm,
    drawMarkMm:
      clamped === 'a' ? startMm - bender.referenceMm : startMm + arcMm + bender.referenceMm,
    rotateDeg: made ? rest.rotateDeg : 0,
    bendDeg: rest.bendDeg,
    dialDeg: dialFor(springback, rest.bendDeg),
    dialSigmaDeg: springback.sigmaAt(rest.bendDeg),
  };
}

/** What one change at one bend does for a finished line that missed B's port: by its bends as they were read from A, else as planned. */
export function offeredUp(
  view: LineView,
  missMm: Vec3,
  progress: Progress | null = null,
): (OneChange & { readonly leftOver: boolean })[] {
  const { card, nodesMm } = view;
  if (!card?.bends.length) return [];
  const run = runOf(view, { start: 'a', sequence: [], hits: [], tried: [] })!;
  // What is along the last straight is no miss: the tube is taken longer than it is.
  const goal = goalOf(nodesMm, run.planned, run.clrMm, 2 * card.developedMm);
  const isRead = progress?.run.end === 'a' && progress.readings.length === run.planned.length;
  return oneChange(isRead ? progress.guidance!.made : run.planned, missMm, goal, isRead).map(
    (change) => ({
      ...change,
      leftOver: change.leftMm > 2,
    }),
  );
}
