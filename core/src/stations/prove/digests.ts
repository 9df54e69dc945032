import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils';
import { derive } from '../../lib/derive/index.ts';
import { isAfterSigning } from '../fit/tasks/index.ts';
import {
  fnv32,
  fluidFor,
  USUAL_FLUID_ID,
  type Circuit,
  type Plan,
  type SignedSection,
} from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { onCircuit } from './on-circuit.ts';

/** What of a plan proofs rest on. */
export type Proved = Pick<PlanView, 'lines' | 'plan' | 'bleeding'>;

/** The fluids that a kind of work is filled with, by its reservoirs. */
const fluidIds = ({ plan, bleeding }: Proved, work: Circuit['work']): string => {
  const reservoirs = bleeding.find((one) => one.work === work)?.reservoirs ?? [];
  return reservoirs.length
    ? reservoirs.map((one) => fluidFor(plan, [one])).join(' ')
    : USUAL_FLUID_ID;
};

/**
 * The digest of what a proof of a circuit rests on: its lines as they are made and joined, its hoses, the parts
 * they join and the fluid. A name, a note or a price is not in it.
 */
export const circuitDigest = derive(
  'what a proof rests on',
  ({ id, work }: Circuit, view: Proved) => [
    view.lines,
    id,
    view.plan.hoses,
    view.plan.parts,
    fluidIds(view, work),
  ],
  (lines, circuitId, hoses, parts, fluids): string => {
    const { lines: own, hoses: hosed, parts: joined } = onCircuit(circuitId, lines, hoses, parts);
    const ends = (of: { readonly portId: string | null; readonly joint?: unknown }): string =>
      JSON.stringify([of.portId, of.joint ?? null]);
    return fnv32([
      fluids,
      ...own.flatMap(({ line, digest, tube }) => [
        line.id,
        digest,
        tube.id,
        ends(line.ends.a),
        ends(line.ends.b),
      ]),
      ...hosed.flatMap(({ id, stockId, orderMm, ends: of }) => [
        id,
        stockId,
        orderMm,
        ends(of.a),
        ends(of.b),
      ]),
      ...joined.flatMap(({ id, kind, ports: own }) => [
        id,
        kind,
        ...own.map((port) => JSON.stringify([port.id, port.fitting])),
      ]),
    ]);
  },
);
/** Of all circuits together: what the vehicle's own looks rest on. */
export const testedDigest = (view: Proved): string =>
  fnv32(view.plan.circuits.map((circuit) => circuitDigest(circuit, view)));
/** Of one line: what an air test of it rests on. */
export const linesDigest = ({ lines }: Pick<Proved, 'lines'>, ids: readonly string[]): string =>
  fnv32(
    lines
      .filter(({ line }) => ids.includes(line.id))
      .flatMap(({ line, digest, tube }) => [line.id, digest, tube.id]),
  );
/** What of a plan a signature rests on, and what each is called: not its names for the screen, what it cost, what was noted. */
const SIGNED = {
  points: 'points',
  parts: 'parts',
  circuits: 'circuits',
  lines: 'lines',
  hoses: 'hoses',
  things: 'bodies of the vehicle',
  gates: 'gates',
  clipSettings: 'clips',
  bench: 'tools',
  bleeding: 'bleeding',
  sizing: 'figures in Size',
  trailer: 'trailer',
  singles: 'single levers',
  clutch: 'clutch',
  parking: 'parking brake',
  floor: 'work record',
  wheelEnds: 'wheel ends',
  filling: 'filling and bleeding runs',
  comesOff: 'parts that come off',
  proving: 'tests',
} as const satisfies Partial<Record<keyof Plan, string>>;
type Signed = keyof typeof SIGNED;
/** Work that the plan itself schedules for after the signature: it leaves the signature as it is. */
const isBefore = (task: string): boolean => !isAfterSigning(task);
const beforeSigning = ({ session: _, ...floor }: Plan['floor']): object => ({
  ...floor,
  done: floor.done.filter(({ task }) => isBefore(task)),
  tight: floor.tight.filter(({ key }) => isBefore(key)),
  later: floor.later.filter(({ task }) => isBefore(task)),
});
/** Every test; not the signatures themselves, what follows them, nor the bedding in. */
const tests = ({
  signed: _,
  accepted: _accepted,
  followUps: _followUps,
  drivenKm: _drivenKm,
  bedding: _bedding,
  ...all
}: Plan['proving']): object => all;

/** JSON of a value with its fields sorted, so that their order changes no digest. */
const canonical = (value: unknown): string =>
  JSON.stringify(value, (_, held: unknown) =>
    held && typeof held === 'object' && !Array.isArray(held)
      ? Object.fromEntries(Object.entries(held).sort(([a], [b]) => (a < b ? -1 : 1)))
      : held,
  );
const sha = (text: string): string => bytesToHex(sha256(utf8ToBytes(text)));
const sectionText = (key: Signed, value: Plan[Signed]): string =>
  canonical(
    key === 'floor'
      ? beforeSigning(value as Plan['floor'])
      : key === 'proving'
        ? tests(value as Plan['proving'])
        : (value ?? null),
  );
const sectionDigest = derive(
  'digest of a signed section',
  (held: object, key: Signed) => [held, key] as const,
  (held, key): string => sha(sectionText(key, held as Plan[Signed])),
);
/** What is accepted is signed for as well: with its reason and by whom. */
const acceptedDigest = ({ accepted = [] }: Plan['proving']): string =>
  sha(canonical(accepted.toSorted((a, b) => (a.key < b.key ? -1 : 1))));
/** SHA-256 of each section that a signature rests on, in hexadecimal, by what the section is called. */
export const signedSections = ({ plan }: Pick<PlanView, 'plan'>): SignedSection[] => [
  ...(Object.keys(SIGNED) as Signed[]).map((key) => {
    const held = plan[key];
    const digest = held ? sectionDigest(held, key) : sha(sectionText(key, held));
    return { name: SIGNED[key], digest };
  }),
  { name: 'accepted cautions', digest: acceptedDigest(plan.proving) },
];
/** SHA-256 of all that a signature rests on, in hexadecimal. */
export const signedDigest = (view: Pick<PlanView, 'plan'>): string =>
  sha(JSON.stringify(signedSections(view)));

/** What a caution was accepted on: with other figures it is another caution. Units and names are not in it. */
export const figuresDigest = (of: readonly string[]): string => sha(JSON.stringify(of));
