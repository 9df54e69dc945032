import { floorView } from '../fit/tasks/index.ts';
import { fnv32, fluidFor, type FillMethod, type Part } from '../../plan/index.ts';
import type { BleedNet, BleedView, PlanView } from '../../plan/results/index.ts';
import { fluidById } from '../../trade/stock/index.ts';
import { methodById } from './methods.ts';

/** Something that is done before the first pump; locked until it is. */
export interface PreFillCheck {
  readonly key: string;
  readonly name: string;
  readonly how: string;
  /** Of what it is said: once that is otherwise it is said again. */
  readonly stamp: string;
  readonly done: boolean;
  /** The plan or Fit knows it: nobody needs to say so, or nobody can. */
  readonly known: boolean;
  /** Where it is mended: a station, and in a few words what is open there. */
  readonly open: string;
}
type Said = Pick<PreFillCheck, 'key' | 'name' | 'how'> & {
  readonly of?: readonly unknown[];
  readonly known?: { readonly open: string };
};

type Joined = Pick<PlanView, 'lines' | 'ports' | 'plan'>;
/** Parts that some pipes join. */
export function partsOn(pipes: BleedNet['pipes'], { lines, ports, plan }: Joined): Part[] {
  const ids = new Set(
    pipes.flatMap(({ kind, id }) => {
      const of =
        kind === 'line'
          ? lines.find(({ line }) => line.id === id)!.line.ends
          : plan.hoses.find((hose) => hose.id === id)!.ends;
      return [of.a.portId, of.b.portId].map((portId) => ports.get(portId ?? '')?.part.id);
    }),
  );
  return plan.parts.filter(({ id }) => ids.has(id));
}
/** Parts of this work: those that its pipes join, and those with its outlets and bleeders. */
export function partsOf({ net }: BleedView, view: Joined): Part[] {
  const joined = new Set(partsOn(net?.pipes ?? [], view).map(({ id }) => id));
  for (const { partId } of [...(net?.outlets ?? []), ...(net?.bleeders ?? [])]) joined.add(partId);
  return view.plan.parts.filter(({ id }) => joined.has(id));
}

/** Joints of this work that Fit does not know to be tight. */
function jointsOpen(
  work: BleedView,
  view: PlanView,
): { readonly open: string; readonly stamp: string } {
  const circuits = new Set(
    view.plan.circuits.filter((circuit) => circuit.work === work.work).map(({ id }) => id),
  );
  const owns = (id: string): boolean =>
    [...view.plan.lines, ...view.plan.hoses].some(
      (one) => one.id === id && circuits.has(one.circuitId),
    );
  const joints = floorView(view).filter(({ task }) => task.joint && owns(task.joint.place.id));
  const open = joints.filter(({ state }) => state !== 'done');
  return {
    open: open.length
      ? `${open.length} of ${joints.length} joints not marked tight: ${open
          .slice(0, 3)
          .map(({ task }) => task.joint!.name)
          .join('; ')}${open.length > 3 ? '; …' : ''}`
      : '',
    stamp: fnv32(joints.map(({ task }) => task.stamp)),
  };
}

/** A check that goes with what there is to check. */
const when = (is: boolean, check: () => Said): Said[] => (is ? [check()] : []);

/** What is tight, plugged and joined before fluid goes in. */
function closedUp(work: BleedView, view: PlanView, parts: readonly Part[]): Said[] {
  const joints = jointsOpen(work, view);
  const circuits = new Set(
    view.plan.circuits.filter((circuit) => circuit.work === work.work).map(({ id }) => id),
  );
  const openEnds = view.lines
    .filter(
      ({ line }) => circuits.has(line.circuitId) && (!line.ends.a.portId || !line.ends.b.portId),
    )
    .map(({ line }) => line.name);
  const spare = parts.flatMap((part) =>
    part.ports.filter(({ role }) => role === 'spare').map((port) => `${part.name}, ${port.name}`),
  );
  return [
    {
      key: `joints:${work.work}`,
      name: 'Every joint tight',
      how: joints.open || 'Fit has them all.',
      of: [joints.stamp],
      ...(joints.open ? {} : { known: { open: '' } }),
    },
    ...when(openEnds.length > 0, () => ({
      key: 'ends',
      name: 'No end open',
      how: `${openEnds.join(', ')}: join first, or fill later.`,
      known: { open: 'Route' },
    })),
    ...when(spare.length > 0, () => ({
      key: `plugs:${work.work}`,
      name: 'Open ports plugged',
      how: `${spare.join('; ')}: a plug with the right thread and seat.`,
      of: spare,
    })),
  ];
}

/** Free play of the brake pedal's pushrod is known once it is measured in Fit; a clutch's is said here. */
function freePlay({ work }: BleedView, coldMm: number | null): Pick<Said, 'how' | 'known'> {
  if (work !== 'brake' || coldMm === null)
    return {
      how: 'A preloaded pushrod closes the compensating port: no flow, and the brakes drag.',
    };
  return coldMm > 0
    ? { how: 'Measured in Fit.', known: { open: '' } }
    : { how: 'Fit measured none: shorten the pushrod first.', known: { open: 'Fit' } };
}

/** What the parts themselves want first: free play, drums and pads, bleeders, bench bleeding, a pin held out. */
function partsReady(
  work: BleedView,
  { plan }: PlanView,
  parts: readonly Part[],
  method: FillMethod,
): Said[] {
  const has = (...kinds: Part['kind'][]): Part[] =>
    parts.filter(({ kind }) => kinds.includes(kind));
  const names = (of: readonly Part[]): string => of.map(({ name }) => name).join(', ');
  const ids = (of: readonly Part[]): string[] => of.map(({ id }) => id);
  const masters = has('master');
  const drums = has('wheel-cylinder');
  const calipers = has('caliper');
  const metering = has('metering-valve', 'combination-valve');
  return [
    ...masters.map((master) => ({
      key: `play:${master.id}`,
      name: `${master.name}: pushrod has free play`,
      of: [master.id],
      ...freePlay(work, plan.wheelEnds.play.coldMm),
    })),
    ...when(drums.length > 0, () => ({
      key: 'drums',
      name: 'Drums adjusted',
      how: `${names(drums)}: until the shoes just rub, so they use little fluid.`,
      of: ids(drums),
    })),
    ...when(calipers.length > 0, () => ({
      key: 'pads',
      name: 'Pads fitted',
      how: `${names(calipers)}: before the first pump, or a piston pops out.`,
      of: ids(calipers),
    })),
    {
      key: `bleeders:${work.work}`,
      name: 'Bleeders closed, each at the highest point',
      how: `${work.bleeders.map(({ part }) => part.name).join(', ')}: left and right parts not swapped.`,
      of: work.bleeders.map(({ port }) => port.id),
    },
    ...masters.map((master) => ({
      key: `bench:${master.id}`,
      name: `${master.name}: bench-bled`,
      how: 'In a vise or in the vehicle: short strokes, outlets piped back under fluid, until no bubbles come.',
      of: [master.id],
    })),
    ...when(metering.length > 0 && methodById(method).flows === true, () => ({
      key: 'pin',
      name: `${names(metering)}: pin held out`,
      how: 'A metering valve blocks flow at low pressure. Remove the clip afterward.',
      of: ids(metering),
    })),
  ];
}

/** All that goes before fluid goes into one kind of work, with how each stands. */
export function preFillChecks(work: BleedView, view: PlanView, method: FillMethod): PreFillCheck[] {
  const { filling } = view.plan;
  const parts = partsOf(work, view);
  // Each reservoir has its own fluid.
  const fluid = fluidById(fluidFor(view.plan, work.reservoirs))!;
  const isLater = filling.when === 'later';
  const said: Said[] = [
    {
      key: 'covered',
      name: 'Gloves and glasses on, paint covered, on stands',
      how: `${fluid.family === 'glycol' ? 'Brake fluid strips paint: keep water to hand. ' : ''}A vehicle that falls off a jack kills: stands only.`,
    },
    ...closedUp(work, view, parts),
    ...partsReady(work, view, parts, method),
    {
      key: `cap:${work.work}`,
      name: methodById(method).cap,
      how: methodById(method).beware,
      of: [method],
    },
    {
      key: `fluid:${work.work}`,
      name: `${fluid.name} from a new bottle, seals made for it`,
      how: `${fluid.mixes} Color and dye prove nothing. Never reuse fluid that was bled out.`,
      of: [fluid.id],
    },
    {
      key: 'later',
      name: 'Nothing has to come off again',
      how: isLater
        ? '“Fill later” is ticked: lines come off again for paint, welding or a gate.'
        : 'Paint, welding and everything that closes access are done.',
      of: [filling.when],
      ...(isLater ? { known: { open: 'Fill later' } } : {}),
    },
  ];
  const told = new Map(filling.before.map(({ key, stamp }) => [key, stamp]));
  return said.map(({ key, name, how, of = [], known }) => {
    const stamp = fnv32(of.map(String));
    return {
      key,
      name,
      how,
      stamp,
      known: known !== undefined,
      open: known?.open ?? '',
      done: known ? !known.open : told.get(key) === stamp,
    };
  });
}

/** Whether the first pump is free. */
export const allConfirmed = (before: readonly PreFillCheck[]): boolean =>
  before.every(({ done }) => done);
