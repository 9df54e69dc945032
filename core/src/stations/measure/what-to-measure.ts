import { byAxis, add, type Vec3 } from '../../lib/vec/index.ts';
import { derive } from '../../lib/derive/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { clearanceTo, type Obstacle } from '../../shape/obstacles/index.ts';
import {
  cutAllowedMm,
  cutSlopes,
  layPlan,
  lineFollowed,
  lineSpace,
  varianceOf,
  type LineView,
  type Near,
  type Plan,
  type PositionSource,
  type Target,
} from '../../plan/index.ts';
import { centerLine, formedRadii, polyline } from '../../shape/tube/index.ts';

/** What a place is known to once it was taped, 1σ, mm. */
export const TAPED_MM = 2;
const TAPED_SIGMA: Vec3 = [TAPED_MM, TAPED_MM, TAPED_MM];
/** A port is moved so far to see what goes with it. */
const STEP_MM = 1;
/** Past this a clearance is not asked for. */
const FAR_MM = 2000;
/** Two standard deviations: nineteen times in twenty it lies within. */
const TWO_SIGMA = 2;

/** A length that goes with where ports are: to be cut, or kept from a thing. */
interface Figure {
  readonly kind: 'cut' | 'clearance';
  /** In words: `F2`, `F2 against Exhaust`. */
  readonly name: string;
  readonly valueMm: number;
  /** Of a cut: the ± that its trim allows. Of a clearance: what is wanted. */
  readonly limitMm: number;
  readonly slopes: readonly { readonly portId: string; readonly slope: Vec3 }[];
}
/** What taping one guess would do for the plan. */
export interface MeasurementValue {
  readonly target: Target;
  readonly where: string;
  /** Clearances of which nobody can tell now whether they are kept, and then could. */
  readonly clearancesDecided: readonly string[];
  /** Lines whose cut length would come inside its trim. */
  readonly cutsBroughtInTolerance: readonly string[];
  /** How much smaller the ± of cut lengths and of clearances under their limit would be, together. */
  readonly removedMm: number;
}

function gapMm(
  { bender, tube }: LineView,
  nodesMm: readonly Vec3[],
  obstacle: Obstacle,
): number | null {
  try {
    const points = polyline(centerLine(nodesMm, formedRadii(nodesMm, bender)), 10);
    return clearanceTo(obstacle, points, tube.odMm, FAR_MM)?.distanceMm ?? null;
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

/** How a clearance goes with the place of one end of its line, which goes along with it. */
function clearanceSlope(line: LineView, end: 'a' | 'b', obstacle: Obstacle): Vec3 | null {
  const { nodesMm } = line;
  const moved = (axis: number, by: number): number | null => {
    const d = byAxis((k) => (k === axis ? by : 0));
    const corners = lineFollowed(nodesMm, end === 'a' ? d : null, end === 'b' ? d : null);
    const [first, last] = [nodesMm[0]!, nodesMm.at(-1)!];
    return gapMm(
      line,
      [end === 'a' ? add(first, d) : first, ...corners, end === 'b' ? add(last, d) : last],
      obstacle,
    );
  };
  const slope = byAxis((axis) => {
    const [more, less] = [moved(axis, STEP_MM), moved(axis, -STEP_MM)];
    return more === null || less === null ? Number.NaN : (more - less) / (2 * STEP_MM);
  });
  return slope.some(Number.isNaN) ? null : slope;
}

const endsOf = ({ ports }: LineView) =>
  (['a', 'b'] as const).flatMap((end) => (ports[end] ? [{ end, portId: ports[end].port.id }] : []));

function clearanceOf(line: LineView, near: Near, obstacles: readonly Obstacle[]): Figure | null {
  const obstacle = obstacles.find(({ thing }) => thing.id === near.thing.id)!;
  const slopes = endsOf(line).map(({ end, portId }) => ({
    portId,
    slope: clearanceSlope(line, end, obstacle),
  }));
  if (slopes.some(({ slope }) => !slope)) return null;
  return {
    kind: 'clearance',
    name: `${line.line.name} against ${near.thing.name}`,
    valueMm: near.distanceMm,
    limitMm: near.wantedMm,
    slopes: slopes as Figure['slopes'],
  };
}

/** The figures of one line: the same line among the same things is worked out once. */
const figuresOf = derive(
  'figures that go with ports',
  (
    line: LineView,
    obstacles: readonly Obstacle[],
    holding: Plan['clipSettings'],
    things: Plan['things'],
  ) => [line, obstacles, holding, things],
  (line, obstacles, holding, things): readonly Figure[] => {
    const slopes = cutSlopes(line);
    const cut: Figure[] = slopes
      ? [
          {
            kind: 'cut',
            name: line.line.name,
            valueMm: line.card!.cutMm,
            limitMm: cutAllowedMm(line.card!),
            slopes: endsOf(line).map(({ end, portId }) => ({ portId, slope: slopes[end] })),
          },
        ]
      : [];
    // What a line may lie on is no clearance.
    const near = (lineSpace({ clipSettings: holding, things }, line)?.near ?? []).filter(
      ({ wantedMm, thing }) => wantedMm > 0 && !thing.holds,
    );
    return [...cut, ...near.flatMap((one) => clearanceOf(line, one, obstacles) ?? [])];
  },
);

const plusMinus = ({ slopes }: Figure, sigma: (portId: string) => Vec3): number =>
  TWO_SIGMA *
  Math.sqrt(slopes.reduce((sum, { portId, slope }) => sum + varianceOf(slope, sigma(portId)), 0));
/** Whether nobody can tell, at this ±, if a clearance is kept. */
const isOpen = ({ kind, valueMm, limitMm }: Figure, pm: number): boolean =>
  kind === 'clearance' && Math.abs(valueMm - limitMm) < pm;
const counts = ({ kind, valueMm, limitMm }: Figure): boolean => kind === 'cut' || valueMm < limitMm;

/** A plan in which a guess was taped: at its place, known to 2 mm. */
export function asTaped(plan: Plan, { kind, id }: Target): Plan {
  const known = (was: PositionSource): PositionSource => ({
    how: 'typed',
    atMm: was.atMm,
    sigmaMm: TAPED_SIGMA,
  });
  return kind === 'point'
    ? {
        ...plan,
        points: plan.points.map((one) =>
          one.id === id ? { ...one, known: known(one.known) } : one,
        ),
      }
    : {
        ...plan,
        parts: plan.parts.map((part) => ({
          ...part,
          ports: part.ports.map((one) =>
            one.id === id ? { ...one, known: known(one.known) } : one,
          ),
        })),
      };
}

/** The order of what is worth taping: verdicts settled, then cuts brought inside their trim, then millimeters of ± removed. */
export const mostValuableFirst = (a: MeasurementValue, b: MeasurementValue): number =>
  b.clearancesDecided.length - a.clearancesDecided.length ||
  b.cutsBroughtInTolerance.length - a.cutsBroughtInTolerance.length ||
  b.removedMm - a.removedMm;

/**
 * The open guesses of a plan in the order of what taping each alone is worth. Cut lengths and clearances go with
 * their ports by slopes taken once; taping a place makes its sigma 2 mm, and that of whatever is taped from it
 * smaller. Errors of different places and axes are independent. What is worth nothing is left out.
 */
export function rankMeasurements(plan: Plan): MeasurementValue[] {
  const { ports, lines, obstacles } = layPlan(plan);
  const figures = lines
    .filter(({ line }) => line.origin !== 'kept')
    .flatMap((line) => figuresOf(line, obstacles, plan.clipSettings, plan.things));
  const before = figures.map((one) => plusMinus(one, (id) => ports.get(id)!.fixed.sigmaMm));
  const guesses: { readonly target: Target; readonly where: string }[] = [
    ...plan.points
      .filter(({ known }) => known.how === 'guessed')
      .map(({ id, name }) => ({ target: { kind: 'point', id } as const, where: name })),
    ...plan.parts.flatMap((part) =>
      part.ports
        .filter(({ known }) => known.how === 'guessed')
        .map(({ id, name }) => ({
          target: { kind: 'port', id } as const,
          where: `${part.name}, ${name}`,
        })),
    ),
  ];
  return guesses
    .map(({ target, where }): MeasurementValue => {
      const then = target.kind === 'point' ? layPlan(asTaped(plan, target)).ports : null;
      const sigma = (id: string): Vec3 =>
        then
          ? then.get(id)!.fixed.sigmaMm
          : id === target.id
            ? TAPED_SIGMA
            : ports.get(id)!.fixed.sigmaMm;
      const changed = figures.flatMap((figure, i) => {
        const after = plusMinus(figure, sigma);
        return after < before[i]! - 1e-9 ? [{ figure, was: before[i]!, is: after }] : [];
      });
      return {
        target,
        where,
        clearancesDecided: changed
          .filter(({ figure, was, is }) => isOpen(figure, was) && !isOpen(figure, is))
          .map(({ figure }) => figure.name),
        cutsBroughtInTolerance: changed
          .filter(
            ({ figure, was, is }) =>
              figure.kind === 'cut' && was > figure.limitMm && is <= figure.limitMm,
          )
          .map(({ figure }) => figure.name),
        removedMm: changed
          .filter(({ figure }) => counts(figure))
          .reduce((sum, { was, is }) => sum + was - is, 0),
      };
    })
    .filter(
      ({ clearancesDecided: settles, cutsBroughtInTolerance: brings, removedMm }) =>
        settles.length + brings.length > 0 || removedMm > 0.05,
    )
    .sort(mostValuableFirst);
}
