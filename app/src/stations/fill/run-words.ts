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
      ['stall', 'No flow'],
      ['pause', 'Pause'],
      ['next', 'Next wheel'],
      ...(run.method === 'pressure' ? [['vent', 'Pot vented'] as const] : []),
    ],
    open: [
      ['stroke', 'Stroke'],
      ['close', 'Closed'],
      ['stall', 'No flow'],
      ...(severalOpen ? [['next', 'Next wheel, leave it open'] as const] : []),
    ],
    down: [['stall', 'No flow']],
    low: [['close', 'Closed']],
    stalled: [['resume', 'Fluid flows: go on']],
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
  'Let the fluid settle for an hour, then bleed again. Fine foam gathers into bubbles.',
  'Tie the pedal down overnight: wheels chocked, lamps disconnected, a label on the steering wheel. Bleed again in the morning.',
  'Check that the drums are adjusted, and that pads touch their discs after disc work.',
  'Check for swelling hoses, a caliper on the wrong side with the bleeder low, or a master cylinder not bench-bled.',
  'Prove tells air from flex, from pedal travel and pressure.',
];
const SINKING =
  'A sinking pedal means a leak: at a joint, or past the cups in the master cylinder. Check every joint under pressure first.';

/** Causes of a pedal that is not firm: leaks first where it sinks, then air that the simulation has left. */
export const softCauses = (
  felt: RunState['felt'],
  air: AirNow | null,
  airWords: (air: AirNow) => string,
): string[] => [
  ...(felt === 'sinks' ? [SINKING] : []),
  ...(air && air.airMl >= 0.1 ? [`Estimated: ${airWords(air)}.`] : []),
  ...SOFT_CAUSES,
];

/** A name as the beginning of a sentence. */
export const sentenceCase = (name: string): string =>
  name.toLowerCase().replace(/^./, (first) => first.toUpperCase());
