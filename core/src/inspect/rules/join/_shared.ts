import type { JointEnd, JointView } from '../../../stations/join/index.ts';
import type { JointWork } from '../../../plan/index.ts';
import {
  END_NAMES,
  isTaper,
  SEAT_NAMES,
  threadByName,
  type Half,
} from '../../../trade/stock/index.ts';
import { defineRule, type Fix, type Rule } from '../../define-rule.ts';

/** Why threads that go together do not seal, so that each has its own rule. */
export type Cause = 'bubble-inverted' | 'flare-37-45' | 'parallel-taper' | 'other';
/** Cones and flares of 37° and of 45° that one thread brings together. */
const FLARES_37_45 = [
  ['cone-37', 'inverted-flare-45'],
  ['double-flare-45', 'flare-37'],
  ['cone-37', 'flare-45'],
  ['cone-45', 'flare-37'],
];
export function causeOf({ join, verdict }: JointView): Cause | null {
  if (!join || verdict !== 'threads-but-will-not-seal') return null;
  const { end } = join.male;
  const { seat } = join.female;
  if (
    (end === 'bubble' && seat === 'inverted-flare-45') ||
    (end === 'double-flare-45' && seat === 'bubble')
  )
    return 'bubble-inverted';
  if (FLARES_37_45.some(([male, female]) => male === end && female === seat)) return 'flare-37-45';
  return isTaper(threadByName(join.male.thread)!) !== isTaper(threadByName(join.female.thread)!)
    ? 'parallel-taper'
    : 'other';
}

/** A half in words: `M10x1 with a bubble seat`. */
export const halfWords = (half: Half): string =>
  `${half.thread} ${half.gender === 'male' ? END_NAMES[half.end] : SEAT_NAMES[half.seat]}`;

/** A mend that sets down what was done to a joint. */
export const jointFix =
  ({ of, id, end }: JointEnd, label: string, patch: Partial<JointWork>) =>
  (): Fix => ({ label, call: { edit: 'changeJoint', with: { of, id, end, patch } } });

/** A rule about threads and seats: what a joint of an end says against itself. */
export const jointRule = (id: string, find: (joint: JointView) => string | null): Rule =>
  defineRule({
    id,
    station: 'join',
    about: 'joint',
    reads: [],
    judge: (joint) => {
      const text = find(joint);
      return text !== null && { level: 'stop', text };
    },
  });
