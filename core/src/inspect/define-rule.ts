import { gathered, type Together } from './rule-kit/gathered.ts';
import { derive } from '../lib/derive/index.ts';
import { ENDS, jointEnds, type JointEnd, type JointView } from '../stations/join/index.ts';
import { hoseView, type HoseView } from '../stations/route/index.ts';
import {
  lineSpace,
  type Circuit,
  type EditCall,
  type LineSpace,
  type LineView,
  type Part,
  type Plan,
  type PortView,
  type Ref,
} from '../plan/index.ts';
import type { PlanView } from '../plan/results/index.ts';
import { cornerAt, endName, endNode, onLine, onPart } from './rule-kit/places.ts';

export type Level = 'stop' | 'caution' | 'note';
export const STATIONS = [
  'measure',
  'size',
  'plumb',
  'route',
  'join',
  'make',
  'fit',
  'fill',
  'prove',
] as const;
export type Station = (typeof STATIONS)[number];

/** One action that mends a finding. */
export interface Fix {
  readonly label: string;
  readonly call: EditCall;
  /** It sets down what is so already: what that brings to light is no harm it does. */
  readonly isFact?: boolean;
}
/** One problem found in the plan. */
export interface Snag {
  /** Tells it from every other finding against the same plan. */
  readonly key: string;
  readonly rule: string;
  readonly level: Level;
  readonly station: Station;
  readonly place: Ref;
  /** The place in words: "R2, end B". */
  readonly where: string;
  readonly text: string;
  /** There may be a fix: ask `fixOf`. */
  readonly fixable: boolean;
  /** Of a caution: its text in millimeters and newtons, whatever units are chosen. */
  readonly plain?: string;
  /** The task or test of the sign-off that says the same. */
  readonly repeats?: string;
}
/** What a rule says; the place of what it looked at is filled in where it names none. */
export interface Finding {
  readonly level: Level;
  readonly text: string;
  readonly place?: Ref;
  readonly where?: string;
  /** The actions that may mend it, the best first, worked out when they are asked for; nothing where there is none. */
  readonly fix?: () => Fix | readonly Fix[] | null | undefined;
  /** The item of the sign-off that says the same, so that it is said once: `task:…` or `test:…`. */
  readonly repeats?: string;
}

/** What a rule looks at one at a time. */
interface Subjects {
  plan: [];
  line: [line: LineView];
  /** Both ends of each line. */
  end: [line: LineView, end: 'a' | 'b'];
  /** Each line that has a center line, among the things of the vehicle. */
  space: [line: LineView, space: LineSpace];
  /** Each end of a line or a hose that is joined. */
  joined: [end: JointEnd];
  /** Each joint of each of them; nothing where a thread is not known. */
  joint: [joint: JointView, end: JointEnd];
  hose: [hose: HoseView];
  part: [part: Part];
  /** Each port of each part, with where it lies. */
  port: [port: PortView];
  circuit: [circuit: Circuit];
}
export type About = keyof Subjects;

/** The units of a plan, which every rule may read. */
export type UnitField = 'units' | 'ownUnits';
/** What of a plan, or of what follows from it, a rule reads besides its subject. Units are always at hand. */
export type ReadName =
  `plan.${Exclude<keyof Plan, 'id' | UnitField>}` | Exclude<keyof PlanView, 'plan'>;
type PlanKey<R> = R extends `plan.${infer K}` ? K & keyof Plan : never;
export type Reading<R extends ReadName> = Pick<PlanView, Extract<R, keyof PlanView>> & {
  readonly plan: Pick<Plan, PlanKey<R> | 'id' | UnitField>;
};

type Verdict = Finding | null | undefined | false | readonly Finding[];
export interface Definition<A extends About, R extends ReadName> {
  readonly id: string;
  readonly station: Station;
  readonly about: A;
  readonly reads: readonly R[];
  readonly judge: (...args: [...Subjects[A], Reading<R>]) => Verdict;
  /** Of many findings what is said of all of them, at once. */
  readonly together?: Together;
  /** It asks for a figure: that it speaks is no harm that a fix does. */
  readonly asks?: boolean;
}
/** A finding with its place. */
export type Found = Finding & {
  readonly place: Ref;
  readonly where: string;
  readonly plain: string;
};
export interface Rule extends Pick<
  Definition<About, ReadName>,
  'id' | 'station' | 'about' | 'reads' | 'asks'
> {
  /** What is said of a plan. */
  readonly find: (view: PlanView) => readonly Found[];
  /** The same with every finding apart, also those that are said together. */
  readonly findEach: (view: PlanView) => readonly Found[];
}

const read = (view: PlanView, name: ReadName): unknown =>
  name.startsWith('plan.') ? view.plan[name.slice(5) as keyof Plan] : view[name as keyof PlanView];

const PLAIN_UNITS = { units: 'metric', ownUnits: undefined } as const;
const isPlain = ({ units, ownUnits }: Pick<Plan, UnitField>): boolean =>
  units === 'metric' && !Object.keys(ownUnits ?? {}).length;

/** What a rule could not judge, said as a note so that the others are heard. */
const unjudged = (id: string, error: unknown): Finding => ({
  level: 'note',
  text: `${NOT_JUDGED} (${id}): ${(error as Error).message}`,
});
export const NOT_JUDGED = 'This rule could not be checked';

interface Subject<A extends About> {
  readonly args: Subjects[A];
  readonly place: Ref;
  readonly where: string;
}
const SUBJECTS: { readonly [A in About]: (view: PlanView, station: Station) => Subject<A>[] } = {
  plan: ({ plan }) => [{ args: [], place: { kind: 'plan', id: plan.id }, where: plan.name }],
  line: ({ lines }, station) =>
    linesToMake(lines, station).map((line) => ({
      args: [line],
      place: onLine(line),
      where: line.line.name,
    })),
  end: ({ lines }, station) =>
    linesToMake(lines, station).flatMap((line) =>
      ENDS.map((end) => endSubject([line, end], line, end, station)),
    ),
  space: ({ lines, plan }) =>
    lines.flatMap((line): Subject<'space'>[] => {
      const space = lineSpace(plan, line);
      return space ? [{ args: [line, space], place: onLine(line), where: line.line.name }] : [];
    }),
  joined: (view) =>
    jointEnds(view).map((end) => ({ args: [end], place: end.place, where: end.name })),
  joint: (view) =>
    jointEnds(view).flatMap((end) =>
      (end.joints ?? []).map((joint) => ({
        args: [joint, end],
        place: end.place,
        where: end.name,
      })),
    ),
  hose: ({ plan, ports }) =>
    plan.hoses.map((hose) => ({
      args: [hoseView(plan, hose, ports)],
      place: { kind: 'hose', id: hose.id },
      where: hose.name,
    })),
  part: ({ plan }) =>
    plan.parts.map((part) => ({ args: [part], place: onPart(part), where: part.name })),
  port: ({ ports }) =>
    [...ports.values()].map((at) => ({
      args: [at],
      place: { kind: 'port', id: at.port.id },
      where: `${at.part.name}, ${at.port.name}`,
    })),
  circuit: ({ plan }) =>
    plan.circuits.map((circuit) => ({
      args: [circuit],
      place: { kind: 'circuit', id: circuit.id },
      where: circuit.name,
    })),
};
/** What stays on the vehicle is not made: no card of it is judged. */
const linesToMake = (lines: readonly LineView[], station: Station): readonly LineView[] =>
  station === 'make' ? lines.filter(({ line }) => line.origin !== 'kept') : lines;
function endSubject(
  args: Subjects['end'],
  line: LineView,
  end: 'a' | 'b',
  station: Station,
): Subject<'end'> {
  const node = station === 'join' ? endNode(line, end) : cornerAt(line, end);
  return { args, place: onLine(line, node), where: `${line.line.name}, ${endName(end)}` };
}

/** What a rule reads, by name: its judgement is given this and sees no more of the plan. */
function readingOf(
  names: readonly ReadName[],
  values: readonly unknown[],
  id: string,
  units: Pick<Plan, UnitField>,
): object {
  const entries = names.map((name, i) => [name, values[i]] as const);
  const of = (inPlan: boolean) => entries.filter(([name]) => name.startsWith('plan.') === inPlan);
  const plan = Object.fromEntries(of(true).map(([name, value]) => [name.slice(5), value]));
  return { ...Object.fromEntries(of(false)), plan: { ...plan, id, ...units } };
}

/** Findings of one rule, many of one level as one about the plan. */
const toldTogether = (
  all: readonly Found[],
  together: Together,
  planId: string,
): readonly Found[] =>
  (['stop', 'caution', 'note'] as const).flatMap((level) =>
    gathered(
      all.filter((one) => one.level === level),
      together,
    ).map((one): Found => ({
      place: { kind: 'plan', id: planId },
      where: together.where,
      plain: one.text,
      ...one,
    })),
  );

/**
 * A rule: a pure function over what it looks at and over what it says it reads. While those stay, its
 * findings stay; what throws is told as a note at that place and hurts nothing else.
 */
export function defineRule<A extends About, const R extends ReadName>({
  id,
  station,
  about,
  reads,
  judge,
  together,
  asks,
}: Definition<A, R>): Rule {
  const NO_SUBJECT = {};
  const judgedAs = (name: string) =>
    derive(
      name,
      (
        args: Subjects[A],
        { plan }: PlanView,
        values: readonly unknown[],
      ): readonly [object, ...unknown[]] => [
        (args[0] as object | undefined) ?? NO_SUBJECT,
        plan.id,
        plan.units,
        plan.ownUnits,
        ...args,
        ...values,
      ],
      (_key: object, ...[planId, units, ownUnits, ...inputs]: unknown[]): readonly Finding[] => {
        const args = inputs.slice(0, inputs.length - reads.length) as unknown as Subjects[A];
        const reading = readingOf(
          reads,
          inputs.slice(args.length),
          planId as string,
          { units, ownUnits } as Pick<Plan, UnitField>,
        );
        try {
          const verdict = judge(...args, reading as Reading<R>);
          return !verdict
            ? []
            : Array.isArray(verdict)
              ? (verdict as readonly Finding[])
              : [verdict as Finding];
        } catch (error) {
          return [unjudged(id, error)];
        }
      },
      // Both ends of a line belong to the line.
      about === 'end' ? 2 : 1,
    );
  const judged = judgedAs(`rule ${id}`);
  // A memory of its own: each would else drive out what the other keeps.
  const judgedPlain = judgedAs(`rule ${id}, plain`);
  const placed = derive(
    `place of ${id}`,
    (finding: Finding, place: Ref, where: string, plain: string) => {
      const { kind, id: of, node } = finding.place ?? place;
      return [finding, kind, of, node, finding.where ?? where, plain];
    },
    (finding, kind, of, node, where, plain): Found => ({
      ...finding,
      place: { kind, id: of, ...(node === undefined ? {} : { node }) },
      where,
      plain,
    }),
  );
  const findEach = (view: PlanView): readonly Found[] => {
    const values = reads.map((name) => read(view, name));
    const plainly = { ...view, plan: { ...view.plan, ...PLAIN_UNITS } };
    return SUBJECTS[about](view, station).flatMap(({ args, place, where }) => {
      const found = judged(args as Subjects[A], view, values);
      if (!found.length) return [];
      const plain = isPlain(view.plan) ? found : judgedPlain(args as Subjects[A], plainly, values);
      return found.map((finding, i) => placed(finding, place, where, (plain[i] ?? finding).text));
    });
  };
  const find = (view: PlanView): readonly Found[] =>
    together ? toldTogether(findEach(view), together, view.plan.id) : findEach(view);
  return { id, station, about, reads, ...(asks ? { asks } : {}), find, findEach };
}
