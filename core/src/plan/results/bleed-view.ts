import { levelOf } from './residual-view.ts';
import { derive } from '../../lib/derive/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { bleed, type BleedInput, type BleedPlan } from '../../physics/bleeding/index.ts';
import { reach, type Network } from '../../physics/flow-graph/index.ts';
import { reservoirsFilledFrom } from '../network/index.ts';
import type { LineView, PortView } from '../layout/line-view.ts';
import {
  makesPressure,
  type Circuit,
  type Part,
  type PartKind,
  type Port,
} from '../model/index.ts';
import {
  type BleedNet,
  type Bled,
  joinedOf,
  placeNames,
  runsOf,
  wetMl,
  netOf,
  placeOfFault,
} from './bleed-net.ts';

/** The bleeding of one kind of work: all brake circuits, or the clutch. */
export interface BleedView {
  readonly work: Circuit['work'];
  readonly bleeders: readonly { readonly part: Part; readonly port: Port }[];
  /** The parts that its fluid is poured into. */
  readonly reservoirs: readonly Part[];
  /** Its pipes, outlets and bleeders with the places they join; null where there is no order. */
  readonly net: BleedNet | null;
  /** Steps by id of the bleeder port. */
  readonly result: BleedPlan | null;
  /** Why there is none, and the line or bleeder port it is about. */
  readonly fault: {
    readonly message: string;
    readonly lineId?: string;
    readonly portId?: string;
  } | null;
}

function viewOf(
  plan: Bled,
  work: Circuit['work'],
  lines: readonly LineView[],
  ports: ReadonlyMap<string, PortView>,
  network: Network,
): BleedView {
  const joined = joinedOf(plan, work, lines, ports);
  const { bleeders, heldMl } = joined;
  const outlets = joined.touched.filter((p) => makesPressure(p.part) && p.port.role !== 'feed');
  const reservoirs = reservoirsFilledFrom(
    network,
    plan.parts,
    new Set(outlets.map(({ part }) => part.id)),
  );
  const none = (fault: NonNullable<BleedView['fault']>): BleedView => ({
    work,
    bleeders,
    reservoirs,
    net: null,
    result: null,
    fault,
  });
  const unfinished = joined.lines.find((v) => !v.card);
  if (unfinished)
    return none({
      message: `${unfinished.line.name} has no length yet. Correct the corners first.`,
      lineId: unfinished.line.id,
    });
  if (!bleeders.length) return none({ message: 'No part on these lines has a bleeder.' });
  if (!outlets.length)
    return none({
      message: 'No line starts at a master cylinder, so there is nothing to bleed from.',
    });
  const { labelOf, placeOf } = placeNames(plan);
  const runs = runsOf(joined, placeOf);
  const drawn = reach(
    network,
    outlets.map(({ port }) => port.id),
  );
  const input: BleedInput = {
    pipes: runs.map(({ from, to, lengthMm, volumeMl }) => ({ from, to, lengthMm, volumeMl })),
    outlets: [...new Set(outlets.map(placeOf))],
    bleeders: bleeders.map(({ part, port }) => ({
      id: labelOf(port.id),
      at: placeOf({ part, port }),
      cavityMl:
        (part.cavityMl + heldMl(part)) / part.ports.filter((p) => p.role === 'bleeder').length,
    })),
    school: plan.bleeding.school,
    // One bleeder needs no list to stand in.
    listed: (bleeders.length === 1
      ? bleeders.map((b) => b.port.id)
      : plan.bleeding.listed.filter((id) => bleeders.some((b) => b.port.id === id))
    ).map(labelOf),
    wetMl: wetMl(plan, drawn),
    purge: plan.bleeding.purge,
  };
  const idOf = new Map(bleeders.map(({ port }) => [labelOf(port.id), port.id]));
  try {
    const found = bleedFromMaster(
      input,
      new Map(bleeders.map(({ part, port }) => [labelOf(port.id), part.kind])),
    );
    return {
      work,
      bleeders,
      reservoirs,
      net: netOf(runs, outlets, joined, placeOf, (master) => levelOf(master, network, plan.parts)),
      result: { ...found, order: found.order.map((step) => ({ ...step, id: idOf.get(step.id)! })) },
      fault: null,
    };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return none({ message: error.message, ...placeOfFault(error, joined) });
  }
}

/** Kinds whose bleeders come before the wheels', in this order. Common practice; a maker's sheet stands as it is written. */
const FIRST: readonly PartKind[] = ['master', 'actuator', 'modulator', 'handbrake-cylinder'];
/** The order of a school with master, modulator and inline cylinder first. */
function bleedFromMaster(input: BleedInput, kinds: ReadonlyMap<string, PartKind>): BleedPlan {
  const found = bleed(input);
  if (input.school === 'as-listed' || !found.order.some(({ id }) => FIRST.includes(kinds.get(id)!)))
    return found;
  const order = found.order.map(({ id }) => id);
  const listed = [
    ...FIRST.flatMap((kind) => order.filter((id) => kinds.get(id) === kind)),
    ...order.filter((id) => !FIRST.includes(kinds.get(id)!)),
  ];
  return bleed({ ...input, school: 'as-listed', listed });
}

/** One view for each kind of work that has lines, brakes first. */
export const bleedViews = derive(
  'bleeding',
  (
    { bleeding, circuits, parts, hoses }: Bled,
    lines: readonly LineView[],
    ports: ReadonlyMap<string, PortView>,
    network: Network,
  ) => [lines, ports, network, bleeding, circuits, parts, hoses],
  (lines, ports, network, bleeding, circuits, parts, hoses): BleedView[] => {
    const kinds = (['brake', 'clutch'] as const).filter((work) =>
      circuits.some((c) => c.work === work && lines.some(({ line }) => line.circuitId === c.id)),
    );
    return kinds.map((work) =>
      viewOf({ bleeding, circuits, parts, hoses }, work, lines, ports, network),
    );
  },
);
