import {
  byAxis,
  mapVec,
  addScaled,
  cross,
  distance,
  dot,
  sub,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { MOST_MM, type NamedLine } from './csv.ts';

/** What an instance of a STEP file holds: a number, a text, a reference, a list, or another word. */
type Value = number | string | { readonly ref: number } | readonly Value[] | null;
interface Entity {
  readonly type: string;
  readonly args: readonly Value[];
}
const refuse = (why: string): never => {
  throw new InputError('', why);
};

/** The instances of the data section by their numbers; those of several types in one (units) are kept as text alone. */
function instances(text: string): Map<number, Entity> {
  const found = new Map<number, Entity>();
  const bare = text.replace(/\/\*[\s\S]*?\*\//g, '');
  for (const [, id, type, args] of bare.matchAll(
    /#(\d+)\s*=\s*([A-Z0-9_]+)\s*(\((?:'(?:[^']|'')*'|[^';])*\))\s*;/g,
  ))
    found.set(Number(id), { type: type!, args: list(args!) });
  return found;
}
function list(text: string): readonly Value[] {
  const parts =
    /'((?:[^']|'')*)'|#(\d+)|([()])|(\*|\$)|(-?\d+\.?\d*(?:E[-+]?\d+)?)|\.([A-Z_]+)\.|[A-Z_]+/g;
  const open: Value[][] = [[]];
  for (const [, quoted, ref, bracket, none, number, word] of text.matchAll(parts)) {
    if (bracket === '(') open.push([]);
    else if (bracket === ')') {
      const closed = open.pop()!;
      if (!open.length) return refuse('The file is damaged: brackets do not match.');
      open.at(-1)!.push(closed);
    } else
      open
        .at(-1)!
        .push(
          quoted !== undefined
            ? quoted.replaceAll("''", "'")
            : ref
              ? { ref: Number(ref) }
              : none
                ? null
                : number
                  ? Number(number)
                  : (word ?? null),
        );
  }
  return open[0]![0] as readonly Value[];
}

/** Millimeters of the file's unit of length. */
function scaleOf(text: string): number {
  const inch = /CONVERSION_BASED_UNIT\s*\(\s*'INCH(?:ES)?'/i.test(text);
  const si = /LENGTH_UNIT\s*\(\s*\)[^;]*SI_UNIT\s*\(\s*(\$|\.[A-Z]+\.)\s*,\s*\.METRE\.\s*\)/.exec(
    text,
  )?.[1];
  if (inch) return 25.4;
  const known: Record<string, number> = { '.MILLI.': 1, '.CENTI.': 10, $: 1000 };
  return (
    (si && known[si]) ||
    refuse('The file does not say whether it is in millimeters, meters or inches.')
  );
}

/** A place where two faces of a tube meet, with the way the tube runs there. */
interface Station {
  readonly at: Vec3;
  readonly axis: Vec3;
}
/** A straight or a bend of a tube between two stations. */
interface Stretch {
  readonly ends: readonly [number, number];
  readonly bent: boolean;
}
/** Circles nearer than this are one, mm. */
const SAME_MM = 0.01;

/**
 * Center lines of the round tubes in a STEP file, in mm: each solid's corners and ends, and its outer
 * diameter. A tube is what has cylinders and tori between full sections, whoever wrote it. Throws
 * InputError where a solid is no such tube or the file is no STEP. Source: ISO 10303-21 and -42 (from memory).
 */
export function readTubesStep(text: string): (NamedLine & { readonly odMm: number })[] {
  if (!/^\s*ISO-10303-21;/.test(text))
    refuse('Not a STEP file: it does not start with ISO-10303-21.');
  if (/ITEM_DEFINED_TRANSFORMATION/.test(text))
    refuse(
      'The file is an assembly that moves its solids. Save the tubes as parts in their final positions.',
    );
  const all = instances(text);
  const scaleMm = scaleOf(text);
  const at = (value: Value | undefined): Entity => {
    const ref = (value as { ref?: number } | null)?.ref;
    return (
      all.get(ref ?? -1) ??
      refuse(`The file is damaged: it refers to #${ref ?? '?'}, which is missing.`)
    );
  };
  const vector = (entity: Entity): Vec3 => {
    const figures = entity.args[1];
    return byAxis((axis) => Number(Array.isArray(figures) ? figures[axis] : NaN));
  };
  const place = (entity: Entity): Vec3 => mapVec(vector(entity), (v) => v * scaleMm);
  const circleOf = (edge: Entity): (Station & { readonly radiusMm: number }) | null => {
    const curve = at(edge.args[3]);
    if (curve.type !== 'CIRCLE') return null;
    const placed = at(curve.args[1]);
    return {
      at: place(at(placed.args[1])),
      axis: placed.args[2] ? vector(at(placed.args[2])) : [0, 0, 1],
      radiusMm: (curve.args[2] as number) * scaleMm,
    };
  };
  const named = namesOf(all);
  const tubes = [...all].flatMap(([id, { type, args }]) => {
    if (type !== 'MANIFOLD_SOLID_BREP') return [];
    const faces = (at(args[1]).args[1] as readonly Value[]).map(at);
    const skins = faces.flatMap((face) => {
      const surface = at(face.args[2]);
      const bent = surface.type === 'TOROIDAL_SURFACE';
      if (!bent && surface.type !== 'CYLINDRICAL_SURFACE') return [];
      const edges = (face.args[1] as readonly Value[]).flatMap((bound) =>
        (at(at(bound).args[1]).args[1] as readonly Value[]).map((edge) => at(at(edge).args[3])),
      );
      return [{ bent, radiusMm: (surface.args[bent ? 3 : 2] as number) * scaleMm, edges }];
    });
    const radiusMm = Math.max(0, ...skins.map((skin) => skin.radiusMm));
    const name = named.get(id) || (args[0] as string) || `solid #${id}`;
    const stations: Station[] = [];
    const stretches: Stretch[] = [];
    for (const { bent, radiusMm: own, edges } of skins) {
      if (own < radiusMm - SAME_MM) continue;
      const met = edges.flatMap((edge) => {
        const circle = circleOf(edge);
        // A seam along a bend is a circle too; a section has the tube's own radius.
        if (!circle || Math.abs(circle.radiusMm - radiusMm) > SAME_MM) return [];
        const known = stations.findIndex((station) => distance(station.at, circle.at) < SAME_MM);
        return [known >= 0 ? known : stations.push(circle) - 1];
      });
      const ends = [...new Set(met)];
      if (ends.length !== 2)
        refuse(`${name} is not a plain tube: one face does not run from section to section.`);
      // A skin may be cut lengthwise into two faces.
      const [a, b] = ends as [number, number];
      if (!stretches.some((stretch) => stretch.ends.includes(a) && stretch.ends.includes(b)))
        stretches.push({ ends: [a, b], bent });
    }
    if (!stretches.length) refuse(`${name} is not a tube: it has no round skin.`);
    return [{ name, nodesMm: nodesAlong(name, stations, stretches), odMm: 2 * radiusMm }];
  });
  return tubes.length ? tubes : refuse('The file has no solid.');
}

/** Products' names by the solids that show them. */
function namesOf(all: ReadonlyMap<number, Entity>): Map<number, string> {
  const follow = (value: Value | undefined): Entity | undefined =>
    all.get((value as { ref?: number } | null)?.ref ?? -1);
  const names = new Map<number, string>();
  for (const { type, args } of all.values()) {
    if (type !== 'SHAPE_DEFINITION_REPRESENTATION') continue;
    // From the shape over its definition and formation to the product.
    const product = follow(follow(follow(follow(args[0])?.args[2])?.args[2])?.args[2]);
    const name = product?.args[1] || product?.args[0];
    for (const item of (follow(args[1])?.args[1] ?? []) as readonly { ref: number }[])
      if (name) names.set(item.ref, name as string);
  }
  return names;
}

/** The ends and corners of a tube in order, from the stretches between its stations. */
function nodesAlong(
  name: string,
  stations: readonly Station[],
  stretches: readonly Stretch[],
): Vec3[] {
  const ends = stations.flatMap((_, i) =>
    stretches.filter(({ ends }) => ends.includes(i)).length === 1 ? [i] : [],
  );
  if (ends.length !== 2) refuse(`${name} is not a plain tube: it has ${ends.length} ends.`);
  let here = ends[0]!;
  const nodes: Vec3[] = [stations[here]!.at];
  const left = new Set(stretches);
  while (left.size) {
    const next = [...left].find((stretch) => stretch.ends.includes(here));
    if (!next) return refuse(`${name} is in separate pieces.`);
    left.delete(next);
    const there = next.ends[0] === here ? next.ends[1] : next.ends[0];
    if (next.bent) nodes.push(cornerOf(name, stations[here]!, stations[there]!));
    here = there;
  }
  nodes.push(stations[here]!.at);
  if (nodes.flat().some((mm) => !(Math.abs(mm) <= MOST_MM)))
    refuse(`${name} has a corner far outside any vehicle, or with no position.`);
  return nodes;
}

/** Where the tangents at both ends of a bend meet. */
function cornerOf(name: string, from: Station, to: Station): Vec3 {
  const [a, b] = [unit(from.axis)!, unit(to.axis)!];
  const normal = cross(a, b);
  const square = dot(normal, normal);
  if (square < 1e-9) return refuse(`${name} has a bend of 180° or 0°, which has no corner.`);
  return addScaled(from.at, a, dot(cross(sub(to.at, from.at), b), normal) / square);
}
