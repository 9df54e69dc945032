import { derive } from '../../lib/derive/index.ts';
import {
  reach,
  underPressure,
  type Network,
  type Step,
  type Through,
} from '../../physics/flow-graph/index.ts';
import { isActuated, makesPressure, type Part, type Port } from '../model/index.ts';

/** What one outlet of a master or an actuator presses: each port with the way there. */
export interface Feed {
  readonly master: Part;
  readonly outlet: Port;
  readonly reached: ReadonlyMap<string, Step>;
}
export const feedsOf = derive(
  'feeds',
  (network: Network, parts: readonly Part[]) => [network, parts],
  (network, parts): readonly Feed[] =>
    parts.filter(makesPressure).flatMap((master) =>
      master.ports
        .filter(({ role }) => role === 'outlet')
        .map((outlet) => ({
          master,
          outlet,
          reached: reach(network, [outlet.id], underPressure),
        })),
    ),
);
/** The outlets that press a part, nearest first. */
export const feedsAt = (feeds: readonly Feed[], part: Part): Feed[] =>
  feeds.filter(({ reached }) => part.ports.some(({ id }) => reached.has(id)));

/** What fluid stands behind a master's feed: reservoirs that it draws from. */
export function reservoirsOf(
  network: Network,
  parts: readonly Part[],
  master: Part,
  feed?: Port,
): Part[] {
  const feeds = feed ? [feed] : master.ports.filter(({ role }) => role === 'feed');
  const behind = feeds.flatMap(({ id, takesPressure }) => {
    // Through another master before it, up to that one's own reservoir.
    const up: Through = takesPressure ? (duct) => duct.id !== master.id : underPressure;
    return [...reach(network, [id], up).keys()];
  });
  const reached = new Set(behind);
  return parts.filter(
    (part) => part.kind === 'reservoir' && part.ports.some(({ id }) => reached.has(id)),
  );
}

/** Where fluid is poured in for some masters and actuators: the reservoirs that they draw from, and those with one of their own. */
export const reservoirsFilledFrom = (
  network: Network,
  parts: readonly Part[],
  makers: ReadonlySet<string>,
): Part[] => [
  ...new Set(
    parts
      .filter(({ id }) => makers.has(id))
      .flatMap((master) => {
        const behind = reservoirsOf(network, parts, master);
        return behind.length ? behind : [master];
      }),
  ),
];

/**
 * The parts that do their work by fluid and are lost to one leak at a port: all that its circuit presses,
 * and what draws from the same undivided fluid. A master with one feed for two chambers has a wall between
 * them above it (FMVSS 135 S5.4.2, from memory).
 */
export function brakesLostByLeakAt(network: Network, parts: readonly Part[], port: string): Part[] {
  const feeds = feedsOf(network, parts);
  const supplies = network.ducts.filter(({ supplies: is }) => is);
  /** The feed that a chamber has to itself. */
  const ownFeed = (outlet: string): string | undefined => {
    const feed = supplies.find(({ to }) => to === outlet)?.from;
    return supplies.filter(({ from }) => from === feed).length === 1 ? feed : undefined;
  };
  const wet = new Set(reach(network, [port], underPressure).keys());
  const lost = new Set<Feed>();
  for (let more = true; more;) {
    more = false;
    for (const feed of feeds) {
      const own = ownFeed(feed.outlet.id);
      if (lost.has(feed) || !(wet.has(feed.outlet.id) || (own && wet.has(own)))) continue;
      lost.add(feed);
      for (const at of reach(network, own ? [own] : [], underPressure).keys()) wet.add(at);
      more = true;
    }
  }
  return parts.filter(
    (part) =>
      isActuated(part) &&
      [...lost].some(({ reached }) => part.ports.some(({ id }) => reached.has(id))),
  );
}
