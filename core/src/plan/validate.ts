import { InputError, type Fault } from '../fault/index.ts';
import { fluidById, hoseById, hoseFittingById, nutById, tubeById, type Half } from '../stock/index.ts';
import { threadOf } from '../threads/index.ts';
import { length, type Vec3 } from '../vec/index.ts';
import { adapterOf } from './adapter-of.ts';
import type { Known, Plan } from './types.ts';

/** Which points a place rests on, directly. */
const restsOn = (known: Known): string[] => (known.how === 'taped' ? (known.tapes ?? []).map((tape) => tape.from) : []);

/** Points whose tapes lead back to themselves, so that nothing fixes them. */
function circular(plan: Plan): Set<string> {
  const byId = new Map(plan.points.map((point) => [point.id, point]));
  const state = new Map<string, 'open' | 'done'>();
  const bad = new Set<string>();
  for (const start of plan.points) {
    const stack: { id: string; next: number }[] = [{ id: start.id, next: 0 }];
    if (state.has(start.id)) continue;
    state.set(start.id, 'open');
    while (stack.length) {
      const top = stack[stack.length - 1]!;
      const from = restsOn(byId.get(top.id)!.known)[top.next++];
      if (from === undefined) {
        state.set(top.id, 'done');
        stack.pop();
      } else if (state.get(from) === 'open') bad.add(top.id);
      else if (byId.has(from) && !state.has(from)) {
        state.set(from, 'open');
        stack.push({ id: from, next: 0 });
      }
    }
  }
  return bad;
}

/**
 * What the shape of a plan cannot say: ids are unique, every reference meets its kind, a port joins
 * at most one line, no point is taped from itself. Empty for a sound plan.
 */
export function validatePlan(plan: Plan): Fault[] {
  const faults: Fault[] = [];
  const say = (path: string, message: string): void => void faults.push({ path, message });
  const ids = new Map<string, string>();
  const claim = (id: string, path: string): void => {
    const before = ids.get(id);
    if (before) say(`${path}.id`, `The id "${id}" already belongs to ${before}.`);
    else ids.set(id, path);
  };
  const set = (records: readonly { id: string }[]): Set<string> => new Set(records.map((r) => r.id));
  const points = set(plan.points);
  const circuits = set(plan.circuits);
  const benders = set(plan.bench.benders);
  const ports = set(plan.parts.flatMap((part) => part.ports));
  const bleeders = set(plan.parts.flatMap((part) => part.ports.filter((port) => port.role === 'bleeder')));
  const checkKnown = (known: Known, path: string): void => {
    known.tapes?.forEach((tape, i) => {
      if (!points.has(tape.from)) say(`${path}.tapes[${i}].from`, `There is no point "${tape.from}".`);
    });
  };
  const checkHalf = (half: Half, path: string): void => {
    try {
      threadOf(half, path);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      say(error.path, error.message);
    }
  };
  const checkCorners = ({ minMm, maxMm }: { minMm: Vec3; maxMm: Vec3 }, path: string): void => {
    const axis = minMm.findIndex((low, i) => low > maxMm[i]!);
    if (axis >= 0)
      say(`${path}.maxMm[${axis}]`, `This corner lies at ${maxMm[axis]} mm and the lower one at ${minMm[axis]}: swap them.`);
  };
  const loops = circular(plan);
  plan.points.forEach((point, i) => {
    claim(point.id, `points[${i}]`);
    checkKnown(point.known, `points[${i}].known`);
    if (loops.has(point.id)) say(`points[${i}].known.tapes`, `${point.name} is taped from itself, round other points.`);
  });
  plan.parts.forEach((part, i) => {
    claim(part.id, `parts[${i}]`);
    part.ports.forEach((port, k) => {
      const path = `parts[${i}].ports[${k}]`;
      claim(port.id, path);
      checkKnown(port.known, `${path}.known`);
      if (port.fitting) checkHalf(port.fitting.half, `${path}.fitting.half`);
      if (length(port.direction) < 1e-9) say(`${path}.direction`, 'A direction of no length points nowhere.');
    });
  });
  plan.circuits.forEach((circuit, i) => claim(circuit.id, `circuits[${i}]`));
  plan.bench.benders.forEach((bender, i) => claim(bender.id, `bench.benders[${i}]`));
  plan.bench.adapters.forEach((adapter, i) => {
    claim(adapter.id, `bench.adapters[${i}]`);
    adapter.halves.forEach((half, k) => checkHalf(half, `bench.adapters[${i}].halves[${k}]`));
  });
  const joined = new Map<string, string>();
  plan.lines.forEach((line, i) => {
    const path = `lines[${i}]`;
    claim(line.id, path);
    if (!circuits.has(line.circuitId)) say(`${path}.circuitId`, `There is no circuit "${line.circuitId}".`);
    if (!tubeById(line.tubeId)) say(`${path}.tubeId`, `There is no tube "${line.tubeId}" in stock.`);
    if (!benders.has(line.benderId)) say(`${path}.benderId`, `There is no bender "${line.benderId}" on the bench.`);
    for (const end of ['a', 'b'] as const) {
      const { portId, nutId, adapters } = line.ends[end];
      adapters.forEach((id, k) => {
        const found = adapterOf(plan.bench, id);
        if (found?.halves.length !== 2) say(`${path}.ends.${end}.adapters[${k}]`, `There is no adapter "${id}" with two ends.`);
      });
      if (!nutById(nutId)) say(`${path}.ends.${end}.nutId`, `There is no nut "${nutId}" in stock.`);
      if (portId === null) continue;
      if (!ports.has(portId)) say(`${path}.ends.${end}.portId`, `There is no port "${portId}".`);
      const other = joined.get(portId);
      if (other) say(`${path}.ends.${end}.portId`, `The port "${portId}" already holds ${other}.`);
      joined.set(portId, `line ${line.name}`);
    }
  });
  plan.hoses.forEach((hose, i) => {
    const path = `hoses[${i}]`;
    claim(hose.id, path);
    if (!circuits.has(hose.circuitId)) say(`${path}.circuitId`, `There is no circuit "${hose.circuitId}".`);
    if (!hoseById(hose.stockId)) say(`${path}.stockId`, `There is no hose "${hose.stockId}" in stock.`);
    if (hose.motion.kind !== 'still' && length(hose.motion.axis) < 1e-9)
      say(`${path}.motion.axis`, 'A line that an end swings about has a direction: this one has no length.');
    if (hose.motion.steer && length(hose.motion.steer.axis) < 1e-9)
      say(`${path}.motion.steer.axis`, 'A kingpin line has a direction: this one has no length.');
    for (const end of ['a', 'b'] as const) {
      const { portId, fittingId, direction } = hose.ends[end];
      if (!hoseFittingById(fittingId)) say(`${path}.ends.${end}.fittingId`, `There is no hose end "${fittingId}" in stock.`);
      if (portId !== null && !ports.has(portId)) say(`${path}.ends.${end}.portId`, `There is no port "${portId}".`);
      if (length(direction) < 1e-9) say(`${path}.ends.${end}.direction`, 'A direction of no length points nowhere.');
    }
  });
  plan.things.forEach((thing, i) => {
    claim(thing.id, `things[${i}]`);
    const { shape } = thing;
    if (shape.kind === 'wheel' && length(shape.axis) < 1e-9)
      say(`things[${i}].shape.axis`, 'A wheel turns about an axis: this one has no length.');
    if (shape.kind === 'block') checkCorners(shape, `things[${i}].shape`);
  });
  plan.gates.forEach((gate, i) => {
    claim(gate.id, `gates[${i}]`);
    checkCorners(gate, `gates[${i}]`);
  });
  plan.singles.forEach((single, i) => {
    if (single.circuitId !== null && !circuits.has(single.circuitId))
      say(`singles[${i}].circuitId`, `There is no circuit "${single.circuitId}".`);
  });
  if (!fluidById(plan.bleeding.fluidId)) say('bleeding.fluidId', `There is no fluid "${plan.bleeding.fluidId}" in stock.`);
  const listed = new Set<string>();
  plan.bleeding.listed.forEach((portId, i) => {
    if (!bleeders.has(portId)) say(`bleeding.listed[${i}]`, `There is no bleeder "${portId}".`);
    if (listed.has(portId)) say(`bleeding.listed[${i}]`, `The bleeder "${portId}" is listed twice.`);
    listed.add(portId);
  });
  return faults;
}
