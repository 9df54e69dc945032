import type { Circuit, FillRun, PedalReading } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { potLowAt } from '../fill/index.ts';
import { checkKey } from './check-key.ts';
import { between, curveEvidence, defined, lagEvidence } from './curve-evidence.ts';
import { isAnotherPedal, judgedCurve, lagMm, pumpedShorterMm, validCurves } from './curves.ts';
import { circuitDigest } from './digests.ts';
import { SYMPTOMS } from './fault-tables.ts';
import type { Evidence, Fitted } from './faults.ts';
import { onCircuit } from './on-circuit.ts';

type Recorded = Pick<PlanView, 'size' | 'works' | 'plan' | 'lines' | 'bleeding'>;
/** Longer by this is more than a reading scatters, and by this it is not longer, mm. Common practice. */
const LONGER_MM = [4, 8] as const;

function pedalEvidence(pedal: readonly PedalReading[]): Evidence {
  const own = pedal.filter(({ vehicle }) => vehicle === 'this');
  const [hot, cold] = [true, false].map((is) => own.findLast((one) => one.hot === is));
  const longer = hot && cold && hot.engine === cold.engine ? hot.travelMm - cold.travelMm : null;
  return defined({
    sinks: cold?.sinks,
    pumps: cold?.pumps,
    longHot: between(longer, ...LONGER_MM),
  });
}
/** What the places of a test come to: seen at one, or at none of them, or not checked at each. */
function placesEvidence(key: string, rests: string, { rounds }: PlanView['plan']['proving']) {
  const looks = rounds.filter((one) => one.key.startsWith(`${key}/`) && one.rests === rests);
  return looks.some(({ good }) => !good) || undefined;
}
const lastRun = (runs: readonly FillRun[], work: Circuit['work']): FillRun | undefined =>
  runs.findLast((run) => run.work === work && run.log.length);

/**
 * What is recorded of a circuit that tells of faults: its newest curve, the pedal log, leaks, the fill run, and every
 * check that was entered. A check counts while the circuit is as it was; what was entered itself goes first.
 */
export function recordedEvidence(circuit: Circuit, view: Recorded): Evidence {
  const { proving, filling } = view.plan;
  const rests = circuitDigest(circuit, view);
  const curves = validCurves(circuit.id, view);
  const newest = curves.findLast(({ pumped }) => !pumped);
  const judged = newest && judgedCurve(newest, view);
  const run = lastRun(filling.runs, circuit.work);
  const low = run && potLowAt(run);
  const checks = SYMPTOMS.map((symptom) => {
    const found = proving.rounds.find((one) => one.key === checkKey(circuit.id, symptom));
    return [symptom, found?.rests === rests ? !found.good : undefined] as const;
  });
  return {
    ...(judged?.against && !isAnotherPedal(judged.fit, judged.against)
      ? curveEvidence(judged.fit, judged.against)
      : {}),
    ...(newest ? lagEvidence(lagMm(newest.points)) : {}),
    ...defined({
      wet: placesEvidence(`leak:${circuit.id}`, rests, proving),
      pistonStill: placesEvidence(checkKey(circuit.id, 'pistonStill'), rests, proving),
      potFell: low && low.length > 0,
    }),
    ...pedalEvidence(proving.pedal),
    ...defined({ pumps: between(pumpedShorterMm(curves), ...LONGER_MM) ?? undefined }),
    ...defined(Object.fromEntries(checks)),
  };
}

/** What a circuit has that some faults need. */
export function fittedOn({ id }: Circuit, { plan, lines }: Recorded): Fitted {
  const { parts, hoses } = onCircuit(id, lines, plan.hoses, plan.parts);
  const has = {
    drums: parts.some(({ kind }) => kind === 'wheel-cylinder'),
    hoses: hoses.length > 0,
    booster: Boolean(plan.sizing?.booster),
    modulator: parts.some(({ kind }) => kind === 'modulator'),
  };
  return new Set((Object.keys(has) as (keyof typeof has)[]).filter((one) => has[one]));
}
