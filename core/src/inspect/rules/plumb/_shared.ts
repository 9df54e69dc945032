import { figure } from '../../../lib/faults/index.ts';
import type { ResidualView } from '../../../plan/results/index.ts';

/** Source: NIST SP 811, 1 psi = 6.894757 kPa. */
const MPA_PER_PSI = 0.006894757;
/** Residual valves trade by psi. */
export const psi = (mpa: number): string => `${figure(mpa / MPA_PER_PSI, 0)} psi`;

type Valve = ResidualView['has'][number];

/** Each valve once, with the brakes it is wrong for by kind. */
export function byValve(
  residuals: readonly ResidualView[],
  isWrong: (of: ResidualView, valve: Valve) => boolean,
): { readonly valve: Valve; readonly kind: ResidualView['kind']; readonly names: string }[] {
  const found = new Map<string, { valve: Valve; kind: ResidualView['kind']; brakes: string[] }>();
  for (const of of residuals)
    for (const valve of of.has) {
      if (!isWrong(of, valve)) continue;
      const key = `${valve.portId} ${of.kind}`;
      const one = found.get(key) ?? { valve, kind: of.kind, brakes: [] };
      one.brakes.push(of.part.name);
      found.set(key, one);
    }
  return [...found.values()].map(({ valve, kind, brakes }) => ({
    valve,
    kind,
    names: brakes.join(' and '),
  }));
}
