import { inspect, proposedFixes } from '../inspect/index.ts';
import type { Plan } from '../plan/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import {
  boltThrough,
  cableFit,
  hubFault,
  loadVerdict,
  shims,
  threadLeft,
  wheelOver,
  wireVerdict,
  WIRE_TESTS,
} from '../physics/wheel-ends/index.ts';
import { square } from '../shape/taping/index.ts';
import { CORNERS, SPANS } from '../shape/survey/index.ts';
import {
  airNetworkOf,
  beginRun,
  bleederNotes,
  changeSteps,
  circuitNotes,
  instructionOf,
  lastFluidUse,
  methodOf,
  preFillChecks,
  replay,
} from '../stations/fill/index.ts';
import { beforeItCloses } from '../stations/fit/gates/index.ts';
import { floorView, gateProgress, planSession } from '../stations/fit/tasks/index.ts';
import { jointEnds } from '../stations/join/index.ts';
import { kitFindings, kitLacks, listView } from '../stations/make/buying/index.ts';
import { cutPlans, doneOf, orderOf, progressOf, workOf } from '../stations/make/making/index.ts';
import { rankMeasurements } from '../stations/measure/index.ts';
import {
  balanceWords,
  besideReference,
  changeWords,
  judgeAir,
  judgeCurve,
  packOf,
  provingTests,
  recordedEvidence,
  signoff,
} from '../stations/prove/index.ts';

/** The readings of the vehicle, each given to the calculation that judges it. */
function judgeReadings({ wheelEnds, frame, proving, filling }: Plan): void {
  for (const fit of wheelEnds.calipers) {
    if (fit.innerGapMm !== null && fit.outerGapMm !== null)
      shims({
        innerGapMm: fit.innerGapMm,
        outerGapMm: fit.outerGapMm,
        stackMm: fit.stackMm,
        moves: fit.moves,
        shimsMm: fit.box.map(({ thicknessMm, count }) => ({ thicknessMm, count })),
      });
    if (fit.bolt) boltThrough(fit.bolt, fit.stackMm);
  }
  for (const { readings, spacerMm, studs } of wheelEnds.wheels) {
    if (readings) wheelOver(readings, spacerMm);
    if (studs) threadLeft(studs, spacerMm);
  }
  wheelEnds.hubs.forEach(hubFault);
  wheelEnds.cables.forEach(cableFit);
  for (const load of wheelEnds.loads) loadVerdict(load, load.wantedN);
  for (const { job, volts } of wheelEnds.wires)
    for (const test of WIRE_TESTS) wireVerdict(job, test, volts[test] ?? 0);
  if (frame) {
    const read = SPANS.map((span) => [span, frame.readMm[span]] as const);
    const heights = CORNERS.map((corner) => [corner, frame.heightsMm[corner]] as const);
    square({
      readMm: Object.fromEntries(read) as never,
      sigmaMm: frame.sigmaMm,
      heightsMm: Object.fromEntries(heights) as never,
      heightSigmaMm: frame.heightSigmaMm,
    });
  }
  proving.curves.forEach((curve) => judgeCurve(curve));
  proving.airTests.forEach(judgeAir);
  filling.fluids.forEach(({ wasId, fluidId }) => changeSteps(wasId, fluidId));
}

/** Everything that the program works out from a plan: snags with their fixes, tasks, tests, sign-off, lists, the pack, calculations. */
export function computeAll(plan: Plan): void {
  const view = viewPlan(plan);
  const snags = inspect(plan);
  for (const { key, fixable } of snags) if (fixable) proposedFixes(plan, key);
  const tasks = floorView(view);
  gateProgress(tasks, plan.gates, plan.floor.session);
  planSession(tasks, plan.floor.session);
  for (const gate of plan.gates) beforeItCloses(view, gate);
  provingTests(view);
  besideReference(plan.proving.pedal);
  for (const circuit of plan.circuits) recordedEvidence(circuit, view);
  plan.proving.stops.forEach((stop, i, stops) => {
    balanceWords(stop, view);
    changeWords(stops[i - 1], stop, view);
  });
  signoff(view, snags, { on: '2026-03-02', km: 60 });
  packOf(view, snags, '2026-03-02T09:00:00Z');
  const { rows } = listView(view);
  plan.buying.kits.forEach(kitFindings);
  for (const kit of plan.buying.kits) kitLacks(kit, rows);
  cutPlans(view.lines, plan.making, { units: plan.units });
  jointEnds(view);
  for (const line of view.lines) {
    doneOf(line);
    const order = orderOf(line);
    workOf(line, order, plan.things);
    if (order) progressOf(line, order);
  }
  for (const work of view.bleeding) {
    if (!work.result) continue;
    preFillChecks(work, view, methodOf(plan.filling, plan, airNetworkOf(work, view)).id);
    circuitNotes(work, view);
    beginRun(work, view, '2026-03-02T09:00:00Z');
    for (const { port } of work.bleeders) bleederNotes(work, view, port.id);
  }
  for (const run of plan.filling.runs) instructionOf(run, replay(run).state, (portId) => portId);
  lastFluidUse(plan.filling);
  rankMeasurements(plan);
  judgeReadings(plan);
}
