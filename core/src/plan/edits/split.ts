import { InputError } from '../../lib/faults/index.ts';
import { addScaled, distance, sub, unit, ZERO, type Vec3, tenths } from '../../lib/vec/index.ts';
import { FRESH_LINE, freshEnd, portsHeldBy } from '../model/index.ts';
import { freshId } from './fresh-id.ts';
import type { LineView, PortView } from '../layout/line-view.ts';
import { newPart } from './new-part.ts';
import { mirrored } from './reshape.ts';
import type { Line, LineEnd, Part, Plan } from '../model/index.ts';

/** From seat to seat of a union, and of a bulkhead fitting through a panel. Common practice; the part's own figure comes first. */
const LONG_MM = { union: 24, bulkhead: 42 } as const;
/** How sure the place of a joint is that was put on a line, mm. */
const SIGMA_MM = 2;

const nextName = (plan: Plan, name: string): string => {
  const names = new Set(plan.lines.map((line) => line.name));
  return Array.from({ length: 27 }, (_, i) => `${name}${'bcdefghijklmnopqrstuvwxyz'[i] ?? i}`).find(
    (one) => !names.has(one),
  )!;
};

/**
 * A line cut in two by a union or a bulkhead in the middle of its move `index`: the first half keeps its
 * name, the second gets one more letter. Clips and sleeves are let go: lengths are others now. Throws
 * InputError where the move is too short.
 */
export function splitBy(
  plan: Plan,
  { line, nodesMm, nuts }: LineView,
  index: number,
  by: keyof typeof LONG_MM,
): Plan {
  const [from, to] = [nodesMm[index]!, nodesMm[index + 1]!];
  const along = unit(sub(to, from));
  const longMm = LONG_MM[by];
  if (!along || distance(from, to) < longMm + 100)
    throw new InputError(
      'index',
      `A ${by} needs ${longMm + 100} mm of straight for the fitting and both nuts. This move has ${Math.round(distance(from, to))}.`,
    );
  const middle = addScaled(from, sub(to, from), 0.5);
  const side = (off: number): Vec3 => tenths(addScaled(middle, along, off));
  const made = newPart(plan, 'block');
  const known = (at: Vec3) =>
    ({ how: 'typed', atMm: at, sigmaMm: [SIGMA_MM, SIGMA_MM, SIGMA_MM] }) as const;
  const [inlet, outlet] = made.ports as [Part['ports'][number], Part['ports'][number]];
  const name = `${by === 'union' ? 'Union' : 'Bulkhead'} in ${line.name}`;
  const part: Part = {
    ...made,
    name,
    ports: [
      { ...inlet, direction: sub(ZERO, along), known: known(side(-longMm / 2)) },
      { ...outlet, direction: along, known: known(side(longMm / 2)) },
    ],
  };
  const withPart = { ...plan, parts: [...plan.parts, part] };
  const first: Line = {
    ...line,
    ...FRESH_LINE,
    origin: line.origin,
    shakes: line.shakes,
    ticks: [],
    cornersMm: nodesMm.slice(1, index + 1),
    ends: { a: line.ends.a, b: freshEnd(inlet.id, nuts.a.flare, nuts.a.id) },
  };
  const second: Line = {
    ...first,
    id: freshId(withPart, 'line'),
    name: nextName(plan, line.name),
    cornersMm: nodesMm.slice(index + 1, -1),
    ends: { a: freshEnd(outlet.id, nuts.b.flare, nuts.b.id), b: line.ends.b },
  };
  return {
    ...withPart,
    lines: plan.lines.flatMap((one) => (one.id === line.id ? [first, second] : [one])),
  };
}

/** A free port this near to a mirrored end is where it goes, mm. */
const MEETS_MM = 150;

/** The same line on the vehicle's other side, as a new one: its ends at free ports that lie there, else open. */
export function mirrorOf(
  plan: Plan,
  { line, nodesMm }: LineView,
  ports: ReadonlyMap<string, PortView>,
): Plan {
  const taken = new Set(portsHeldBy(plan.lines));
  const end = (which: 'a' | 'b', at: Vec3): LineEnd => {
    const { flare, nutId } = line.ends[which];
    const nearest = [...ports.values()]
      .filter(({ port }) => port.role !== 'bleeder' && !taken.has(port.id))
      .map((port) => ({ port, away: distance(port.fixed.atMm, at) }))
      .sort((x, y) => x.away - y.away)[0];
    if (nearest && nearest.away <= MEETS_MM) {
      taken.add(nearest.port.port.id);
      return freshEnd(nearest.port.port.id, flare, nutId);
    }
    return {
      ...freshEnd(null, flare, nutId),
      open: { atMm: at, slackMm: 0, capped: false, waitsFor: '' },
    };
  };
  const nodes = nodesMm.map(mirrored);
  if (nodes.length < 2)
    throw new InputError(line.id, 'A line with an open end cannot be mirrored.');
  const other: Line = {
    ...line,
    id: freshId(plan, 'line'),
    name: nextName(plan, line.name),
    title: `${line.title} (mirrored)`,
    ticks: [],
    ends: { a: end('a', nodes[0]!), b: end('b', nodes.at(-1)!) },
    cornersMm: nodes.slice(1, -1),
  };
  return { ...plan, lines: [...plan.lines, other] };
}

/** The same tube read from its other end. */
export function turnedRound(line: Line, lengthMm: number): Line {
  const other = (at: number): number => Math.max(0, lengthMm - at);
  return {
    ...line,
    ends: { a: line.ends.b, b: line.ends.a },
    cornersMm: [...line.cornersMm].reverse(),
    clipsMm: line.clipsMm.map(other).reverse(),
    sleeves: line.sleeves
      .map((s) => ({ ...s, fromMm: other(s.toMm), toMm: other(s.fromMm) }))
      .reverse(),
    ticks: [],
  };
}
