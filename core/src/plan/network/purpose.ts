import { derive } from '../../lib/derive/index.ts';
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
import type { Feed } from './feeds.ts';

/** Ports nearer to one another than this are on one body, mm; one farther off is the bracket where the part's hose begins. */
export const BODY_MM = 100;
/** Nearer to the middle of the vehicle than this a brake is on neither side. */
const ON_A_SIDE_MM = 150;

/** Where a brake is on the vehicle; null where that is not known, or where it is on neither side. */
export interface BrakePlace {
  readonly axle: 'front' | 'rear' | null;
  readonly side: 'left' | 'right' | null;
}
/** The axle and side of a brake: as set, else by where it stands; its axle hangs on the wheelbase. */
export function brakePlace(
  part: Part,
  ports: ReadonlyMap<string, PortView>,
  wheelbaseMm: number | null,
): BrakePlace {
  const [first] = part.ports;
  const at = first && ports.get(first.id)?.fixed.atMm;
  const stands = (): BrakePlace['side'] =>
    !at || Math.abs(at[1]) < ON_A_SIDE_MM ? null : at[1] < 0 ? 'left' : 'right';
  return {
    axle: wheelbaseMm === null ? (part.axle ?? null) : axleOf(part, ports, wheelbaseMm),
    side: part.side ?? stands(),
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
/** Of a line or a hose what its circuit hangs on: the same while it is bent otherwise. */
const joinOf = derive(
  'join',
  ({ ends, circuitId }: Line | Hose) => [ends, circuitId],
  (ends, circuitId): Join => ({ ends, circuitId }),
);
const pedalsBy = derive(
  'pedals',
  (
    circuits: Plan['circuits'],
    parts: readonly Part[],
    joins: readonly Join[],
  ): readonly [Plan['circuits'], readonly Part[], ...Join[]] => [circuits, parts, ...joins],
  (circuits, parts, ...joins): ReadonlyMap<string, Pedal> => {
    const clutches = new Set(circuits.filter(({ work }) => work === 'clutch').map(({ id }) => id));
    const onClutch = new Set(
      joins
        .filter(({ circuitId }) => clutches.has(circuitId))
        .flatMap(({ ends }) => [ends.a.portId, ends.b.portId]),
    );
    const guess = ({ kind, ports, name }: Part): Pedal => {
      if (kind === 'actuator') return 'trailer';
      const pressesClutch = ports.some(({ id, role }) => role === 'outlet' && onClutch.has(id));
      return pressesClutch ? 'clutch' : (pedalByName(name) ?? 'foot');
    };
    return new Map(
      parts.filter(makesPressure).map((part) => [part.id, part.pedal ?? guess(part)] as const),
    );
  },
);
/** What works each master and actuator, by its id: as set, else as its circuit and its name have it. */
export const pedalsOf = ({
  parts,
  lines,
  hoses,
  circuits,
}: Pick<Plan, 'parts' | 'lines' | 'hoses' | 'circuits'>): ReadonlyMap<string, Pedal> =>
  pedalsBy(circuits, parts, [...lines.map(joinOf), ...hoses.map(joinOf)]);
export const isHand = (pedal: Pedal | undefined): boolean => pedal?.startsWith('hand') ?? false;

/** The wheels that a modulator's outlet serves: as set, else as its name has it; null where that says nothing. */
export function servedBy({ name, serves }: Port): Corner | null {
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

/** Which brakes a feed presses. */
export const brakesOf = ({ reached }: Feed, parts: readonly Part[]): Part[] =>
  parts.filter((part) => isBrake(part) && part.ports.some(({ id }) => reached.has(id)));

/** A master that presses another through its feed: what it does there that one does as well. */
const isBehindAnother = ({ master, reached }: Feed, parts: readonly Part[]): boolean =>
  parts.some(
    (other) =>
      other !== master &&
      other.ports.some(
        ({ id, role, takesPressure }) => role === 'feed' && takesPressure && reached.has(id),
      ),
  );
/**
 * The feeds of the service brakes: not those of a hand lever, but on a motorcycle, whose front brake has one; of
 * masters in series the last alone.
 */
export function serviceFeeds(
  feeds: readonly Feed[],
  parts: readonly Part[],
  pedals: ReadonlyMap<string, Pedal>,
  isMotorcycle: boolean,
): Feed[] {
  const last = feeds.filter((feed) => !isBehindAnother(feed, parts));
  const byFoot = last.filter(({ master }) => !isHand(pedals.get(master.id)));
  return isMotorcycle || !byFoot.length ? last : byFoot;
}
