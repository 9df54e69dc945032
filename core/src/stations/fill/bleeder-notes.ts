import { wayTo } from '../../physics/air/index.ts';
import type { Part } from '../../plan/index.ts';
import { fluidById } from '../../trade/stock/index.ts';
import type { BleedView, PlanView } from '../../plan/results/index.ts';
import { airNetworkOf, placeName } from './air-of.ts';
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
      'Unbolt it and hold this bleeder on top, a block between the pads: as it hangs, air stays over it.',
    ),
    ...say(
      way.some((pipe) => network.pipes[pipe]!.keeps),
      'Fluid stands under pressure here: open it slowly, under a rag.',
    ),
    ...say(levers.length > 0, `Work the lever of ${levers.join(', ')} as well.`),
    ...say(
      part.kind === 'modulator',
      'A scan tool cycles its valves, where one is made for it; then it is bled once more.',
    ),
    ...say(part.kind === 'release-bearing', 'By its remote bleeder.'),
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
          `The reservoir stands below ${high === 1 ? 'a bleeder' : `${high} bleeders`}: gravity gives nothing there, and air climbs to the wheels, not back to it.`,
        ]
      : []),
    ...say(
      keeps,
      (names) =>
        `A residual pressure valve keeps ${names} pressed when you stop: open that bleeder slowly, under a rag.`,
    ),
    ...say(
      named('metering-valve', 'combination-valve'),
      (names) =>
        `${names}: hold the metering pin out for pot, pump or gravity; its warning shuttle may trip.`,
    ),
    ...say(
      two,
      (names) =>
        `${names}: two bleeders on one cavity, which is counted once. The inner side first, then the outer, and the inner once more.`,
    ),
    ...say(
      traps,
      (names) =>
        `${names}: air stays over the bleeder. Unbolt it and hold the bleeder on top while it is bled, a block between the pads.`,
    ),
    ...say(
      named('handbrake-cylinder'),
      (names) => `${names}: work its lever by hand while its circuit is bled.`,
    ),
    ...say(
      named('modulator'),
      (names) =>
        `${names}: master first, then its own bleeder, then the wheels; a scan tool cycles its valves, where one is made for it.`,
    ),
    ...say(
      named('actuator'),
      (names) => `Furthest is measured from ${names}, not from the coupling.`,
    ),
    ...(work.work === 'clutch' &&
    parts.some(({ kind }) => kind === 'slave' || kind === 'release-bearing')
      ? [
          'A clutch is often quicker from below: fluid pushed in at the slave, its rod pressed home. A bearing is bled by its remote bleeder.',
        ]
      : []),
    ...(fluidById(view.plan.bleeding.fluidId)?.family === 'silicone'
      ? ['Silicone froths: slow strokes, and an hour of rest before the last round.']
      : []),
  ];
}
