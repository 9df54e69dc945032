import { wayTo } from '../../physics/air/index.ts';
import type { Part } from '../../plan/index.ts';
import type { BleedView, PlanView } from '../../plan/results/index.ts';
import { airNetworkOf, placeName } from './air-of.ts';
import { fluidOfWork } from './fluids.ts';
import { partsOf, partsOn } from './pre-fill.ts';

const hasTwo = ({ kind, ports }: Part): boolean =>
  kind === 'caliper' && ports.filter(({ role }) => role === 'bleeder').length > 1;
/** What is different at one bleeder, said as its turn comes. Common practice. */
export function bleederNotes(work: BleedView, view: PlanView, portId: string): string[] {
  const network = airNetworkOf(work, view);
  const part = work.bleeders.find(({ port }) => port.id === portId)?.part;
  if (!network || !part) return [];
  const way = wayTo(network, portId).legs.map(({ pipe }) => pipe);
  const levers = partsOn(
    way.map((pipe) => work.net!.pipes[pipe]!),
    view,
  )
    .filter(({ kind }) => kind === 'handbrake-cylinder')
    .map(({ name }) => name);
  const say = (is: boolean, words: string): string[] => (is ? [words] : []);
  return [
    ...say(
      (network.bleeders.find(({ id }) => id === portId)?.trapMl ?? 0) > 0,
      'Unbolt the caliper and hold this bleeder at the top, with a block between the pads. As fitted, air stays above the bleeder.',
    ),
    ...say(
      way.some((pipe) => network.pipes[pipe]!.keeps),
      'Fluid here is under pressure. Open slowly, under a rag.',
    ),
    ...say(levers.length > 0, `Work the lever of ${levers.join(', ')} too.`),
    ...say(
      part.kind === 'modulator',
      'Cycle the valves with a scan tool, if there is one for it. Then bleed again.',
    ),
    ...say(part.kind === 'release-bearing', 'Use the remote bleeder.'),
  ];
}
/** What is different about bleeding this vehicle, in sentences. Common practice; the makers' sheets come first. */
export function circuitNotes(work: BleedView, view: PlanView): string[] {
  const network = airNetworkOf(work, view);
  if (!network || !work.net) return [];
  const parts = partsOf(work, view);
  const named = (...kinds: (typeof parts)[number]['kind'][]): string =>
    parts
      .filter(({ kind }) => kinds.includes(kind))
      .map(({ name }) => name)
      .join(', ');
  const high = network.bleeders.filter(({ heightMm }) =>
    network.outlets.every((outlet) => outlet.heightMm < heightMm),
  ).length;
  const keeps = network.pipes
    .filter(({ keeps: does }) => does)
    .map(({ id }) => placeName(view, work.net!, { pipeId: id }));
  const two = parts.filter(hasTwo).map(({ name }) => name);
  const traps = network.bleeders
    .filter(({ trapMl }) => trapMl > 0)
    .map(({ at }) => placeName(view, work.net!, { at }));
  const say = (names: string | readonly string[], words: (names: string) => string): string[] =>
    names.length ? [words(typeof names === 'string' ? names : names.join(', '))] : [];
  return [
    ...(high
      ? [
          `The reservoir is below ${high === 1 ? 'a bleeder' : `${high} bleeders`}. Gravity does not flow there, and air rises to the wheels instead of the reservoir.`,
        ]
      : []),
    ...say(
      keeps,
      (names) =>
        `A residual pressure valve keeps ${names} under pressure when you stop. Open that bleeder slowly, under a rag.`,
    ),
    ...say(
      named('metering-valve', 'combination-valve'),
      (names) =>
        `${names}: hold the metering pin out for pot, pump or gravity. The warning shuttle can trip.`,
    ),
    ...say(
      two,
      (names) =>
        `${names}: two bleeders on one cavity, counted once. Bleed inner, outer, then inner again.`,
    ),
    ...say(
      traps,
      (names) =>
        `${names}: air stays above the bleeder. Unbolt the caliper and hold the bleeder at the top, with a block between the pads.`,
    ),
    ...say(
      named('handbrake-cylinder'),
      (names) => `${names}: work the lever by hand while you bleed its circuit.`,
    ),
    ...say(
      named('modulator'),
      (names) =>
        `${names}: bleed the master cylinder first, then the modulator, then the wheels. Cycle the valves with a scan tool, if there is one for it.`,
    ),
    ...say(
      named('actuator'),
      (names) => `Farthest is measured from ${names}, not from the coupling.`,
    ),
    ...(work.work === 'clutch' &&
    parts.some(({ kind }) => kind === 'slave' || kind === 'release-bearing')
      ? [
          'A clutch is often quicker from below: push fluid in at the slave with its rod pressed home. Bleed a release bearing at its remote bleeder.',
        ]
      : []),
    ...(fluidOfWork(view, work.work).family === 'silicone'
      ? ['Silicone fluid foams. Use slow strokes, and wait an hour before the last round.']
      : []),
  ];
}
