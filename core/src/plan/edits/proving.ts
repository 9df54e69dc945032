import type { Plan, Proving, SignOff } from '../model/index.ts';

const withProving = (plan: Plan, patch: Partial<Proving>): Plan => ({
  ...plan,
  proving: { ...plan.proving, ...patch },
});

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
    withProving(plan, { signed: [...plan.proving.signed, signature] }),
} as const;
