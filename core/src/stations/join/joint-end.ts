import { derive } from '../../lib/derive/index.ts';
import { jointBetween, type Joint } from '../../trade/ends/index.ts';
import {
  FRESH_JOINT,
  type Hose,
  type HoseEnd,
  type JointTorque,
  type JointWork,
  type LineView,
  type Plan,
  type PortView,
  type Sealant,
  type Ref,
} from '../../plan/index.ts';
import { hoseFittingById, isTaper, threadByName, type Half } from '../../trade/stock/index.ts';
import { jointsAt } from './joint-view.ts';

export const ENDS = ['a', 'b'] as const;
export type End = (typeof ENDS)[number];
/** An end of a line or of a hose, as what it meets is looked at: its joints from there to the nut, and what was done to them. */
export interface JointEnd {
  readonly of: 'line' | 'hose';
  readonly id: string;
  readonly end: End;
  /** "R2, end B". */
  readonly name: string;
  readonly place: Ref;
  readonly at: PortView | null;
  /** Null where a thread or a seat is not known. */
  readonly joints: readonly Joint[] | null;
  readonly work: JointWork;
  /** Eyes of banjos on one bolt, and that bolt where it was measured. */
  readonly eyes: number;
  readonly bolt: NonNullable<Hose['ends']['a']['bolt']> | null;
}

const nameOf = (name: string, end: End): string => `${name}, end ${end.toUpperCase()}`;
/** The same as long as its line is: what is judged of it stays judged. */
export const lineJoint = derive(
  'end of a line as a joint',
  (view: LineView, end: End) => [view, end],
  (view, end): JointEnd => ({
    of: 'line',
    id: view.line.id,
    end,
    name: nameOf(view.line.name, end),
    place: {
      kind: 'line',
      id: view.line.id,
      node: end === 'a' ? 0 : Math.max(view.nodesMm.length - 1, 0),
    },
    at: view.ports[end] ?? null,
    joints: jointsAt(view, end),
    work: view.line.ends[end].joint,
    eyes: 1,
    bolt: null,
  }),
  2,
);

const nearOf = ({ portId, into }: HoseEnd, at: PortView | null): Half | null =>
  (portId ? at?.port.fitting?.half : into) ?? null;
/** What a hose's end meets: the port it stands at, else what was set down of it; null where that is not known. */
export const metBy = (end: HoseEnd, ports: ReadonlyMap<string, PortView>): Half | null =>
  nearOf(end, ports.get(end.portId ?? '') ?? null);

/** A hose's end as a joint; null where a tube screws into it at its bracket, or a clamp holds it on a stub. */
export const hoseJoint = (
  hose: Hose,
  end: End,
  ports: ReadonlyMap<string, PortView>,
): JointEnd | null => hoseJointAt(hose, end, ports.get(hose.ends[end].portId ?? '') ?? null);
const hoseJointAt = derive(
  'end of a hose as a joint',
  (hose: Hose, end: End, at: PortView | null) => [hose, end, at],
  (hose, end, at): JointEnd | null => {
    const it = hose.ends[end];
    if ((at && it.through) || hoseFittingById(it.fittingId)!.clamped) return null;
    const near = nearOf(it, at);
    return {
      of: 'hose',
      id: hose.id,
      end,
      name: nameOf(hose.name, end),
      place: { kind: 'hose', id: hose.id, node: end === 'a' ? 0 : 1 },
      at,
      joints: near && it.half ? [jointBetween(near, it.half)] : null,
      work: it.joint ?? FRESH_JOINT,
      eyes: it.eyes ?? 1,
      bolt: it.bolt ?? null,
    };
  },
  2,
);

const NO_TORQUE: JointTorque = { nm: null, source: '' };
/** Each joint of an end before its nut's, from the port, as an end of its own: an adapter is tightened by itself. */
export const jointsBefore = (at: JointEnd): JointEnd[] =>
  (at.joints ?? []).slice(0, -1).map((_, i) => {
    const { nm, source } = at.work.torques?.[i] ?? NO_TORQUE;
    return {
      ...at,
      name: `${at.name}, joint ${i + 1}`,
      joints: at.joints!.slice(0, i + 1),
      work: { ...at.work, torqueNm: nm, torqueSource: source },
    };
  });
/** Whether the last joint of an end has washers or a ring that seal once. */
export const crushes = ({ joints }: Pick<JointEnd, 'joints'>): boolean =>
  ['banjo', 'flat', 'o-ring-boss'].includes(joints?.at(-1)?.join?.male.end ?? '');

/** Every end that is joined to something, lines first. */
export const jointEnds = derive(
  'ends that are joined',
  ({
    lines,
    ports,
    plan,
  }: {
    readonly lines: readonly LineView[];
    readonly ports: ReadonlyMap<string, PortView>;
    readonly plan: Pick<Plan, 'hoses'>;
  }) => [lines, ports, plan.hoses],
  (lines, ports, hoses): readonly JointEnd[] => [
    ...lines.flatMap((line) => ENDS.map((end) => lineJoint(line, end))),
    ...hoses.flatMap((hose) => ENDS.flatMap((end) => hoseJoint(hose, end, ports) ?? [])),
  ],
);

/** What is on each joint of an end, from the port on: as set down for it, else on its taper threads, or where it has none on all. */
export function sealantsOf({
  joints,
  work,
}: Pick<JointEnd, 'joints' | 'work'>): readonly Sealant[] {
  const tapers = (joints ?? []).map(
    ({ join }) => join !== null && isTaper(threadByName(join.male.thread)!),
  );
  return tapers.map(
    (taper, i) => work.sealants?.[i] ?? (taper || !tapers.includes(true) ? work.sealant : 'none'),
  );
}
