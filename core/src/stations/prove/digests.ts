import { derive } from '../../lib/derive/index.ts';
import {
  fnv32,
  fluidFor,
  NO_FILLING,
  NO_FLOOR,
  NO_WHEEL_ENDS,
  type Circuit,
  type Plan,
} from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';

/** What of a plan proofs rest on. */
export type Proved = Pick<PlanView, 'lines' | 'plan' | 'bleeding'>;

/** The fluids that a kind of work is filled with, by its reservoirs. */
const fluidIds = ({ plan, bleeding }: Proved, work: Circuit['work']): string => {
  const reservoirs = bleeding.find((one) => one.work === work)?.reservoirs ?? [];
  return reservoirs.length
    ? reservoirs.map((one) => fluidFor(plan, [one])).join(' ')
    : plan.bleeding.fluidId;
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
    const own = lines.filter(({ line }) => line.circuitId === circuitId);
    const hosed = hoses.filter((hose) => hose.circuitId === circuitId);
    const ports = new Set(
      [...own.map(({ line }) => line.ends), ...hosed.map(({ ends }) => ends)].flatMap(
        ({ a, b }) => [a.portId, b.portId],
      ),
    );
    const joined = parts.filter((part) => part.ports.some(({ id }) => ports.has(id)));
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
/** What of a plan a signature stands for: not its names for the screen, what it cost, what was noted. */
const SIGNED = [
  'points',
  'parts',
  'circuits',
  'lines',
  'hoses',
  'things',
  'gates',
  'clipSettings',
  'bench',
  'bleeding',
  'sizing',
  'trailer',
  'singles',
  'clutch',
  'parking',
  'floor',
  'wheelEnds',
  'filling',
  'comesOff',
] as const satisfies readonly (keyof Plan)[];
/** A section in which nothing is recorded counts as none, as it did in plans that could do without it. */
const NOTHING = new Set(
  [NO_FLOOR, NO_WHEEL_ENDS, NO_FILLING].map((empty) => JSON.stringify(empty)),
);
const signedValue = (value: unknown): unknown =>
  NOTHING.has(JSON.stringify(value)) ? null : (value ?? null);
/** Of the whole plan as it is signed. */
export const signedDigest = derive(
  'what a signature rests on',
  ({ plan }: Pick<PlanView, 'plan'>) => [plan.lines, ...SIGNED.map((key) => plan[key])] as const,
  (_lines, ...held): string => fnv32([JSON.stringify(held.map(signedValue))]),
);
