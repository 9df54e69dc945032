import { NO_PROVING, type Plan, type Proving } from '../plan/index.ts';
import type { PlanView } from '../plan/results/index.ts';
import { judgeHold } from './judge.ts';
import { allRests, circuitRests } from './rests.ts';

export const provingOf = ({ proving }: Pick<Plan, 'proving'>): Proving => proving ?? NO_PROVING;
export const ROUND_GROUPS = ['Pressure held', 'Leaks', 'Grips and lets go', 'Pedal', 'On the vehicle', 'On the road'] as const;
export type RoundGroup = (typeof ROUND_GROUPS)[number];
export type RoundState = 'done' | 'bad' | 'void' | 'locked' | 'open';
/** One thing that is looked at, held or felt. */
export interface Round {
  readonly key: string;
  readonly group: RoundGroup;
  readonly name: string;
  /** How it is done, and what is good. */
  readonly how: string;
  /** Digest of what it rests on now. */
  readonly rests: string;
  /** `void`: it was good, and what it rests on is otherwise since. */
  readonly state: RoundState;
  readonly note: string;
  /** What comes first, where it is locked. */
  readonly after: string;
  /** A hold is judged from its figures, not ticked. */
  readonly hold?: { readonly circuitId: string; readonly wantedMPa: number };
}
type Said = Pick<Round, 'key' | 'group' | 'name' | 'how'> & {
  readonly rests: string;
  readonly needs?: readonly string[];
  readonly hold?: Round['hold'];
};

/** A clutch line is held at about what works it, MPa. Common practice. */
const CLUTCH_MPA = 3;
/** Pressure that a circuit is held at: what the foot of the rule makes of it, and never over the lowest rating on it. */
export function holdMPa(view: PlanView, circuitId: string): number {
  const circuit = view.plan.circuits.find(({ id }) => id === circuitId);
  const ports = new Set(view.lines.filter(({ line }) => line.circuitId === circuitId).flatMap(({ line }) => [line.ends.a.portId, line.ends.b.portId]));
  const ratings = view.plan.parts.filter((part) => part.ports.some(({ id }) => ports.has(id))).flatMap(({ figures }) => figures.ratingMPa ?? []);
  const { sizing, trailer } = view.plan;
  const area = (mm: number): number => (Math.PI / 4) * mm * mm;
  /** The foot of the rule, N: 500 of cars, 700 of heavier vehicles. Source: FMVSS 135 / UN R13-H, UN R13, from memory. */
  const footN = sizing?.category === 'heavy' ? 700 : 500;
  const makes = circuit?.work === 'clutch' ? CLUTCH_MPA : trailer ? trailer.actuatorMPa : sizing ? (footN * sizing.pedal.ratio) / (sizing.master.kind === 'tandem' ? area(sizing.master.boreMm) : area(circuit?.axle === 'rear' ? sizing.master.rearBoreMm : sizing.master.frontBoreMm)) * (sizing.master.kind === 'twin' ? (circuit?.axle === 'rear' ? 1 - sizing.master.frontShare : sizing.master.frontShare) : 1) : 7;
  return Math.round(Math.min(makes, ...ratings) * 10) / 10;
} // prettier-ignore

/** All rounds of a plan in the order in which they are walked. Common practice; the makers' sheets and local rules come first. */
export function roundsOf(view: PlanView): Round[] {
  const { plan } = view;
  const proving = provingOf(plan);
  const whole = allRests(view);
  const wet = plan.circuits.filter(({ id }) => view.lines.some(({ line }) => line.circuitId === id) || plan.hoses.some((hose) => hose.circuitId === id));
  const brakes = wet.filter(({ work }) => work === 'brake');
  const holds = wet.map(({ id }) => `hold:${id}`);
  const has = (kind: Plan['parts'][number]['kind']): boolean => plan.parts.some((part) => part.kind === kind);
  const said: Said[] = [
    ...wet.map((circuit): Said => {
      const wantedMPa = holdMPa(view, circuit.id);
      return { key: `hold:${circuit.id}`, group: 'Pressure held', name: `${circuit.name}: held at ${wantedMPa} MPa`, how: 'Gauge at a bleeder, the pedal pressed and held by a prop; five minutes, the temperature noted. A gauge behind a proportioning valve reads the valve: turn it back to master pressure first. Circuits are told apart by plugs; clamps on rubber alone, never on braid.', rests: circuitRests(circuit, view), hold: { circuitId: circuit.id, wantedMPa } };
    }),
    ...(wet.length ? [{ key: 'overnight', group: 'Pressure held', name: 'Tied down overnight', how: 'Low pressure, pedal tied, wheels chocked, lamps disconnected, a label on the wheel. Good: as firm in the morning, and dry.', rests: whole, needs: holds } as Said] : []),
    ...wet.flatMap((circuit): Said[] => {
      const names = view.lines.filter(({ line }) => line.circuitId === circuit.id).map(({ line }) => line.name).join(', ');
      return [
        { key: `leak:${circuit.id}`, group: 'Leaks', name: `${circuit.name}: every joint dry under pressure`, how: `${names}: a clean rag at each joint, bleeder and switch while the pedal is held. Good: dry.`, rests: circuitRests(circuit, view), needs: [`hold:${circuit.id}`] },
        { key: `again:${circuit.id}`, group: 'Leaks', name: `${circuit.name}: dry again after hours`, how: 'The same joints, hours later: a weep shows.', rests: circuitRests(circuit, view), needs: [`leak:${circuit.id}`] },
      ];
    }),
    ...brakes.flatMap((circuit): Said[] => [
      { key: `grips:${circuit.id}`, group: 'Grips and lets go', name: `${circuit.name}: grips, and lets go at once`, how: 'On stands: pedal down, nobody turns a wheel by hand; pedal up, each turns free at once. Each wheel by itself.', rests: circuitRests(circuit, view), needs: [`leak:${circuit.id}`] },
    ]),
    ...(plan.sizing?.booster ? [{ key: 'booster', group: 'Grips and lets go', name: 'Engine off and running', how: 'Pumped hard engine off, then held while it starts: the pedal goes down a little. Grips and lets go with it as without.', rests: whole } as Said] : []),
    ...(brakes.length && !plan.trailer ? [
      { key: 'pedal-firm', group: 'Pedal', name: 'Pedal firm, does not sink', how: 'Held for a minute with the rule’s foot: it stays. Set the reading down below; a reference vehicle is measured, never remembered.', rests: whole } as Said,
      { key: 'pushrod-cold', group: 'Pedal', name: 'Pushrod has its play, cold', how: 'Felt by hand at the pedal before it meets the piston.', rests: whole } as Said,
      { key: 'pushrod-hot', group: 'Pedal', name: 'Pushrod has its play, hot', how: 'After the first drive, warm: the compensating port is open, the wheels turn free.', rests: whole } as Said,
      { key: 'lamps', group: 'On the vehicle', name: 'Brake lights, at the switch and on the vehicle', how: 'A finger’s weight on the pedal lights them, off they go out; both ends of the wire.', rests: whole } as Said,
      { key: 'no-power', group: 'On the vehicle', name: 'Works with no power at all', how: 'Battery off: the pedal still stops every wheel.', rests: whole } as Said,
    ] : []),
    ...(plan.hoses.length || plan.things.some(({ kind }) => kind === 'wheel') ? [{ key: 'lock-droop', group: 'On the vehicle', name: 'Lock to lock, full droop, full bump', how: 'Nothing touches, no hose pulls or twists; the wheel on and turned by hand.', rests: whole } as Said] : []),
    ...(plan.parking ? [{ key: 'parking', group: 'On the vehicle', name: plan.sizing?.category === 'heavy' ? 'Parking brake holds on 18 %, both ways' : 'Parking brake holds on 20 %, both ways', how: 'Laden, five minutes, nose up and nose down, within the rule’s hand or foot; chocks ready.', rests: whole } as Said] : []),
    ...(plan.clutch || wet.some(({ work }) => work === 'clutch') ? [{ key: 'clutch', group: 'On the vehicle', name: 'Clutch frees, in gear, the other foot off the brake', how: 'Wheels off the ground: in gear, pedal down, they can be turned; it bites well off the floor.', rests: whole } as Said] : []),
    ...(plan.trailer ? [
      { key: 'breakaway', group: 'On the vehicle', name: 'Breakaway applies and holds 15 minutes', how: 'Pin pulled, on chocks: no wheel can be turned. Its battery alone (49 CFR 393.43, from memory).', rests: whole } as Said,
      { key: 'wires', group: 'On the vehicle', name: 'Wires of the actuator read as they should', how: 'The readings stand in Fit, under Wires.', rests: whole } as Said,
    ] : []),
    ...(has('dry-break') ? [{ key: 'dry-break', group: 'On the vehicle', name: 'Dry breaks tugged, flow seen', how: 'A hard tug does not part them; a stroke with the bleeder beyond them open gives fluid.', rests: whole } as Said] : []),
    ...(brakes.length ? [
      { key: 'static', group: 'On the road', name: 'Held still against the engine', how: 'In a clear place, belt on: held by the foot in gear, it does not creep.', rests: whole, needs: brakes.map(({ id }) => `grips:${id}`) } as Said,
      { key: 'walking', group: 'On the road', name: 'Stops at walking pace', how: 'Closed ground, nobody before or behind: straight, no wheel drags.', rests: whole, needs: ['static'] } as Said,
      { key: 'site', group: 'On the road', name: 'Stops on a closed dry site', how: 'Up from 30 km/h, pads bedded; the rear never locks first. The distances stand under Stops.', rests: whole, needs: ['walking'] } as Said,
    ] : []),
  ];
  const taken = new Map(proving.rounds.map((one) => [one.key, one]));
  const state = new Map<string, { state: RoundState; note: string }>();
  const judged = ({ key, rests, hold }: Said): { state: RoundState; note: string } => {
    if (hold) {
      const last = proving.holds.filter(({ circuitId }) => circuitId === hold.circuitId).at(-1);
      if (!last) return { state: 'open', note: '' };
      const { verdict, words } = judgeHold({ ...last, wantedMPa: hold.wantedMPa });
      if (last.rests !== rests) return { state: verdict === 'held' ? 'void' : 'bad', note: verdict === 'held' ? 'Its circuit was changed since: hold again.' : words };
      return { state: verdict === 'held' ? 'done' : verdict === 'cannot-tell' ? 'open' : 'bad', note: words };
    }
    const one = taken.get(key);
    if (!one) return { state: 'open', note: '' };
    if (!one.good) return { state: 'bad', note: one.note };
    return one.rests === rests ? { state: 'done', note: one.note } : { state: 'void', note: 'Changed since: look again.' };
  };
  for (const one of said) state.set(one.key, judged(one));
  const nameOf = new Map(said.map(({ key, name }) => [key, name]));
  return said.map((one): Round => {
    const own = state.get(one.key)!;
    const waits = (one.needs ?? []).find((need) => nameOf.has(need) && state.get(need)!.state !== 'done');
    const locked = waits !== undefined && own.state === 'open';
    return { key: one.key, group: one.group, name: one.name, how: one.how, rests: one.rests, ...own, ...(locked ? { state: 'locked' as const } : {}), after: waits ? nameOf.get(waits)! : '', ...(one.hold ? { hold: one.hold } : {}) };
  });
} // prettier-ignore
/** A round told; what was told of it before gives way. */
export const withRound = (
  proving: Proving,
  { key, rests }: Pick<Round, 'key' | 'rests'>,
  good: boolean,
  note: string,
  at: string,
): Proving => ({ ...proving, rounds: [...proving.rounds.filter((one) => one.key !== key), { key, at, good, note, rests }] });
export const withoutRound = (proving: Proving, key: string): Proving => ({ ...proving, rounds: proving.rounds.filter((one) => one.key !== key) }); // prettier-ignore
/** Proofs that a change would make void, by name. */
export function unproves(was: PlanView, is: PlanView): string[] {
  if (!was.plan.proving) return [];
  const still = new Map(roundsOf(is).map((round) => [round.key, round.state]));
  return roundsOf(was).filter(({ key, state }) => state === 'done' && still.get(key) !== 'done').map(({ name }) => name);
} // prettier-ignore
