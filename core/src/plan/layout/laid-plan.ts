import { derive } from '../../lib/derive/index.ts';
import { obstaclesOf, type Obstacle } from '../../shape/obstacles/index.ts';
import { allPorts, type Circuit, type Plan, type Point } from '../model/index.ts';
import { lineView, type LineView, type PortView } from './line-view.ts';
import { fixAll, type ResolvedPosition } from './position.ts';

export interface PointView {
  readonly point: Point;
  readonly fixed: ResolvedPosition;
}
/** A plan with where everything of it lies: what is drawn, and what edits go by. Nothing here is ever stored. */
export interface LaidPlan {
  readonly plan: Plan;
  readonly points: ReadonlyMap<string, PointView>;
  readonly ports: ReadonlyMap<string, PortView>;
  readonly lines: readonly LineView[];
  readonly circuits: ReadonlyMap<string, Circuit>;
  /** Its things ready to be measured to; meshes as far as they are known here. */
  readonly obstacles: readonly Obstacle[];
}

/** A list as it was before, where each of its items is. */
export const sameList = derive(
  'list of the same',
  <T extends object>(owner: object, items: readonly T[]): readonly [object, ...T[]] => [
    owner,
    ...items,
  ],
  (_owner, ...items) => items,
) as <T extends object>(owner: object, items: readonly T[]) => readonly T[];
const portView = derive(
  'port',
  (port: PortView['port'], part: PortView['part'], fixed: ResolvedPosition) => [port, part, fixed],
  (port, part, fixed): PortView => ({ part, port, fixed }),
);
const placed = derive(
  'points and ports',
  ({ points, parts }: Pick<Plan, 'points' | 'parts'>) => [points, parts],
  (points, parts) => {
    const fixed = fixAll({ points, parts });
    return {
      points: new Map(points.map((point) => [point.id, { point, fixed: fixed.get(point.id)! }])),
      ports: new Map(
        allPorts({ parts }).map(({ part, port }) => [
          port.id,
          portView(port, part, fixed.get(port.id)!),
        ]),
      ),
    };
  },
);
const linesOf = derive(
  'lines',
  ({ lines, bench }: Pick<Plan, 'lines' | 'bench'>, ports: ReadonlyMap<string, PortView>) => [
    lines,
    bench,
    ports,
  ],
  (lines, bench, ports): readonly LineView[] =>
    sameList(
      bench,
      lines.map((line) => lineView(line, bench, ports)),
    ),
);
const circuitsOf = derive(
  'circuits',
  ({ circuits }: Pick<Plan, 'circuits'>) => [circuits],
  (circuits): ReadonlyMap<string, Circuit> =>
    new Map(circuits.map((circuit) => [circuit.id, circuit])),
);

/** Where everything of a valid plan lies: each part of it is computed once for what it rests on. */
export const layPlan = derive(
  'laid plan',
  (plan: Plan) => [plan, obstaclesOf(plan)],
  (plan, obstacles): LaidPlan => {
    const { points, ports } = placed(plan);
    return {
      plan,
      points,
      ports,
      lines: linesOf(plan, ports),
      circuits: circuitsOf(plan),
      obstacles,
    };
  },
);
