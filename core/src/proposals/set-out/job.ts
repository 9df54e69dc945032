import { isBrake, makesPressure, type Line, type Part, type Plan } from '../../plan/index.ts';
import type { Answers } from './answers.ts';

/** What comes off a vehicle that is changed, before anything new goes on. Common practice. */
const COMES_OFF: Record<Answers['job'], readonly string[]> = {
  new: [],
  front: ['Front calipers, or drums with their cylinders', 'Front hoses', 'Front lines'],
  rear: ['Rear calipers, or drums with their cylinders', 'Rear hose or hoses', 'Rear lines'],
  master: ['Master cylinder with its reservoir'],
  booster: ['Master cylinder, to go before the booster', 'Pushrod'],
  line: ['The long line to the rear, with its clips'],
  clutch: ['Clutch cable or linkage'],
};

/** Whether a part is new in a job. */
function isNew(job: Answers['job'], part: Part, plan: Plan): boolean {
  const ends = new Set(part.ports.map(({ id }) => id));
  const circuits = plan.lines
    .filter(({ ends: { a, b } }) => ends.has(a.portId ?? '') || ends.has(b.portId ?? ''))
    .map(({ circuitId }) => plan.circuits.find(({ id }) => id === circuitId)!);
  const isClutch = circuits.some(({ work }) => work === 'clutch');
  if (job === 'clutch') return isClutch;
  if (isClutch) return false;
  if (job === 'master' || job === 'booster')
    return makesPressure(part) || part.kind === 'reservoir';
  const name = job === 'front' ? 'Front' : 'Rear';
  if (job === 'line') return false;
  return isBrake(part)
    ? part.name.startsWith(name)
    : !makesPressure(part) &&
        part.kind !== 'reservoir' &&
        circuits.some(({ axle }) => axle === job);
}

/** The line that a renewal is of: the longest, straight across. */
function longest({ lines }: Plan): string | undefined {
  const long = ({ cornersMm }: Line): number =>
    Math.hypot(...cornersMm.at(-1)!.map((v, i) => v - cornersMm[0]![i]!));
  return lines.toSorted((a, b) => long(b) - long(a))[0]?.id;
}

/**
 * A plan in which what stays on the vehicle is said to be kept, and what comes off is listed. A line is new where it
 * ends at something new; to a new master the old lines are kept, and meet it at their joints.
 */
export function keptBut(plan: Plan, job: Answers['job']): Plan {
  if (job === 'new') return plan;
  const fresh = new Set(
    plan.parts
      .filter((part) => isNew(job, part, plan))
      .flatMap(({ ports }) => ports.map(({ id }) => id)),
  );
  const keepsLines = job === 'master' || job === 'booster';
  const only = job === 'line' ? longest(plan) : null;
  const isMade = ({ id, ends: { a, b } }: Line): boolean =>
    id === only || (!keepsLines && [a, b].some(({ portId }) => fresh.has(portId ?? '')));
  return {
    ...plan,
    comesOff: COMES_OFF[job],
    parts: plan.parts.map((part) =>
      part.ports.some(({ id }) => fresh.has(id)) ? part : { ...part, kept: true },
    ),
    lines: plan.lines.map((line) => (isMade(line) ? line : { ...line, origin: 'kept' as const })),
  };
}
