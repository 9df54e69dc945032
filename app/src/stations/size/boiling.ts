import { fluidOfWork } from '@firm-line/core/stations/fill';
import type { PlanView } from '@firm-line/core/plan/results';

/** Where the brakes' fluid boils with water in it, and its name; null where its sheet has none. */
export function boilingOf(
  view: PlanView,
): { readonly name: string; readonly celsius: number } | null {
  const { name, wetBoilC } = fluidOfWork(view, 'brake');
  return wetBoilC === null ? null : { name, celsius: wetBoilC };
}
