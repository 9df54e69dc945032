import { jointsAt, type JointView } from '../../joints/index.ts';
import { END_NAMES, isTaper, SEAT_NAMES, threadByName, type Half } from '../../stock/index.ts';
import type { LineView, PlanView } from '../../plan/index.ts';
import { eachEnd, endName, onLine, type Rule, type Snag } from '../snag.ts';

/** Why threads that go together do not seal, so that each has its own rule. */
export type Cause = 'bubble-inverted' | 'flare-37-45' | 'parallel-taper' | 'other';
export function causeOf({ join, verdict }: JointView): Cause | null {
  if (!join || verdict !== 'threads-but-will-not-seal') return null;
  const { end } = join.male;
  const { seat } = join.female;
  if ((end === 'bubble' && seat === 'inverted-flare-45') || (end === 'double-flare-45' && seat === 'bubble'))
    return 'bubble-inverted';
  if ((end === 'cone-37' && seat === 'inverted-flare-45') || (end === 'double-flare-45' && seat === 'flare-37'))
    return 'flare-37-45';
  return isTaper(threadByName(join.male.thread)!) !== isTaper(threadByName(join.female.thread)!) ? 'parallel-taper' : 'other';
}

/** A half in words: `M10x1 with a bubble seat`. */
export const halfWords = (half: Half): string =>
  `${half.thread} ${half.gender === 'male' ? END_NAMES[half.end] : SEAT_NAMES[half.seat]}`;

/** The places and words that every finding at a line's end has. */
export const atEnd = (line: LineView, end: 'a' | 'b'): Pick<Snag, 'station' | 'place' | 'where'> => ({
  station: 'join',
  place: onLine(line, end === 'a' ? 0 : Math.max(line.nodesMm.length - 1, 0)),
  where: `${line.line.name}, ${endName(end)}`,
});

/** A rule that looks at each joint of each end; it says nothing of a port whose thread is not known. */
export const eachJoint = (
  rule: string,
  level: Snag['level'],
  find: (joint: JointView, line: LineView, end: 'a' | 'b', view: PlanView) => string | null,
): Rule =>
  eachEnd((line, end, view) =>
    (jointsAt(line, end) ?? []).flatMap((joint): Snag[] => {
      const text = find(joint, line, end, view);
      return text ? [{ rule, level, ...atEnd(line, end), text }] : [];
    }),
  );

/** A rule about an end as a whole. */
export const eachEndOf = (
  rule: string,
  find: (line: LineView, end: 'a' | 'b', view: PlanView) => (Pick<Snag, 'level' | 'text'> & { mend?: Snag['mend'] }) | null,
): Rule =>
  eachEnd((line, end, view) => {
    const found = find(line, end, view);
    return found ? [{ rule, ...atEnd(line, end), ...found }] : [];
  });
