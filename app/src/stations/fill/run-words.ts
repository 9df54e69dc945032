import { methodById, placeName, type AirNow, type replay } from '@firm-line/core/stations/fill';
import type { FillRun, RunEvent } from '@firm-line/core/plan';
import type { BleedView, PlanView } from '@firm-line/core/plan/results';

export type RunState = ReturnType<typeof replay>['state'];
type ActWithLabel = readonly [act: RunEvent['act'], label: string];

/** The bleeder that is worked at; none between steps and at the end. */
export const bleederNow = ({ phase, corners, step }: RunState) =>
  phase === 'done' || phase === 'extra' ? null : (corners[step] ?? null);

/** What else can be told at a step of a run, besides what goes on. */
export function otherActs(run: FillRun, state: RunState, main?: RunEvent['act']): ActWithLabel[] {
  const { phase, corners, step, open } = state;
  const { severalOpen, flows } = methodById(run.method);
  const all: Partial<Record<typeof phase, readonly ActWithLabel[]>> = {
    ready: [
      ['open', 'Open'],
      ['stall', 'Nothing comes'],
      ['pause', 'Pause'],
      ['next', 'Next corner'],
      ...(run.method === 'pressure' ? [['vent', 'Pot vented'] as const] : []),
    ],
    open: [
      ['stroke', 'Stroke'],
      ['close', 'Shut'],
      ['stall', 'Nothing comes'],
      ...(severalOpen ? [['next', 'Next corner, leave it open'] as const] : []),
    ],
    down: [['stall', 'Nothing comes']],
    low: [['close', 'Shut']],
    stalled: [['resume', 'Fluid comes: go on']],
  };
  const isDoing: Partial<Record<RunEvent['act'], boolean>> = {
    stroke: !flows,
    open: main === 'next',
    close: phase !== 'low' || open.length > 0,
    next: (corners[step]?.strokes ?? 0) > 0,
  };
  return (all[phase] ?? []).filter(([act]) => act !== main && (isDoing[act] ?? true));
}

/** Where most of the air is that is left, as the end of a sentence. */
export function airWhere(air: AirNow, { net }: BleedView, view: PlanView): string {
  if (!net || air.airMl < 0.05) return '';
  const most = net.pipes
    .map(({ id }, i) => ({
      pipeId: id,
      share: (air.pipes[i] ?? []).reduce((sum, { from, to }) => sum + to - from, 0),
    }))
    .sort((a, b) => b.share - a.share)[0];
  return most && most.share > 0.02 ? `, most of the way along ${placeName(view, net, most)}` : '';
}

/** What is left to look at where the pedal stays soft, in the order of how often it is that. Common practice. */
const SOFT_CAUSES = [
  'Let it settle for an hour and bleed once more: fine froth gathers.',
  'Tie the pedal down overnight, wheels chocked, lamps disconnected, a label on the wheel; bleed again in the morning.',
  'Drums not adjusted up, pads that stand off after work on the discs.',
  'Hoses that swell, a caliper on the wrong side with its bleeder low, a master not bench-bled.',
  'Prove tells air from flexing by pedal and pressure.',
];
const SINKING =
  'A pedal that sinks leaks: outside at a joint, or inside past the master’s cup. Look at every joint under pressure first.';

/** Causes of a pedal that is not firm: leaks first where it sinks, then air that the simulation has left. */
export const softCauses = (
  felt: RunState['felt'],
  air: AirNow | null,
  airWords: (air: AirNow) => string,
): string[] => [
  ...(felt === 'sinks' ? [SINKING] : []),
  ...(air && air.airMl >= 0.1 ? [`By the simulation ${airWords(air)}.`] : []),
  ...SOFT_CAUSES,
];

/** A name as the beginning of a sentence. */
export const sentenceCase = (name: string): string =>
  name.toLowerCase().replace(/^./, (first) => first.toUpperCase());
