import { wholeView } from '../../rule-kit/whole-view.ts';
import { preFillChecks, replay } from '../../../stations/fill/index.ts';
import type { FillRun, Plan } from '../../../plan/index.ts';
import type { Finding, Reading } from '../../define-rule.ts';
import { FLOOR_READS } from '../fit/_shared.ts';

/** What of a plan the rules of filling rest on. */
export const FILL_READS = [
  ...FLOOR_READS,
  'network',
  'plan.circuits',
  'plan.lines',
  'plan.trailer',
  'plan.clutch',
  'plan.singles',
] as const;
type Read = Reading<(typeof FILL_READS)[number]>;

/** Runs in which fluid has gone through, the newest of each kind of work. */
export function begun({ plan }: { readonly plan: Pick<Plan, 'filling'> }): FillRun[] {
  const wet = plan.filling.runs.filter((run) => replay(run).state.corners.some(({ ml }) => ml > 0));
  return (['brake', 'clutch'] as const).flatMap(
    (work) => wet.findLast((run) => run.work === work) ?? [],
  );
}
/** What should have been said before fluid went in and was not, by the beginning of its key. */
export function unsaid(
  view: Read,
  key: string,
  finding: (name: string) => Pick<Finding, 'level' | 'text'>,
): Finding[] {
  return begun(view).flatMap((run) => {
    const work = view.bleeding.find((one) => one.work === run.work);
    if (!work?.net) return [];
    const open = preFillChecks(work, wholeView(view), run.method).filter(
      (before) => before.key.startsWith(key) && !before.done,
    );
    return open.map((before): Finding => ({ ...finding(before.name), where: before.name }));
  });
}
