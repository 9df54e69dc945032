import { mapVec, addScaled, unit, type Vec3 } from '../../lib/vec/index.ts';
import { derive } from '../../lib/derive/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import {
  nutById,
  tubeById,
  tubeVolumeMl,
  type FlareForm,
  type TubeNut,
  type TubeStock,
} from '../../trade/stock/index.ts';
import {
  centerLine,
  formedRadii,
  makeCard,
  type Card,
  type EndTooling,
  type Piece,
} from '../../shape/tube/index.ts';
import { fnv32 } from './digest.ts';
import type { ResolvedPosition } from './position.ts';
import {
  freshEnd,
  type Bench,
  type BenchBender,
  type Line,
  type LineEnd,
  type OpenEnd,
  type Part,
  type Port,
} from '../model/index.ts';

export interface PortView {
  readonly part: Part;
  readonly port: Port;
  readonly fixed: ResolvedPosition;
}
/** A line with all that follows from it. `card` is null where an end is open or a bend has no room. */
export interface LineView {
  readonly line: Line;
  /** What it is made on. */
  readonly bench: Bench;
  readonly tube: TubeStock;
  readonly bender: BenchBender;
  readonly nuts: { readonly a: TubeNut; readonly b: TubeNut };
  readonly ports: { readonly a: PortView | null; readonly b: PortView | null };
  /** Corner points from port to port; empty where an end is open. */
  readonly nodesMm: readonly Vec3[];
  readonly card: Card | null;
  readonly pieces: readonly Piece[];
  /** Why there is no card: the sentence and the corner it is about (index in `nodesMm`). */
  readonly fault: { readonly node: number; readonly message: string } | null;
  readonly volumeMl: number;
  /** Of what the card says; ticks made to another digest no longer prove anything. */
  readonly digest: string;
}

/** What an end is made with on this bench. */
export function toolingOf(end: LineEnd, bench: Bench): EndTooling {
  const { clampMm, flareExtraMm } = bench.flares[end.flare];
  return {
    clampMm,
    flareExtraMm,
    nutLengthMm: bench.nutLengthMm[end.nutId] ?? nutById(end.nutId)!.lengthMm,
  };
}

/** How far along the tube a nut reaches once it is drawn back off its seat, by its own length and a little. Common practice. */
export const drawnBackMm = (nutLengthMm: number): number => 2 * nutLengthMm + 10;

const cardOf = (
  nodesMm: readonly Vec3[],
  line: Pick<Line, 'ends'>,
  bench: Bench,
  bender: BenchBender,
  odMm: number,
): Card =>
  makeCard({
    nodesMm,
    odMm,
    bender,
    ends: { a: withSlack(line.ends.a, bench), b: withSlack(line.ends.b, bench) },
    trimMm: bench.trimMm,
  });

/** Tube kept over at an end that waits for its mate counts like what a flare uses up. */
function withSlack(end: LineEnd, bench: Bench): EndTooling {
  const tooling = toolingOf(end, bench);
  const slackMm = end.portId === null ? (end.open?.slackMm ?? 0) : 0;
  return { ...tooling, flareExtraMm: tooling.flareExtraMm + slackMm };
}

function cardDigest(card: Card, line: Shaped): string {
  const tenth = (value: number): number => Math.round(value * 10);
  return fnv32([
    tenth(card.stockCutMm),
    ...card.bends.flatMap((b) => [tenth(b.drawMarkMm), tenth(b.rotateDeg), tenth(b.dialDeg)]),
    ...card.stepIds,
    line.tubeId,
    line.ends.a.nutId,
    line.ends.b.nutId,
  ]);
}

/** Where the tube ends: at the port's seat, off it by what stands between, or where it waits for its mate; null where nobody has said. */
function endOf(
  atMm: Vec3 | undefined,
  direction: Vec3 | undefined,
  { standoffMm, open }: LineEnd,
): Vec3 | null {
  if (!atMm || !direction) return open?.atMm ?? null;
  return standoffMm ? addScaled(atMm, unit(direction)!, standoffMm) : atMm;
}

/** What of a line follows from its corners, its ends' places and the bench: its names and its state do not matter. */
type LineShape = Pick<
  LineView,
  'tube' | 'bender' | 'nuts' | 'nodesMm' | 'card' | 'pieces' | 'fault' | 'volumeMl' | 'digest'
>;
type Shaped = Pick<Line, 'tubeId' | 'benderId'> & {
  readonly ends: { readonly a: LineEnd; readonly b: LineEnd };
};

function build(line: Shaped, bench: Bench, nodesMm: readonly Vec3[]): LineShape {
  const tube = tubeById(line.tubeId)!;
  const bender = bench.benders.find((one) => one.id === line.benderId)!;
  const base = {
    tube,
    bender,
    nodesMm,
    nuts: { a: nutById(line.ends.a.nutId)!, b: nutById(line.ends.b.nutId)! },
  };
  const without = { ...base, card: null, pieces: [], volumeMl: 0, digest: '' };
  if (!nodesMm.length) return { ...without, fault: null };
  try {
    const card = cardOf(nodesMm, line, bench, bender, tube.odMm);
    const pieces = centerLine(nodesMm, formedRadii(nodesMm, bender));
    return {
      ...base,
      card,
      pieces,
      fault: null,
      volumeMl: tubeVolumeMl(tube, card.developedMm),
      digest: cardDigest(card, line),
    };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return {
      ...without,
      fault: { node: Number(/\d+/.exec(error.path)?.[0] ?? 0), message: error.message },
    };
  }
}
/** What a card asks of an end: how its joint stands and what its port is called do not matter to it. */
const endFields = ({ portId, open, flare, nutId, standoffMm }: LineEnd) =>
  [portId === null, open, flare, nutId, standoffMm] as const;
const shapeOf = derive(
  'line bent',
  (line: Line, bench: Bench, a: PortView | null, b: PortView | null) => [
    line.cornersMm,
    bench.benders,
    bench.flares,
    bench.nutLengthMm,
    bench.trimMm,
    line.tubeId,
    line.benderId,
    ...endFields(line.ends.a),
    a?.fixed.atMm,
    a?.port.direction,
    ...endFields(line.ends.b),
    b?.fixed.atMm,
    b?.port.direction,
  ],
  // Rebuilt of the inputs alone, so that nothing else can have a say.
  (cornersMm, benders, flares, nutLengthMm, trimMm, tubeId, benderId, ...ends): LineShape => {
    const [
      aOpen,
      aWaits,
      aFlare,
      aNut,
      aOff,
      aAt,
      aWay,
      bOpen,
      bWaits,
      bFlare,
      bNut,
      bOff,
      bAt,
      bWay,
    ] = ends;
    const end = (
      free: boolean,
      open: OpenEnd | null,
      flare: FlareForm,
      nutId: string,
      standoffMm: number,
    ): LineEnd => ({
      ...freshEnd(free ? null : '', flare, nutId),
      open,
      standoffMm,
    });
    const line: Shaped = {
      tubeId,
      benderId,
      ends: {
        a: end(aOpen, aWaits, aFlare, aNut, aOff),
        b: end(bOpen, bWaits, bFlare, bNut, bOff),
      },
    };
    const from = endOf(aAt, aWay, line.ends.a);
    const to = endOf(bAt, bWay, line.ends.b);
    const bench = { benders, flares, nutLengthMm, trimMm, adapters: [] };
    return build(line, bench, from && to ? [from, ...cornersMm, to] : []);
  },
);

/** The view of a line; the same line on the same bench between the same ports is computed once. */
export const lineView = derive(
  'line',
  (line: Line, bench: Bench, ports: ReadonlyMap<string, PortView>) => {
    const a = ports.get(line.ends.a.portId ?? '') ?? null;
    const b = ports.get(line.ends.b.portId ?? '') ?? null;
    return [line, bench, shapeOf(line, bench, a, b), a, b];
  },
  (line, bench, shape, a, b): LineView => ({ ...shape, line, bench, ports: { a, b } }),
);

/** How the cut length goes with the place of each port, per axis. */
export interface CutSlopes {
  readonly a: Vec3;
  readonly b: Vec3;
}
function findCutSlopes({
  card,
  nodesMm,
  line,
  bench,
  bender,
  tube,
  ports,
}: LineView): CutSlopes | null {
  if (!card || !ports.a || !ports.b) return null;
  const H = 0.05;
  const lengthWith = (node: number, axis: number, by: number): number =>
    cardOf(
      nodesMm.map((n, i) => (i === node ? mapVec(n, (v, k) => (k === axis ? v + by : v)) : n)),
      line,
      bench,
      bender,
      tube.odMm,
    ).cutMm;
  const at = (node: number): Vec3 =>
    mapVec(
      [0, 1, 2] as const,
      (axis) => (lengthWith(node, axis, H) - lengthWith(node, axis, -H)) / (2 * H),
    );
  try {
    return { a: at(0), b: at(nodesMm.length - 1) };
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}
/** How the cut length goes with the place of each port, by central differences; null where a port moved a little leaves no card. */
export const cutSlopes = derive('slopes of a cut', (view: LineView) => [view], findCutSlopes);

/** What a bent tube gives by hand when it is offered up. Common practice. */
const GIVE_MM = 5;
/** The ± of a cut length that the trim at B, or the tube's give, takes up. */
export const cutAllowedMm = ({ trimMm }: Pick<Card, 'trimMm'>): number => Math.max(trimMm, GIVE_MM);

/** Variance of what goes with a place by these slopes, the axes' errors independent. */
export const varianceOf = (slope: Vec3, sigmaMm: Vec3): number =>
  slope.reduce((sum, s, axis) => sum + (s * sigmaMm[axis]!) ** 2, 0);

/**
 * One standard deviation of the length to cut, from the certainty of both ports: the length's slope
 * along each axis of each port by central differences, combined as independent errors.
 */
export const cutSigmaMm = derive(
  'sigma of a cut',
  (view: LineView) => [view],
  (view) => {
    const slopes = cutSlopes(view);
    const { a, b } = view.ports;
    return slopes && a && b
      ? Math.sqrt(varianceOf(slopes.a, a.fixed.sigmaMm) + varianceOf(slopes.b, b.fixed.sigmaMm))
      : null;
  },
);
