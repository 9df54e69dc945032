import { mapVec, addScaled, type Vec3 } from '../../lib/vec/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import {
  NUTS,
  nutFitsTube,
  tubeById,
  TUBES,
  type TubeNut,
  type TubeStock,
} from '../../trade/stock/index.ts';
import {
  FRESH_LINE,
  freshEnd,
  type Line,
  type LineEnd,
  type Plan,
  type Port,
} from '../model/index.ts';
import { benderFor } from './lines.ts';
import { freshId } from './fresh-id.ts';
import { layPlan } from '../layout/laid-plan.ts';

/** How far a new line leads straight out of its ports before it heads across. */
const LEAD_MM = 70;
const roundMm = (at: Vec3): Vec3 => mapVec(at, (v) => Math.round(v));

/** The tube of the line made last, or else the stock's first of copper-nickel, with a nut over it: some tubes have none in stock. */
function lastTubeWithNut(plan: Plan): { tube: TubeStock; nut: TubeNut } {
  const last = tubeById(plan.lines.at(-1)?.tubeId ?? '');
  for (const tube of [
    ...(last ? [last] : []),
    ...TUBES.filter((t) => t.material === 'copper-nickel'),
  ]) {
    const nut = NUTS.find((n) => nutFitsTube(n, tube.odMm));
    if (nut) return { tube, nut };
  }
  throw new InputError('lines', 'No tube in the catalog has a matching nut.');
}

/**
 * A line between two ports to begin with: straight out of both, straight across between, in the tube
 * of the line made last. Its name is the next free one with this letter.
 */
export function newLine(
  plan: Plan,
  from: Port,
  to: Port,
  circuitId: string,
  letter = 'L',
  title = '',
): Line {
  const { tube, nut } = lastTubeWithNut(plan);
  const bender = benderFor(plan.bench, tube.odMm) ?? plan.bench.benders[0];
  if (!bender)
    throw new InputError('bench.benders', 'No bender on the bench. Add one before you add a line.');
  const names = new Set(plan.lines.map((l) => l.name));
  const name = Array.from({ length: plan.lines.length + 1 }, (_, i) => `${letter}${i + 1}`).find(
    (n) => !names.has(n),
  )!;
  const ports = layPlan(plan).ports;
  const lead = (port: Port): Vec3 =>
    roundMm(addScaled(ports.get(port.id)!.fixed.atMm, port.direction, LEAD_MM));
  const end = (port: Port): LineEnd => freshEnd(port.id, nut.flare, nut.id);
  return {
    id: freshId(plan, 'line'),
    name,
    title,
    circuitId,
    tubeId: tube.id,
    benderId: bender.id,
    ends: { a: end(from), b: end(to) },
    cornersMm: [lead(from), lead(to)],
    ticks: [],
    ...FRESH_LINE,
  };
}
