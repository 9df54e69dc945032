import type { AcceptedCaution, FollowUp, Plan, Proving, SignOff } from '../model/index.ts';

const withProving = (plan: Plan, patch: Partial<Proving>): Plan => ({
  ...plan,
  proving: { ...plan.proving, ...patch },
});

const without = <T extends { readonly key: string }>(
  list: readonly T[] | undefined,
  key: string,
): readonly T[] => (list ?? []).filter((one) => one.key !== key);

/** Edits of what proves a built system. */
export const PROVE_EDITS = {
  /** A test, and each place that was checked for it, as if nothing had been recorded. */
  clearTest: (plan: Plan, { key }: { readonly key: string }): Plan =>
    withProving(plan, {
      rounds: plan.proving.rounds.filter(
        (one) => one.key !== key && !one.key.startsWith(`${key}/`),
      ),
    }),
  recordBedding: (plan: Plan, entry: Proving['bedding'][number]): Plan =>
    withProving(plan, { bedding: [...plan.proving.bedding, entry] }),
  sign: (plan: Plan, { signature }: { readonly signature: SignOff }): Plan =>
    withProving(plan, { signed: [...plan.proving.signed, signature], drivenKm: 0 }),
  /** Which plan keeps the revision that was signed at that time. */
  keepRevision: (
    plan: Plan,
    { at, revisionId }: { readonly at: string; readonly revisionId: string },
  ): Plan =>
    withProving(plan, {
      signed: plan.proving.signed.map((one) => (one.at === at ? { ...one, revisionId } : one)),
    }),
  /** Takes a caution on by name; the same one again takes the place of the first. */
  acceptCaution: (plan: Plan, { accepted }: { readonly accepted: AcceptedCaution }): Plan =>
    withProving(plan, { accepted: [...without(plan.proving.accepted, accepted.key), accepted] }),
  withdrawAcceptance: (plan: Plan, { key }: { readonly key: string }): Plan =>
    withProving(plan, { accepted: without(plan.proving.accepted, key) }),
  /** What a check after signing found; the newest of each counts. */
  recordFollowUp: (plan: Plan, { followUp }: { readonly followUp: FollowUp }): Plan =>
    withProving(plan, { followUps: [...without(plan.proving.followUps, followUp.key), followUp] }),
  /** How far it was driven since the newest signature. */
  setDriven: (plan: Plan, { km }: { readonly km: number }): Plan =>
    withProving(plan, { drivenKm: km }),
} as const;
