import type { Piece } from '../tube/index.ts';
import {
  addScaled,
  cross,
  dot,
  rotate,
  scale,
  squareTo,
  sub,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';

/** A tube as it is bent: its center line in straights and arcs, and its section. */
export interface StepTube {
  readonly name: string;
  readonly pieces: readonly Piece[];
  readonly odMm: number;
  readonly wallMm: number;
}

/** Writes instances of a STEP file and hands out their numbers. */
class Writer {
  readonly rows: string[] = [];
  put(entity: string): string {
    this.rows.push(`#${this.rows.length + 1}=${entity};`);
    return `#${this.rows.length}`;
  }
  point(at: Vec3): string {
    return this.put(`CARTESIAN_POINT('',(${at.map(real).join(',')}))`);
  }
  placement(at: Vec3, axis: Vec3, reference: Vec3): string {
    const direction = (d: Vec3): string => this.put(`DIRECTION('',(${d.map(real).join(',')}))`);
    return this.put(
      `AXIS2_PLACEMENT_3D('',${this.point(at)},${direction(axis)},${direction(reference)})`,
    );
  }
}
const real = (value: number): string => {
  const text = (Math.abs(value) < 1e-12 ? 0 : value).toFixed(9).replace(/0+$/, '');
  return text === '-0.' ? '0.' : text;
};
const quoted = (text: string): string =>
  `'${text
    .replaceAll('\\', '\\\\')
    .replaceAll("'", "''")
    .replace(/[^\x20-\x7e]/g, '?')}'`;

/** A station of the tube: its middle, the way it runs, and the side its seam lies on. */
interface Station {
  readonly at: Vec3;
  readonly along: Vec3;
  readonly seam: Vec3;
}

/** Stations between the pieces that have a length, the seam carried along without twist. */
function stationsOf(pieces: readonly Piece[]): {
  pieces: readonly Piece[];
  stations: readonly Station[];
} {
  const long = pieces.filter(({ startMm, endMm }) => endMm - startMm > 1e-6);
  const first = long[0]!;
  const along =
    first.kind === 'straight'
      ? unit(sub(first.to, first.from))!
      : unit(cross(first.normal, sub(first.from, first.center)))!;
  const stations: Station[] = [{ at: first.from, along, seam: squareTo(along) }];
  for (const piece of long) {
    const before = stations.at(-1)!;
    stations.push(
      piece.kind === 'straight'
        ? { ...before, at: piece.to }
        : {
            at: piece.to,
            along: rotate(before.along, piece.normal, piece.bendDeg),
            seam: rotate(before.seam, piece.normal, piece.bendDeg),
          },
    );
  }
  return { pieces: long, stations };
}

/** The faces of one skin of a tube: the outer one, or the bore, whose faces look inward. */
function skin(
  w: Writer,
  pieces: readonly Piece[],
  stations: readonly Station[],
  radiusMm: number,
  outer: boolean,
): { faces: string[]; ends: [string, string] } {
  const vertices = stations.map(({ at, seam }) =>
    w.put(`VERTEX_POINT('',${w.point(addScaled(at, seam, radiusMm))})`),
  );
  const circles = stations.map(({ at, along, seam }, i) =>
    w.put(
      `EDGE_CURVE('',${vertices[i]},${vertices[i]},${w.put(`CIRCLE('',${w.placement(at, along, seam)},${real(radiusMm)})`)},.T.)`,
    ),
  );
  const oriented = (edge: string, forward: boolean): string =>
    w.put(`ORIENTED_EDGE('',*,*,${edge},${forward ? '.T.' : '.F.'})`);
  const faces = pieces.map((piece, i) => {
    const { at, along, seam } = stations[i]!;
    const start = addScaled(at, seam, radiusMm);
    let [curve, surface] = ['', ''];
    if (piece.kind === 'straight') {
      const vector = w.put(
        `VECTOR('',${w.put(`DIRECTION('',(${along.map(real).join(',')}))`)},1.)`,
      );
      curve = w.put(`LINE('',${w.point(start)},${vector})`);
      surface = w.put(`CYLINDRICAL_SURFACE('',${w.placement(at, along, seam)},${real(radiusMm)})`);
    } else {
      // The seam of a bend is an arc about the bend's own axis, at the height where the seam lies.
      const middle = addScaled(
        piece.center,
        piece.normal,
        dot(sub(start, piece.center), piece.normal),
      );
      const arm = sub(start, middle);
      curve = w.put(
        `CIRCLE('',${w.placement(middle, piece.normal, unit(arm)!)},${real(Math.hypot(...arm))})`,
      );
      surface = w.put(
        `TOROIDAL_SURFACE('',${w.placement(piece.center, piece.normal, scale(sub(piece.from, piece.center), 1 / piece.radiusMm))},${real(piece.radiusMm)},${real(radiusMm)})`,
      );
    }
    const edge = w.put(`EDGE_CURVE('',${vertices[i]},${vertices[i + 1]},${curve},.T.)`);
    const loop = outer
      ? [
          oriented(circles[i]!, true),
          oriented(edge, true),
          oriented(circles[i + 1]!, false),
          oriented(edge, false),
        ]
      : [
          oriented(edge, true),
          oriented(circles[i + 1]!, true),
          oriented(edge, false),
          oriented(circles[i]!, false),
        ];
    const bound = w.put(`FACE_OUTER_BOUND('',${w.put(`EDGE_LOOP('',(${loop.join(',')}))`)},.T.)`);
    return w.put(`ADVANCED_FACE('',(${bound}),${surface},${outer ? '.T.' : '.F.'})`);
  });
  return { faces, ends: [circles[0]!, circles.at(-1)!] };
}

function solid(w: Writer, { pieces: all, odMm, wallMm }: StepTube): string {
  const { pieces, stations } = stationsOf(all);
  const outer = skin(w, pieces, stations, odMm / 2, true);
  const bore = skin(w, pieces, stations, odMm / 2 - wallMm, false);
  const cap = (end: 0 | 1): string => {
    const { at, along, seam } = stations.at(end ? -1 : 0)!;
    const bound = (kind: string, circle: string, forward: boolean): string =>
      w.put(
        `${kind}('',${w.put(`EDGE_LOOP('',(${w.put(`ORIENTED_EDGE('',*,*,${circle},${forward ? '.T.' : '.F.'})`)}))`)},.T.)`,
      );
    const bounds = [
      bound('FACE_OUTER_BOUND', outer.ends[end], end === 1),
      bound('FACE_BOUND', bore.ends[end], end === 0),
    ];
    return w.put(
      `ADVANCED_FACE('',(${bounds.join(',')}),${w.put(`PLANE('',${w.placement(at, along, seam)})`)},${end ? '.T.' : '.F.'})`,
    );
  };
  const shell = w.put(
    `CLOSED_SHELL('',(${[...outer.faces, ...bore.faces, cap(0), cap(1)].join(',')}))`,
  );
  return w.put(`MANIFOLD_SOLID_BREP('',${shell})`);
}

/**
 * Tubes as exact solids with their bore, one product each, in mm. `atIso` is the time to write into the
 * head. Source: ISO 10303-21 and -214 (from memory).
 */
export function tubesStep(tubes: readonly StepTube[], atIso: string): string {
  const w = new Writer();
  const context = w.put("APPLICATION_CONTEXT('automotive design')");
  w.put(
    `APPLICATION_PROTOCOL_DEFINITION('international standard','automotive_design',2000,${context})`,
  );
  const productContext = w.put(`PRODUCT_CONTEXT('',${context},'mechanical')`);
  const definitionContext = w.put(
    `PRODUCT_DEFINITION_CONTEXT('part definition',${context},'design')`,
  );
  const mm = w.put('(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT(.MILLI.,.METRE.))');
  const radian = w.put('(NAMED_UNIT(*)PLANE_ANGLE_UNIT()SI_UNIT($,.RADIAN.))');
  const steradian = w.put('(NAMED_UNIT(*)SI_UNIT($,.STERADIAN.)SOLID_ANGLE_UNIT())');
  const sure = w.put(
    `UNCERTAINTY_MEASURE_WITH_UNIT(LENGTH_MEASURE(1.E-5),${mm},'distance_accuracy_value','')`,
  );
  const space = w.put(
    `(GEOMETRIC_REPRESENTATION_CONTEXT(3)GLOBAL_UNCERTAINTY_ASSIGNED_CONTEXT((${sure}))GLOBAL_UNIT_ASSIGNED_CONTEXT((${mm},${radian},${steradian}))REPRESENTATION_CONTEXT('',''))`,
  );
  for (const tube of tubes) {
    const product = w.put(
      `PRODUCT(${quoted(tube.name)},${quoted(tube.name)},'',(${productContext}))`,
    );
    const formation = w.put(`PRODUCT_DEFINITION_FORMATION('','',${product})`);
    const definition = w.put(`PRODUCT_DEFINITION('design','',${formation},${definitionContext})`);
    const shape = w.put(`PRODUCT_DEFINITION_SHAPE('','',${definition})`);
    const origin = w.placement([0, 0, 0], [0, 0, 1], [1, 0, 0]);
    const brep = w.put(
      `ADVANCED_BREP_SHAPE_REPRESENTATION(${quoted(tube.name)},(${origin},${solid(w, tube)}),${space})`,
    );
    w.put(`SHAPE_DEFINITION_REPRESENTATION(${shape},${brep})`);
  }
  const head = `ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION(('Tubes'),'2;1');\nFILE_NAME('tubes.step',${quoted(atIso)},(''),(''),'Firm Line','Firm Line','');\nFILE_SCHEMA(('AUTOMOTIVE_DESIGN { 1 0 10303 214 1 1 1 1 }'));\nENDSEC;\nDATA;\n`;
  return `${head}${w.rows.join('\n')}\nENDSEC;\nEND-ISO-10303-21;\n`;
}

/** Volume of the tube's own metal, mm³: section times length. For checks. */
export const metalMm3 = ({ pieces, odMm, wallMm }: StepTube): number =>
  (Math.PI / 4) * (odMm ** 2 - (odMm - 2 * wallMm) ** 2) * pieces.at(-1)!.endMm;
