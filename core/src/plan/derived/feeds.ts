import { derive } from '../../derive/index.ts';
import { reach, underPressure, type Network, type Step } from '../../network/index.ts';
import { makesPressure, type Part, type Port } from '../model/index.ts';

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
    parts
      .filter(makesPressure)
      .flatMap((master) =>
        master.ports
          .filter(({ role }) => role === 'outlet')
          .map((outlet) => ({ master, outlet, reached: reach(network, [outlet.id], underPressure) })),
      ),
);
/** The outlets that press a part, nearest first. */
export const feedsAt = (feeds: readonly Feed[], part: Part): Feed[] => feeds.filter(({ reached }) => part.ports.some(({ id }) => reached.has(id))); // prettier-ignore

/** What fluid stands behind a master's feed: reservoirs that it draws from. */
export function reservoirsOf(network: Network, parts: readonly Part[], master: Part, feed?: Port): Part[] {
  const from = feed ? [feed.id] : master.ports.filter(({ role }) => role === 'feed').map(({ id }) => id);
  const reached = reach(network, from, underPressure);
  return parts.filter((part) => part.kind === 'reservoir' && part.ports.some(({ id }) => reached.has(id)));
}
