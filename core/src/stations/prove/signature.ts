import type { SignOff } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { signedDigest, signedSections } from './digests.ts';
import { followUps, type FollowUpView } from './follow-ups.ts';

export interface LatestSignature {
  readonly sign: SignOff;
  readonly stands: boolean;
  /** What has changed since; null while it is valid. */
  readonly why: string | null;
}
/** The latest signature and what has changed since; null if nobody has signed. */
export function latestSignature(
  view: PlanView,
  checks: readonly FollowUpView[] = followUps(view),
): LatestSignature | null {
  const sign = view.plan.proving.signed.at(-1);
  if (!sign) return null;
  const stands = (why: string | null): LatestSignature => ({ sign, stands: why === null, why });
  if (!sign.sections)
    return stands('Signed under an earlier version of the plan file. Sign again.');
  if (sign.rests !== signedDigest(view)) {
    const was = new Map(sign.sections.map(({ name, digest }) => [name, digest]));
    const changed = signedSections(view).flatMap(({ name, digest }) =>
      was.get(name) === digest ? [] : [name],
    );
    return stands(
      changed.length
        ? `Changed since: ${changed.join(', ')}.`
        : 'Its digest is not that of what it names.',
    );
  }
  const bad = sign.scope === 'road' ? checks.find(({ state }) => state === 'bad') : undefined;
  return stands(bad ? `A follow-up check was not good: ${bad.text}` : null);
}

/** What comes before a signature, by what the vehicle is. Common practice; local rules first. */
export const localRules = (category: string | undefined): string =>
  category === 'aircraft'
    ? 'Light aircraft: the change needs approval first, and an authorized inspector signs for it. This sheet is a record, not an approval.'
    : category === 'trailer'
      ? 'Trailer: breakaway, parking brake and lamps are included. Local rules decide who inspects.'
      : category === 'competition'
        ? 'Competition: the event’s scrutineer decides, whatever this sheet says.'
        : 'Local rules decide who may inspect a modified brake system. This sheet is a record, not an approval.';
