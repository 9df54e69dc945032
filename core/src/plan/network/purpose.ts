import { derive } from '../../lib/derive/index.ts';
import {
  reach,
  underPressure,
  type Network,
  type Step,
  type Through,
} from '../../physics/flow-graph/index.ts';
import type { Axle } from '../../physics/hydraulics/index.ts';
import type { PortView } from '../layout/line-view.ts';
import {
  isBrake,
  makesPressure,
  type Corner,
  type Hose,
  type Line,
  type Part,
  type Pedal,
  type Plan,
  type Port,
} from '../model/index.ts';
import { axleOf } from './axle-of.ts';
import { feedsOf, type Feed } from './feeds.ts';

/** Ports nearer to one another than this are on one body, mm; one farther off is the bracket where the part's hose begins. */
export const BODY_MM = 100;
/** Nearer to the middle of the vehicle than this a brake is on neither side. */
const ON_A_SIDE_MM = 150;

/** Where a brake is on the vehicle; null where that is not known, or where it is on neither side. */
export interface BrakePlace {
  readonly axle: Axle | null;
  readonly side: 'left' | 'right' | null;
}
/** The axle and side of a brake: as set, else by its position; without a wheelbase no position tells the axle. */
export function brakePlace(
  part: Part,
  ports: ReadonlyMap<string, PortView>,
  wheelbaseMm: number | null,
): BrakePlace {
  const [first] = part.ports;
  const at = first && ports.get(first.id)?.fixed.atMm;
  const byPosition = (): BrakePlace['side'] =>
    !at || Math.abs(at[1]) < ON_A_SIDE_MM ? null : at[1] < 0 ? 'left' : 'right';
  return {
    axle: wheelbaseMm === null ? (part.axle ?? null) : axleOf(part, ports, wheelbaseMm),
    side: part.side ?? byPosition(),
  };
}

/** What a name says of who works a master; null where it says nothing. */
function pedalByName(name: string): Pedal | null {
  const has = (word: RegExp): boolean => word.test(name);
  const side = has(/\bleft\b/i) ? 'left' : has(/\bright\b/i) ? 'right' : null;
  if (has(/\btoe\b/i) && side) return `toe-${side}`;
  if (has(/\bhand\b|hand ?brake|\blever\b/i)) return side ? `hand-${side}` : 'hand';
  return has(/\bclutch\b/i) ? 'clutch' : null;
}
interface Join {
  readonly ends: Readonly<Record<'a' | 'b', { readonly portId: string | null }>>;
  readonly circuitId: string;
}
/** The ports and the circuit of a line or a hose: the same while only its route changes. */
const joinOf = derive(
  'join',
  ({ ends, circuitId }: Line | Hose) => [ends, circuitId],
  (ends, circuitId): Join => ({ ends, circuitId }),
);
const clutchPortsBy = derive(
  'ports of clutches',
  (circuits: Plan['circuits'], joins: readonly Join[]): readonly [Plan['circuits'], ...Join[]] => [
    circuits,
    ...joins,
  ],
  (circuits, ...joins): ReadonlySet<string | null> => {
    const clutches = new Set(circuits.filter(({ work }) => work === 'clutch').map(({ id }) => id));
    return new Set(
      joins
        .filter(({ circuitId }) => clutches.has(circuitId))
        .flatMap(({ ends }) => [ends.a.portId, ends.b.portId]),
    );
  },
);
type Joined = Pick<Plan, 'lines' | 'hoses' | 'circuits'>;
const clutchPorts = ({ lines, hoses, circuits }: Joined): ReadonlySet<string | null> =>
  clutchPortsBy(circuits, [...lines.map(joinOf), ...hoses.map(joinOf)]);

function guessed({ kind, ports, name }: Part, onClutch: ReadonlySet<string | null>): Pedal {
  if (kind === 'actuator') return 'trailer';
  const pressesClutch = ports.some(({ id, role }) => role === 'outlet' && onClutch.has(id));
  return pressesClutch ? 'clutch' : (pedalByName(name) ?? 'foot');
}
/** What works a master as its circuit and its name have it, whatever is set. */
export const guessedPedal = (master: Part, plan: Joined): Pedal =>
  guessed(master, clutchPorts(plan));

const pedalsBy = derive(
  'pedals',
  (onClutch: ReadonlySet<string | null>, parts: readonly Part[]) => [onClutch, parts],
  (onClutch, parts): ReadonlyMap<string, Pedal> =>
    new Map(
      parts
        .filter(makesPressure)
        .map((part) => [part.id, part.pedal ?? guessed(part, onClutch)] as const),
    ),
);
/** What works each master and actuator, by its id: as set, else as its circuit and its name have it. */
export const pedalsOf = ({
  parts,
  ...joined
}: Joined & Pick<Plan, 'parts'>): ReadonlyMap<string, Pedal> =>
  pedalsBy(clutchPorts(joined), parts);
export const isHand = (pedal: Pedal): boolean => pedal.startsWith('hand');

/** The wheels that a modulator's outlet serves: as set, else as its name has it; null where that says nothing. */
export function servedBy({ name, serves }: Pick<Port, 'name' | 'serves'>): Corner | null {
  if (serves) return serves;
  const axle = /\bfront\b/i.test(name) ? 'front' : /\brear\b/i.test(name) ? 'rear' : null;
  const side = /\bleft\b/i.test(name) ? 'left' : /\bright\b/i.test(name) ? 'right' : null;
  return axle && side ? `${axle}-${side}` : axle;
}
/** Whether a brake is where a corner is; what is not known of either is no reason against it. */
export const isAt = (corner: Corner, { axle, side }: BrakePlace): boolean => {
  const [wantedAxle, wantedSide = side] = corner.split('-');
  return (
    (axle === null || axle === wantedAxle) &&
    (side === null || wantedSide === null || side === wantedSide)
  );
};

const brakesAt = (reached: ReadonlyMap<string, Step>, parts: readonly Part[]): Part[] =>
  parts.filter((part) => isBrake(part) && part.ports.some(({ id }) => reached.has(id)));

/** The brakes behind a part: those that its outlets lead to, or one of them, and not through the part itself. */
export function brakesBehind(
  network: Network,
  parts: readonly Part[],
  part: Part,
  outlets = part.ports.filter(({ role }) => role === 'outlet'),
): Part[] {
  const onward: Through = (duct) => underPressure(duct) && duct.id !== part.id;
  const from = outlets.map(({ id }) => id);
  return brakesAt(reach(network, from, onward), parts);
}

/** A feed with what works it and the brakes that it presses. */
export interface PressingFeed extends Feed {
  readonly pedal: Pedal;
  readonly brakes: readonly Part[];
}
export const pressingFeeds = derive(
  'pressing feeds',
  (network: Network, parts: readonly Part[], pedals: ReadonlyMap<string, Pedal>) => [
    network,
    parts,
    pedals,
  ],
  (network, parts, pedals): readonly PressingFeed[] =>
    feedsOf(network, parts).map((feed) => ({
      ...feed,
      pedal: pedals.get(feed.master.id)!,
      brakes: brakesAt(feed.reached, parts),
    })),
);
/** Whether a feed presses through another master, by a feed of that one that is made for it. */
export const pressesThrough = ({ master, reached }: Feed, other: Part): boolean =>
  other !== master &&
  other.ports.some(
    ({ id, role, takesPressure }) => role === 'feed' && takesPressure && reached.has(id),
  );
/**
 * The feeds of the service brakes: not those of a hand lever, but on a motorcycle, whose front brake has one; of
 * masters in series the last alone.
 */
export function serviceFeeds(
  feeds: readonly PressingFeed[],
  isMotorcycle: boolean,
): readonly PressingFeed[] {
  const byFoot = feeds.filter(({ pedal }) => !isHand(pedal));
  const service = isMotorcycle || !byFoot.length ? feeds : byFoot;
  return service.filter((feed) => !service.some(({ master }) => pressesThrough(feed, master)));
}
